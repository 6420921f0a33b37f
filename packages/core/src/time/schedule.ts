import { specialDayOn, type SpecialDay } from './specialDays'
import { wallClock, type WallClock } from './wallClock'

/** Days as ISO 8601 numbers, 1 Monday to 7 Sunday; times as wall clock `HH:MM`, `24:00` allowed as an end. An end before its start means the next day. */
export interface Period {
  days: number[]
  from: string
  to: string
}

export interface Schedule {
  id: string
  name: string
  periods: Period[]
  /** Special days do not touch it: it runs every week alike. */
  everyDay?: true
}

const minutes = (time: string): number | null => {
  const match = /^([01]\d|2[0-4]):([0-5]\d)$/.exec(time)
  const value = match ? Number(match[1]) * 60 + Number(match[2]) : null
  return value !== null && value <= 1440 ? value : null
}

/** What is wrong with a period, or null. */
export function periodFault(period: { days?: number[]; from: string; to: string }): string | null {
  const from = minutes(period.from)
  const to = minutes(period.to)
  if (from === null || from === 1440) return `${period.from || 'An empty start'} is not a time. Write it as 07:30.`
  if (to === null) return `${period.to || 'An empty end'} is not a time. Write it as 17:00.`
  if (from === to) return `A period from ${period.from} to ${period.to} is empty. For a whole day write 00:00 to 24:00.`
  if (period.days && period.days.length === 0) return 'A period needs at least one day.'
  return null
}

/** A period of a sound day's times as minutes since its midnight; an end before its start reaches into the next day: 1320 to 1800. */
export function periodMinutes({ from, to }: { from: string; to: string }): { from: number; to: number } {
  const start = minutes(from) ?? 0
  const end = minutes(to) ?? 0
  return { from: start, to: end > start ? end : end + 1440 }
}

/** Minutes of local days as spans; an end before its start reaches into the next day. */
function coversMinute(
  period: { from: string; to: string },
  minute: number,
): { today: boolean; fromYesterday: boolean } {
  const from = minutes(period.from) ?? 0
  const to = minutes(period.to) ?? 0
  if (to > from) return { today: minute >= from && minute < to, fromYesterday: false }
  return { today: minute >= from, fromYesterday: minute < to }
}

/**
 * Whether a schedule is in force at an instant. The rule: the door's own wall clock is compared with the period, so on
 * the night clocks go forward the lost hour never happens, and on the night they go back both copies of an hour count.
 * @param atMs milliseconds since 1970 UTC
 * @param zone IANA zone
 */
export function scheduleActive(
  schedule: Schedule,
  specialDays: readonly SpecialDay[],
  atMs: number,
  zone: string,
): boolean {
  const local = wallClock(atMs, zone)
  const today = periodsOn(schedule, specialDays, local)
  const yesterday = periodsOn(schedule, specialDays, dayBefore(local))
  return (
    today.some((p) => coversMinute(p, local.minute).today) ||
    yesterday.some((p) => coversMinute(p, local.minute).fromYesterday)
  )
}

function dayBefore(day: WallClock): WallClock {
  const date = new Date(Date.parse(`${day.date}T12:00:00Z`) - 86_400_000).toISOString().slice(0, 10)
  return { ...day, date, weekday: day.weekday === 1 ? 7 : day.weekday - 1 }
}

function periodsOn(
  schedule: Schedule,
  specialDays: readonly SpecialDay[],
  day: WallClock,
): { from: string; to: string }[] {
  const special = specialDayOn(schedule, specialDays, day.date)
  return special ? special.periods : schedule.periods.filter((p) => p.days.includes(day.weekday))
}

const dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

export function periodWords(period: Period): string {
  const days = [...period.days].sort((a, b) => a - b)
  const run = days.length > 2 && days.every((d, i) => i === 0 || d === (days[i - 1] ?? 0) + 1)
  const some = run
    ? `${dayNames[(days[0] ?? 1) - 1]}–${dayNames[(days.at(-1) ?? 1) - 1]}`
    : days.map((d) => dayNames[d - 1]).join(' ')
  const names = days.length === 7 ? 'every day' : some
  const next = (minutes(period.to) ?? 0) < (minutes(period.from) ?? 0) ? ' next day' : ''
  return `${names} ${period.from}–${period.to}${next}`
}
