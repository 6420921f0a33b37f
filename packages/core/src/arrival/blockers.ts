import { doorsOfRule, rulesFor, ruleValidAt } from '../access/rights'
import type { Person } from '../access/records'
import { validityAt } from '../access/validity'
import type { Facts } from '../job/facts'
import { jobOf } from '../job/records'

/** Why somebody passes nowhere, whatever the devices hold. */
export interface Blocker {
  code: 'noCard' | 'noCardInUse' | 'notYet' | 'expired' | 'noGroup' | 'noRule' | 'rightsEnded'
  says: string
}

/** Every reason for which somebody passes nowhere: of their cards, their days, their groups. @param atMs ms since 1970 UTC */
export function blockersOf(facts: Facts, person: Person, atMs: number): Blocker[] {
  return [ofCards(person), ofDays(facts, person, atMs), ofRules(facts, person, atMs)].filter((b) => b !== null)
}

/** The first of them, or null. */
export const blockerOf = (facts: Facts, person: Person, atMs: number): Blocker | null =>
  blockersOf(facts, person, atMs)[0] ?? null

function ofCards({ cards, code }: Person): Blocker | null {
  if (code !== undefined) return null
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

function ofRules(facts: Facts, person: Person, atMs: number): Blocker | null {
  const rules = rulesFor(facts, person).filter((r) => doorsOfRule(facts, r).length > 0)
  if (rules.length === 0)
    return person.groups.length === 0
      ? { code: 'noGroup', says: 'In no group, and no right of their own.' }
      : { code: 'noRule', says: 'No rule lets their groups pass any door.' }
  return rules.some((r) => ruleValidAt(facts, r, atMs) !== 'expired')
    ? null
    : { code: 'rightsEnded', says: 'Every right of theirs has ended.' }
}
