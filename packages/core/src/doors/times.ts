import { stop, warn, type Finding } from '../job/finding'
import type { Door } from './door'

/** Times of a door that contradict each other. */
export function timesFindings({ behaviour: b }: Door): Finding[] {
  const found: Finding[] = []
  const shorter = (what: string, longer: number | undefined, usual: number) => {
    if (longer !== undefined && longer < usual)
      found.push(
        stop(
          'load',
          'longer-is-shorter',
          `${what} for those who need longer is ${longer} s, shorter than the ${usual} s of everybody else. Make it longer.`,
        ),
      )
  }
  shorter('The release', b.longReleaseS, b.releaseS)
  shorter('The open time', b.longOpenS, b.heldOpenS)
  if (b.heldOpenS < b.releaseS)
    found.push(
      warn(
        'load',
        'alarm-while-released',
        `The held-open alarm comes after ${b.heldOpenS} s, while the lock is released for ${b.releaseS} s: whoever passes last sets it off.`,
      ),
    )
  return found
}
