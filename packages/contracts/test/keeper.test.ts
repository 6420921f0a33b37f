import fc from 'fast-check'
import {
  applyChanges,
  declarationOf,
  defaultPowerPlan,
  factsOf,
  forgetHeld,
  heldConfig,
  Keeper,
  marksOf,
  put,
  drop,
  readingChanges,
  recordFault,
  recordKinds,
  snapshotOf,
  wantedConfig,
  workedConfig,
  type Change,
  type Door,
  type Facts,
  type Json,
  type RecordKind,
  type Snapshot,
} from '@rauta/core'
import { sheetsFor } from '../src'
import { event, smallJob, strikeHardware, type World } from './world'

/** A job with something of every kind in it: two controllers, three doors, people, loads, proofs, pictures. */
function fullJob(): World {
  const w = smallJob()
  const at = w.now
  w.controller('a2', 'controller-4', { address: '10.1.1.22' })
  for (const [id, controller] of [
    ['D-02', 'a1'],
    ['D-03', 'a2'],
  ] as const) {
    w.do('door.add', { id, fields: { ref: id, name: id, from: 'out', to: 'in', hardware: strikeHardware } })
    w.do('door.placeProposed', { id, controller })
  }
  w.do('group.put', { id: 'h', name: 'Night' })
  w.do('rule.put', { id: 's', group: 'h', doors: ['D-02', 'D-03'], schedule: 'day' })
  w.do('person.put', {
    id: 'q',
    number: '2',
    name: 'Somebody else',
    cards: [{ id: 'c2', facility: 5, number: 78, state: 'lost' }],
    groups: ['g', 'h'],
  })
  w.do('doorSet.put', { id: 'set', name: 'Back doors', doors: ['D-02', 'D-03'] })
  w.do('specialDay.put', { id: 'sd', date: '2026-12-06', name: 'Holiday', periods: [] })
  w.do('cardFormat.put', {
    id: 'crew-37',
    name: 'Crew, 37 bits',
    bits: 37,
    facility: { from: 1, length: 8 },
    number: { from: 20, length: 16 },
    parity: [{ at: 0, kind: 'even', over: { from: 1, length: 35 } }],
    keeps: 'wiegand26',
  })
  w.do('part.format', { door: 'D-03', part: 'R1', format: 'crew-37' })
  for (const id of ['a1', 'a2']) {
    w.reached(id)
    w.loaded(id)
  }
  const door = 'D-01'
  w.put('tick', { id: `${door}/W1`, door, cable: 'W1', pulled: { by: 'v', at }, ended: null, tested: null })
  w.put('reading', { id: 'r1', door, cable: 'W1', kind: 'loop', value: 1, by: 'v', at })
  w.put('meter', { id: 'vesa', ohm: 0.1, at })
  w.put('cabinet', { id: 'a1', done: {} })
  w.put('cabinetPlace', { id: 'Riser', x: 1, y: 1 })
  w.put('procured', { id: 'tool', got: null, from: '', due: '' })
  w.put('found', {
    id: 'f',
    address: '10.1.1.21',
    port: 80,
    name: '',
    model: 'controller-2',
    serial: 'S1',
    mac: 'M1',
    routable: true,
    ownership: 'ours',
    holds: null,
    seenAt: at,
    controller: 'a1',
  })
  w.put('claim', { id: 'a1', found: 'f', steps: [], eraseAgreed: null, resetStep: -1, startedBy: 'vesa' })
  w.put('event', event(at, 1, 'leaf', 'open'))
  w.put('trial', { id: door, test: 'good-card', startedAt: at, by: 'vesa', boot: 'b1' })
  w.put('proof', {
    id: 'p1',
    door,
    test: 'good-card',
    verdict: 'passed',
    says: '',
    digest: 'x',
    evidence: [],
    by: 'v',
    at,
  })
  w.put('snag', { id: 'n', door, test: '', says: 'scratched', owner: '', openedAt: at, closedAt: null })
  w.put('looked', { id: 'p1/lamp', failure: 'p1', look: 'lamp', answer: 'lit', by: 'v', at })
  w.put('signature', {
    id: 'sig',
    door,
    role: 'engineer',
    name: 'v',
    stroke: 'M0 0',
    head: '',
    basis: '',
    snags: [],
    at,
  })
  w.put('head', { id: door, n: 1, hash: 'ab' })
  w.put('question', { id: 'qu', kind: 'door', record: door, field: 'name', kept: 'a', offered: 'b', by: 'v', at })
  w.put('powerPlan', defaultPowerPlan('a1'))
  w.put('unit', { id: 'u', ref: 'N1', sheet: 'switch-8', cabinet: 'Riser', address: '' })
  w.put('radioPlan', { id: 'site', standby: { facility: 88, number: 10_100 } })
  w.put('unitFeed', { id: 'controller/a1', unit: 'u', port: '1', lengthM: 5 })
  w.put('undone', { id: '3', by: 4 })
  w.put('columns', { id: 'doors', meanings: {} })
  w.put('reaction', { id: 're', door, when: 'granted', then: 'release', lets: 'D-02' })
  w.put('busRun', { id: 'a1/bus', order: [], stations: {} })
  w.put('photo', { id: 'ph', door, cable: '', of: 'other', width: 1, height: 1, sha256: 'ab', by: 'v', at })
  w.put('doorMode', { id: door, mode: 'heldOpen', by: 'v', reason: 'benches', at })
  const sheet = sheetsFor(w.facts)['reader-slim']
  if (sheet) w.put('sheet', { ...sheet, id: 'reader-own', name: 'Own reader' })
  return w
}

const whole = fullJob()
const table = (facts: Facts, kind: RecordKind): Readonly<Record<string, Record<string, unknown> & { id: string }>> =>
  facts[kind] as never

/** A field's value altered as its declaration lets it be. */
function altered(declared: string, value: unknown, n: number): unknown {
  if (declared.includes('none') && n % 2) return null
  if (declared.endsWith('?') && n % 3 === 0) return undefined
  if (typeof value === 'number') return value + (n % 5) + 1
  if (typeof value === 'boolean') return !value
  if (typeof value === 'string') return `${value}${n % 10}`
  if (Array.isArray(value)) return value.slice(0, -1)
  return value
}

interface Alteration {
  kind: RecordKind
  record: number
  field: number
  n: number
  gone: boolean
}
const alteration: fc.Arbitrary<Alteration> = fc.record({
  kind: fc.constantFrom(...recordKinds),
  record: fc.nat(20),
  field: fc.nat(30),
  n: fc.nat(50),
  gone: fc.boolean(),
})

function changesOf(facts: Facts, { kind, record, field, n, gone }: Alteration): Change[] {
  const records = Object.values(table(facts, kind))
  const chosen = records[record % Math.max(1, records.length)]
  if (!chosen) return []
  if (gone && n % 4 === 0) return drop(facts, kind, chosen.id)
  const fields = Object.entries(declarationOf(kind)?.fields ?? {}).filter(([name]) => name !== 'id')
  const [name, declared] = fields[field % fields.length] ?? ['', '']
  const { [name]: before, ...rest } = chosen
  const after = altered(String(declared), before, n)
  return [put(facts, kind, (after === undefined ? rest : { ...rest, [name]: after }) as never)]
}

const attempt = <T>(work: () => T): T | 'not to be worked out' => {
  try {
    return work()
  } catch {
    return 'not to be worked out'
  }
}

describe('marks that are kept from one state of the job to the next', () => {
  it('there is a record of every kind to be altered, each as its declaration says', () => {
    for (const kind of recordKinds) {
      const records = Object.values(table(whole.facts, kind))
      expect([kind, records.length > 0]).toEqual([kind, true])
      const declaration = declarationOf(kind)
      for (const record of records)
        expect([kind, declaration && recordFault(declaration, record.id, record)]).toEqual([kind, null])
    }
  })
  /** Whether the kept marks could be held against fresh ones: an altered record may leave nothing to be worked out. */
  function agrees(keeper: Keeper, facts: Facts, what: unknown): boolean {
    const sheets = sheetsFor(facts)
    keeper.take(facts, sheets)
    for (const door of Object.values(facts.door)) {
      const fresh = attempt(() => marksOf(facts, door, sheets))
      if (fresh === 'not to be worked out') return false
      expect([what, keeper.marksOf(door)]).toEqual([what, fresh])
    }
    for (const id of Object.keys(facts.controller)) {
      const { wanted, held, known, differences } = workedConfig(facts, id, sheets)
      const kept = keeper.configs(id)
      expect([what, id, kept.wanted, kept.held, kept.known]).toEqual([what, id, wanted, held, known])
      expect([what, kept.differences()]).toEqual([what, differences()])
    }
    return true
  }
  it.each(recordKinds.map((kind) => [kind]))(
    'are those worked out afresh, whatever field of a %s is altered',
    (kind) => {
      const declared = Object.entries(declarationOf(kind)?.fields ?? {}).filter(([name]) => name !== 'id')
      const fields = declared.length
      let held = 0
      for (let field = 0; field < fields; field++)
        // What may be absent or none is altered both ways.
        for (const n of /none|\?/.test(String(declared[field]?.[1])) ? [1, 2, 3] : [2]) {
          const keeper = new Keeper()
          agrees(keeper, whole.facts, 'before')
          const a = { kind, record: 0, field, n, gone: false }
          if (agrees(keeper, applyChanges(whole.facts, changesOf(whole.facts, a), 99), a)) held += 1
        }
      const keeper = new Keeper()
      agrees(keeper, whole.facts, 'before')
      const gone = { kind, record: 0, field: 0, n: 4, gone: true }
      if (agrees(keeper, applyChanges(whole.facts, changesOf(whole.facts, gone), 99), gone)) held += 1
      expect(held).toBeGreaterThan(fields / 2)
    },
  )
  it('are those worked out afresh after several alterations, one on top of the other', () => {
    fc.assert(
      fc.property(fc.array(alteration, { minLength: 2, maxLength: 6 }), (alterations) => {
        const keeper = new Keeper()
        let facts = whole.facts
        agrees(keeper, facts, 'before')
        for (const a of alterations) {
          facts = applyChanges(facts, changesOf(facts, a), facts.rev + 1)
          if (!agrees(keeper, facts, alterations)) return
        }
      }),
      { numRuns: 20 },
    )
  })
  it('worked out elsewhere and brought over they stand as if they were worked out here, and go where they are touched', () => {
    const sheets = sheetsFor(whole.facts)
    const [elsewhere, here] = [new Keeper(), new Keeper()]
    for (const keeper of [elsewhere, here]) keeper.take(whole.facts, sheets)
    const doors = Object.values(whole.facts.door)
    const supplies = Object.values(whole.facts.controller)
    here.takeOver({
      marks: doors.map((d) => [d.id, elsewhere.marksOf(d)]),
      reports: supplies.map((c) => elsewhere.reportOf(c)),
    })
    expect(doors.every((d) => here.knows(d.id)) && supplies.every((c) => here.knowsReportOf(c))).toBe(true)
    expect(here.marksOf(doors[0] as never)).toBe(elsewhere.marksOf(doors[0] as never))
    const facts = applyChanges(whole.facts, [put(whole.facts, 'door', { ...(doors[0] as Door), handle: false })], 99)
    here.take(facts, sheets)
    expect(here.knows(doors[0]?.id ?? '')).toBe(false)
    expect(here.knowsReportOf(supplies[0] as never)).toBe(false)
  })
  it('a person who is altered touches only the controllers that their groups pass', () => {
    const keeper = new Keeper()
    const sheets = sheetsFor(whole.facts)
    keeper.take(whole.facts, sheets)
    const before = ['a1', 'a2'].map((id) => keeper.configs(id))
    const person = whole.facts.person['p']
    if (!person) throw new Error('nobody')
    const facts = applyChanges(whole.facts, [put(whole.facts, 'person', { ...person, name: 'Other' })], 99)
    keeper.take(facts, sheets)
    expect(keeper.configs('a2')).toBe(before[1])
    expect(keeper.configs('a1')).not.toBe(before[0])
    expect(
      keeper
        .configs('a1')
        .differences()
        .map((d) => d.key),
    ).toEqual(['credential/c'])
  })
})

describe('a stored record', () => {
  it.each([
    ['an unknown shape', 'door', 'D-01', 'text', 'is no record'],
    ['another id', 'group', 'g', { id: 'x', name: 'Staff' }, 'has another id than it is kept under'],
    ['a field too few', 'group', 'g', { id: 'g' }, 'lacks its field name'],
    ['a field of another type', 'group', 'g', { id: 'g', name: 7 }, 'has a field name that cannot be'],
    ['a number that is none', 'meter', 'v', { id: 'v', ohm: null, at: 1 }, 'has a field ohm that cannot be'],
  ])('with %s is told', (_what, kind, id, data, says) => {
    const declaration = declarationOf(kind)
    expect(declaration && recordFault(declaration, id, data)).toBe(says)
  })
  it('of a kind that every object is born with has no declaration', () => {
    for (const name of ['constructor', '__proto__', 'toString', 'chain', ''])
      expect(declarationOf(name)).toBeUndefined()
  })
})

const wantsOf =
  (facts: Facts) =>
  (id: string): Record<string, Json> => {
    const controller = facts.controller[id]
    return controller ? { ...wantedConfig(facts, controller, sheetsFor(facts)).config } : {}
  }
const overTheWire = (snapshot: Snapshot): Snapshot => JSON.parse(JSON.stringify(snapshot)) as Snapshot

describe('a job as it is sent to a phone', () => {
  it('comes out as it went in, whatever its devices hold', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('a1', 'a2'), fc.nat(40), fc.constantFrom('gone', 'other', 'more')), {
          maxLength: 5,
        }),
        (tampered) => {
          let { facts } = whole
          for (const [id, n, how] of tampered) {
            const held: Record<string, Json> = { ...heldConfig(facts, id) }
            const key = Object.keys(held)[n % Math.max(1, Object.keys(held).length)] ?? ''
            if (how === 'more')
              held[`credential/stranger${n}`] = { holder: 'x', card: 'AA', enabled: true, profiles: [] }
            else if (how === 'gone') delete held[key]
            else held[key] = { other: n }
            facts = applyChanges(facts, readingChanges(facts, id, held, n), facts.rev + 1)
          }
          const back = factsOf(overTheWire(snapshotOf(facts, wantsOf(facts))), wantsOf)
          expect(back.missing).toEqual([])
          expect(back.facts).toEqual(facts)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('comes to the same in whatever order a device told its parts', () => {
    const turned = Object.fromEntries(Object.entries(heldConfig(whole.facts, 'a1')).reverse())
    const forgotten = applyChanges(whole.facts, forgetHeld(whole.facts, 'a1'), 60)
    const facts = applyChanges(forgotten, readingChanges(forgotten, 'a1', turned, 5), 61)
    expect(factsOf(overTheWire(snapshotOf(facts, wantsOf(facts))), wantsOf).missing).toEqual([])
  })
  it('tells nothing twice: what a device holds as wanted goes as a fingerprint', () => {
    const records = snapshotOf(whole.facts, wantsOf(whole.facts)).records.filter((r) => r.kind === 'heldParts')
    expect(records.length).toBeGreaterThan(6)
    for (const { data } of records) expect(Object.keys(data as object).sort()).toEqual(['asWanted', 'controller', 'id'])
  })
  it('a build that works out something else asks for what it cannot know', () => {
    const snapshot = overTheWire(snapshotOf(whole.facts, wantsOf(whole.facts)))
    const other = (facts: Facts) => (id: string) => ({
      ...wantsOf(facts)(id),
      ...(id === 'a1' ? { 'door/D-01': { name: 'another rounding' } } : {}),
    })
    const back = factsOf(snapshot, other)
    expect(back.missing).toEqual(['a1~door'])
    expect(back.facts.heldParts['a1~door']).toBeUndefined()
    expect(back.facts.heldParts['a2~door']).toEqual(whole.facts.heldParts['a2~door'])
  })
})

describe('what a device was read to hold', () => {
  it('changes by the share that differs alone, and by nothing where it is the same again', () => {
    const held = heldConfig(whole.facts, 'a1')
    expect(readingChanges(whole.facts, 'a1', structuredClone(held), 5)).toEqual([])
    const lost = { ...(held['credential/c'] as object), enabled: false }
    const changes = readingChanges(whole.facts, 'a1', { ...held, 'credential/c': lost }, 5)
    expect(changes.map((c) => c.kind)).toEqual(['heldParts', 'held'])
    const { 'credential/c': _c, 'credential/c2': _c2, ...without } = held
    const facts = applyChanges(whole.facts, readingChanges(whole.facts, 'a1', without, 5), 50)
    expect(heldConfig(facts, 'a1')).toEqual(without)
  })
  it('is read anew where the last reading was not understood', () => {
    const facts = applyChanges(
      whole.facts,
      [put(whole.facts, 'held', { id: 'a1', readAt: 1, fault: 'half an answer' })],
      50,
    )
    expect(readingChanges(facts, 'a1', heldConfig(facts, 'a1'), 5)).toMatchObject([
      { kind: 'held', after: { fault: '' } },
    ])
  })
})

describe('events', () => {
  it('stand in the facts as the newest thousand or so, the same wherever the changes are applied', () => {
    let facts = whole.facts
    const told = Array.from({ length: 2500 }, (_, i) => event(1000, i, 'leaf', 'open'))
    for (const e of told) facts = applyChanges(facts, [put(facts, 'event', e)], facts.rev + 1)
    const ids = Object.keys(facts.event)
    expect(ids.length).toBeLessThanOrEqual(1200)
    expect(ids.length).toBeGreaterThanOrEqual(1000)
    expect(ids).toEqual(told.slice(-ids.length).map((e) => e.id))
  })
})
