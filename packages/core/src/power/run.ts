import { conductorOhmPerKm, type CableType } from './conductor'

/** Ohms of a cable out and back: two conductors of `lengthM`, at `celsius`. */
export function loopOhm(type: CableType, lengthM: number, celsius = 20): number {
  return (2 * lengthM * conductorOhmPerKm(type, celsius)) / 1000
}

export interface SingleRun {
  sourceV: number
  /** Inside resistance of the supply. */
  sourceOhm: number
  /** All the copper between supply and lock, out and back. */
  copperOhm: number
  /** Amps the lock draws at its nominal volts. */
  lockA: number
  lockNominalV: number
}

/**
 * Volts at a lock on a single run, the coil taken as a resistance (nominal volts over nominal amps).
 * Kirchhoff's voltage law for one loop.
 */
export function voltsAtLock(run: SingleRun): { volts: number; amps: number } {
  const coil = run.lockNominalV / run.lockA
  const amps = run.sourceV / (run.sourceOhm + run.copperOhm + coil)
  return { volts: amps * coil, amps }
}

/** Longest one-way length in metres at which the lock still sees `leastV`, other copper on the way counted; 0 where none would do. */
export function longestRunM(run: SingleRun, type: CableType, leastV: number, celsius = 20): number {
  const coil = run.lockNominalV / run.lockA
  const copper = (coil * (run.sourceV - leastV)) / leastV - run.sourceOhm
  return Math.max(0, (copper * 1000) / (2 * conductorOhmPerKm(type, celsius)))
}
