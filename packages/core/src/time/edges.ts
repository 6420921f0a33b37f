import { addDays, clockChangeOn, dayAsRun } from './preview'
import type { Schedule } from './schedule'
import type { SpecialDay } from './specialDays'
import { minuteText, momentIn } from './wallClock'

/**
 * The moments of a local day at which a schedule may begin or end, in order, ms since 1970 UTC: by the wall clock, those of an hour
 * that comes twice both times, and the moment at which clocks change.
 * @param zone IANA zone
 */
export function edgesOn(schedule: Schedule, specialDays: readonly SpecialDay[], date: string, zone: string): number[] {
  const { spans } = dayAsRun(schedule, specialDays, date, zone)
  const change = clockChangeOn(date, zone)
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
  return [...found].sort((a, b) => a - b)
}
