/** Dates as the calendar has them, written as `2027-01-31`: no zone, no clock. */

const dayMs = 86_400_000
/** Noon, so that no shift of an hour leaves the day. */
const noon = (date: string): number => Date.parse(`${date}T12:00:00Z`)
const dateOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10)

export const addDays = (date: string, days: number): string => dateOf(noon(date) + days * dayMs)
/** Days from one date to another; less than nothing where the other comes before it. */
export const daysBetween = (from: string, to: string): number => Math.round((noon(to) - noon(from)) / dayMs)
/** ISO weekday, 1 Monday to 7 Sunday. */
export const weekdayOf = (date: string): number => new Date(noon(date)).getUTCDay() || 7
/** The Monday of the week that a date lies in. */
export const mondayOf = (date: string): string => addDays(date, 1 - weekdayOf(date))
/** Whether the calendar has a date. */
export const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(noon(text)) && dateOf(noon(text)) === text

/** From Monday on. */
export const dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
