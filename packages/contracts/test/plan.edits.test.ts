import fc from 'fast-check'
import {
  all,
  carriesFaults,
  chainOf,
  digestOf,
  Keeper,
  marksOf,
  planFindings,
  sheetFaults,
  type Change,
  type Controller,
  type DeviceSheet,
  type ListedDoor,
  type Part,
} from '@rauta/core'
import { commands, planEdits, sheetsFor, undoAndRedo, type PlanEdit } from '../src'
import type { World } from './world'
import { sheets, smallJob, strikeHardware } from './world'

/** A world that keeps its history, as the server does. */
class Logged {
  readonly entries: (PlanEdit & { changes: readonly Change[] })[] = []
  constructor(readonly w: World) {}
  do(name: string, payload: unknown): void {
    const rev = this.w.facts.rev + 1
    const changes =
      commands[name]?.apply(this.w.facts, payload as never, {
        id: `c${rev}`,
        by: 'vesa',
        role: 'lead',
        at: rev,
        sheets: sheetsFor(this.w.facts),
        history: (r) => this.entries.find((e) => e.rev === r),
      }) ?? []
    this.w.take([...changes])
    this.entries.unshift({ rev, name, says: '', by: 'vesa', at: rev, changes })
  }
  get way() {
    return undoAndRedo(this.entries, this.w.facts.undone)
  }
  undo(): void {
    const e = this.way.undo
    if (!e) throw new Error('nothing to undo')
    this.do('plan.undo', { rev: e.rev })
  }
  redo(): void {
    const e = this.way.redo
    if (!e) throw new Error('nothing to redo')
    this.do('plan.redo', { rev: e.rev })
  }
  /** The plan alone: what was taken back is a fact of its own. */
  get plan(): string {
    const { undone: _u, rev: _r, ...rest } = this.w.facts as unknown as Record<string, unknown>
    return digestOf(JSON.parse(JSON.stringify(rest)) as never)
  }
}

describe('undo and redo of the plan', () => {
  it('takes edits back one after the other, and makes them again', () => {
    const log = new Logged(smallJob())
    const states = [log.plan]
    const steps: [string, unknown][] = [
      ['door.edit', { id: 'D-01', fields: { name: 'Other' } }],
      ['cable.set', { door: 'D-01', cable: 'W1', lengthM: 33 }],
      ['door.place', { id: 'D-01', placement: null }],
    ]
    for (const [name, payload] of steps) {
      log.do(name, payload)
      states.push(log.plan)
    }
    for (let i = 2; i >= 0; i--) {
      log.undo()
      expect(log.plan).toBe(states[i])
    }
    expect(log.way.undo).toBeNull()
    for (let i = 1; i <= 3; i++) {
      log.redo()
      expect(log.plan).toBe(states[i])
    }
    expect(log.way.redo).toBeNull()
  })
  it('is refused, with the reason, where somebody changed the same thing since', () => {
    const log = new Logged(smallJob())
    log.do('door.edit', { id: 'D-01', fields: { name: 'Other' } })
    const rev = log.entries[0]?.rev
    log.do('cable.set', { door: 'D-01', cable: 'W1', lengthM: 40 })
    expect(() => log.do('plan.undo', { rev })).toThrow('door D-01 was changed since. Take the later change back first.')
  })
  it('a new edit ends what could be made again', () => {
    const log = new Logged(smallJob())
    log.do('door.edit', { id: 'D-01', fields: { name: 'Other' } })
    log.undo()
    expect(log.way.redo).not.toBeNull()
    log.do('door.edit', { id: 'D-01', fields: { name: 'Third' } })
    expect(log.way.redo).toBeNull()
  })
  it('takes back only the plan, and only from where the history is known', () => {
    const log = new Logged(smallJob())
    log.do('group.put', { id: 'g2', name: 'Others' })
    expect(() => log.do('plan.undo', { rev: log.entries[0]?.rev })).toThrow('Only changes of the plan')
    expect(() => log.w.do('plan.undo', { rev: 1 })).toThrow(/Only changes of the plan|cannot be taken back/)
    expect([...planEdits].filter((name) => !commands[name])).toEqual([])
  })
  it('any row of edits and undos leads back to the first plan', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 4 }), { maxLength: 12 }), (row) => {
        const log = new Logged(smallJob(strikeHardware))
        const first = log.plan
        row.forEach((n, i) => {
          if (n === 4) {
            if (log.way.undo) log.undo()
          } else if (n === 3) {
            if (log.way.redo) log.redo()
          } else if (n === 0) log.do('door.edit', { id: 'D-01', fields: { name: `Name ${i}` } })
          else if (n === 1) log.do('cable.set', { door: 'D-01', cable: 'W1', lengthM: i + 1 })
          else log.do('area.put', { id: `x${i}`, code: `X${i}`, name: `Area ${i}` })
        })
        while (log.way.undo) log.undo()
        expect(log.plan).toBe(first)
      }),
      { numRuns: 60 },
    ))
})

const row = (ref: string, over: Partial<ListedDoor> = {}): ListedDoor => ({
  ref,
  name: `Door ${ref}`,
  from: 'Outside',
  to: 'Inside',
  ...over,
})

describe('taking a door schedule over', () => {
  it('is one change that can be taken back as one: doors, areas, and what the columns meant', () => {
    const log = new Logged(smallJob())
    const before = log.plan
    log.do('doors.import', {
      file: 'list.xlsx',
      doors: [
        row('D-01', { name: 'Front, new' }),
        row('0017', {
          to: 'Inside / Flats',
          hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
          lengthM: 12,
          behaviour: { releaseS: 7 },
          distances: { 'Riser 1': 30 },
        }),
        row('Å 3/b', { to: 'Inside / Flats' }),
      ],
      meanings: { 'door no': 'ref' },
    })
    const { w } = log
    expect(w.door().name).toBe('Front, new')
    expect(w.door('0017')).toMatchObject({ ref: '0017', behaviour: { releaseS: 7 }, distances: { 'Riser 1': 30 } })
    expect(w.door('0017').cables.map((c) => c.lengthM)).toEqual([12, 12])
    const flats = all(w.facts, 'area').find((a) => a.name === 'Flats')
    expect(flats).toMatchObject({ parent: 'in', code: 'FL' })
    expect(all(w.facts, 'door').filter((d) => d.to === flats?.id)).toHaveLength(2)
    expect(w.facts.columns['doors']?.meanings).toEqual({ 'door no': 'ref' })
    log.undo()
    expect(log.plan).toBe(before)
  })
  it('keeps what the list does not tell, and places anew only where hardware changed', () => {
    const w = smallJob(strikeHardware)
    const before = w.door()
    w.do('doors.import', { file: 'l.csv', doors: [{ ref: 'd-01', passagesPerDay: 70 }], meanings: {} })
    expect(w.door()).toEqual({ ...before, passagesPerDay: 70 })
    w.do('doors.import', { file: 'l.csv', doors: [{ ref: 'D-01', hardware: { exit: 'button-exit' } }], meanings: {} })
    expect(w.door().placement).toBeNull()
    expect(w.door().parts.map((p) => p.id)).toEqual(['R1', 'K1', 'C1', 'X1'])
  })
  it('refuses a list that says one door twice', () =>
    expect(() => smallJob().do('doors.import', { file: 'l', doors: [row('Q'), row('q')], meanings: {} })).toThrow(
      'q stands in the list twice.',
    ))
})

describe('areas, cabinets, controllers and units', () => {
  it('an area cannot be part of itself, however far down', () => {
    const w = smallJob()
    w.do('area.put', { id: 'a', code: 'A', name: 'A', parent: 'in' })
    expect(() => w.do('area.put', { id: 'in', code: 'I', name: 'Inside', parent: 'a' })).toThrow(
      'cannot be part of itself',
    )
    expect(() => w.do('area.remove', { id: 'in' })).toThrow(/leads to or from it|is part of/)
  })
  it('a controller carries as many expanders as its sheet says', () => {
    const w = smallJob()
    const e = (n: number) => Array.from({ length: n }, (_, i) => ({ id: `E${i + 1}`, sheet: 'expander-io' }))
    const c = {
      id: 'a9',
      ref: 'A9',
      sheet: 'controller-8',
      cabinet: 'R',
      supply: 'supply-5',
      address: '',
      serial: '',
      mac: '',
    }
    expect(() => w.do('controller.put', { ...c, expanders: e(3) })).toThrow('carries 2 expanders; 3 are planned')
    expect(() => w.do('controller.put', { ...c, expanders: [{ id: 'E1', sheet: 'reader-slim' }] })).toThrow(
      'E1 is not an expander',
    )
    w.do('controller.put', { ...c, expanders: e(2) })
  })
  it('a controller for radio asks for hubs enough in its cabinet, as its sheets count', () => {
    const w = smallJob()
    w.controller('a7', 'controller-radio', { cabinet: 'Flats' })
    for (let n = 0; n < 9; n++) {
      w.do('door.add', {
        id: `F-${n}`,
        fields: {
          ref: `F-${n}`,
          name: 'Flat',
          from: 'in',
          to: 'in',
          handle: true,
          hardware: { lock: 'wireless-handle' },
        },
      })
      w.do('door.placeProposed', { id: `F-${n}`, controller: 'a7' })
    }
    const faults = () =>
      carriesFaults(w.facts.controller['a7'] as Controller, all(w.facts, 'door'), all(w.facts, 'unit'), sheets)
    expect(faults()).toEqual(['9 wireless locks hang on A7; the hubs in Flats join 0. Plan a hub there.'])
    for (const n of [1, 2])
      w.do('unit.put', { id: `w${n}`, ref: `W${n}`, sheet: 'hub-radio', cabinet: 'Flats', address: '' })
    expect(faults()).toEqual([])
  })
  it('a reader through a converter is checked along the whole chain', () => {
    const w = smallJob(strikeHardware, { handle: true })
    w.controller('a8', 'controller-8')
    w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
    w.do('part.via', { door: 'D-01', part: 'R1', via: 'converter-serial' })
    const findings = () =>
      planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door'))
        .filter((f) => f.grade === 'stop')
        .map((f) => f.rule)
    expect(findings()).toEqual(['no-bus-address'])
    w.do('part.address', { door: 'D-01', part: 'R1', address: 3 })
    expect(findings()).toEqual([])
    expect(
      Object.keys(w.door().placement?.terminals ?? {})
        .filter((k) => k.startsWith('R1'))
        .sort(),
    ).toEqual(['R1.a', 'R1.b', 'R1.plus', 'R1.zero'])
    expect(chainOf(w.door().parts[0] as Part, sheets).map((c) => [c.lead.kind, c.terminal])).toEqual([
      ['supply+', '1'],
      ['supply-', '2'],
      ['d0', '3'],
      ['d1', '4'],
      ['led', '5'],
    ])
    // A reader that speaks on a bus finds no screw on a converter for Wiegand.
    w.do('door.edit', { id: 'D-01', fields: { hardware: { ...strikeHardware, entryReader: 'reader-bus' } } })
    w.do('part.via', { door: 'D-01', part: 'R1', via: 'converter-serial' })
    expect(findings()).toContain('chain')
    expect(() => w.do('part.via', { door: 'D-01', part: 'R1', via: 'hub-radio' })).toThrow('Choose a converter')
  })
  it('a network port feeds one device', () => {
    const w = smallJob()
    w.do('unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'R', address: '' })
    w.do('unitFeed.put', { id: 'controller/a1', unit: 'n1', port: '3', lengthM: 10 })
    expect(() => w.do('unitFeed.put', { id: 'part/D-01/R1', unit: 'n1', port: '3', lengthM: 10 })).toThrow(
      'Port 3 of N1 already feeds another device',
    )
    expect(() => w.do('unitFeed.put', { id: 'part/D-01/R1', unit: 'n1', port: '9', lengthM: 10 })).toThrow(
      'N1 has no port 9; its ports are 1 to 8.',
    )
    w.do('unit.remove', { id: 'n1' })
    expect(all(w.facts, 'unitFeed')).toEqual([])
  })
  it('addresses given at once are checked at once', () => {
    const w = smallJob()
    expect(() =>
      w.do('addresses.put', {
        controllers: [{ id: 'a1', address: '10.1.1.30' }],
        units: [],
        parts: [{ door: 'D-01', part: 'R1', ip: '10.1.1.30' }],
      }),
    ).toThrow('10.1.1.30 would be given twice')
    w.do('addresses.put', {
      controllers: [{ id: 'a1', address: '10.1.1.30' }],
      units: [],
      parts: [{ door: 'D-01', part: 'R1', ip: '10.1.1.31', address: 4 }],
    })
    expect(w.door().parts[0]).toMatchObject({ ip: '10.1.1.31', address: 4 })
  })
})

const lock = { ...(sheets['strike-fast'] as DeviceSheet), id: 'own-lock', name: 'Own lock' }
describe('a device sheet of one’s own', () => {
  it('is kept, used, and cannot be removed while a door has it', () => {
    const w = smallJob()
    w.do('sheet.put', lock)
    w.take(
      commands['door.edit']?.apply(
        w.facts,
        { id: 'D-01', fields: { hardware: { ...strikeHardware, lock: 'own-lock' } } } as never,
        { id: 'c', by: 'v', role: 'lead', at: 1, sheets: sheetsFor(w.facts) },
      ) ?? [],
    )
    expect(() => w.do('sheet.remove', { id: 'own-lock' })).toThrow('D-01 has this device')
    expect(() => w.do('sheet.put', { ...lock, id: 'strike-fast' })).toThrow('ships with Rauta')
  })
  it.each<[string, DeviceSheet, string, string]>([
    [
      'needs more volts than it is made for',
      { ...lock, lock: { ...lock.lock, leastV: 15 } as never },
      'lock.leastV',
      'cannot need 15 V',
    ],
    [
      'is for alternating current',
      { ...lock, lock: { ...lock.lock, current: 'alternating' } as never },
      'lock.current',
      'direct current only',
    ],
    [
      'holds with more than it pulls',
      { ...lock, lock: { ...lock.lock, holdA: 2 } as never },
      'lock.holdA',
      'holding is the smaller',
    ],
    [
      'works from more to less',
      { ...lock, operatingV: { least: 20, most: 10 } },
      'operatingV',
      'least is above the most',
    ],
    ['has a lead twice', { ...lock, leads: [...lock.leads, ...lock.leads] }, 'leads', 'is there twice'],
    [
      'has a jumper at no position',
      { ...lock, jumpers: [{ id: 'J', says: 'x', positions: ['a'], factory: 'b' }] },
      'jumpers',
      'not one of its positions',
    ],
    [
      'has switches at no position',
      {
        ...lock,
        coding: { kind: 'binary', positions: 2, order: 'leastFirst', inverted: false, offset: 0, factory: [0, 3] },
      },
      'coding.factory',
      'each under 2',
    ],
    [
      'peaks under its rest',
      { ...lock, network: { class: 3, restW: 9, peakW: 4 } },
      'network',
      'the peak is the larger',
    ],
  ])('that %s is refused with the field', (_what, sheet, at, says) => {
    expect(sheetFaults(sheet)).toEqual([{ at, says: expect.stringContaining(says) }])
    expect(() => smallJob().do('sheet.put', sheet)).toThrow(says)
  })
  it('every sheet that ships is free of contradictions', () =>
    expect(Object.values(sheets).flatMap(sheetFaults)).toEqual([]))
})

describe('marks that are kept from one state to the next', () => {
  it('are what they would be worked out anew, after any row of changes', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 14 }), (row_) => {
        const w = smallJob(strikeHardware)
        w.controller('a2', 'controller-4', { address: '10.1.1.22' })
        w.do('door.add', {
          id: 'D-02',
          fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: strikeHardware },
        })
        const keeper = new Keeper()
        row_.forEach((n, i) => {
          const door = i % 2 ? 'D-01' : 'D-02'
          if (n === 0) w.do('door.placeProposed', { id: 'D-02', controller: i % 3 ? 'a1' : 'a2' })
          else if (n === 1) w.do('door.place', { id: door, placement: null })
          else if (n === 2) w.do('tick.set', { door: 'D-01', cable: 'W1', what: 'pulled', done: i % 2 === 0 })
          else if (n === 3)
            w.do('door.edit', {
              id: door,
              fields: {
                handle: i % 2 === 0,
                behaviour: {
                  releaseS: i + 1,
                  heldOpenS: 20,
                  relockDelayS: 0,
                  contactIdle: 'closed',
                  exitIdle: 'open',
                  forcedAlarm: true,
                },
              },
            })
          else if (n === 4) w.loaded(i % 2 ? 'a1' : 'a2')
          else if (n === 5) w.reached(i % 2 ? 'a1' : 'a2')
          else if (n === 6)
            w.do('rule.put', { id: 'r', group: 'g', doors: i % 2 ? ['D-01'] : ['D-01', 'D-02'], schedule: 'day' })
          else if (n === 7) w.do('cabinet.check', { controller: 'a1', item: 'mounted', done: i % 2 === 0 })
          else if (n === 8) w.do('cable.set', { door, cable: 'W1', lengthM: i + 3 })
          else w.do('reading.add', { id: `r${i}`, door: 'D-01', cable: 'W1', kind: 'loop', value: i / 4 })
          keeper.take(w.facts, sheets)
          for (const d of all(w.facts, 'door')) expect(keeper.marksOf(d)).toEqual(marksOf(w.facts, d, sheets))
        })
      }),
      { numRuns: 60 },
    ))
})
