import fc from 'fast-check'
import {
  boardOf,
  causesAt,
  functionFacts,
  mayFollow,
  reactingParts,
  reactionFindings,
  isKind,
  marksOf,
  partFunctions,
  partRoles,
  planFindings,
  roleFacts,
  scriptFor,
  sheetOf,
  toldPoints,
  untestedFindings,
  wiredPoints,
  type DeviceSheet,
  type Door,
  type Json,
  type PartRole,
  type Sheets,
} from '@rauta/core'
import { sheetsFor } from '../src'
import { magnetHardware, roomy, sheets, smallJob, strikeHardware, type World } from './world'

const board = (w: World, own: Sheets = sheets, id = 'a1') =>
  boardOf(own, w.facts.controller[id] as NonNullable<World['facts']['controller'][string]>)
const stopsOf = (w: World, own: Sheets = sheets) =>
  marksOf(w.facts, w.door(), own).plan.findings.filter((f) => f.grade === 'stop')
const rules = (w: World, own: Sheets = sheets) => stopsOf(w, own).map((f) => f.rule)

/** A type of one's own among the sheets. */
const withSheet = (w: World, sheet: DeviceSheet): Sheets => {
  w.do('sheet.put', sheet)
  return sheetsFor(w.facts)
}

describe('what each part does is told to the controller', () => {
  it('every function is an input, an output or a reader, or acts in the feed by itself', () => {
    for (const does of partFunctions) expect(['reader', 'input', 'output', 'feed']).toContain(functionFacts[does].side)
  })

  it('with how it rests, what it waits for and how long it releases', () => {
    const w = roomy({
      ...magnetHardware,
      breakGlass: 'break-glass-two',
      opener: 'opener-leaf',
      deskButton: 'button-desk',
      exitSensor: 'sensor-exit',
    })
    w.do('door.edit', {
      id: 'D-01',
      fields: { behaviour: { ...w.door().behaviour, openerAfterS: 2, deskReleaseS: 9, idle: { X2: 'closed' } } },
    })
    const told = w.wanted('a8')['terminals/D-01'] as Record<string, Json>
    expect(told).toMatchObject({
      'O1.opener': { after: 2 },
      'D1.deskButton': { release: 9, idle: 'open' },
      'X2.exitSensor': { idle: 'closed' },
      'X1.exitButton': { idle: 'open' },
      'B1.glassPole': { idle: 'closed' },
      'C1.contact': { idle: 'closed' },
    })
    expect(told['B1.emergencyRelease']).toBeUndefined()
  })

  it('an opener of a door with no lock waits for nothing', () => {
    const w = roomy({ entryReader: 'reader-slim', opener: 'opener-leaf', contact: 'contact-frame' })
    expect((w.wanted('a8')['terminals/D-01'] as Record<string, Json>)['O1.opener']).toMatchObject({ after: 0 })
  })

  it('each lock hangs on the contact that suits its own kind', () => {
    const w = roomy({ ...strikeHardware, lock2: 'strike-safe', contact2: 'contact-frame' })
    const kindOf = (key: string) =>
      board(w, sheets, 'a8').terminals.find((t) => t.id === w.door().placement?.terminals[key])?.kind
    expect([kindOf('K1.plus'), kindOf('K2.plus')]).toEqual(['relayNO', 'relayNC'])
    expect(rules(w)).toEqual([])
  })

  it('a sensor that only wants to be fed takes no reader port', () => {
    const w = roomy({ ...strikeHardware, exitReader: 'reader-slim', exitSensor: 'sensor-exit-fed' })
    expect(toldPoints(w.door(), board(w, sheets, 'a8'), sheets).map((p) => `${p.key} ${p.port}`)).toEqual(
      expect.arrayContaining(['R1.entryReader reader 1', 'R2.exitReader reader 2', 'X2.exitSensor input 2']),
    )
  })

  it('times are brought to the device’s steps, and what is over its longest is clamped and told', () => {
    const w = smallJob({ ...magnetHardware, exitSensor: '' })
    const controller = w.facts.controller['a1']
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 600 } } })
    expect(w.wanted()['door/D-01']).toMatchObject({ release: 120 })
    expect(controller && w.roundings('a1')).toEqual([
      { door: 'D-01', says: 'Release time 600 s becomes 120 s on this device.' },
    ])
  })
})

describe('a part that is wired and would stay silent stops the door', () => {
  const silentSigns = (w: World, own: Sheets) => {
    const m = marksOf(w.facts, w.door(), own)
    return [m.plan.sign, m.load.sign, m.prove.sign]
  }

  it('where the controller’s type cannot be told of it', () => {
    const w = roomy({ ...strikeHardware, exitSensor: 'sensor-exit' })
    const simple: DeviceSheet = { ...sheetOf(sheets, 'controller-8'), id: 'own-simple', name: 'Simple controller' }
    const own = withSheet(w, {
      ...simple,
      controller: {
        ...(simple.controller as NonNullable<DeviceSheet['controller']>),
        functions: ['entryReader', 'lock', 'contact'],
      },
    })
    w.put('controller', {
      ...(w.facts.controller['a8'] as NonNullable<World['facts']['controller'][string]>),
      sheet: 'own-simple',
    })
    expect(stopsOf(w, own)).toMatchObject([
      { rule: 'untold', at: 'X2', says: expect.stringContaining('A8 cannot be told of X2, the exit sensor') as string },
    ])
    expect(silentSigns(w, own)).toEqual(['stopped', 'stopped', 'stopped'])
  })

  it('where its leads have no function that any controller knows', () => {
    const w = roomy(strikeHardware)
    const own = withSheet(w, {
      ...sheetOf(sheets, 'contact-frame'),
      id: 'own-contact',
      name: 'Contact with a lamp',
      leads: [
        ...sheetOf(sheets, 'contact-frame').leads,
        { id: 'go', name: 'go', colour: 'red', kind: 'drive1' },
        { id: 'com', name: 'com', colour: 'blue', kind: 'drive2' },
      ],
    })
    w.do(
      'door.edit',
      { id: 'D-01', fields: { hardware: { ...strikeHardware, contact: 'own-contact' } } },
      'lead',
      'vesa',
      own,
    )
    expect(stopsOf(w, own).filter((f) => f.rule !== 'cores')).toMatchObject([{ rule: 'untold', at: 'C1' }])
  })

  it('where the controller could not tell two readers on one bus apart', () => {
    const w = roomy({ ...strikeHardware, entryReader: 'reader-bus' })
    expect(stopsOf(w)).toMatchObject([{ rule: 'no-bus-address', at: 'R1' }])
    w.loaded('a8')
    expect(silentSigns(w, sheets)).toEqual(['underWay', 'todo', 'todo'])
    w.do('part.address', { door: 'D-01', part: 'R1', address: 4 })
    expect(rules(w)).toEqual([])
    expect((w.wanted('a8')['terminals/D-01'] as Record<string, Json>)['R1.entryReader']).toEqual({
      part: 'R1',
      function: 'entryReader',
      port: 'bus 1',
      format: 'wiegand26',
      address: 4,
    })
  })

  it('where its leads sit on two ports', () => {
    const w = roomy(strikeHardware)
    const other = board(w, sheets, 'a8').terminals.find((t) => t.kind === 'd1' && t.port === 'reader 2')
    w.put('door', {
      ...w.door(),
      placement: {
        ...(w.door().placement as NonNullable<Door['placement']>),
        terminals: { ...w.door().placement?.terminals, 'R1.d1': other?.id ?? '' },
      },
    })
    expect(stopsOf(w)).toMatchObject([
      { rule: 'split', at: 'R1', says: 'R1 sits on reader 1 and reader 2. All its leads belong on one port.' },
    ])
  })

  it('where it reads only codes: it is never asked for a card, and stops until the door asks for a code', () => {
    const w = roomy({ ...strikeHardware, entryReader: 'reader-keypad', exit: 'button-exit' })
    const script = () => scriptFor(w.facts, w.door(), sheets)
    const loadStops = () =>
      marksOf(w.facts, w.door(), sheets).load.findings.filter((f) => f.grade === 'stop' && f.rule.startsWith('code'))
    expect(
      script()
        .filter((t) => /card/i.test(t.instruction))
        .map((t) => t.id),
    ).toEqual(['forced'])
    expect(stopsOf(w)).toEqual([])
    expect(loadStops().map((f) => [f.rule, f.at])).toEqual([['code-not-asked', 'R1']])
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, code: 'alone' } } })
    expect(loadStops()).toEqual([])
    expect(script().flatMap((t) => t.proves)).toEqual(
      expect.arrayContaining(['R1.entryReader', 'K1.lock', 'C1.contact']),
    )
  })

  it('where a keypad lets out: nothing proves that a code opens the way out, so that it stops', () => {
    const w = roomy({ ...strikeHardware, exitReader: 'reader-keypad', exit: 'button-exit' })
    expect(stopsOf(w).map((f) => [f.rule, f.at])).toEqual([['untested', 'R2']])
  })

  it('a lock that is itself the reader has its access point', () => {
    const w = smallJob({}, { handle: true })
    w.controller('a7', 'controller-radio')
    w.do('door.edit', { id: 'D-01', fields: { hardware: { lock: 'wireless-handle' } } })
    w.do('door.placeProposed', { id: 'D-01', controller: 'a7' })
    expect(w.wanted('a7')).toMatchObject({
      'accessPoint/D-01.K1': { door: 'D-01', name: 'D-01 K1' },
      'profile/g': { policies: [{ at: 'D-01.K1', schedule: 'day' }] },
    })
    expect(scriptFor(w.facts, w.door(), sheets).find((t) => t.id === 'reader-K1')?.instruction).toContain('at K1')
  })

  it('a door that nobody can leave is stopped, whatever its lock; a locker is not', () => {
    expect(rules(smallJob(strikeHardware))).toEqual(['no-way-out'])
    for (const way of [{ exit: 'button-exit' }, { exitSensor: 'sensor-exit' }] as Record<string, string>[])
      expect(rules(smallJob({ ...strikeHardware, ...way }, { otherWayOut: true }))).toEqual([])
    expect(rules(smallJob({ ...strikeHardware, exitReader: 'reader-slim' }, { otherWayOut: true }))).toEqual([])
    expect(rules(smallJob(strikeHardware, { opening: 'locker' }))).toEqual([])
  })

  it('a magnet on the second leaf asks for the same as one on the first', () => {
    expect(rules(roomy({ ...strikeHardware, lock2: 'magnet-300' }))).toEqual(['magnet-break-glass', 'magnet-exit'])
  })
})

describe('of any door', () => {
  const fitting = (role: PartRole) =>
    Object.values(sheets)
      .filter((s) => isKind(s, roleFacts[role].kind))
      .map((s) => s.id)
  const hardware = fc.record(
    Object.fromEntries(partRoles.map((role) => [role, fc.constantFrom('', ...fitting(role))])) as Record<
      PartRole,
      fc.Arbitrary<string>
    >,
  )
  const doors = fc.record({
    hardware,
    handle: fc.boolean(),
    controller: fc.constantFrom('controller-8', 'controller-4', 'controller-2'),
    addressed: fc.boolean(),
    reacts: fc.boolean(),
  })
  /** Screws that make a port what it is: where a lead sits on one, something must be told of it. */
  const telling = new Set(['d0', 'd1', 'led', 'busA', 'busB', 'input', 'relayNC', 'relayNO', 'auxC', 'auxNO'])

  it('every wired part is named in what is loaded, on its port, and in at least one test of the script, or it stops the door', () => {
    let placed = 0
    let stopped = 0
    fc.assert(
      fc.property(doors, ({ hardware: wanted, handle, controller, addressed, reacts }) => {
        const w = smallJob({}, { handle })
        w.do('controller.put', {
          id: 'a8',
          ref: 'A8',
          sheet: controller,
          cabinet: 'Riser',
          supply: 'supply-5',
          address: '',
          serial: '',
          mac: '',
          ...(controller === 'controller-8'
            ? {
                expanders: [
                  { id: 'E1', sheet: 'expander-io' },
                  { id: 'E2', sheet: 'expander-reader' },
                ],
              }
            : {}),
        })
        w.do('door.edit', { id: 'D-01', fields: { hardware: wanted } })
        try {
          w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
        } catch {
          return
        }
        if (addressed)
          w.door().parts.forEach((p, i) => {
            if (sheetOf(sheets, p.sheet).leads.some((l) => l.kind === 'busA'))
              w.do('part.address', { door: 'D-01', part: p.id, address: i + 1 })
          })
        const door = w.door()
        const when = causesAt(door, sheets).find((cause) => cause !== 'input' && cause !== 'inputEnds')
        if (reacts && when)
          for (const part of reactingParts(door)) {
            const id = `re-${part.id}`
            const drives = { then: 'pulse', output: part.id, seconds: 3 }
            const act = part.role.startsWith('panel')
              ? { then: part.role === 'panelUnset' && mayFollow(when, 'unsetPanel') ? 'unsetPanel' : 'setPanel' }
              : drives
            w.do('reaction.put', { id, door: 'D-01', when, ...act })
          }
        const unkept = reactionFindings(w.facts, door, sheets)
        const stops = new Set(
          [
            ...planFindings(door, w.facts.controller, sheets, [door]),
            ...untestedFindings(w.facts, door, sheets),
            ...unkept,
          ]
            .filter((f) => f.grade === 'stop')
            .flatMap((f) => f.at ?? (unkept.includes(f) ? reactingParts(door).map((part) => part.id) : [])),
        )
        const told = Object.values(w.wanted('a8')['terminals/D-01'] as Record<string, { part: string; port: string }>)
        const script = scriptFor(w.facts, door, sheets)
        const terminals = board(w, sheets, 'a8').terminals
        if (Object.keys(door.placement?.terminals ?? {}).length) placed += 1
        for (const [key, id] of Object.entries(door.placement?.terminals ?? {})) {
          const part = key.split('.')[0] ?? ''
          if (stops.has(part)) {
            stopped += 1
            continue
          }
          const screw = terminals.find((t) => t.id === id)
          if (screw && telling.has(screw.kind))
            expect([key, told.some((p) => p.part === part && p.port === screw.port)]).toEqual([key, true])
          expect([key, script.some((t) => t.proves.some((p) => p.startsWith(`${part}.`)))]).toEqual([key, true])
        }
        for (const point of wiredPoints(door, board(w, sheets, 'a8'), sheets)) {
          if (stops.has(point.part.id) || point.function === 'feed') continue
          const test = script.find((t) => t.proves.includes(point.key))
          expect([point.key, test !== undefined]).toEqual([point.key, true])
          // What a test proves, its digest depends on: a change of the point makes the proof stale.
          if (functionFacts[point.function].side !== 'feed')
            expect([
              point.key,
              script.some((t) => t.proves.includes(point.key) && t.depends.includes(`terminals.${point.key}`)),
            ]).toEqual([point.key, true])
        }
      }),
      { numRuns: 400 },
    )
    expect(placed).toBeGreaterThan(40)
    expect(stopped).toBeGreaterThan(20)
  })
})

describe('Reach is per device', () => {
  const limitsOf = (w: World) => marksOf(w.facts, w.door(), sheets).reach

  it('a device with an address of its own that is not reached keeps the door short of it, and says so', () => {
    const w = roomy(strikeHardware)
    // The head unit of a station, as a part: it has an address and drives no door.
    w.put('door', { ...w.door(), parts: [...w.door().parts, { id: 'R2', role: 'exitReader', sheet: 'station-head' }] })
    w.reached('a8')
    expect(limitsOf(w)).toMatchObject({
      sign: 'underWay',
      says: expect.stringContaining('an address of its own on the network') as string,
    })
    w.reached('D-01/R2')
    expect(limitsOf(w)).toMatchObject({ sign: 'given', says: 'All 2 devices of this door answer.' })
    w.reached('D-01/R2', { silentMs: 121_000 })
    expect(limitsOf(w)).toMatchObject({ sign: 'stale' })
  })

  it('a reader on terminals is reached through its controller', () => {
    const w = roomy(strikeHardware)
    w.reached('a8')
    expect(limitsOf(w).sign).toBe('given')
  })
  it('falls when the device answers at another address than the planned one; without a planned one any will do', () => {
    const w = smallJob()
    w.reached('a1', { address: '10.1.1.99' })
    expect(limitsOf(w)).toMatchObject({
      sign: 'stale',
      says: expect.stringContaining('answers at 10.1.1.99 and is planned at 10.1.1.21') as string,
    })
    w.controller('a1', 'controller-2', { address: '' })
    expect(limitsOf(w).sign).toBe('given')
  })
  it('falls when the device keeps another time zone than the job’s', () => {
    const w = smallJob()
    w.reached('a1', { zoneHeld: '<+02>-2', zoneWanted: '<+02>-2<+03>-3,M3.5.0/3,M10.5.0/4' })
    expect(limitsOf(w)).toMatchObject({
      sign: 'stale',
      says: 'A1 keeps the time zone <+02>-2; the job wants <+02>-2<+03>-3,M3.5.0/3,M10.5.0/4.',
    })
    w.reached('a1', { zoneHeld: '<+02>-2', zoneWanted: '<+02>-2' })
    expect(limitsOf(w).sign).toBe('given')
  })
})
