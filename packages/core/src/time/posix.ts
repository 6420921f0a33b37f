import { Temporal } from 'temporal-polyfill'

/**
 * A POSIX time-zone string (IEEE 1003.1) for an IANA zone in a year, worked out from its transitions: standard and
 * daylight offsets and the rules as `Mmonth.week.day/hour`. A zone with other than two transitions gets no rule.
 */
export function posixZone(zone: string, year: number): string {
  const start = Temporal.PlainDateTime.from({ year, month: 1, day: 1 }).toZonedDateTime(zone)
  const changes: Temporal.ZonedDateTime[] = []
  let at: Temporal.ZonedDateTime | null = start.getTimeZoneTransition('next')
  while (at && at.year === year && changes.length < 3) {
    changes.push(at)
    at = at.getTimeZoneTransition('next')
  }
  if (changes.length !== 2) return fixed(start)
  const offsetBefore = (t: Temporal.ZonedDateTime) => t.subtract({ nanoseconds: 1 }).offsetNanoseconds
  const toDaylight = changes.find((t) => t.offsetNanoseconds > offsetBefore(t))
  const toStandard = changes.find((t) => t.offsetNanoseconds < offsetBefore(t))
  if (!toDaylight || !toStandard) return fixed(start)
  const std = toStandard.offsetNanoseconds
  return `${label(std)}${posixOffset(std)}${label(toDaylight.offsetNanoseconds)}${posixOffset(toDaylight.offsetNanoseconds)},${rule(toDaylight, offsetBefore(toDaylight))},${rule(toStandard, offsetBefore(toStandard))}`
}

const hourNs = 3_600_000_000_000

function fixed(at: Temporal.ZonedDateTime): string {
  return `${label(at.offsetNanoseconds)}${posixOffset(at.offsetNanoseconds)}`
}

function label(offset: number): string {
  const minutes = Math.abs(offset) / (hourNs / 60)
  const sign = offset < 0 ? '-' : '+'
  return `<${sign}${String(Math.floor(minutes / 60)).padStart(2, '0')}${minutes % 60 ? String(minutes % 60).padStart(2, '0') : ''}>`
}

/** POSIX counts west as positive. */
function posixOffset(offset: number): string {
  const minutes = -offset / (hourNs / 60)
  const whole = Math.trunc(minutes / 60)
  return minutes % 60 ? `${whole}:${String(Math.abs(minutes % 60)).padStart(2, '0')}` : String(whole)
}

/** The day of a change as month, week (5 is the last) and weekday, at the wall clock before it. */
function rule(change: Temporal.ZonedDateTime, before: number): string {
  const wall = change.toInstant().toZonedDateTimeISO('UTC').add({ nanoseconds: before }).toPlainDateTime()
  const last = wall.day + 7 > wall.daysInMonth
  const week = last ? 5 : Math.ceil(wall.day / 7)
  return `M${wall.month}.${week}.${wall.dayOfWeek % 7}/${wall.hour}${wall.minute ? `:${String(wall.minute).padStart(2, '0')}` : ''}`
}
