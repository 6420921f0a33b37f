import { dayNames } from './dates'
import { merged, type Span } from './preview'
import { periodMinutes, type Period } from './schedule'
import { minuteText } from './wallClock'

const minutesAWeek = 7 * 1440

/** The spans of a week that its periods cover, minutes since Monday 00:00; what reaches past Sunday goes on at Monday. */
export function weekSpans(periods: readonly Period[]): Span[] {
  return periods.flatMap((period) =>
    period.days.flatMap((day) => {
      const { from, to } = periodMinutes(period)
      const start = (day - 1) * 1440 + from
      const end = (day - 1) * 1440 + to
      return end <= minutesAWeek
        ? [{ from: start, to: end }]
        : [
            { from: start, to: minutesAWeek },
            { from: 0, to: end - minutesAWeek },
          ]
    }),
  )
}

/** The first time of the week at which two patterns are both in force, `Mon 08:00`; null where there is none. */
export function firstOverlap(one: readonly Period[], other: readonly Period[]): string | null {
  const others = weekSpans(other)
  const shared = weekSpans(one).flatMap((a) =>
    others.flatMap((b) => {
      const from = Math.max(a.from, b.from)
      return from < Math.min(a.to, b.to) ? [from] : []
    }),
  )
  if (shared.length === 0) return null
  const at = Math.min(...shared)
  return `${dayNames[Math.floor(at / 1440)]} ${minuteText(at % 1440)}`
}

/** The longest unbroken time of a week that periods cover, hours; a week that is covered whole never ends: 168. */
export function longestRunH(periods: readonly Period[]): number {
  const runs = merged(weekSpans(periods))
  const [first, last] = [runs[0], runs.at(-1)]
  if (!first || !last) return 0
  if (first !== last && first.from === 0 && last.to === minutesAWeek) last.to += first.to
  return Math.max(...runs.map((r) => r.to - r.from)) / 60
}
