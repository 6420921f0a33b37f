import { jobOf, type Facts } from '@rauta/core'
import { posixZone } from '@rauta/core/zones'

/** The POSIX zone string that every device of the job shall hold this year. */
export const zoneOf = (facts: Facts, at: number): string =>
  posixZone(jobOf(facts)?.zone ?? 'UTC', new Date(at).getUTCFullYear())
