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
  return {
    date,
    weekday: new Date(`${date}T12:00:00Z`).getUTCDay() || 7,
    minute: Number(part['hour']) * 60 + Number(part['minute']),
  }
}

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

/** What the clock at a place shows, for people: `Monday 2027-01-04 08:15`. */
export function wallText(atMs: number, zone: string): string {
  const { date, weekday, minute } = wallClock(atMs, zone)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${weekdays[weekday - 1]} ${date} ${two(Math.floor(minute / 60))}:${two(minute % 60)}`
}
