import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { groupPath, groupsPassed } from './groups'
import type { Person, Rule } from './records'
import { validityAt, validityOf, type Validity } from './validity'

const kept = new WeakMap<Facts['doorSet'], WeakMap<Rule, readonly string[]>>()

/** Ids of the doors that a rule passes: those that it names, and those of its sets; each once. */
export function doorsOfRule(facts: Facts, rule: Rule): readonly string[] {
  if (!rule.sets?.length) return rule.doors
  let known = kept.get(facts.doorSet)
  if (!known) kept.set(facts.doorSet, (known = new WeakMap()))
  let doors = known.get(rule)
  if (!doors)
    known.set(
      rule,
      (doors = [...new Set([...rule.doors, ...rule.sets.flatMap((set) => facts.doorSet[set]?.doors ?? [])])]),
    )
  return doors
}

/** Rules by which somebody passes: those of their groups, and their own. */
export function rulesFor(facts: Facts, person: Person): Rule[] {
  const groups = new Set(groupsPassed(facts.group, person.groups))
  return all(facts, 'rule').filter((rule) => isFor(rule, person, groups))
}

const isFor = (rule: Rule, person: Person, groups: ReadonlySet<string>): boolean =>
  rule.group === undefined ? rule.person === person.id : groups.has(rule.group)

/** Whether a rule begins or ends by itself. */
export const isLimited = ({ validFrom, validUntil }: Rule): boolean =>
  validFrom !== undefined || validUntil !== undefined

/** What a device knows a rule's doors and schedule by: its group's name where it holds for all of the group at all times, else one of its own. */
export const profileOf = (rule: Rule): string =>
  rule.group !== undefined && !isLimited(rule) ? rule.group : `${ownProfile}${rule.id}`

/** What the names of profiles begin with that stand for one rule. */
export const ownProfile = 'right.'

/** The rule that a profile stands for by itself; null where it is a group's. */
export const ruleOfProfile = (facts: Facts, profile: string): Rule | null =>
  profile.startsWith(ownProfile) ? (facts.rule[profile.slice(ownProfile.length)] ?? null) : null

/** Between which moments a rule counts, by the site's clock. */
export const ruleValidity = (facts: Facts, rule: Rule): Validity => validityOf(rule, zoneOf(facts))

/** How a rule stands at a moment. @param atMs ms since 1970 UTC */
export const ruleValidAt = (facts: Facts, rule: Rule, atMs: number): 'valid' | 'notYet' | 'expired' =>
  validityAt(rule, atMs, zoneOf(facts))

const zoneOf = (facts: Facts): string => jobOf(facts)?.zone ?? 'UTC'

/** Whom a rule lets pass: `Staff / Night`, or somebody's name. */
export const whoWords = (facts: Facts, { group, person }: Rule): string =>
  group === undefined ? (facts.person[person ?? '']?.name ?? person ?? '') : groupPath(facts.group, group) || group

/** From when until when: `from 2027-01-04 until 2027-01-31`; empty where always. */
export const limitWords = ({ validFrom, validUntil }: Rule): string =>
  [validFrom === undefined ? '' : `from ${validFrom}`, validUntil === undefined ? '' : `until ${validUntil}`]
    .filter(Boolean)
    .join(' ')
    .replaceAll('T', ' ')

/** Which doors a rule names, its sets first: `Staff doors, Q-01, Q-02`. */
export const whereWords = (facts: Facts, { sets = [], doors }: Rule): string =>
  [...sets.map((s) => facts.doorSet[s]?.name ?? s), ...doors.map((d) => facts.door[d]?.ref ?? d)].join(', ')
