import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { groupPath, groupsPassed } from './groups'
import type { Person, Rule } from './records'
import { validityAt, validityFault, validityOf, type Validity } from './validity'

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

/** Whether a rule passes a door, by itself or as one of a set. */
export const passesDoor = (facts: Facts, rule: Rule, door: string): boolean => doorsOfRule(facts, rule).includes(door)

/** The rules that pass a door. */
export const rulesAt = (facts: Facts, door: string): Rule[] =>
  all(facts, 'rule').filter((rule) => passesDoor(facts, rule, door))

/** Rules by whom they are for, so that thousands of people can be asked about. */
export class RulesByHolder {
  private readonly byHolder = new Map<string, Rule[]>()
  private readonly order: ReadonlyMap<Rule, number>
  constructor(rules: readonly Rule[]) {
    this.order = new Map(rules.map((rule, i) => [rule, i]))
    for (const rule of rules) {
      const holder = rule.group === undefined ? ofPerson(rule.person ?? '') : ofGroup(rule.group)
      const theirs = this.byHolder.get(holder)
      if (theirs) theirs.push(rule)
      else this.byHolder.set(holder, [rule])
    }
  }

  /** Those by which somebody passes, of their groups and their own, in the order in which all of them came. */
  of(groups: Facts['group'], person: Person): Rule[] {
    const place = (rule: Rule) => this.order.get(rule) ?? 0
    return [...groupsPassed(groups, person.groups).map(ofGroup), ofPerson(person.id)]
      .flatMap((holder) => this.byHolder.get(holder) ?? [])
      .sort((a, b) => place(a) - place(b))
  }
}
const ofGroup = (id: string): string => `group ${id}`
const ofPerson = (id: string): string => `person ${id}`

const byHolder = new WeakMap<Facts['rule'], RulesByHolder>()

/** Rules by which somebody passes: those of their groups, and their own. */
export function rulesFor(facts: Facts, person: Person): Rule[] {
  let rules = byHolder.get(facts.rule)
  if (!rules) byHolder.set(facts.rule, (rules = new RulesByHolder(all(facts, 'rule'))))
  return rules.of(facts.group, person)
}

/** What is wrong with a rule by itself, whatever else there is, or null. */
export function ruleFault(rule: Rule): { field: string; says: string } | null {
  const { group, person, doors, sets = [] } = rule
  if ((group === undefined) === (person === undefined))
    return {
      field: group === undefined ? 'group' : 'person',
      says: 'A rule is for a group or for one person: say one of them.',
    }
  if (doors.length + sets.length === 0) return { field: 'doors', says: 'Choose a door, or a set of doors.' }
  return validityFault(rule)
}

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
