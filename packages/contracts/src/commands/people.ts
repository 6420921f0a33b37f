import {
  all,
  cardName,
  cardStates,
  doorsRunning,
  drop,
  kitCards,
  mostCards,
  periodFault,
  personDetails,
  groupFault,
  put,
  sameCard,
  specialDayFault,
  specialDayWords,
  validityFault,
  type Change,
  type Facts,
  type Group,
  type Person,
  type PersonCard,
  type PersonDetail,
  type Rule,
  type Schedule,
  type SpecialDay,
  type TestCards,
} from '@rauta/core'
import { card, checkCard, checkPersonCard, optionalOfCard } from './cards'
import { checkCodes, checkTestCodes, digits } from './codes'
import { withReactions } from './reactions'
import { groupIdFault } from './rights'
import { day, defineCommand, everyFitter, existing, flag, id, name, object, Refusal, text } from './command'

/** What a person has besides cards and groups; the same for a form and for a row of a list. */
export const detailSchemas = {
  company: { type: 'string', minLength: 1, maxLength: 120 },
  contact: { type: 'string', minLength: 1, maxLength: 120 },
  remark: { type: 'string', minLength: 1, maxLength: 500 },
  validFrom: day,
  validUntil: day,
  longer: flag,
} as const satisfies Record<PersonDetail, object>

/** Cards that somebody was given while others had their form open, and that are not typed there as well. */
const cameMeanwhile = (
  before: Person | undefined,
  typed: readonly PersonCard[],
  knew: readonly string[] | undefined,
) =>
  knew
    ? (before?.cards ?? []).filter((c) => !knew.includes(c.id) && !typed.some((x) => x.id === c.id || sameCard(x, c)))
    : []

/** @property knew ids of the cards that whoever sends it had seen: others that came meanwhile stay */
export const personPut = defineCommand<Omit<Person, 'past'> & { knew?: string[] }>()({
  name: 'person.put',
  roles: everyFitter,
  schema: object(
    {
      id,
      number: text,
      name,
      cards: {
        type: 'array',
        maxItems: mostCards,
        items: object({ id, ...card, state: { enum: cardStates } }, optionalOfCard),
      },
      groups: { type: 'array', items: id, maxItems: 50, uniqueItems: true },
      ...detailSchemas,
      code: digits,
      duress: digits,
      knew: { type: 'array', items: id, maxItems: 100 },
    },
    [...personDetails, 'code', 'duress', 'knew'],
  ),
  apply(facts, { knew, ...p }) {
    const cards = [...p.cards, ...cameMeanwhile(facts.person[p.id], p.cards, knew)]
    if (cards.length > mostCards) throw new Refusal(`${p.name} would have more than ${mostCards} cards.`, 'cards')
    const twin = p.number && all(facts, 'person').find((x) => x.number === p.number && x.id !== p.id)
    if (twin) throw new Refusal(`Number ${p.number} already belongs to ${twin.name}.`, 'number')
    const validity = validityFault(p)
    if (validity) throw new Refusal(validity.says, validity.field)
    for (const [i, c] of p.cards.entries()) {
      checkPersonCard(facts, c, p.id, `cards.${i}`)
      if (p.cards.findIndex((x) => sameCard(x, c)) !== i)
        throw new Refusal(`Card ${cardName(c)} stands twice.`, `cards.${i}`)
      if (p.cards.findIndex((x) => x.id === c.id) !== i) throw new Refusal('Two cards have one id.', `cards.${i}`)
    }
    for (const group of p.groups) existing(facts.group[group], 'group', group)
    checkCodes(facts, p)
    const past = facts.person[p.id]?.past
    return [put(facts, 'person', { ...p, cards, ...(past ? { past } : {}) })]
  },
  words: (f, p) => `${f.person[p.id] ? 'Changed' : 'Added'} ${p.name}`,
})

export const personRemove = defineCommand<{ id: string }>()({
  name: 'person.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p) {
    existing(facts.person[p.id], 'person', p.id)
    return [...withRules(facts, (r) => r.person === p.id), ...drop(facts, 'person', p.id)]
  },
  words: (f, p) => `Removed ${f.person[p.id]?.name ?? ''} with their own rights; the rules of their groups stay`,
})

export const groupPut = defineCommand<Group>()({
  name: 'group.put',
  roles: everyFitter,
  schema: object({ id, name, parent: id }, ['parent']),
  apply(facts, p) {
    const ownFault = groupIdFault(p.id)
    if (ownFault) throw new Refusal(ownFault, 'id')
    const fault = groupFault(facts.group, p)
    if (fault) throw new Refusal(fault, 'parent')
    const twin = all(facts, 'group').find(
      (g) => g.id !== p.id && g.parent === p.parent && g.name.toLowerCase() === p.name.toLowerCase(),
    )
    if (twin) throw new Refusal(`There is a group ${twin.name} there already.`, 'name')
    return [put(facts, 'group', p)]
  },
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
    const inside = all(facts, 'group').find((g) => g.parent === p.id)
    if (inside) throw new Refusal(`${inside.name} is in it. Take that away first, or put it elsewhere.`)
    const members = all(facts, 'person').filter((x) => x.groups.includes(p.id))
    return [
      ...members.map((x) => put(facts, 'person', { ...x, groups: x.groups.filter((g) => g !== p.id) })),
      ...withRules(facts, (r) => r.group === p.id),
      ...withReactions(facts, (r) => r.group === p.id),
      ...drop(facts, 'group', p.id),
    ]
  },
  words: (f, p) => `Removed group ${f.group[p.id]?.name ?? ''} from its people, with its rules`,
})

const time = { type: 'string', maxLength: 5 } as const
export const schedulePut = defineCommand<Schedule>()({
  name: 'schedule.put',
  roles: everyFitter,
  schema: object(
    {
      id,
      name,
      everyDay: { const: true },
      periods: {
        type: 'array',
        maxItems: 30,
        items: object({
          days: { type: 'array', items: { type: 'integer', minimum: 1, maximum: 7 }, uniqueItems: true },
          from: time,
          to: time,
        }),
      },
    },
    ['everyDay'],
  ),
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
    const doors = doorsRunning(facts, p.id).map((door) => {
      const behaviour = { ...door.behaviour }
      if (behaviour.freeOn === p.id) {
        delete behaviour.freeOn
        delete behaviour.firstPerson
      }
      if (behaviour.barredOn === p.id) delete behaviour.barredOn
      return put(facts, 'door', { ...door, behaviour })
    })
    const days = all(facts, 'specialDay').flatMap((day) => {
      if (!day.schedules?.includes(p.id)) return []
      const schedules = day.schedules.filter((s) => s !== p.id)
      return schedules.length ? [put(facts, 'specialDay', { ...day, schedules })] : drop(facts, 'specialDay', day.id)
    })
    return [
      ...withRules(facts, (r) => r.schedule === p.id),
      ...withReactions(facts, (r) => r.schedule === p.id),
      ...doors,
      ...days,
      ...drop(facts, 'schedule', p.id),
    ]
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
  schema: object(
    {
      id,
      name,
      date: { type: 'string', format: 'date' },
      periods: { type: 'array', maxItems: 10, items: object({ from: time, to: time }) },
      until: { type: 'string', format: 'date' },
      yearly: { const: true },
      schedules: { type: 'array', items: id, maxItems: 200, uniqueItems: true },
    },
    ['until', 'yearly', 'schedules'],
  ),
  apply(facts, p) {
    const wrong = specialDayFault(p, all(facts, 'specialDay'))
    if (wrong) throw new Refusal(wrong.says, wrong.field)
    for (const schedule of p.schedules ?? []) existing(facts.schedule[schedule], 'schedule', schedule)
    for (const [i, period] of p.periods.entries()) {
      const fault = periodFault(period)
      if (fault) throw new Refusal(fault, `periods.${i}`)
    }
    return [put(facts, 'specialDay', p)]
  },
  words: (_f, p) => `Special day ${specialDayWords(p)} ${p.name}`,
})

export const testCardsPut = defineCommand<TestCards>()({
  name: 'testCards.put',
  roles: everyFitter,
  schema: object(
    {
      id: { const: 'kit' },
      good: object(card, optionalOfCard),
      lost: object(card, optionalOfCard),
      outOfHours: object(card, optionalOfCard),
      unknown: object(card, optionalOfCard),
      expired: object(card, optionalOfCard),
      ended: object(card, optionalOfCard),
      longer: object(card, optionalOfCard),
      second: object(card, optionalOfCard),
      codes: object({ good: digits, duress: digits, unknown: digits }),
    },
    ['expired', 'ended', 'longer', 'second', 'codes'],
  ),
  apply(facts, p) {
    const cards = kitCards(p)
    for (const [key, c] of cards) checkCard(facts, c, '', key)
    const twice = cards.find(([, c], i) => cards.findIndex(([, other]) => cardName(other) === cardName(c)) !== i)
    if (twice) throw new Refusal(`Card ${cardName(twice[1])} stands twice: each test card is another card.`, twice[0])
    checkTestCodes(facts, p.codes)
    return [put(facts, 'testCards', p)]
  },
  words: () => 'Set the test cards',
})
