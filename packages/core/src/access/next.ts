import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import { jobOf } from '../job/records'
import type { Door } from '../doors/door'
import { schedulesOfDoor } from '../doors/hours'
import { edgesAhead } from '../time/edges'
import { decide, type Decision } from './decide'
import type { Person, PersonCard } from './records'
import { passesDoor, rulesFor, ruleValidity } from './rights'
import { validityOf } from './validity'

/** How far ahead is looked, days: two weeks, so that a weekly pattern is seen whole with a special day in it. */
export const daysAhead = 15

/**
 * The next moment at which somebody's answer at a door changes, with what it is from then on; null where it stays as it is for
 * two weeks, and no day of theirs begins or ends it later. What hangs on who was there before, as who is in already, is not looked at.
 * @param atMs milliseconds since 1970 UTC
 */
export function nextChange(
  facts: Facts,
  person: Person,
  door: Door,
  atMs: number,
  card?: PersonCard,
): { at: number; decision: Decision } | null {
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const now = decide(facts, person, door, atMs, card)
  const rules = rulesFor(facts, person).filter((r) => passesDoor(facts, r, door.id))
  const schedules = [...new Set([...rules.map((r) => r.schedule), ...schedulesOfDoor(door)])].flatMap(
    (id) => facts.schedule[id] ?? [],
  )
  const firstOther = (moments: Iterable<number>) => {
    for (const at of moments) {
      const decision = decide(facts, person, door, at, card)
      if (decision.passes !== now.passes || decision.reason !== now.reason) return [{ at, decision }]
    }
    return []
  }
  const own = [validityOf(person, zone), ...rules.map((r) => ruleValidity(facts, r))]
    .flatMap(({ from, until }) => [from, until])
    .filter((at) => at !== undefined && at > atMs) as number[]
  const found = [
    ...firstOther(edgesAhead(schedules, all(facts, 'specialDay'), atMs, daysAhead, zone)),
    ...firstOther(own.sort((a, b) => a - b)),
  ]
  return found.sort((a, b) => a.at - b.at)[0] ?? null
}

/** Everybody who may come in at a door at a moment, in the order of their names. */
export const whoPasses = (facts: Facts, door: Door, atMs: number): Person[] =>
  all(facts, 'person')
    .filter((person) => decide(facts, person, door, atMs).passes)
    .sort((a, b) => a.name.localeCompare(b.name))

/** Every door that somebody may come in at at a moment, in the order of their references. */
export const whereTo = (facts: Facts, person: Person, atMs: number): Door[] =>
  all(facts, 'door')
    .filter((door) => decide(facts, person, door, atMs).passes)
    .sort(byRef)
