import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { scheduleActive } from '../time/schedule'
import type { Behaviour, Door } from './door'

/** How a door stands by its own hours: free for everybody, as the people's rights say, or barred for whoever comes in. */
export const doorHours = ['free', 'controlled', 'barred'] as const
export type DoorHours = (typeof doorHours)[number]

/** How a door is made to stand for a test, as though its hours said so; `first` is free once somebody with a right has come. */
export const rehearsals = [...doorHours, 'first'] as const
export type Rehearsal = (typeof rehearsals)[number]

export const hasOwnHours = ({ freeOn, barredOn }: Behaviour): boolean => freeOn !== undefined || barredOn !== undefined

/** Schedules that a door runs by itself. */
export const schedulesOfDoor = ({ behaviour: { freeOn, barredOn } }: Door): string[] =>
  [freeOn, barredOn].flatMap((id) => (id === undefined ? [] : [id]))

/**
 * What a door's own hours say at a moment; barred goes before free. Whether the first person has come is not looked at.
 * @param atMs milliseconds since 1970 UTC
 */
export function hoursAt(facts: Facts, { behaviour }: Door, atMs: number): DoorHours {
  if (scheduleOn(facts, behaviour.barredOn, atMs)) return 'barred'
  return scheduleOn(facts, behaviour.freeOn, atMs) ? 'free' : 'controlled'
}

/** Whether a schedule is in force by the site's clock; one that is not there never is. @param atMs milliseconds since 1970 UTC */
export function scheduleOn(facts: Facts, id: string | undefined, atMs: number): boolean {
  const schedule = id === undefined ? undefined : facts.schedule[id]
  const zone = jobOf(facts)?.zone ?? 'UTC'
  return schedule !== undefined && scheduleActive(schedule, all(facts, 'specialDay'), atMs, zone)
}

/** Doors that run a schedule by themselves. */
export const doorsRunning = (facts: Facts, schedule: string): Door[] =>
  all(facts, 'door').filter((door) => schedulesOfDoor(door).includes(schedule))
