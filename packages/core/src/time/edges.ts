import { addDays } from './dates'
import { dayAsRun } from './preview'
import type { Schedule } from './schedule'
import type { SpecialDay } from './specialDays'
import { minuteText, momentIn, wallClock } from './wallClock'

/** Moments of a local day, in order: by the wall clock, those of an hour that comes twice both times, and the moment at which clocks change. */
function edgesOn(schedule: Schedule, specialDays: readonly SpecialDay[], date: string, zone: string): number[] {
  const { spans, change } = dayAsRun(schedule, specialDays, date, zone)
  const minutes = [0, ...spans.flatMap((s) => [s.from, s.to]), ...(change ? [change.from, change.to] : [])]
  const found = new Set<number>()
  for (const minute of minutes) {
    const at =
      minute === 1440 ? momentIn(zone, `${addDays(date, 1)}T00:00`) : momentIn(zone, `${date}T${minuteText(minute)}`)
    if (at === null) continue
    found.add(at)
    if (change?.kind === 'twice' && minute >= change.from && minute <= change.to)
      found.add(at + (change.to - change.from) * 60_000)
  }
  return [...found]
}

/**
 * The moments after another one at which some of these schedules may begin or end, in order and day by day as they are asked for,
 * ms since 1970 UTC.
 * @param days how many days after the first are looked at
 * @param zone IANA zone
 */
export function* edgesAhead(
  schedules: readonly Schedule[],
  specialDays: readonly SpecialDay[],
  afterMs: number,
  days: number,
  zone: string,
): Generator<number> {
  const today = wallClock(afterMs, zone).date
  for (let i = 0; i <= days; i++) {
    const edges = schedules.flatMap((s) => edgesOn(s, specialDays, addDays(today, i), zone))
    yield* edges.filter((at) => at > afterMs).sort((a, b) => a - b)
  }
}
