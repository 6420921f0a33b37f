import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { edgesAhead } from '../time/edges'
import { wallText } from '../time/wallClock'
import type { Door } from './door'
import { hasOwnHours, hoursAt, schedulesOfDoor, type DoorHours } from './hours'

/** How a door with hours of its own stands, and until when; null for `until` where it stays so for a week. */
export interface OwnStanding {
  hours: DoorHours
  until: number | null
}

/** @param atMs milliseconds since 1970 UTC */
export function standsNow(facts: Facts, door: Door, atMs: number): OwnStanding | null {
  if (!hasOwnHours(door.behaviour)) return null
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const hours = hoursAt(facts, door, atMs)
  const schedules = schedulesOfDoor(door).flatMap((id) => facts.schedule[id] ?? [])
  for (const at of edgesAhead(schedules, all(facts, 'specialDay'), atMs, 7, zone))
    if (hoursAt(facts, door, at) !== hours) return { hours, until: at }
  return { hours, until: null }
}

const standingWords: Readonly<Record<DoorHours, string>> = {
  free: 'free for everybody',
  controlled: 'for those with a right',
  barred: 'barred for whoever comes in',
}

/** The same in words; empty for a door that has no hours of its own. */
export function standsNowWords(facts: Facts, door: Door, atMs: number): string {
  const stands = standsNow(facts, door, atMs)
  if (!stands) return ''
  const first = stands.hours === 'free' && door.behaviour.firstPerson ? ', once somebody with a right has come in' : ''
  const until = stands.until === null ? '' : ` until ${wallText(stands.until, jobOf(facts)?.zone ?? 'UTC')}`
  return `By its own hours it is ${standingWords[stands.hours]}${first}${until}.`
}
