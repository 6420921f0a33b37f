import { zoneOffset } from './posix'

/** What a device makes of the iCalendar text it was given; written apart from the application's own on purpose. */
interface Weekly {
  start: number
  end: number
  days: Set<string>
}

const codes = ['SU', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA']

function weekly(standard: string): Weekly[] {
  return standard
    .split('BEGIN:VEVENT')
    .slice(1)
    .map((block) => {
      const start = /DTSTART:(\d{8})T(\d\d)(\d\d)/.exec(block)
      const end = /DTEND:(\d{8})T(\d\d)(\d\d)/.exec(block)
      const minute = (m: RegExpExecArray | null) => Number(m?.[2] ?? 0) * 60 + Number(m?.[3] ?? 0)
      const across = start?.[1] !== end?.[1] ? 1440 : 0
      return {
        start: minute(start),
        end: minute(end) + across,
        days: new Set((/BYDAY=([A-Z,]+)/.exec(block)?.[1] ?? '').split(',')),
      }
    })
}

export interface LocalTime {
  date: string
  weekday: number
  minute: number
}

export function localTime(ms: number, zone: string): LocalTime {
  const local = new Date(ms + zoneOffset(zone, ms) * 60000)
  return {
    date: local.toISOString().slice(0, 10),
    weekday: local.getUTCDay(),
    minute: local.getUTCHours() * 60 + local.getUTCMinutes(),
  }
}

const dayMs = 86_400_000
const dayOf = (compact: string) =>
  Date.UTC(Number(compact.slice(0, 4)), Number(compact.slice(4, 6)) - 1, Number(compact.slice(6, 8)))

/** Whether the whole-day events of a text cover a date, those of every year by counting on from each year's own beginning. */
export function daysCover(text: string, date: string): boolean {
  const asked = dayOf(date.replaceAll('-', ''))
  return text
    .split('BEGIN:VEVENT')
    .slice(1)
    .some((block) => {
      const start = /DTSTART[^:]*:(\d{8})/.exec(block)?.[1]
      if (!start) return false
      const first = dayOf(start)
      const end = /DTEND[^:]*:(\d{8})/.exec(block)?.[1]
      const days = end ? Math.round((dayOf(end) - first) / dayMs) : 1
      const years = /RRULE:[^\r\n]*FREQ=YEARLY/.test(block) ? [-1, 0] : [null]
      return years.some((back) => {
        const begins = back === null ? first : dayOf(`${Number(date.slice(0, 4)) + back}${start.slice(4)}`)
        // A 29 February that a year has not is no beginning.
        const there = new Date(begins).toISOString().slice(5, 10).replace('-', '') === start.slice(4)
        return there && begins >= first && asked >= begins && asked < begins + days * dayMs
      })
    })
}

const hm = (t: string) => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5))

/** Ranges that replace the week on a date; undefined where nothing does. */
export type Specials = (date: string) => { from: string; until: string }[] | undefined

/** Whether a schedule with its special days is in force. */
export function inForce(standard: string, specials: Specials, now: LocalTime): boolean {
  const yesterday = new Date(Date.parse(`${now.date}T12:00:00Z`) - 86_400_000).toISOString().slice(0, 10)
  return (
    dayCovers(standard, specials, now.date, now.weekday, now.minute) ||
    dayCovers(standard, specials, yesterday, (now.weekday + 6) % 7, now.minute + 1440)
  )
}

function dayCovers(standard: string, specials: Specials, date: string, weekday: number, minute: number): boolean {
  const special = specials(date)
  if (special)
    return special.some((r) => {
      const from = hm(r.from)
      const until = r.until === '' ? 1440 : hm(r.until)
      return minute >= from && minute < (until <= from ? until + 1440 : until)
    })
  return weekly(standard).some((w) => w.days.has(codes[weekday] ?? '') && minute >= w.start && minute < w.end)
}
