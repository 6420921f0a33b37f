/** Local time by a POSIX zone string (IEEE 1003.1), as a device computes it from the rule it was given. */
interface Rule {
  month: number
  week: number
  weekday: number
  minutes: number
}

const offsetMinutes = (text: string) => {
  const match = /^([+-]?)(\d{1,2})(?::(\d\d))?$/.exec(text)
  const value = Number(match?.[2] ?? 0) * 60 + Number(match?.[3] ?? 0)
  return match?.[1] === '-' ? value : -value // POSIX counts west as positive
}

function rule(text: string): Rule {
  const match = /^M(\d+)\.(\d)\.(\d)(?:\/(\d+)(?::(\d\d))?)?$/.exec(text)
  return {
    month: Number(match?.[1] ?? 1),
    week: Number(match?.[2] ?? 1),
    weekday: Number(match?.[3] ?? 0),
    minutes: match?.[4] === undefined ? 120 : Number(match[4]) * 60 + Number(match[5] ?? 0),
  }
}

/** Wall-clock minutes since 1970 at which a rule strikes in a year. */
function strikes(r: Rule, year: number): number {
  const first = new Date(Date.UTC(year, r.month - 1, 1)).getUTCDay()
  let day = 1 + ((r.weekday - first + 7) % 7) + (r.week - 1) * 7
  const days = new Date(Date.UTC(year, r.month, 0)).getUTCDate()
  while (day > days) day -= 7
  return Date.UTC(year, r.month - 1, day) / 60000 + r.minutes
}

/** Minutes east of UTC at an instant. */
export function zoneOffset(zone: string, ms: number): number {
  const match = /^(?:<[^>]+>|[A-Za-z]+)([+-]?[\d:]+)(?:(?:<[^>]+>|[A-Za-z]+)([+-]?[\d:]+)?,([^,]+),([^,]+))?$/.exec(
    zone,
  )
  if (!match) return 0
  const standard = offsetMinutes(match[1] ?? '0')
  if (!match[3] || !match[4]) return standard
  const daylight = match[2] ? offsetMinutes(match[2]) : standard + 60
  const year = new Date(ms + standard * 60000).getUTCFullYear()
  const begins = strikes(rule(match[3]), year) - standard
  const ends = strikes(rule(match[4]), year) - daylight
  const at = ms / 60000
  const summer = begins < ends ? at >= begins && at < ends : at >= begins || at < ends
  return summer ? daylight : standard
}
