import fc from 'fast-check'
import {
  ageingFactor,
  bankOf,
  channelOhmPer100m,
  cladFactor,
  coldFactor,
  conductorOhmPerKm,
  lineOhm,
  networkPower,
  powerClass,
  powerClasses,
  seenOhm,
  segmentFaults,
  standbyHours,
  standbyNeed,
  stateOf,
  supervisionFaults,
  type PowerSource,
  type Station,
} from '../src'

describe('a standby battery', () => {
  const ask = { restA: 2, movingAh: 0, hours: 3, celsius: 20, peukert: null }
  // Worked standby arithmetic: 2 A for 3 h is 6 Ah, 7.5 Ah with the ageing factor of life-safety standby calculations.
  it('of 2 A for 3 h needs 6 Ah as arithmetic, 7.5 Ah with ageing', () => {
    const need = standbyNeed(ask)
    expect(need.arithmeticAh).toBe(6)
    expect(need.neededAh).toBeCloseTo(7.5, 9)
    expect(need.factors).toEqual({ ageing: ageingFactor, derating: 1, cold: 1, rate: null })
  })
  it('needs more when the rate effect is counted, since it is rated for 20 h', () => {
    const need = standbyNeed({ ...ask, peukert: 1.15 })
    expect(need.neededAh).toBeGreaterThan(7.5)
    // Peukert by hand: C = I · 20 · (H / 20)^(1/k), against I · H.
    expect(need.factors.rate).toBeCloseTo((2 * 20 * (3 / 20) ** (1 / 1.15)) / 6, 9)
  })
  it('for 20 h and longer needs no more for the rate', () =>
    expect(standbyNeed({ ...ask, hours: 24, peukert: 1.2 }).factors.rate).toBe(1))
  it('gives less in the cold, and never more than its rating in the warm', () => {
    expect(coldFactor(0)).toBeCloseTo(0.84, 9)
    expect(coldFactor(35)).toBe(1)
    expect(standbyNeed({ ...ask, celsius: 0 }).neededAh).toBeCloseTo(7.5 / 0.84, 9)
  })
  it('counts what moves on top', () => expect(standbyNeed({ ...ask, movingAh: 1 }).arithmeticAh).toBe(7))
  it('in series doubles the volts at the same Ah, in parallel the Ah at the same volts', () => {
    expect(bankOf({ ah: 7, count: 2, wiring: 'series', volts: 12 })).toEqual({ ah: 7, volts: 24 })
    expect(bankOf({ ah: 7, count: 2, wiring: 'parallel', volts: 12 })).toEqual({ ah: 14, volts: 12 })
  })
  it('that is just large enough lasts just the hours asked for', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        fc.double({ min: 0.5, max: 72, noNaN: true }),
        fc.integer({ min: -10, max: 30 }),
        fc.option(fc.double({ min: 1, max: 1.4, noNaN: true })),
        (restA, hours, celsius, peukert) => {
          const need = standbyNeed({ restA, movingAh: 0, hours, celsius, peukert })
          expect(standbyHours(need.neededAh, restA, celsius, peukert) / hours).toBeCloseTo(1, 6)
        },
      ),
    ))
  it('with nothing on it lasts for ever', () => expect(standbyHours(7, 0, 20, null)).toBe(Infinity))
})

describe('network power', () => {
  // IEEE 802.3 af, at, bt class limits: watts at the source and at the device; from memory.
  it.each([
    [1, 4.0, 3.84],
    [2, 7.0, 6.49],
    [3, 15.4, 12.95],
    [4, 30, 25.5],
    [5, 45, 40],
    [6, 60, 51],
    [7, 75, 62],
    [8, 90, 71.3],
  ])('class %d is %d W at the source and %d W at the device', (n, sourceW, deviceW) =>
    expect(powerClass(n)).toMatchObject({ sourceW, deviceW }),
  )
  it('class 0 counts as class 3, and there is no class 9', () => {
    expect(powerClass(0).class).toBe(3)
    expect(() => powerClass(9)).toThrow('no power class 9')
  })
  // What a class may lose in 100 m follows from its two limits: I = P / 50 V (the least at the source for types 2 to 4), 12.5 ohm over two pairs.
  it('class 4 loses in 100 m just what lies between its two limits', () => {
    const amps = 0.6
    expect(amps * amps * channelOhmPer100m).toBeCloseTo(30 - 25.5, 1)
    expect(lineOhm(100, 2)).toBe(12.5)
    expect(lineOhm(100, 4)).toBe(6.25)
  })
  const source: PowerSource = {
    volts: 50,
    budgetW: 60,
    ports: [
      { id: '1', highestClass: 4 },
      { id: '2', highestClass: 3 },
      { id: '3', highestClass: 4 },
    ],
  }
  const demand = (port: string, over: object = {}) => ({
    consumer: `D${port}`,
    port,
    lengthM: 50,
    draw: { restW: 5, peakW: 12, class: 3 },
    ...over,
  })
  it('sets the class aside and counts the loss in the run', () => {
    const a = networkPower(source, [demand('1')])
    expect(a.reservedW).toBe(15.4)
    const p = a.ports[0]
    expect(p?.faults).toEqual([])
    // By hand: V = (50 + √(2500 − 4 · 6.25 · 12)) / 2, I = 12 / V, loss = I² · 6.25.
    const v = (50 + Math.sqrt(2500 - 4 * 6.25 * 12)) / 2
    expect(p?.lossW).toBeCloseTo((12 / v) ** 2 * 6.25, 9)
    expect(a.freePorts).toEqual(['2', '3'])
  })
  it('tells a port that gives less than is asked for, a peak above the class, a run over 100 m and a port used twice', () => {
    const a = networkPower(source, [
      demand('2', { draw: { restW: 5, peakW: 15, class: 4 }, lengthM: 120 }),
      demand('2'),
    ])
    expect(a.ports[0]?.grantedClass).toBe(3)
    expect(a.ports[0]?.faults.join(' ')).toMatch(
      /asks for class 4 .* gives class 3.*peaks at 15 W while its lock moves; class 3 gives it 12.95 W.*120 m from its port/,
    )
    expect(a.faults[0]).toContain('Port 2 feeds D2 and D2')
  })
  it('tells a budget that is not enough, and a line that collapses', () => {
    expect(networkPower({ ...source, budgetW: 20 }, [demand('1'), demand('2')]).faults[0]).toContain(
      'set aside 30.8 W; the budget is 20 W',
    )
    const p = networkPower({ ...source, volts: 12 }, [demand('1', { lengthM: 100 })]).ports[0]
    expect([p?.peakSourceW, p?.lossW, p?.deviceV]).toEqual([null, null, null])
    expect(p?.faults.join(' ')).toContain('collapses at its peak')
  })
  it('every class has more at the source than at the device', () =>
    expect(powerClasses.every((c) => c.sourceW > c.deviceW)).toBe(true))
})

describe('a supervised pair', () => {
  const thresholds = { shortBelow: 500, closedBelow: 1700, cutAbove: 6000 }
  const ends = { seriesOhm: 1000, parallelOhm: 2200 }
  it('tells its four states apart over the cable’s ohms', () => {
    expect([
      stateOf(5, thresholds),
      stateOf(seenOhm(ends, 10, 'closed'), thresholds),
      stateOf(seenOhm(ends, 10, 'open'), thresholds),
      stateOf(1e6, thresholds),
    ]).toEqual(['short', 'closed', 'open', 'cut'])
    expect(supervisionFaults(ends, 10, thresholds, 'device')).toEqual([])
  })
  it('with its resistors at the controller is a finding, and so is a cable that shifts a state', () => {
    expect(supervisionFaults(ends, 10, thresholds, 'controller')[0]).toContain('Put them at the far end')
    expect(supervisionFaults(ends, 900, thresholds, 'device')[0]).toBe(
      'With the contact closed the input sees 1900 Ω and takes it for open.',
    )
  })
})

describe('an EIA-485 segment', () => {
  const station = (id: string, over: Partial<Station> = {}): Station => ({
    id,
    unitLoad: 0.25,
    terminator: false,
    address: id === 'A1' ? null : Number(id.slice(1)),
    fromPreviousM: 20,
    stubM: 0,
    reference: true,
    ...over,
  })
  const chain = (...more: Station[]) => [station('A1', { terminator: true }), ...more]
  it('that is a daisy chain with a terminator at each end has no fault', () =>
    expect(segmentFaults(chain(station('R1'), station('R2', { terminator: true })))).toEqual([]))
  // EIA-485 (from memory): 32 unit loads, 1200 m, a terminator at each end and nowhere else.
  it.each<[string, Station[], string]>([
    [
      'a terminator in the middle',
      chain(station('R1', { terminator: true }), station('R2', { terminator: true })),
      'R1 stands inside the chain',
    ],
    ['none at the end', chain(station('R1')), 'R1 is an end of the chain'],
    ['a branch', chain(station('R1', { stubM: 8 }), station('R2', { terminator: true })), 'branch of 8 m'],
    ['no reference', chain(station('R1', { reference: false, terminator: true })), 'lacks the reference conductor'],
    [
      'two of one address',
      chain(station('R1'), station('R9', { address: 1, terminator: true })),
      'R1 and R9 both have address 1',
    ],
    ['too far', chain(station('R1', { fromPreviousM: 1300, terminator: true })), '1200 m is the most'],
    [
      'too many',
      chain(...Array.from({ length: 34 }, (_, i) => station(`R${i + 1}`, { unitLoad: 1, terminator: i === 33 }))),
      'it carries 32',
    ],
    [
      'an address that is none',
      chain(station('R1', { address: 127, terminator: true })),
      'needs an address from 0 to 126',
    ],
  ])('%s is told', (_what, stations, says) => expect(segmentFaults(stations).join(' ')).toContain(says))
})

describe('cables', () => {
  it('doubled cores halve the ohms; clad aluminium has more', () => {
    const one = { kind: 'iec', conductorClass: 2, mm2: 1, cores: 4 } as const
    expect(conductorOhmPerKm({ ...one, perConductor: 2 })).toBeCloseTo(9.05, 9)
    expect(conductorOhmPerKm({ ...one, clad: true })).toBeCloseTo(18.1 * cladFactor, 9)
  })
})
