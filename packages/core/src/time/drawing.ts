import { merged, type Span } from './preview'
import { periodMinutes, type Period } from './schedule'
import { minuteText } from './wallClock'

const allDays = [1, 2, 3, 4, 5, 6, 7]

/** The spans that begin on each day of the week, from Monday on; `to` is up to 2880, where one reaches into the next day. */
function byDay(periods: readonly Period[]): Span[][] {
  return allDays.map((day) => merged(periods.filter((p) => p.days.includes(day)).map(periodMinutes)))
}

/** Days that have the same span become one period. */
function periodsOf(days: readonly Span[][]): Period[] {
  const found = new Map<string, Period>()
  for (const [i, spans] of days.entries())
    for (const { from, to } of spans) {
      const key = `${from}-${to}`
      const period = found.get(key) ?? {
        days: [],
        from: minuteText(from),
        to: to === 1440 ? '24:00' : minuteText(to % 1440),
      }
      period.days.push(i + 1)
      found.set(key, period)
    }
  return [...found.values()]
}

/** What is left of a span without a part of it. */
const without = (span: Span, { from, to }: Span): Span[] =>
  [
    { from: span.from, to: Math.min(span.to, from) },
    { from: Math.max(span.from, to), to: span.to },
  ].filter((s) => s.from < s.to)

/**
 * A weekly pattern after somebody drew on it: a stretch of one day is in force from now on, or is no more. What was not drawn on
 * stays as it was, also what reaches over midnight. @param day 1 Monday to 7 Sunday
 */
export function drawn(periods: readonly Period[], day: number, stretch: Span, on: boolean): Period[] {
  const days = byDay(periods)
  const own = days[day - 1] ?? []
  const before = day === 1 ? 6 : day - 2
  const evening = days[before] ?? []
  if (on) {
    days[day - 1] = merged([...own, stretch])
    return periodsOf(sayable(days))
  }
  days[day - 1] = own.flatMap((s) => without(s, stretch))
  const morning = { from: stretch.from + 1440, to: stretch.to + 1440 }
  const left = evening.flatMap((s) => without(s, morning))
  days[before] = left.filter((s) => s.from < 1440)
  days[day - 1] = merged([
    ...(days[day - 1] ?? []),
    ...left.filter((s) => s.from >= 1440).map((s) => ({ from: s.from - 1440, to: s.to - 1440 })),
  ])
  return periodsOf(sayable(days))
}

/** Whether a period can say it: it begins on its day, and ends less than a day later. */
const canBeSaid = ({ from, to }: Span): boolean => from < 1440 && (to <= 1440 || to - 1440 < from)

/** What no period can say ends at midnight, and the next day has the rest; that may join what it has, and so it is looked at again. */
function sayable(days: readonly Span[][]): Span[][] {
  if (days.flat().every(canBeSaid)) return days.map((spans) => [...spans])
  const found: Span[][] = days.map(() => [])
  for (const [i, spans] of days.entries())
    for (const span of spans) {
      if (canBeSaid(span)) {
        found[i]?.push(span)
        continue
      }
      if (span.from < 1440) found[i]?.push({ from: span.from, to: 1440 })
      found[(i + 1) % 7]?.push({ from: Math.max(0, span.from - 1440), to: span.to - 1440 })
    }
  return sayable(found.map(merged))
}

/** What is drawn of each day, from Monday on: what is in force between midnight and midnight. */
export function drawnDays(periods: readonly Period[]): Span[][] {
  const days = byDay(periods)
  return days.map((own, i) => {
    const evening = days[i === 0 ? 6 : i - 1] ?? []
    return merged([
      ...own.map((s) => ({ from: s.from, to: Math.min(s.to, 1440) })),
      ...evening.flatMap((s) => (s.to > 1440 ? [{ from: 0, to: s.to - 1440 }] : [])),
    ])
  })
}
