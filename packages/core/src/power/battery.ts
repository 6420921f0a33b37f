/** A standby battery and what is asked of it. Amps, hours, degrees C. */
export interface StandbyQuestion {
  /** Amps while nothing moves. */
  restA: number
  /** Ampere-hours that movements take on top over the hours asked for. */
  movingAh: number
  hours: number
  celsius: number
  /** Of the battery kind; null: the rate effect is not counted, and that is said. */
  peukert: number | null
  /** How much larger than needed it is bought for its old age; `ageingFactor` where it is not said. */
  ageing?: number
  /** Share of its rating that is counted on at all; all of it where it is not said. */
  derating?: number
}
export interface BatteryBank {
  ah: number
  count: number
  wiring: 'series' | 'parallel'
  /** Volts of one battery. */ volts: number
}

/** Ageing factor of life-safety standby calculations: a battery at the end of its life still gives 1 / 1.25 of its rating. */
export const ageingFactor = 1.25
/** A lead battery is rated for being emptied in this many hours. */
export const ratedHours = 20
/** Share of capacity lost for each kelvin under 20 degrees C (common practice, no source). */
const coldLossPerKelvin = 0.008

/** Share of its rating that a lead battery gives at a temperature; never above 1. */
export function coldFactor(celsius: number): number {
  return Math.min(1, Math.max(0.2, 1 - coldLossPerKelvin * (20 - celsius)))
}

export interface StandbyNeed {
  /** Current times hours and what moves, with nothing else counted. */
  arithmeticAh: number
  /** What must be bought: ageing, cold and, where known, rate counted. */
  neededAh: number
  factors: { ageing: number; derating: number; cold: number; rate: number | null }
}

/**
 * Ampere-hours for the hours asked for: 2 A for 3 h is 6 Ah, 7.5 Ah with the ageing factor, more with the rate effect.
 * Rate by Peukert's law: a battery of C ampere-hours at 20 h lasts H (C / (I H))^k hours at I.
 */
export function standbyNeed(q: StandbyQuestion): StandbyNeed {
  const arithmeticAh = q.restA * q.hours + q.movingAh
  const { ageing = ageingFactor, derating = 1 } = q
  const aged = (arithmeticAh * ageing) / coldFactor(q.celsius) / derating
  const meanA = q.hours > 0 ? arithmeticAh / q.hours : 0
  const rate = q.peukert === null || meanA === 0 ? null : rateFactor(meanA, q.hours, q.peukert)
  return {
    arithmeticAh,
    neededAh: aged * (rate ?? 1),
    factors: { ageing, derating, cold: coldFactor(q.celsius), rate },
  }
}

/** Whether a bank has what is needed; a millionth too little is the arithmetic's, not the battery's. */
export const bankIsEnough = (bankAh: number, neededAh: number): boolean => bankAh >= neededAh * (1 - 1e-6)

/** How much larger than current times hours a battery rated at 20 h must be, to last `hours` at `amps`; 1 for 20 h and longer. */
function rateFactor(amps: number, hours: number, k: number): number {
  const rated = amps * ratedHours * (hours / ratedHours) ** (1 / k)
  return Math.max(1, rated / (amps * hours))
}

/** Ampere-hours and volts of batteries joined together: in parallel the ampere-hours add up, in series the volts. */
export function bankOf(bank: BatteryBank): { ah: number; volts: number } {
  return bank.wiring === 'parallel'
    ? { ah: bank.ah * bank.count, volts: bank.volts }
    : { ah: bank.ah, volts: bank.volts * bank.count }
}

/** Hours that a bank lasts at a mean current, at the end of its life and in the cold. @param amps 0 lasts for ever */
export function standbyHours(
  ah: number,
  amps: number,
  celsius: number,
  peukert: number | null,
  { ageing = ageingFactor, derating = 1 }: { ageing?: number; derating?: number } = {},
): number {
  if (amps <= 0) return Infinity
  const real = (ah * coldFactor(celsius) * derating) / ageing
  if (peukert === null) return real / amps
  // Past 20 h the law would give more than the rating; nobody promises that.
  const byLaw = ratedHours * (real / (amps * ratedHours)) ** peukert
  return byLaw <= ratedHours ? byLaw : real / amps
}
