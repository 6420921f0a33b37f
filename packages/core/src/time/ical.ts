import { addDays } from './dates'
import type { Period } from './schedule'
import type { DaysOfYear } from './specialDays'

const codes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']
const two = (n: number) => String(n).padStart(2, '0')

/** A weekly schedule as an iCalendar object (RFC 5545) in floating local time: one weekly VEVENT for each period. */
export function toICalendar(periods: readonly Period[]): string {
  const events = periods.flatMap((period, i) => {
    const nextDay = period.to === '24:00' || period.to < period.from
    const first = Math.min(...period.days)
    const day = 4 + first // 1970-01-05 was a Monday
    const stamp = (d: number, time: string) => `197001${two(d)}T${time === '24:00' ? '0000' : time.replace(':', '')}00`
    const end = nextDay ? day + 1 : day
    return [
      'BEGIN:VEVENT',
      `UID:${i + 1}`,
      'DTSTAMP:19700101T000000Z',
      `DTSTART:${stamp(day, period.from)}`,
      `DTEND:197001${two(end)}T${period.to === '24:00' ? '0000' : period.to.replace(':', '')}00`,
      `RRULE:FREQ=WEEKLY;BYDAY=${[...period.days]
        .sort()
        .map((d) => codes[d - 1])
        .join(',')}`,
      'END:VEVENT',
    ]
  })
  return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Rauta//Schedule//EN', ...events, 'END:VCALENDAR', ''].join(
    '\r\n',
  )
}

const compact = (date: string) => date.replaceAll('-', '')

/** Special days as an iCalendar object: one event of whole days, its end the day after its last (RFC 5545, 3.6.1). */
export const toDaysCalendar = ({ date, until, yearly }: DaysOfYear): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Rauta//Special days//EN',
    'BEGIN:VEVENT',
    'UID:1',
    'DTSTAMP:19700101T000000Z',
    `DTSTART;VALUE=DATE:${compact(date)}`,
    ...(until === undefined ? [] : [`DTEND;VALUE=DATE:${compact(addDays(until, 1))}`]),
    ...(yearly ? ['RRULE:FREQ=YEARLY'] : []),
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n')

/** The days of such an object, whatever else a device put into it. */
export function fromDaysCalendar(text: string): DaysOfYear[] {
  return eventsOf(text).flatMap((event) => {
    const date = dateIn(event['DTSTART'])
    if (date === null) return []
    const end = dateIn(event['DTEND'])
    const until = end === null ? date : addDays(end, -1)
    return [
      {
        date,
        ...(until > date ? { until } : {}),
        ...(/(?:^|;)FREQ=YEARLY(?:;|$)/.test(event['RRULE'] ?? '') ? { yearly: true as const } : {}),
      },
    ]
  })
}

function dateIn(value: string | undefined): string | null {
  const match = /^(\d{4})(\d\d)(\d\d)/.exec(value ?? '')
  const date = match ? `${match[1]}-${match[2]}-${match[3]}` : ''
  return Number.isNaN(Date.parse(`${date}T12:00:00Z`)) ? null : date
}

/** Weekly periods of an iCalendar object, or why they cannot be read. Only weekly VEVENTs in floating time are understood. */
export function fromICalendar(text: string): { periods: Period[] } | { fault: string } {
  const periods: Period[] = []
  for (const event of eventsOf(text)) {
    const period = periodOf(event)
    if ('fault' in period) return period
    periods.push(period)
  }
  return { periods }
}

/** The events of an iCalendar object: each of its lines by its name, without parameters. */
function eventsOf(text: string): Record<string, string>[] {
  const found: Record<string, string>[] = []
  let event: Record<string, string> | null = null
  for (const line of text.replace(/\r?\n[ \t]/g, '').split(/\r?\n/)) {
    if (line === 'BEGIN:VEVENT') event = Object.create(null) as Record<string, string>
    else if (line === 'END:VEVENT' && event) {
      found.push(event)
      event = null
    } else if (event) {
      const colon = line.indexOf(':')
      if (colon > 0) event[line.slice(0, colon).split(';')[0] ?? ''] = line.slice(colon + 1)
    }
  }
  return found
}

function periodOf(event: Record<string, string>): Period | { fault: string } {
  const start = /^(\d{8})T(\d\d)(\d\d)\d\d$/.exec(event['DTSTART'] ?? '')
  const end = /^(\d{8})T(\d\d)(\d\d)\d\d$/.exec(event['DTEND'] ?? '')
  const by = /(?:^|;)BYDAY=([A-Z,]+)/.exec(event['RRULE'] ?? '')
  if (!start || !end || !by || !/FREQ=WEEKLY/.test(event['RRULE'] ?? ''))
    return { fault: 'A schedule on the device is not a weekly one in local time.' }
  const days = (by[1] ?? '').split(',').map((code) => codes.indexOf(code) + 1)
  if (days.includes(0)) return { fault: `Unknown day in ${by[1]}.` }
  const from = `${start[2]}:${start[3]}`
  const midnight = end[2] === '00' && end[3] === '00' && end[1] !== start[1]
  return { days: days.sort((a, b) => a - b), from, to: midnight ? '24:00' : `${end[2]}:${end[3]}` }
}
