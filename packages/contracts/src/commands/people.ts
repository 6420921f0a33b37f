import {
  all,
  cardFault,
  cardName,
  drop,
  ownerOf,
  periodFault,
  put,
  sameCard,
  type StoredCard,
  type Change,
  type Facts,
  type Group,
  type Person,
  type Rule,
  type Schedule,
  type SpecialDay,
  type TestCards,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, name, object, Refusal, text } from './command'

const card = {
  format: { type: 'string', maxLength: 40 },
  facility: { type: 'integer' },
  number: { type: 'integer' },
  serial: { type: 'string', maxLength: 40 },
} as const
const optionalOfCard = ['format', 'serial'] as const

function checkCard(facts: Facts, c: StoredCard, person: string, field: string): void {
  const fault = cardFault(c)
  if (fault) throw new Refusal(fault, field)
  const owner = ownerOf(facts, c, person)
  if (owner) throw new Refusal(`Card ${cardName(c)} already belongs to ${owner}.`, field)
}

export const personPut = defineCommand<Person>()({
  name: 'person.put',
  roles: everyFitter,
  schema: object({
    id,
    number: text,
    name,
    cards: {
      type: 'array',
      maxItems: 10,
      items: object({ id, ...card, state: { enum: ['in use', 'lost'] } }, optionalOfCard),
    },
    groups: { type: 'array', items: id, maxItems: 50 },
  }),
  apply(facts, p) {
    const twin = p.number && all(facts, 'person').find((x) => x.number === p.number && x.id !== p.id)
    if (twin) throw new Refusal(`Number ${p.number} already belongs to ${twin.name}.`, 'number')
    for (const [i, c] of p.cards.entries()) {
      checkCard(facts, c, p.id, `cards.${i}`)
      if (p.cards.findIndex((x) => sameCard(x, c)) !== i)
        throw new Refusal(`Card ${cardName(c)} stands twice.`, `cards.${i}`)
      const kit = facts.testCards['kit']
      if (kit && [kit.good, kit.lost, kit.outOfHours, kit.unknown].some((t) => sameCard(t, c)))
        throw new Refusal(`Card ${cardName(c)} is one of the test cards.`, `cards.${i}`)
    }
    for (const group of p.groups) existing(facts.group[group], 'group', group)
    return [put(facts, 'person', p)]
  },
  words: (f, p) => `${f.person[p.id] ? 'Changed' : 'Added'} ${p.name}`,
})

export const personRemove = defineCommand<{ id: string }>()({
  name: 'person.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => (existing(facts.person[p.id], 'person', p.id), drop(facts, 'person', p.id)),
  words: (f, p) => `Removed ${f.person[p.id]?.name ?? ''}; the rules of their groups stay`,
})

export const groupPut = defineCommand<Group>()({
  name: 'group.put',
  roles: everyFitter,
  schema: object({ id, name }),
  apply: (facts, p) => [put(facts, 'group', p)],
  words: (_f, p) => `Group ${p.name}`,
})

/** Takes rules away with what they hang on. */
const withRules = (facts: Facts, which: (rule: Rule) => boolean): Change[] =>
  all(facts, 'rule')
    .filter(which)
    .flatMap((rule) => drop(facts, 'rule', rule.id))

export const groupRemove = defineCommand<{ id: string }>()({
  name: 'group.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p) {
    existing(facts.group[p.id], 'group', p.id)
    const members = all(facts, 'person').filter((x) => x.groups.includes(p.id))
    return [
      ...members.map((x) => put(facts, 'person', { ...x, groups: x.groups.filter((g) => g !== p.id) })),
      ...withRules(facts, (r) => r.group === p.id),
      ...drop(facts, 'group', p.id),
    ]
  },
  words: (f, p) => `Removed group ${f.group[p.id]?.name ?? ''} from its people, with its rules`,
})

export const rulePut = defineCommand<Rule>()({
  name: 'rule.put',
  roles: everyFitter,
  schema: object({ id, group: id, doors: { type: 'array', items: id, minItems: 1, maxItems: 1000 }, schedule: id }),
  apply(facts, p) {
    existing(facts.group[p.group], 'group', p.group)
    existing(facts.schedule[p.schedule], 'schedule', p.schedule)
    for (const door of p.doors) existing(facts.door[door], 'door', door)
    return [put(facts, 'rule', p)]
  },
  words: (f, p) =>
    `${f.group[p.group]?.name ?? ''} pass ${p.doors.map((d) => f.door[d]?.ref ?? d).join(', ')} on ${f.schedule[p.schedule]?.name ?? ''}`,
})

export const ruleRemove = defineCommand<{ id: string }>()({
  name: 'rule.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => (existing(facts.rule[p.id], 'rule', p.id), drop(facts, 'rule', p.id)),
  words: (f, p) => `Removed the rule for ${f.group[f.rule[p.id]?.group ?? '']?.name ?? ''}`,
})

const time = { type: 'string', maxLength: 5 } as const
export const schedulePut = defineCommand<Schedule>()({
  name: 'schedule.put',
  roles: everyFitter,
  schema: object({
    id,
    name,
    periods: {
      type: 'array',
      maxItems: 30,
      items: object({
        days: { type: 'array', items: { type: 'integer', minimum: 1, maximum: 7 }, uniqueItems: true },
        from: time,
        to: time,
      }),
    },
  }),
  apply(facts, p) {
    for (const [i, period] of p.periods.entries()) {
      const fault = periodFault(period)
      if (fault) throw new Refusal(fault, `periods.${i}`)
    }
    return [put(facts, 'schedule', p)]
  },
  words: (_f, p) => `Schedule ${p.name}`,
})

export const scheduleRemove = defineCommand<{ id: string }>()({
  name: 'schedule.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p) {
    existing(facts.schedule[p.id], 'schedule', p.id)
    return [...withRules(facts, (r) => r.schedule === p.id), ...drop(facts, 'schedule', p.id)]
  },
  words: (f, p) => `Removed schedule ${f.schedule[p.id]?.name ?? ''}, with the rules on it`,
})

export const specialDayRemove = defineCommand<{ id: string }>()({
  name: 'specialDay.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => (existing(facts.specialDay[p.id], 'special day', p.id), drop(facts, 'specialDay', p.id)),
  words: (f, p) => `Removed special day ${f.specialDay[p.id]?.date ?? ''}`,
})

export const specialDayPut = defineCommand<SpecialDay>()({
  name: 'specialDay.put',
  roles: everyFitter,
  schema: object({
    id,
    name,
    date: { type: 'string', format: 'date' },
    periods: { type: 'array', maxItems: 10, items: object({ from: time, to: time }) },
  }),
  apply(facts, p) {
    for (const [i, period] of p.periods.entries()) {
      const fault = periodFault(period)
      if (fault) throw new Refusal(fault, `periods.${i}`)
    }
    return [put(facts, 'specialDay', p)]
  },
  words: (_f, p) => `Special day ${p.date} ${p.name}`,
})

export const testCardsPut = defineCommand<TestCards>()({
  name: 'testCards.put',
  roles: everyFitter,
  schema: object({
    id: { const: 'kit' },
    good: object(card, optionalOfCard),
    lost: object(card, optionalOfCard),
    outOfHours: object(card, optionalOfCard),
    unknown: object(card, optionalOfCard),
  }),
  apply(facts, p) {
    const cards = { good: p.good, lost: p.lost, outOfHours: p.outOfHours, unknown: p.unknown }
    for (const [key, c] of Object.entries(cards)) checkCard(facts, c, '', key)
    if (new Set(Object.values(cards).map((c) => cardName(c))).size < 4)
      throw new Refusal('The four test cards must be four different cards.')
    return [put(facts, 'testCards', p)]
  },
  words: () => 'Set the test cards',
})
