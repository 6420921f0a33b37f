import fc from 'fast-check'
import {
  applyChanges,
  heldConfig,
  isStandby,
  judge,
  marksOf,
  proposePlacement,
  radioHubs,
  radioLocks,
  radioPortName,
  radioPortOf,
  releaseOf,
  scriptFor,
  usualLimits,
  type DeviceEvent,
  type Json,
  type JudgeInput,
  type Reach,
  type SeenByRadio,
} from '@rauta/core'
import { commands, Refusal } from '../src'
import { sheets, smallJob, type World } from './world'

const standby = { facility: 88, number: 10_100 }

/** Doors with wireless locks on one controller, and hubs of which none hangs anywhere yet. */
function planned(doors: number, hubs: number): World {
  const w = smallJob({})
  w.controller('a7', 'controller-radio', { address: '10.1.1.27' })
  for (let n = 1; n <= hubs; n++)
    w.do('unit.put', { id: `w${n}`, ref: `W${n}`, sheet: 'hub-radio', cabinet: 'Riser', address: '' })
  for (let n = 1; n <= doors; n++) {
    const id = `F-${n}`
    const fields = { ref: id, name: 'Flat', from: 'out', to: 'in', handle: true, hardware: { lock: 'wireless-handle' } }
    w.do('door.add', { id, fields })
    w.do('door.placeProposed', { id, controller: 'a7' })
  }
  return w
}
function joined(doors = 1, hubs = 1): World {
  const w = planned(doors, hubs)
  for (let n = 1; n <= hubs; n++) w.do('hub.hang', { hub: `w${n}`, controller: 'a7' })
  w.do('radio.spread', { controller: 'a7' })
  w.do('radioPlan.put', { standby })
  w.do('rule.put', { id: 'rf', group: 'g', doors: ['F-1'], schedule: 'day' })
  return w
}
const plan = (w: World, door = 'F-1') => marksOf(w.facts, w.door(door), sheets).plan
const rules = (w: World, door = 'F-1') => plan(w, door).findings.map((f) => `${f.grade} ${f.rule}`)
const refused = (w: World, name: string, payload: unknown) => {
  try {
    w.do(name, payload)
    return null
  } catch (error) {
    if (error instanceof Refusal) return [error.message, error.field]
    throw error
  }
}

describe('which hub a wireless lock is at', () => {
  it('a lock at no hub stops its door before Load, and one that has a hub does not', () => {
    const w = planned(1, 1)
    expect(rules(w)).toContain('stop no-hub')
    expect(marksOf(w.facts, w.door('F-1'), sheets).load).toMatchObject({
      sign: 'todo',
      says: 'K1 is at no hub yet. Give it one under Radio.',
    })
    const next = joined()
    expect(rules(next).filter((r) => r.startsWith('stop'))).toEqual([])
    expect(plan(next)).toMatchObject({ sign: 'given' })
  })

  it('any locks on any hubs: each place once, no hub over its measure, and who finds none is left', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 4 }), (doors, hubs) => {
        const w = planned(doors, hubs)
        for (let n = 1; n <= hubs; n++) w.do('hub.hang', { hub: `w${n}`, controller: 'a7' })
        w.do('radio.spread', { controller: 'a7' })
        const at = radioLocks(w.facts, sheets).flatMap((l) => (l.hub ? [`${l.hub.ref} ${l.place}`] : []))
        expect(new Set(at).size).toBe(at.length)
        expect(at).toHaveLength(Math.min(doors, hubs * 8))
        for (const hub of radioHubs(w.facts, sheets)) {
          const there = radioLocks(w.facts, sheets).filter((l) => l.hub?.id === hub.id)
          for (const lock of there) expect(lock.place).toBeLessThanOrEqual(hub.most)
        }
        expect(new Set(radioHubs(w.facts, sheets).map((h) => h.address)).size).toBe(hubs)
      }),
      { numRuns: 15 },
    ))

  it('the nearest hub with room is taken, and what has a place keeps it', () => {
    const w = planned(3, 2)
    for (const n of [1, 2]) w.do('hub.hang', { hub: `w${n}`, controller: 'a7' })
    w.do('unit.put', { id: 'w2', ref: 'W2', sheet: 'hub-radio', cabinet: 'Attic', address: '' })
    w.do('cabinetPlace.put', { id: 'Riser', x: 0, y: 0 })
    w.do('cabinetPlace.put', { id: 'Attic', x: 100, y: 0 })
    w.do('door.edit', { id: 'F-1', fields: { at: { x: 99, y: 0 } } })
    w.do('door.edit', { id: 'F-2', fields: { at: { x: 1, y: 0 } } })
    w.do('lock.join', { door: 'F-3', part: 'K1', hub: 'w1', place: 7 })
    w.do('radio.spread', { controller: 'a7' })
    expect(radioLocks(w.facts, sheets).map((l) => `${l.ref} ${l.hub?.ref} ${l.place}`)).toEqual([
      'F-1 K1 W2 1',
      'F-2 K1 W1 1',
      'F-3 K1 W1 7',
    ])
  })

  it('who finds the nearest hub full goes to the next', () => {
    const w = planned(9, 2)
    for (const n of [1, 2]) w.do('hub.hang', { hub: `w${n}`, controller: 'a7' })
    w.do('unit.put', { id: 'w2', ref: 'W2', sheet: 'hub-radio', cabinet: 'Attic', address: '' })
    w.do('cabinetPlace.put', { id: 'Riser', x: 0, y: 0 })
    w.do('cabinetPlace.put', { id: 'Attic', x: 100, y: 0 })
    for (let n = 1; n <= 9; n++) w.do('door.edit', { id: `F-${n}`, fields: { at: { x: 1, y: 0 } } })
    w.do('radio.spread', { controller: 'a7' })
    const at = radioLocks(w.facts, sheets).map((l) => l.hub?.ref)
    expect([at.filter((h) => h === 'W1').length, at.filter((h) => h === 'W2').length]).toEqual([8, 1])
  })

  it('names what it refuses', () => {
    const w = joined(2, 2)
    expect(refused(w, 'lock.join', { door: 'F-1', part: 'K1', hub: 'w2', place: 1 })).toEqual([
      'Place 1 of W2 has F-2 K1 already. Choose another.',
      'place',
    ])
    expect(refused(w, 'lock.join', { door: 'F-1', part: 'K1', hub: 'w1', place: 9 })).toEqual([
      'W1 joins 8 locks. Choose another place.',
      'place',
    ])
    expect(refused(w, 'lock.join', { door: 'D-01', part: 'K1', hub: 'w1' })).toEqual([
      'D-01 has no wireless lock K1.',
      'part',
    ])
    expect(refused(w, 'hub.hang', { hub: 'w1', controller: 'a7', address: 2 })).toEqual([
      'Address 2 behind A7 is already given. Choose another.',
      'address',
    ])
    expect(refused(w, 'hub.hang', { hub: 'w1', controller: 'a1' })?.[0]).toBe('A1 carries 0 hubs; 1 are planned.')
    expect(refused(w, 'hub.hang', { hub: 'nobody', controller: 'a7' })?.[1]).toBe('hub')
    expect(refused(w, 'radio.spread', { controller: 'a7' })).toEqual([
      'Every wireless lock of A7 has its hub already.',
      undefined,
    ])
    expect(refused(w, 'radioPlan.put', { standby: { facility: 5, number: 77 } })?.[1]).toBe('standby')
    expect(refused(w, 'radioPlan.put', { standby: w.facts.testCards['kit']?.good })?.[0]).toMatch(
      /is one of the test cards/,
    )
    expect(
      refused(w, 'person.put', {
        id: 'q',
        number: '9',
        name: 'Q',
        cards: [{ id: 'c', ...standby, state: 'in use' }],
        groups: [],
      })?.[0],
    ).toMatch(/is the standby credential of the wireless locks/)
    expect(refused(w, 'radioDevice.take', { device: 'F-1/K1' })?.[0]).toMatch(/A7, which is not in service yet/)
    expect(refused(w, 'radioDevice.take', { device: 'unit/nobody' })?.[0]).toMatch(/no such hub/)
  })

  it('a hub that is taken away leaves no lock behind that points to it', () => {
    const w = joined(2, 1)
    w.do('unit.remove', { id: 'w1' })
    expect(w.facts.controller['a7']?.hubs).toEqual([])
    expect(radioLocks(w.facts, sheets).map((l) => l.part.radio)).toEqual([undefined, undefined])
    expect(rules(w)).toContain('stop no-hub')
  })

  it('a controller that is edited elsewhere keeps its hubs', () => {
    const w = joined()
    const { hubs: _hubs, ...bare } = w.facts.controller['a7'] ?? {}
    w.do('controller.put', { ...bare, cabinet: 'Elsewhere' })
    expect(w.facts.controller['a7']).toMatchObject({ cabinet: 'Elsewhere', hubs: [{ unit: 'w1', address: 1 }] })
  })

  it('two locks in one place stop their doors', () => {
    const w = joined(2, 1)
    w.put('door', {
      ...w.door('F-2'),
      parts: w.door('F-2').parts.map((p) => ({ ...p, radio: { hub: 'w1', place: 1 } })),
    })
    for (const door of ['F-1', 'F-2'])
      expect([door, plan(w, door).sign, rules(w, door)]).toEqual([
        door,
        'stopped',
        expect.arrayContaining(['stop untold']),
      ])
  })
  it('ports are read as they are written, and nothing else is one', () => {
    for (const [address, place] of [
      [0, 1],
      [63, 8],
    ] as const)
      expect(radioPortOf(radioPortName(address, place))).toEqual({ address, place })
    for (const odd of ['relay 1', 'hub 1', 'hub 1 lock', 'hub 111 lock 1', 'xhub 1 lock 1'])
      expect(radioPortOf(odd)).toBeNull()
  })
})

describe('what is told to a wireless lock, and what proves it', () => {
  it('it is reader and lock at one port, and keeps the standby credential', () => {
    const w = joined()
    expect(w.wanted('a7')).toMatchObject({
      'terminals/F-1': {
        'K1.entryReader': { function: 'entryReader', port: 'hub 1 lock 1' },
        'K1.lock': { function: 'lock', port: 'hub 1 lock 1' },
      },
      'radio/F-1': { K1: { port: 'hub 1 lock 1', format: 'wiegand26', standby: '582774' } },
    })
    const test = scriptFor(w.facts, w.door('F-1'), sheets).find((t) => t.id === 'without-radio-K1')
    expect(test).toMatchObject({ at: 'K1', judge: { standby: '582774' }, depends: ['radio.K1', 'terminals.K1.lock'] })
    expect(test?.instruction).toMatch(/^Take hub W1 off its power/)
  })
  it('a door that lets nobody in without radio keeps none, and says so when', () => {
    const w = joined()
    w.do('door.edit', { id: 'F-1', fields: { decides: { by: 'controller', afterS: 0, then: 'staysShut' } } })
    expect(w.wanted('a7')['radio/F-1']).toEqual({ K1: { port: 'hub 1 lock 1' } })
    const controller = w.facts.controller['a7']
    const dead = releaseOf(w.door('F-1'), controller, sheets)?.find((a) => a.case === 'controller')
    expect(dead).toMatchObject({
      in: 'shut',
      out: 'handle',
      says: expect.stringMatching(/nobody gets in\. Out by the handle/) as string,
    })
  })
  it('none may stand open for lack of radio, and a job without a standby credential is told', () => {
    const w = joined()
    w.do('door.edit', { id: 'F-1', fields: { decides: { by: 'controller', afterS: 0, then: 'opens' } } })
    expect(rules(w)).toContain('stop radio-opens')
    const bare = joined()
    bare.do('radioPlan.put', { standby: null })
    expect(rules(bare)).toContain('warn no-standby')
    expect(isStandby(bare.facts, standby)).toBe(false)
  })
  it.each<[number, string[]]>([
    [10, []],
    [25, ['warn radio-unsure']],
    [40, ['warn radio-far']],
  ])('%s m from its hub', (x, wanted) => {
    const w = joined()
    w.do('cabinetPlace.put', { id: 'Riser', x: 0, y: 0 })
    w.do('door.edit', { id: 'F-1', fields: { at: { x, y: 0 } } })
    expect(rules(w).filter((r) => r.includes('radio-'))).toEqual(wanted)
  })
  it('a load that waits for a hand at the door is no load yet, and no fault either', () => {
    const w = joined()
    w.loaded('a7')
    const held = heldConfig(w.facts, 'a7')
    w.holds(
      { ...held, 'radio/F-1': { K1: { port: 'hub 1 lock 1', sent: { format: 'wiegand26', standby: '582774' } } } },
      'a7',
    )
    const load = () => marksOf(w.facts, w.door('F-1'), sheets).load
    expect(load()).toMatchObject({ sign: 'underWay', says: 'F-1 K1 waits to be paired; what was sent is taken then.' })
    w.reached('F-1/K1', {})
    expect(load()).toMatchObject({
      sign: 'underWay',
      says: 'F-1 K1 waits for a hand at the door: present any card there, so that it takes what it was sent.',
    })
    // What waits there is what was wanted before: it has to be sent anew.
    const others: Json[] = [
      { K1: { port: 'hub 1 lock 1' } },
      { K1: { port: 'hub 1 lock 1', sent: { format: 'wiegand26', standby: '582775' } } },
    ]
    for (const other of others) {
      w.holds({ ...held, 'radio/F-1': other }, 'a7')
      expect([other, marksOf(w.facts, w.door('F-1'), sheets).load.sign]).toEqual([other, 'stale'])
    }
  })
  it('what changes after a load that waits at doors is stale, and was loaded all the same', () => {
    const w = joined()
    w.loaded('a7', 'atDoors')
    const { behaviour } = w.door('F-1')
    w.do('door.edit', { id: 'F-1', fields: { behaviour: { ...behaviour, releaseS: 9 } } })
    expect(marksOf(w.facts, w.door('F-1'), sheets).load).toMatchObject({
      sign: 'stale',
      says: expect.stringMatching(/Release time: A7 holds/) as string,
    })
    w.reached('a7', { erasedAt: 0 })
    expect(scriptFor(w.facts, w.door('F-1'), sheets).find((t) => t.id === 'before-load')?.notApplicable).not.toBe('')
  })

  it('every lock finds a place on a controller that carries them, and none elsewhere', () => {
    const w = joined()
    const door = { ...w.door('F-1'), placement: null }
    const on = (id: string) => {
      const c = w.facts.controller[id]
      return c && proposePlacement(door, c, sheets, []).ok
    }
    expect([on('a7'), on('a1')]).toEqual([true, false])
  })
})

describe('Reach of a hub and of a wireless lock', () => {
  const at: SeenByRadio = { controller: 'a7', hub: 1, serial: 'HB-1', state: 'joined' }
  const reached = (lock: Partial<SeenByRadio> = {}, hub: Partial<SeenByRadio> = {}, over: Partial<Reach> = {}) => {
    const w = joined()
    w.reached('a7', { address: '10.1.1.27' })
    w.reached('unit/w1', { serial: 'HB-1', byRadio: { ...at, ...hub } })
    w.reached('F-1/K1', { serial: 'RL-1', byRadio: { ...at, place: 1, serial: 'RL-1', signal: -60, ...lock }, ...over })
    return w
  }
  const marks = (w: World) => marksOf(w.facts, w.door('F-1'), sheets)

  it('is given where all three answer under the key of the job', () => {
    expect(marks(reached()).reach).toMatchObject({ sign: 'given', says: 'All 3 devices of this door answer.' })
    expect(marks(reached()).sign.findings).toEqual([])
  })
  it.each<[string, Partial<SeenByRadio>, Partial<SeenByRadio>, RegExp]>([
    ['another place', { place: 2 }, {}, /place 2 of hub 1 behind A7, and is planned at place 1/],
    ['another hub', { hub: 2 }, {}, /hub 2 behind A7, and is planned at place 1 of hub 1/],
    ['another controller', { controller: 'a1' }, {}, /behind A1/],
    ['another lock in its place', { serial: 'RL-9' }, {}, /RL-9\) is in its place instead of RL-1/],
    ['a low battery', { batteryLow: true }, {}, /battery of .* is low/],
    ['a hub without a key', {}, { state: 'noKey' }, /has lost the radio key/],
    ['a hub with another key', {}, { state: 'otherKey' }, /has another radio key/],
    ['a hub at another address', {}, { hub: 3 }, /address 3 behind A7, and is planned at address 1/],
    ['another hub in its place', {}, { serial: 'HB-9' }, /HB-9/],
  ])('falls with %s', (_what, lock, hub, says) => {
    expect(marks(reached(lock, hub)).reach).toMatchObject({
      sign: 'stale',
      says: expect.stringMatching(says) as string,
    })
  })
  it('a signal that is too weak is not given', () => {
    expect(marks(reached({ signal: -85 })).reach).toMatchObject({
      sign: 'underWay',
      says: expect.stringMatching(/−?-85 dBm; it needs -84/) as string,
    })
    expect(marks(reached({ signal: -84 })).reach.sign).toBe('given')
  })
  it('one that was never seen, or long ago, is missed', () => {
    expect(marks(reached({}, {}, { byRadio: undefined as never })).reach).toMatchObject({
      sign: 'stale',
      says: expect.stringMatching(/never seen/) as string,
    })
    expect(marks(reached({ state: 'silent' }, {}, { silentMs: 121_000 })).reach).toMatchObject({
      sign: 'stale',
      says: expect.stringMatching(/has not answered/) as string,
    })
  })
  it.each<Partial<SeenByRadio>>([{ state: 'noKey' }, { state: 'otherKey' }])(
    'nobody signs for a door behind a hub in state %j',
    (hub) => {
      expect(marks(reached({}, hub)).sign.findings).toMatchObject([{ grade: 'stop', rule: 'other-radio-key' }])
    },
  )
  it('nobody signs for a door whose lock nobody took into service', () => {
    const w = reached({}, {}, { owned: false })
    expect(marks(w).sign.findings).toMatchObject([{ grade: 'stop', rule: 'other-radio-key', at: 'K1' }])
  })
  it('what is heard of a hub goes into the chain of every door whose lock it joins', () => {
    const w = joined(2, 1)
    const [change] = w.do('lock.join', { door: 'F-2', part: 'K1', hub: 'w1' })
    expect(change?.id).toBe('F-2')
    expect(applyChanges(w.facts, [], w.facts.rev).rev).toBe(w.facts.rev)
  })
})

describe('the verdict of the test without radio', () => {
  const w = joined()
  const test = scriptFor(w.facts, w.door('F-1'), sheets).find((t) => t.id === 'without-radio-K1')
  const good = '582711'
  const event = (over: Partial<DeviceEvent>, seq: number): DeviceEvent => ({
    id: `e${seq}`,
    controller: 'a7',
    boot: 'b',
    seq,
    at: 1000 + seq,
    received: 1000 + seq,
    offsetMs: 0,
    kind: 'refused',
    door: 'F-1',
    reader: 'K1',
    card: good,
    state: 'noRadio',
    says: '',
    ...over,
  })
  const verdict = (events: Partial<DeviceEvent>[], without = false) => {
    if (!test || test.judge.kind !== 'withoutRadio') throw new Error('no test')
    const judged = without ? { ...test, judge: { ...test.judge, standby: '' } } : test
    const input: JudgeInput = {
      test: { ...judged, judge: { ...judged.judge, card: good } as never },
      trial: { id: 'F-1', test: test.id, by: 'v', startedAt: 900, boot: 'b' } as never,
      door: 'F-1',
      controller: 'a7',
      events: events.map((e, i) => event(e, i + 1)),
      limits: usualLimits,
      refOf: (d) => d,
    }
    return judge(input).state
  }
  const opened = { kind: 'notice', state: 'standby', card: '582774' } as const
  it.each<[string, Partial<DeviceEvent>[], boolean, string]>([
    ['both told', [{}, opened], false, 'passed'],
    ['only the refusal', [{}], false, 'waiting'],
    ['only the opening', [opened], false, 'waiting'],
    ['nothing', [], false, 'waiting'],
    ['the standby credential refused', [{}, { card: '582774' }], false, 'failed'],
    ['opened to another card', [{}, { ...opened, card: good }], false, 'failed'],
    ['let in by the controller', [{ kind: 'granted', state: 'granted' }], false, 'failed'],
    ['refused for another reason', [{ state: 'hours' }, opened], false, 'waiting'],
    ['none kept, refused', [{}], true, 'passed'],
    ['none kept, opened all the same', [{}, opened], true, 'failed'],
  ])('%s', (_what, events, without, state) => expect(verdict(events, without)).toBe(state))
})

it('every command of the radio is one that everybody who fits may give', () => {
  for (const name of [
    'hub.hang',
    'lock.join',
    'radio.spread',
    'radioPlan.put',
    'radioDevice.take',
    'radioDevice.acceptFirmware',
  ])
    expect([name, commands[name]?.roles]).toEqual([name, expect.arrayContaining(['lead', 'engineer'])])
})
