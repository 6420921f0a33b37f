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

/** The first reason for which somebody passes nowhere, or null. @param atMs ms since 1970 UTC */
export function blockerOf(facts: Facts, person: Person, atMs: number): Blocker | null {
  const inUse = person.cards.filter((c) => c.state === 'in use')
  if (person.cards.length === 0) return { code: 'noCard', says: 'No card.' }
  if (inUse.length === 0) return { code: 'noCardInUse', says: 'Every card is lost or withdrawn.' }
  const validity = validityAt(person, atMs, jobOf(facts)?.zone ?? 'UTC')
  if (validity === 'expired') return { code: 'expired', says: `The time ended ${person.validUntil}.` }
  if (validity === 'notYet') return { code: 'notYet', says: `Valid from ${person.validFrom} on.` }
  if (person.groups.length === 0) return { code: 'noGroup', says: 'In no group.' }
  const passed = groupsPassed(facts.group, person.groups)
  if (!passed.some((g) => groupsWithRules(facts).has(g)))
    return { code: 'noRule', says: 'No rule lets their groups pass any door.' }
  return null
}
