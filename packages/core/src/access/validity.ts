import { addDays } from '../time/dates'
import { minuteText, momentIn } from '../time/wallClock'
import type { Person } from './records'

type Valid = Pick<Person, 'validFrom' | 'validUntil'>

/** From when until when somebody may pass at all, ms since 1970 UTC; `until` is the first moment that counts no more. */
export interface Validity {
  from?: number
  until?: number
}

const asText = /^(\d{4}-\d{2}-\d{2})(?:T(\d{2}:\d{2}))?$/

/** Whether a text is a day, or a day with a time, that the calendar has. */
export function isDay(text: string): boolean {
  const [, date = '', time = '00:00'] = asText.exec(text) ?? []
  const at = Date.parse(`${date}T${time}:00Z`)
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(`${date}T${time}`)
}

/** A day is looked for from its first minute on: a night that puts the clock forward at midnight leaves that minute out. */
function firstMoment(zone: string, date: string, time: string): number | undefined {
  const [hours = 0, minutes = 0] = time.split(':').map(Number)
  for (let minute = hours * 60 + minutes; minute < 1440; minute++) {
    const at = momentIn(zone, `${date}T${minuteText(minute)}`)
    if (at !== null) return at
  }
  return undefined
}

/**
 * The moments between which somebody may pass, by the site's wall clock. A day without a time counts from its first moment, and, as
 * an end, to its last. @param zone IANA zone
 */
export function validityOf({ validFrom, validUntil }: Valid, zone: string): Validity {
  const moment = (text: string | undefined, end: boolean): number | undefined => {
    const match = text === undefined || !isDay(text) ? null : asText.exec(text)
    if (!match) return undefined
    const [, date = '', time] = match
    if (time) return firstMoment(zone, date, time)
    return firstMoment(zone, end ? addDays(date, 1) : date, '00:00')
  }
  const from = moment(validFrom, false)
  const until = moment(validUntil, true)
  return { ...(from === undefined ? {} : { from }), ...(until === undefined ? {} : { until }) }
}

export type ValidityFault = { field: 'validFrom' | 'validUntil'; says: string }

/** What is wrong with the days between which somebody may pass, or null. */
export function validityFault({ validFrom, validUntil }: Valid): ValidityFault | null {
  for (const [field, text] of Object.entries({ validFrom, validUntil }) as ['validFrom' | 'validUntil', string?][])
    if (text !== undefined && !isDay(text))
      return { field, says: `${text || 'An empty text'} is no day. Write it as 2027-01-31, or as 2027-01-31T16:00.` }
  if (validFrom === undefined || validUntil === undefined) return null
  const { from = 0, until = 0 } = validityOf({ validFrom, validUntil }, 'UTC')
  return until > from
    ? null
    : { field: 'validUntil', says: `It ends ${validUntil}, before it begins ${validFrom}. Nobody could pass.` }
}

/** How somebody stands at a moment. */
export function validityAt(person: Valid, atMs: number, zone: string): 'valid' | 'notYet' | 'expired' {
  if (person.validFrom === undefined && person.validUntil === undefined) return 'valid'
  const { from, until } = validityOf(person, zone)
  if (from !== undefined && atMs < from) return 'notYet'
  return until !== undefined && atMs >= until ? 'expired' : 'valid'
}
