import { addDays, dayNames, weekdayOf } from './dates'
import { specialDayOn, type SpecialDay } from './specialDays'
import { wallClock } from './wallClock'

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
  const { date, minute } = wallClock(atMs, zone)
  const covers = (at: number) => (period: { from: string; to: string }) => {
    const { from, to } = periodMinutes(period)
    return at >= from && at < to
  }
  return (
    periodsOn(schedule, specialDays, date).some(covers(minute)) ||
    periodsOn(schedule, specialDays, addDays(date, -1)).some(covers(minute + 1440))
  )
}

/** The periods that begin on a date: those of its special day, or those of the week. */
export function periodsOn(
  schedule: Schedule,
  specialDays: readonly SpecialDay[],
  date: string,
): readonly { from: string; to: string }[] {
  const special = specialDayOn(schedule, specialDays, date)
  return special ? special.periods : schedule.periods.filter((p) => p.days.includes(weekdayOf(date)))
}

/** A period in a line, as it stands in what a device shall hold: `12345 08:00-17:00`. */
export const periodLine = ({ days, from, to }: Period): string =>
  `${[...days].sort((a, b) => a - b).join('')} ${from}-${to}`

/** The period of such a line. */
export function periodOfLine(line: string): Period {
  const [days = '', hours = ''] = line.split(' ')
  const [from = '', to = ''] = hours.split('-')
  return { days: [...days].map(Number), from, to }
}

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
