import {
  all,
  drop,
  hangingOn,
  limitWords,
  membersProfile,
  ownProfile,
  put,
  ruleFault,
  whereWords,
  whoWords,
  type DoorSet,
  type Rule,
} from '@rauta/core'
import { day, defineCommand, everyFitter, existing, id, name, object, Refusal } from './command'

const doors = { type: 'array', items: id, maxItems: 1000, uniqueItems: true } as const

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
    const fault = ruleFault(p)
    if (fault) throw new Refusal(fault.says, fault.field)
    if (p.group !== undefined) existing(facts.group[p.group], 'group', p.group)
    if (p.person !== undefined) existing(facts.person[p.person], 'person', p.person)
    existing(facts.schedule[p.schedule], 'schedule', p.schedule)
    for (const door of p.doors) existing(facts.door[door], 'door', door)
    for (const set of p.sets ?? []) existing(facts.doorSet[set], 'set of doors', set)
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
  [ownProfile, membersProfile]
    .filter((taken) => group.startsWith(taken))
    .map((taken) => `A group’s id can’t begin with ${taken}`)[0] ?? null
