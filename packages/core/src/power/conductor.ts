/** What every kind of cable may say besides its cross-section. */
interface CableMake {
  cores: number
  /** Cores joined side by side for each conductor; 1 where it is not said. */
  perConductor?: number
  /** Copper-clad aluminium instead of copper. */
  clad?: boolean
}
/** Class 2 (stranded, fixed) or class 5 (flexible), or solid wire by American gauge; copper unless it is clad. */
export type CableType =
  ({ kind: 'iec'; conductorClass: 2 | 5; mm2: number } & CableMake) | ({ kind: 'awg'; gauge: number } & CableMake)

/** Greatest resistance at 20 degrees C, ohm per km, plain copper. IEC 60228 tables 2 and 3 (values from memory). */
export const iec60228: Readonly<Record<2 | 5, Readonly<Record<string, number>>>> = {
  2: { '0.5': 36.0, '0.75': 24.5, '1': 18.1, '1.5': 12.1, '2.5': 7.41, '4': 4.61, '6': 3.08, '10': 1.83, '16': 1.15 },
  5: { '0.5': 39.0, '0.75': 26.0, '1': 19.5, '1.5': 13.3, '2.5': 7.98, '4': 4.95, '6': 3.3, '10': 1.91, '16': 1.21 },
}

/** Ohm mm2 per m at 20 degrees C (IACS annealed copper). */
const copperResistivity = 0.017241
/** Per kelvin, from 20 degrees C. */
export const copperTemperatureCoefficient = 0.00393
/** How much better copper conducts than wire of a tenth copper by volume: 100 over 63 % IACS, ASTM B566 class 10A (from memory). */
export const cladFactor = 100 / 63

/** Diameter in mm of an American wire gauge, 0 to 40. ASTM B258: d(n) = 0.127 x 92^((36-n)/39). */
export function gaugeDiameter(gauge: number): number {
  return 0.127 * 92 ** ((36 - gauge) / 39)
}

/**
 * Ohm per km of one conductor, cores that are joined side by side counted as one.
 * @param celsius conductor temperature, -40 to 90
 * @throws RangeError where the standard has no such cross-section
 */
export function conductorOhmPerKm(type: CableType, celsius = 20): number {
  const factor =
    ((1 + copperTemperatureCoefficient * (celsius - 20)) * (type.clad ? cladFactor : 1)) / (type.perConductor ?? 1)
  return copperOhmPerKm(type) * factor
}

function copperOhmPerKm(type: CableType): number {
  if (type.kind === 'awg') {
    const d = gaugeDiameter(type.gauge)
    return (copperResistivity * 1000) / ((Math.PI * d * d) / 4)
  }
  const ohm = iec60228[type.conductorClass][String(type.mm2)]
  if (ohm === undefined)
    throw new RangeError(`IEC 60228 class ${type.conductorClass} has no ${type.mm2} mm² in this table.`)
  return ohm
}

/** As much more than its copper alone as the table has for the sizes that it knows: what stands in for a size that it does not. */
export const offTableFactor = 1.16

/** Whether IEC 60228 has this cross-section in the table here. */
export const isTabled = (type: CableType): boolean =>
  type.kind === 'awg' || Object.hasOwn(iec60228[type.conductorClass], String(type.mm2))

/** Ohm per km of any cross-section: the table where it has it, else copper's resistivity with the most that the table adds to it. */
export function anyOhmPerKm(type: CableType, celsius = 20): number {
  if (isTabled(type) || type.kind === 'awg') return conductorOhmPerKm(type, celsius)
  const one = conductorOhmPerKm({ ...type, mm2: 1 }, celsius) / (iec60228[type.conductorClass]['1'] ?? 1)
  return (one * copperResistivity * 1000 * offTableFactor) / type.mm2
}

/** Cross-section of one core, mm². */
export function coreMm2(type: CableType): number {
  return type.kind === 'iec' ? type.mm2 : (Math.PI * gaugeDiameter(type.gauge) ** 2) / 4
}

/** For people: `2 × 1.0 mm², class 2` or `4 × 22 AWG, 2 cores a conductor`. */
export function cableName(type: CableType): string {
  const name =
    type.kind === 'awg'
      ? `${type.cores} × ${type.gauge} AWG`
      : `${type.cores} × ${type.mm2} mm², class ${type.conductorClass}`
  return `${name}${(type.perConductor ?? 1) > 1 ? `, ${type.perConductor} cores a conductor` : ''}${type.clad ? ', clad aluminium' : ''}`
}
