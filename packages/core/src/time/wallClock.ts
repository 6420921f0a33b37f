import { weekdayOf } from './dates'

/** What a clock on the wall shows: date `2027-01-04`, ISO weekday 1 Monday to 7 Sunday, minute of the day. */
export interface WallClock {
  date: string
  weekday: number
  minute: number
}

const formats = new Map<string, Intl.DateTimeFormat>()

/** Wall clock of a zone at an instant. @param atMs ms since 1970 UTC @param zone IANA zone @throws RangeError for no zone */
export function wallClock(atMs: number, zone: string): WallClock {
  let format = formats.get(zone)
  if (!format)
    formats.set(
      zone,
      (format = new Intl.DateTimeFormat('en-CA', {
        timeZone: zone,
        year: 'numeric',
        month: '2-digit',
        day: '2-digit',
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
      })),
    )
  const part = Object.fromEntries(format.formatToParts(atMs).map((p) => [p.type, p.value]))
  const date = `${part['year']}-${part['month']}-${part['day']}`
  return { date, weekday: weekdayOf(date), minute: Number(part['hour']) * 60 + Number(part['minute']) }
}

/** Minutes by which the wall clock of a zone is ahead of UTC at an instant. */
export function offsetAt(atMs: number, zone: string): number {
  const { date, minute } = wallClock(atMs, zone)
  return Date.parse(`${date}T00:00:00Z`) / 60_000 + minute - Math.floor(atMs / 60_000)
}

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

const two = (n: number): string => String(n).padStart(2, '0')
/** A minute of the day as a clock shows it: `08:15`. */
export const minuteText = (minute: number): string => `${two(Math.floor(minute / 60))}:${two(minute % 60)}`

/** What the clock at a place shows, for people: `Monday 2027-01-04 08:15`. */
export function wallText(atMs: number, zone: string): string {
  const { date, weekday, minute } = wallClock(atMs, zone)
  return `${weekdays[weekday - 1]} ${date} ${minuteText(minute)}`
}

/** The moment at which the clock of a zone shows `2027-01-04 06:15`; null for what is no date and time, or for an hour that a night leaves out. Of an hour that comes twice the first. */
export function momentIn(zone: string, text: string): number | null {
  const match = /^(\d{4}-\d{2}-\d{2})[T ](\d{1,2}):(\d{2})$/.exec(text.trim())
  if (!match) return null
  const [, date = '', hour = '', minute = ''] = match
  const asUtc = Date.parse(`${date}T${hour.padStart(2, '0')}:${minute}:00Z`)
  if (Number.isNaN(asUtc)) return null
  const wanted = { date, minute: Number(hour) * 60 + Number(minute) }
  const shows = (ms: number) => {
    const wall = wallClock(ms, zone)
    return wall.date === wanted.date && wall.minute === wanted.minute
  }
  // No zone is further from UTC than 14 hours, and none changes its clocks twice within two days: what it is ahead before and after
  // are all that it can be then. The greater comes first, so that of an hour that comes twice it is the first.
  const ahead = [-14, 14].map((hours) => offsetAt(asUtc + hours * 3_600_000, zone) * 60_000)
  for (const offset of ahead.sort((x, y) => y - x)) if (shows(asUtc - offset)) return asUtc - offset
  return null
}
