import {
  all,
  expectedReading,
  marksOf,
  planFindings,
  plannedOf,
  readingsFor,
  defaultPowerPlan,
  driveAnswer,
  lockAmps,
  netAt,
  releaseOf,
  sheetOf,
  solveTree,
  supplyReport,
  supplyWays,
  type Controller,
  type Door,
  type LockFacts,
  type PowerPlan,
} from '@rauta/core'
import fc from 'fast-check'
import type { World } from './world'
import { magnetHardware, sheets, smallJob, strikeHardware } from './world'

const a1 = (w: World): Controller => w.facts.controller['a1'] as Controller
const report = (w: World, plan?: Partial<PowerPlan>) =>
  supplyReport(a1(w), all(w.facts, 'door'), sheets, { ...defaultPowerPlan('a1'), ...plan })
/** A second door on the other port group. */
function two(hardware: Record<string, string>): World {
  const w = smallJob(hardware, { handle: true })
  w.do('door.add', { id: 'D-02', fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware } })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
  for (const cable of w.door('D-02').cables) w.do('cable.set', { door: 'D-02', cable: cable.id, lengthM: 20 })
  return w
}

describe('the moments of a supply', () => {
  const lock: LockFacts = {
    principle: 'strike',
    fail: 'secure',
    nominalV: 12,
    leastV: 10,
    pullA: 0.9,
    holdA: 0.2,
    sensing: false,
  }
  it('a fail-secure lock draws when it is driven, a fail-safe one while it is shut', () => {
    const safe: LockFacts = { ...lock, fail: 'safe' }
    const at = (l: LockFacts) =>
      (['rest', 'pull', 'hold', 'allOpen', 'powerReturn'] as const).map((kind) =>
        lockAmps(l, 'd', { kind, door: 'd' } as never),
      )
    expect(at(lock)).toEqual([0, 0.9, 0.2, 0.9, 0])
    expect(at(safe)).toEqual([0.2, 0, 0, 0, 0.9])
  })
  it('all open loads fail-secure locks and drops fail-safe ones; power return does the opposite', () => {
    const secure = report(two(strikeHardware)).moments.filter((m) => m.state === 'nominal')
    const amps = (r: typeof secure, says: string) => r.find((m) => m.says === says)?.amps ?? 0
    expect(amps(secure, 'Every door is released')).toBeGreaterThan(amps(secure, 'D-01 is released'))
    expect(amps(secure, 'Power comes back')).toBeCloseTo(amps(secure, 'At rest'), 9)
    const safe = report(two(magnetHardware)).moments.filter((m) => m.state === 'nominal')
    expect(amps(safe, 'Every door is released')).toBeLessThan(amps(safe, 'At rest'))
  })
  it('a queue lets as many pull in as it is told, the others being held', () => {
    const w = two({ ...strikeHardware, lock: 'strike-fast' })
    const at = (plan?: Partial<PowerPlan>) =>
      report(w, plan).moments.find((m) => m.state === 'nominal' && m.says.startsWith('Every door is released'))
    expect(at({ queue: 1 })?.says).toBe('Every door is released, 1 at a time')
    expect(at({ queue: 1 })?.amps ?? 0).toBeLessThan(at()?.amps ?? 0)
    expect(at({ queue: 2 })?.amps).toBeCloseTo(at()?.amps ?? 0, 9)
  })
  it('the source stands nominal, floating and at the end of its battery', () => {
    const r = report(smallJob(strikeHardware))
    const volts = (state: string) => {
      const m = r.moments.find((x) => x.state === state && x.says === 'At rest')
      return m?.solved.ok ? m.solved.terminalV : 0
    }
    expect(volts('floating')).toBeGreaterThan(volts('nominal'))
    expect(volts('batteryEnd')).toBeLessThan(10.5)
    expect(volts('batteryEnd')).toBeGreaterThan(10)
  })
  it('a line that is far too long collapses or falls short, and what would do is told', () => {
    const w = smallJob(strikeHardware)
    for (const c of w.door().cables)
      w.do('cable.set', { door: 'D-01', cable: c.id, lengthM: c.part === 'K1' ? 400 : 20 })
    const [lock_] = report(w).locks
    expect(lock_?.enough).toBe(false)
    expect(lock_?.onlyAtEnd).toBe(false)
    const longest = Number(/up to (\d+) m/.exec(lock_?.mend ?? '')?.[1])
    expect(longest).toBeGreaterThan(0)
    // The length that is told does, as long as there are mains.
    w.do('cable.set', { door: 'D-01', cable: w.door().cables.find((c) => c.part === 'K1')?.id, lengthM: longest })
    const mended = report(w).locks.find((l) => l.part === 'K1')
    expect(mended?.enough || mended?.onlyAtEnd).toBe(true)
  })
  it('what has a supply of its own is not counted', () => {
    const w = smallJob(strikeHardware)
    const before = report(w).restA ?? 0
    w.do('part.feed', { door: 'D-01', part: 'R1', own: true })
    expect(before - (report(w).restA ?? 0)).toBeCloseTo(sheetOf(sheets, 'reader-slim').restA, 9)
    expect(w.door().placement?.terminals['R1.plus']).toBeUndefined()
    expect(w.door().placement?.terminals['R1.zero']).toBeDefined()
  })
  it('inrush is told apart, against what trips the supply', () => {
    const w = smallJob(strikeHardware)
    expect(report(w).notes.join(' ')).not.toContain('first moment')
    w.do('controller.put', { ...a1(w), id: 'a8', ref: 'A8', sheet: 'controller-8', supply: 'supply-24', address: '' })
    w.do('door.edit', { id: 'D-01', fields: { hardware: { entryReader: 'reader-far', lock: 'strike-secure' } } })
    w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
    const r = supplyReport(w.facts.controller['a8'] as Controller, all(w.facts, 'door'), sheets)
    expect(r.inrushA).toBeCloseTo(5.5, 9)
    expect(
      supplyReport({ ...(w.facts.controller['a8'] as Controller) }, all(w.facts, 'door'), {
        ...sheets,
        'supply-24': {
          ...sheetOf(sheets, 'supply-24'),
          supply: {
            ...(sheetOf(sheets, 'supply-24').supply as never as { volts: number; amps: number; internalOhm: number }),
            tripA: 5,
          },
        },
      }).faults.join(' '),
    ).toContain('trips at 5 A')
  })
  it('is the same answer from the ways that are kept as from the tree built anew', () => {
    const w = two(strikeHardware)
    const ways = supplyWays(a1(w), all(w.facts, 'door'), sheets)
    for (const kind of ['rest', 'allOpen', 'powerReturn'] as const)
      expect(solveTree(netAt(ways, { kind }).tree).ok).toBe(true)
  })
})

/** D-01 on a controller with room for two locks. */
function eightDoors(hardware: Record<string, string>): World {
  const w = smallJob({}, { handle: true })
  w.controller('a8', 'controller-8')
  w.do('door.edit', { id: 'D-01', fields: { hardware } })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
  for (const cable of w.door().cables) w.do('cable.set', { door: 'D-01', cable: cable.id, lengthM: 20 })
  return w
}

describe('one worst case of each lock', () => {
  const rank = { note: 0, warn: 1, stop: 2 }
  it('door and supply tell the same line, on random sites; short with mains stops, short at the end only does not', () => {
    const grades = new Set<string>()
    fc.assert(
      fc.property(
        fc.constantFrom('magnet-300', 'magnet-600', 'strike-secure', 'strike-safe'),
        fc.option(fc.constantFrom('magnet-300', 'strike-secure'), { nil: undefined }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 300 }),
        fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
        (lock, lock2, metres, metres2, queue) => {
          const w = eightDoors({ ...magnetHardware, lock, ...(lock2 ? { lock2 } : {}) })
          const id = (part: string) => w.door().cables.find((c) => c.part === part)?.id
          w.do('cable.set', { door: 'D-01', cable: id('K1'), lengthM: metres })
          if (lock2) w.do('cable.set', { door: 'D-01', cable: id('K2'), lengthM: metres2 })
          w.do('powerPlan.put', { ...defaultPowerPlan('a8'), ...(queue ? { queue } : {}), supply: 'supply-5' })
          const a8 = w.facts.controller['a8'] as Controller
          const { locks } = supplyReport(a8, all(w.facts, 'door'), sheets, w.facts.powerPlan['a8'])
          const found = planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door'), w.facts.powerPlan)
          expect(locks.map((l) => l.part).sort()).toEqual(lock2 ? ['K1', 'K2'] : ['K1'])
          for (const l of locks) {
            const line = found.find((f) => f.rule.startsWith('volts') && f.at === l.part)
            expect(line?.says.startsWith(l.says)).toBe(true)
            expect(rank[line?.grade ?? 'note']).toBe(l.enough ? 0 : l.onlyAtEnd ? 1 : 2)
            grades.add(line?.grade ?? '')
          }
          expect(marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.rule.startsWith('volts'))).toEqual(
            found.filter((f) => f.rule.startsWith('volts')),
          )
        },
      ),
      { numRuns: 60 },
    )
    expect([...grades].sort()).toEqual(['note', 'stop', 'warn'])
  })
  it('is the least over all moments where mains do: no moment shows less', () => {
    const w = two(magnetHardware)
    const r = report(w)
    for (const l of r.locks.filter((x) => x.enough || x.onlyAtEnd))
      for (const m of r.moments) {
        const node = `${l.door}/${l.part}`
        if (m.solved.ok && (m.solved.amps[node] ?? 0) > 0)
          expect(m.solved.volts[node] ?? 0).toBeGreaterThanOrEqual((l.volts ?? 0) - 1e-9)
      }
  })
  it('a second leaf’s lock is measured like the first: its loop and its volts, against its own run', () => {
    const w = eightDoors({ ...strikeHardware, lock2: 'strike-secure' })
    for (const cable of w.door().cables) w.do('cable.set', { door: 'D-01', cable: cable.id, lengthM: 20 })
    const k2 = w.door().cables.find((c) => c.part === 'K2')?.id ?? ''
    expect(readingsFor(w.door(), k2, sheets, null)).toEqual(['loop', 'voltsRest', 'voltsDriven'])
    const driven = () => expectedReading(w.door(), k2, 'voltsDriven', plannedOf(w.facts, sheets))?.value ?? 0
    const before = driven()
    w.do('cable.set', { door: 'D-01', cable: k2, lengthM: 120 })
    expect(before).toBeGreaterThan(12)
    expect(driven()).toBeLessThan(before - 0.5)
  })
})

describe('a supply and its battery', () => {
  it('battery and hours are judged, with what is asked for and what is there', () => {
    const r = report(two(magnetHardware), { batteryAh: 2, hours: 8 })
    expect(r.battery?.enough).toBe(false)
    expect(r.faults.join(' ')).toMatch(/2 Ah of battery last \d+\.\d h; 8 h are asked for and want \d+\.\d Ah/)
  })
  it('batteries joined to the wrong volts are told', () =>
    expect(report(smallJob(strikeHardware), { batteryCount: 2, wiring: 'series' }).faults.join(' ')).toContain(
      'give 24 V; this supply charges 12 V',
    ))
  it('a supply plan is refused for what is no supply', () => {
    const w = smallJob()
    expect(() => w.do('powerPlan.put', { ...defaultPowerPlan('a1'), supply: 'reader-slim' })).toThrow('Choose a supply')
  })
})

describe('what opens when', () => {
  const answers = (door: Door, w: World, plan = defaultPowerPlan('a1'), hours: number | null = 4) =>
    Object.fromEntries((releaseOf(door, a1(w), sheets, plan, hours) ?? []).map((a) => [a.case, [a.in, a.out]]))
  it('cutting the power frees a fail-safe lock and never a fail-secure one', () => {
    const magnet = smallJob(magnetHardware)
    expect(answers(magnet.door(), magnet)['supply']).toEqual(['free', 'free'])
    const strike = smallJob(strikeHardware)
    expect(answers(strike.door(), strike)['supply']).toEqual(['shut', 'shut'])
    expect(answers({ ...strike.door(), handle: true }, strike)['supply']).toEqual(['shut', 'handle'])
  })
  it('the fire relay frees fail-safe doors on battery too, where it is planned', () => {
    const w = smallJob(magnetHardware)
    expect(answers(w.door(), w)['fire']).toEqual(['works', 'works'])
    expect(answers(w.door(), w, { ...defaultPowerPlan('a1'), fireRelay: true })['fire']).toEqual(['free', 'free'])
  })
  it('a break glass opens a magnet, and never a fail-secure lock', () => {
    const magnet = smallJob(magnetHardware)
    expect(answers(magnet.door(), magnet)['glass']).toEqual(['free', 'free'])
    const strike = smallJob({ ...strikeHardware, breakGlass: 'break-glass' })
    expect(answers(strike.door(), strike)['glass']).toEqual(['works', 'shut'])
  })
  it('words and answer are one: whoever is told that nobody gets out finds no way out, in every case of every door', () => {
    for (const hardware of [magnetHardware, strikeHardware])
      for (const breakGlass of [true, false])
        for (const handle of [true, false])
          for (const escapeRoute of [true, false])
            for (const fireRelay of [true, false]) {
              const { breakGlass: _glass, ...rest } = { breakGlass: '', ...hardware }
              const w = smallJob({ ...rest, ...(breakGlass ? { breakGlass: 'break-glass' } : {}) }, { handle })
              const door = { ...w.door(), escapeRoute, handle }
              for (const a of releaseOf(door, a1(w), sheets, { ...defaultPowerPlan('a1'), fireRelay }, 0) ?? []) {
                const what = [hardware.lock, { breakGlass, handle, escapeRoute }, a]
                expect([what, /nobody gets out/i.test(a.says)]).toEqual([what, a.out === 'shut'])
                expect([what, /out by the break glass/i.test(a.says)]).toEqual([
                  what,
                  a.case === 'controller' && a.out === 'free',
                ])
              }
            }
  })
  it('who decides says what an absent network does', () => {
    const w = smallJob(strikeHardware, { handle: true })
    const at = (then: 'opens' | 'staysShut' | 'knownCards') =>
      answers({ ...w.door(), decides: { by: 'server', afterS: 5, then } }, w)['network']
    expect([at('opens'), at('staysShut'), at('knownCards')]).toEqual([
      ['free', 'free'],
      ['shut', 'works'],
      ['works', 'works'],
    ])
  })
  it('a door fed from the network lives as long as the battery of its switch', () => {
    const w = smallJob(strikeHardware)
    const net: Controller = { ...a1(w), sheet: 'controller-1-net' }
    expect(releaseOf(w.door(), net, sheets)?.find((a) => a.case === 'mains')?.says).toContain(
      'battery of the network switch',
    )
  })
  it('a wireless lock whose hub is dead knows nobody’s own card, and is left by its handle', () => {
    const w = smallJob(strikeHardware)
    w.do('door.add', {
      id: 'D-09',
      fields: { ref: 'D-09', name: 'Flat', from: 'in', to: 'in', handle: true, hardware: { lock: 'wireless-handle' } },
    })
    expect(answers(w.door('D-09'), w)['supply']).toEqual(['shut', 'handle'])
    expect(answers(w.door('D-09'), w)['controller']).toEqual(['shut', 'handle'])
    expect(answers(w.door('D-09'), w)['mains']).toEqual(['works', 'works'])
  })
})

describe('the drive level of a lock', () => {
  const lock: LockFacts = {
    principle: 'strike',
    fail: 'secure',
    nominalV: 12,
    leastV: 10.5,
    pullA: 0.9,
    pullMs: 120,
    holdA: 0.22,
    dropOutV: 3.5,
    duty: 0.25,
    sensing: true,
  }
  it('is full volts while it pulls, then a share', () => {
    const d = driveAnswer(lock, 13.6, 1, { pullMs: 300, holdShare: 0.5 }, 5)
    // By hand: coil 12 / 0.9 = 13.33 Ω; 13.6 · 13.33 / 14.33.
    expect(d.pullV).toBeCloseTo((13.6 * (12 / 0.9)) / (12 / 0.9 + 1), 9)
    expect(d.holdV).toBeCloseTo(d.pullV / 2, 9)
    expect(d.faults).toEqual([])
    expect(d.heatsAboveV).toBeCloseTo(6, 9)
  })
  it.each<[string, { pullMs: number; holdShare: number }, number, number, string]>([
    ['too short', { pullMs: 60, holdShare: 0.5 }, 1, 5, 'takes 120 ms to pull in'],
    ['too little held', { pullMs: 300, holdShare: 0.2 }, 1, 5, 'may let go'],
    ['too much for long', { pullMs: 300, holdShare: 1 }, 1, 600, 'grows hot'],
    ['too few volts', { pullMs: 300, holdShare: 0.5 }, 9, 5, 'needs 10.5 V'],
  ])('%s is told', (_what, drive, ohm, release, says) =>
    expect(driveAnswer(lock, 13.6, ohm, drive, release).faults.join(' ')).toContain(says),
  )
  it('counts what suppression adds before it lets go, where its sheet tells', () =>
    expect([
      driveAnswer(lock, 13.6, 1, { pullMs: 300, holdShare: 1 }, 5).letGoMs,
      driveAnswer({ ...lock, suppressionMs: 45 }, 13.6, 1, { pullMs: 300, holdShare: 1 }, 5).letGoMs,
    ]).toEqual([null, 45]))
})
