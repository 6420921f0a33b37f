import { groupsPassed } from '../access/groups'
import type { Person } from '../access/records'
import { validityAt } from '../access/validity'
import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'

/** Why somebody passes nowhere, whatever the devices hold. */
export interface Blocker {
  code: 'noCard' | 'noCardInUse' | 'notYet' | 'expired' | 'noGroup' | 'noRule'
  says: string
}

const ruled = new WeakMap<Facts['rule'], ReadonlySet<string>>()
/** Groups that some rule lets pass some door. */
function groupsWithRules(facts: Facts): ReadonlySet<string> {
  let found = ruled.get(facts.rule)
  if (!found)
    ruled.set(facts.rule, (found = new Set(all(facts, 'rule').flatMap((r) => (r.doors.length ? [r.group] : [])))))
  return found
}

/** Every reason for which somebody passes nowhere: of their cards, their days, their groups. @param atMs ms since 1970 UTC */
export function blockersOf(facts: Facts, person: Person, atMs: number): Blocker[] {
  return [ofCards(person), ofDays(facts, person, atMs), ofGroups(facts, person)].filter((b) => b !== null)
}

/** The first of them, or null. */
export const blockerOf = (facts: Facts, person: Person, atMs: number): Blocker | null =>
  blockersOf(facts, person, atMs)[0] ?? null

function ofCards({ cards }: Person): Blocker | null {
  if (cards.length === 0) return { code: 'noCard', says: 'No card.' }
  return cards.some((c) => c.state === 'in use')
    ? null
    : { code: 'noCardInUse', says: 'Every card is lost or withdrawn.' }
}

function ofDays(facts: Facts, person: Person, atMs: number): Blocker | null {
  const validity = validityAt(person, atMs, jobOf(facts)?.zone ?? 'UTC')
  if (validity === 'expired') return { code: 'expired', says: `The time ended ${person.validUntil}.` }
  return validity === 'notYet' ? { code: 'notYet', says: `Valid from ${person.validFrom} on.` } : null
}

function ofGroups(facts: Facts, { groups }: Person): Blocker | null {
  if (groups.length === 0) return { code: 'noGroup', says: 'In no group.' }
  return groupsPassed(facts.group, groups).some((g) => groupsWithRules(facts).has(g))
    ? null
    : { code: 'noRule', says: 'No rule lets their groups pass any door.' }
}
