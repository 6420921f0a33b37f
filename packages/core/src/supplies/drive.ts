import type { LockFacts } from '../devices/sheet'

/** How a controller drives a lock: full for so long, then a share of it. */
export interface Drive {
  pullMs: number
  /** 0 to 1 of the volts. */ holdShare: number
}
export const fullDrive: Drive = { pullMs: 300, holdShare: 1 }

/** What a drive level does to a lock, over the first second and at the end. */
export interface DriveAnswer {
  points: { ms: number; volts: number }[]
  pullV: number
  holdV: number
  leastV: number
  dropOutV: number | null
  /** Volts that the coil bears for as long as it is held; null where its sheet tells no duty. */
  heatsAboveV: number | null
  /** Milliseconds from switching off until it lets go; null where its sheet tells nothing of it. */
  letGoMs: number | null
  faults: string[]
}

/**
 * Volts at a lock that is driven full and then held with less, the coil taken as a resistance (nominal volts over nominal amps).
 * A coil with duty d may lose d times its nominal power for ever, so it bears the root of d times its nominal volts.
 * @param sourceV volts at the supply @param ohm of the way there and back
 */
export function driveAnswer(
  lock: LockFacts,
  sourceV: number,
  ohm: number,
  drive: Drive,
  releaseS: number,
): DriveAnswer {
  const coil = lock.nominalV / lock.pullA
  const pullV = (sourceV * coil) / (coil + ohm)
  const holdV = pullV * drive.holdShare
  const needMs = lock.pullMs ?? 0
  const dropOutV = lock.dropOutV ?? null
  const heatsAboveV = lock.duty === undefined ? null : Math.sqrt(lock.duty) * lock.nominalV
  const faults: string[] = []
  if (pullV < lock.leastV) faults.push(`It sees ${pullV.toFixed(1)} V while it is pulled and needs ${lock.leastV} V.`)
  if (drive.pullMs < needMs)
    faults.push(`It is driven full for ${drive.pullMs} ms and takes ${needMs} ms to pull in. Drive it longer.`)
  if (dropOutV !== null && holdV <= dropOutV * 1.1)
    faults.push(`Held with ${holdV.toFixed(1)} V it may let go: it drops out at ${dropOutV} V. Hold it with more.`)
  if (heatsAboveV !== null && holdV > heatsAboveV && releaseS > 60)
    faults.push(
      `Held with ${holdV.toFixed(1)} V for ${releaseS} s it grows hot: it bears ${heatsAboveV.toFixed(1)} V for ever. Hold it with less.`,
    )
  const voltsAfter = (ms: number): number => {
    if (ms === 0) return 0
    return ms <= drive.pullMs ? pullV : holdV
  }
  const points = Array.from({ length: 51 }, (_, i) => ({ ms: i * 20, volts: voltsAfter(i * 20) }))
  return {
    points,
    pullV,
    holdV,
    leastV: lock.leastV,
    dropOutV,
    heatsAboveV,
    letGoMs: lock.suppressionMs === undefined ? null : lock.suppressionMs,
    faults,
  }
}
