import fc from 'fast-check'
import {
  cableName,
  conductorOhmPerKm,
  gaugeDiameter,
  iec60228,
  longestRunM,
  loopOhm,
  voltsAtLock,
  type CableType,
} from '../src'

const iec = (conductorClass: 2 | 5, mm2: number): CableType => ({ kind: 'iec', conductorClass, mm2, cores: 2 })
const awg = (gauge: number): CableType => ({ kind: 'awg', gauge, cores: 2 })

describe('conductor resistance', () => {
  // IEC 60228 tables 2 and 3, plain copper at 20 degrees C, ohm/km; values from memory.
  it.each([
    [2, 0.5, 36.0],
    [2, 0.75, 24.5],
    [2, 1, 18.1],
    [2, 1.5, 12.1],
    [2, 2.5, 7.41],
    [5, 0.5, 39.0],
    [5, 0.75, 26.0],
    [5, 1, 19.5],
    [5, 1.5, 13.3],
    [5, 2.5, 7.98],
  ] as const)('class %d, %d mm² is %d ohm/km', (cls, mm2, ohm) => {
    expect(conductorOhmPerKm(iec(cls, mm2))).toBe(ohm)
  })

  it('says which cross-section the standard does not have', () => {
    expect(() => conductorOhmPerKm(iec(2, 0.6))).toThrow('IEC 60228 class 2 has no 0.6 mm²')
  })

  // ASTM B258: 36 AWG is 0.127 mm (0.005 inch) and 0000 is 11.684 mm (0.46 inch) by definition; values from memory.
  it('gives the gauge diameters that define the scale', () => {
    expect(gaugeDiameter(36)).toBeCloseTo(0.127, 6)
    expect(gaugeDiameter(-3)).toBeCloseTo(11.684, 3)
    expect(gaugeDiameter(22)).toBeCloseTo(0.6438, 3)
  })

  // Solid copper at 20 degrees C, handbook figures from memory: 24 AWG 84.2, 22 AWG 53.0, 18 AWG 20.95 ohm/km.
  it.each([
    [24, 84.2],
    [22, 53.0],
    [18, 20.95],
  ])('%d AWG is about %d ohm/km', (gauge, ohm) => {
    expect(Math.abs(conductorOhmPerKm(awg(gauge)) - ohm) / ohm).toBeLessThan(0.005)
  })

  it('rises by 0.393 % for each kelvin', () => {
    expect(conductorOhmPerKm(iec(2, 1), 70)).toBeCloseTo(18.1 * (1 + 0.00393 * 50), 6)
  })

  it('falls as the cross-section grows, in both classes', () => {
    for (const cls of [2, 5] as const) {
      const ohms = Object.entries(iec60228[cls])
        .sort((a, b) => Number(a[0]) - Number(b[0]))
        .map(([, ohm]) => ohm)
      expect([...ohms].sort((a, b) => b - a)).toEqual(ohms)
    }
  })

  it('names a cable as a fitter reads it', () => {
    expect(cableName(iec(2, 1.5))).toBe('2 × 1.5 mm², class 2')
    expect(cableName(awg(22))).toBe('2 × 22 AWG')
  })
})

describe('volts at a lock on a single run', () => {
  // Worked by hand: 50 m of 1.0 mm² class 2 is 2 × 50 × 18.1 / 1000 = 1.81 ohm. A 12 V, 0.5 A coil is 24 ohm.
  // 13.6 V over 1.81 + 24 = 25.81 ohm drives 0.52693 A, which leaves 12.646 V at the lock.
  it('agrees with the loop worked by hand', () => {
    const copperOhm = loopOhm(iec(2, 1), 50)
    expect(copperOhm).toBeCloseTo(1.81, 6)
    const { volts, amps } = voltsAtLock({ sourceV: 13.6, sourceOhm: 0, copperOhm, lockA: 0.5, lockNominalV: 12 })
    expect(amps).toBeCloseTo(0.52693, 4)
    expect(volts).toBeCloseTo(12.646, 3)
  })

  it('keeps Kirchhoff: what the copper drops and what the lock sees make up the source', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        (sourceV, copperOhm, lockA) => {
          const { volts, amps } = voltsAtLock({ sourceV, sourceOhm: 0.1, copperOhm, lockA, lockNominalV: 12 })
          expect(volts + amps * (copperOhm + 0.1)).toBeCloseTo(sourceV, 6)
        },
      ),
    )
  })

  it('gives just the least volts at the longest run, and too little a metre beyond', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.constantFrom(0.5, 0.75, 1, 1.5, 2.5),
        (lockA, mm2) => {
          const base = { sourceV: 13.6, sourceOhm: 0.05, lockA, lockNominalV: 12 }
          const metres = longestRunM({ ...base, copperOhm: 0 }, iec(2, mm2), 10.8)
          const at = (m: number) => voltsAtLock({ ...base, copperOhm: loopOhm(iec(2, mm2), m) }).volts
          expect(at(metres)).toBeCloseTo(10.8, 6)
          expect(at(metres + 1)).toBeLessThan(10.8)
        },
      ),
    )
  })

  it('says no length would do where the source is under what the lock needs', () => {
    expect(
      longestRunM({ sourceV: 10, sourceOhm: 0, copperOhm: 0, lockA: 0.5, lockNominalV: 12 }, iec(2, 1), 10.8),
    ).toBe(0)
  })
})
