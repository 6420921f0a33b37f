import { addDays, daysBetween, isDate } from './dates'

/**
 * One day or several, once or every year. `until` is the last of several days; one that comes every year begins each year on the
 * month and day of `date` and lasts as many days as it did the first time (as a yearly event of RFC 5545 does), so that one of
 * 29 February comes in leap years alone.
 */
export interface DaysOfYear {
  date: string
  until?: string
  yearly?: true
}

/** Days on which the given periods replace the weekly ones; an empty list means closed all day. */
export interface SpecialDay extends DaysOfYear {
  id: string
  name: string
  periods: { from: string; to: string }[]
  /** Ids of the schedules that it replaces; every one where it is not said. */
  schedules?: string[]
}

/** Longest that one may last, days. */
export const longestSpecialDays = 120

/** How many days it lasts, its first included. */
export const lengthOf = ({ date, until }: DaysOfYear): number =>
  until === undefined ? 1 : daysBetween(date, until) + 1

/** Whether it lies on a date. */
export function liesOn(days: DaysOfYear, date: string): boolean {
  const length = lengthOf(days)
  const first = days.yearly ? yearlyStart(days.date, date, length) : days.date
  if (first === null || first < days.date) return false
  const since = daysBetween(first, date)
  return since >= 0 && since < length
}

/** The newest day up to `date` on which a yearly one begins, if it can still last on `date`. */
function yearlyStart(begins: string, date: string, length: number): string | null {
  const year = Number(date.slice(0, 4))
  for (const y of [year, year - 1]) {
    const start = `${String(y).padStart(4, '0')}${begins.slice(4)}`
    if (isDate(start) && start <= date && daysBetween(start, date) < length) return start
  }
  return null
}

const appliesTo = (day: SpecialDay, { id, everyDay }: { id: string; everyDay?: true }): boolean =>
  !everyDay && (day.schedules === undefined || day.schedules.includes(id))

/** The special days that replace the week of a schedule, in the order of their dates. */
export const specialDaysOf = (
  schedule: { id: string; everyDay?: true },
  days: readonly SpecialDay[],
): readonly SpecialDay[] => {
  const own = days.filter((d) => appliesTo(d, schedule))
  return own.length > 1 ? own.sort((a, b) => a.date.localeCompare(b.date) || a.id.localeCompare(b.id)) : own
}

/** The special day that replaces the week of a schedule on a date, if one does. */
export const specialDayOn = (
  schedule: { id: string; everyDay?: true },
  days: readonly SpecialDay[],
  date: string,
): SpecialDay | undefined => specialDaysOf(schedule, days).find((d) => liesOn(d, date))

/** Years over which two that come every year are held against each other: leap years come up, and who began earlier. */
const yearsTried = 12

/** A date on which both lie; null where there is none. */
export function sharedDate(one: DaysOfYear, other: DaysOfYear): string | null {
  const first = Number((one.date > other.date ? one.date : other.date).slice(0, 4)) - 1
  const years = one.yearly || other.yearly ? Array.from({ length: yearsTried }, (_, i) => first + i) : []
  const beginnings = one.yearly
    ? years.map((y) => `${String(y).padStart(4, '0')}${one.date.slice(4)}`).filter((d) => isDate(d) && d >= one.date)
    : [one.date]
  for (const begins of beginnings)
    for (let i = 0; i < lengthOf(one); i++) {
      const date = addDays(begins, i)
      if (liesOn(other, date)) return date
    }
  return null
}

export interface SpecialDayFault {
  field: 'date' | 'until' | 'schedules'
  says: string
}

/** What is wrong with the days of one, alone and beside the others of the job; null where nothing is. Its hours are looked at by `periodFault`. */
export function specialDayFault(day: SpecialDay, others: readonly SpecialDay[]): SpecialDayFault | null {
  const bad = ([day.date, day.until] as const).find((d) => d !== undefined && !isDate(d))
  if (bad !== undefined)
    return {
      field: bad === day.date ? 'date' : 'until',
      says: `${bad || 'An empty text'} is no date. Write it as 2027-01-31.`,
    }
  const length = lengthOf(day)
  if (length < 1) return { field: 'until', says: `It ends ${day.until}, before it begins ${day.date}.` }
  if (length > longestSpecialDays)
    return {
      field: 'until',
      says: `It would last ${length} days; ${longestSpecialDays} are the most. Make a schedule of its own for so long a time.`,
    }
  if (day.schedules?.length === 0) return { field: 'schedules', says: 'Choose the schedules that it replaces, or all.' }
  for (const other of others) {
    const both =
      day.schedules === undefined ||
      other.schedules === undefined ||
      day.schedules.some((s) => other.schedules?.includes(s))
    const shared = other.id !== day.id && both ? sharedDate(day, other) : null
    if (shared !== null)
      return {
        field: 'date',
        says: `On ${shared} there is ${other.name || 'another special day'} already, for the same schedules.`,
      }
  }
  return null
}

/** When it is, in words: `2027-12-24 to 2027-12-26, every year`. */
export const specialDayWords = ({ date, until, yearly }: DaysOfYear): string =>
  `${yearly ? date.slice(5) : date}${until === undefined ? '' : ` to ${yearly ? until.slice(5) : until}`}${yearly ? ', every year' : ''}`
