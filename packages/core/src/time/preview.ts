import { addDays, weekdayOf } from './dates'
import { periodMinutes, periodsOn, type Schedule } from './schedule'
import { specialDayOn, type SpecialDay } from './specialDays'
import { minuteText, offsetAt } from './wallClock'

/** Minutes of a local day, `to` up to 1440. */
export interface Span {
  from: number
  to: number
}

/** A night on which clocks change: the minutes of the wall clock that are left out, or that come twice. */
export interface ClockChange extends Span {
  date: string
  kind: 'leftOut' | 'twice'
}

/** A day as a device runs it. */
export interface DayAsRun {
  date: string
  /** 1 Monday to 7 Sunday. */
  weekday: number
  /** The special day that replaces the week on it. */
  special: SpecialDay | null
  /** By the wall clock, in order, none touching another. What reaches in from the evening before is among them. */
  spans: Span[]
  change: ClockChange | null
  /** How long the schedule is in force that day, minutes that really pass. */
  minutes: number
}

/** Seven days from a date on, as a device runs a schedule: its own wall clock is compared with the periods. @param zone IANA zone */
export function weekAsRun(
  schedule: Schedule,
  specialDays: readonly SpecialDay[],
  from: string,
  zone: string,
): DayAsRun[] {
  return Array.from({ length: 7 }, (_, i) => dayAsRun(schedule, specialDays, addDays(from, i), zone))
}

export function dayAsRun(schedule: Schedule, specialDays: readonly SpecialDay[], date: string, zone: string): DayAsRun {
  const begun = (day: string): Span[] => periodsOn(schedule, specialDays, day).map(periodMinutes)
  const spans = merged([
    ...begun(date).map(({ from, to }) => ({ from, to: Math.min(to, 1440) })),
    ...begun(addDays(date, -1)).flatMap(({ to }) => (to > 1440 ? [{ from: 0, to: to - 1440 }] : [])),
  ])
  const change = clockChangeOn(date, zone)
  const within = change ? spans.reduce((sum, s) => sum + overlap(s, change), 0) : 0
  const listed = lengthInAll(spans)
  return {
    date,
    weekday: weekdayOf(date),
    special: specialDayOn(schedule, specialDays, date) ?? null,
    spans,
    change,
    minutes: listed + (change?.kind === 'twice' ? within : -within),
  }
}

const lengthInAll = (spans: readonly Span[]): number => spans.reduce((sum, s) => sum + s.to - s.from, 0)
const overlap = (a: Span, b: Span): number => Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from))

/** Spans in order, those that touch made one. */
export function merged(spans: readonly Span[]): Span[] {
  const found: Span[] = []
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const last = found.at(-1)
    if (last && span.from <= last.to) last.to = Math.max(last.to, span.to)
    else found.push({ ...span })
  }
  return found
}

/** What the clocks of a zone do on a date, if anything. */
export function clockChangeOn(date: string, zone: string): ClockChange | null {
  // No zone is further from UTC than 14 hours: these two moments enclose the local day.
  let before = Date.parse(`${date}T00:00:00Z`) - 14 * 3_600_000
  let after = Date.parse(`${date}T00:00:00Z`) + 38 * 3_600_000
  const [first, last] = [offsetAt(before, zone), offsetAt(after, zone)]
  if (first === last) return null
  while (after - before > 60_000) {
    const middle = Math.floor((before + after) / 2 / 60_000) * 60_000
    if (middle === before) break
    if (offsetAt(middle, zone) === first) before = middle
    else after = middle
  }
  const shift = last - first
  // Where the old time would have gone on: the wall clock at the moment of the change by the offset before it.
  const asBefore = after + first * 60_000
  const start = shift > 0 ? asBefore : asBefore + shift * 60_000
  if (new Date(start).toISOString().slice(0, 10) !== date) return null
  const minute = Math.round((start - Date.parse(`${date}T00:00:00Z`)) / 60_000)
  return { date, kind: shift > 0 ? 'leftOut' : 'twice', from: minute, to: minute + Math.abs(shift) }
}

/** Days on which the clocks of a zone change, from a date on, in order. */
export function clockChanges(from: string, zone: string, days = 400): ClockChange[] {
  const found: ClockChange[] = []
  const atNoon = (date: string) => offsetAt(Date.parse(`${date}T12:00:00Z`), zone)
  let last = atNoon(addDays(from, -1))
  for (let i = 0; i <= days; i++) {
    const date = addDays(from, i)
    const now = atNoon(date)
    if (now !== last) {
      const change = clockChangeOn(date, zone) ?? clockChangeOn(addDays(date, -1), zone)
      if (change) found.push(change)
    }
    last = now
  }
  return found
}

/** What a change of the clocks makes of a schedule on that day, in words. */
export function changeWords({ change, spans, minutes }: DayAsRun): string {
  if (!change) return ''
  const hours = `${minuteText(change.from)} to ${minuteText(change.to)}`
  const listed = lengthInAll(spans)
  const what = change.kind === 'leftOut' ? `${hours} is left out` : `${hours} comes twice`
  if (minutes === listed) return `${what}; this schedule is not in force then, and nothing differs.`
  return `${what}: in force for ${Math.abs(minutes - listed)} min ${minutes < listed ? 'less' : 'longer'} than on other days.`
}
