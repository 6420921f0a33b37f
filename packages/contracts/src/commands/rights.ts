import {
  all,
  doorsOfRule,
  drop,
  hangingOn,
  limitWords,
  ownProfile,
  put,
  validityFault,
  whereWords,
  whoWords,
  type DoorSet,
  type Facts,
  type Rule,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, name, object, Refusal } from './command'

const doors = { type: 'array', items: id, maxItems: 1000, uniqueItems: true } as const
const day = { type: 'string', maxLength: 16 } as const

/** Whom a rule is for must be there, and be one: a group, or a person. */
function checkWho(facts: Facts, { group, person }: Rule): void {
  if ((group === undefined) === (person === undefined))
    throw new Refusal(
      'A rule is for a group or for one person: say one of them.',
      group === undefined ? 'group' : 'person',
    )
  if (group !== undefined) existing(facts.group[group], 'group', group)
  if (person !== undefined) existing(facts.person[person], 'person', person)
}

export const rulePut = defineCommand<Rule>()({
  name: 'rule.put',
  roles: everyFitter,
  schema: object(
    {
      id,
      group: id,
      person: id,
      doors,
      sets: { type: 'array', items: id, maxItems: 100, uniqueItems: true },
      schedule: id,
      validFrom: day,
      validUntil: day,
    },
    ['group', 'person', 'sets', 'validFrom', 'validUntil'],
  ),
  apply(facts, p) {
    checkWho(facts, p)
    existing(facts.schedule[p.schedule], 'schedule', p.schedule)
    for (const door of p.doors) existing(facts.door[door], 'door', door)
    for (const set of p.sets ?? []) existing(facts.doorSet[set], 'set of doors', set)
    if (p.doors.length + (p.sets?.length ?? 0) === 0) throw new Refusal('Choose a door, or a set of doors.', 'doors')
    const validity = validityFault(p)
    if (validity) throw new Refusal(validity.says, validity.field)
    return [put(facts, 'rule', p)]
  },
  words: (f, p) =>
    [`${whoWords(f, p)} pass ${whereWords(f, p)} on ${f.schedule[p.schedule]?.name ?? ''}`, limitWords(p)]
      .filter(Boolean)
      .join(', '),
})

export const ruleRemove = defineCommand<{ id: string }>()({
  name: 'rule.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => (existing(facts.rule[p.id], 'rule', p.id), drop(facts, 'rule', p.id)),
  words(f, p) {
    const rule = f.rule[p.id]
    return `Removed the rule for ${rule ? whoWords(f, rule) : ''}`
  },
})

export const doorSetPut = defineCommand<DoorSet>()({
  name: 'doorSet.put',
  roles: everyFitter,
  schema: object({ id, name, doors: { ...doors, minItems: 1 } }),
  apply(facts, p) {
    const twin = all(facts, 'doorSet').find(
      (s) => s.id !== p.id && s.name.toLowerCase() === p.name.trim().toLowerCase(),
    )
    if (twin) throw new Refusal(`There is a set ${twin.name} already.`, 'name')
    for (const door of p.doors) existing(facts.door[door], 'door', door)
    return [put(facts, 'doorSet', { ...p, name: p.name.trim() })]
  },
  words: (f, p) => `Set of doors ${p.name}: ${p.doors.map((d) => f.door[d]?.ref ?? d).join(', ')}`,
})

export const doorSetRemove = defineCommand<{ id: string }>()({
  name: 'doorSet.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p) {
    const set = existing(facts.doorSet[p.id], 'set of doors', p.id)
    const { first } = hangingOn(facts, 'doorSet', p.id)
    if (first) throw new Refusal(`${set.name} stays: ${first}`, 'id')
    return drop(facts, 'doorSet', p.id)
  },
  words: (f, p) => `Removed set of doors ${f.doorSet[p.id]?.name ?? p.id}`,
})

/** Why a group can't have an id: what devices know single rules by. */
export const groupIdFault = (group: string): string | null =>
  group.startsWith(ownProfile) ? `A group’s id can’t begin with ${ownProfile}` : null

/** Whether a rule passes a door through one of its sets. */
export const passesBySet = (facts: Facts, rule: Rule, door: string): boolean =>
  !rule.doors.includes(door) && doorsOfRule(facts, rule).includes(door)
