import { all } from '../job/facts'
import { reactionsBy } from '../reactions/records'
import { doorsRunning } from '../doors/hours'
import { recordKind } from '../job/kind'
import type { Schedule } from '../time/schedule'
import type { SpecialDay } from '../time/specialDays'
import type { DoorSet, Group, Person, Rule, TestCards } from './records'
import { groupsUpwards } from './groups'
import { doorsOfRule, rulesFor } from './rights'
import { controllersOf, controllersWith } from './reaching'

declare module '../job/facts' {
  interface RecordTypes {
    person: Person
    group: Group
    rule: Rule
    doorSet: DoorSet
    schedule: Schedule
    specialDay: SpecialDay
    testCards: TestCards
  }
}

export const personKind = recordKind('person', {
  fields: {
    id: 'text',
    number: 'text',
    name: 'text',
    cards: 'list',
    groups: 'list',
    company: 'text?',
    contact: 'text?',
    remark: 'text?',
    validFrom: 'text?',
    validUntil: 'text?',
    longer: 'flag?',
    code: 'text?',
    duress: 'text?',
    past: 'list?',
  },
  touches: (person, facts) => ({
    access: controllersOf(
      facts,
      rulesFor(facts, person).flatMap((rule) => doorsOfRule(facts, rule)),
    ),
  }),
})
export const groupKind = recordKind('group', {
  fields: { id: 'text', name: 'text', parent: 'text?' },
  touches({ id }, facts) {
    const passed = new Set(groupsUpwards(facts.group, id))
    const asking = reactionsBy(facts, (r) => r.group !== undefined && passed.has(r.group))
    return {
      access: [
        ...controllersWith(facts, (rule) => rule.group !== undefined && passed.has(rule.group)),
        ...controllersOf(facts, asking),
      ],
    }
  },
})
export const ruleKind = recordKind('rule', {
  fields: {
    id: 'text',
    group: 'text?',
    person: 'text?',
    doors: 'list',
    sets: 'list?',
    schedule: 'text',
    validFrom: 'text?',
    validUntil: 'text?',
  },
  touches(rule, facts) {
    const doors = [...doorsOfRule(facts, rule)]
    return { doors, access: controllersOf(facts, doors) }
  },
})
export const doorSetKind = recordKind('doorSet', {
  fields: { id: 'text', name: 'text', doors: 'list' },
  touches({ id, doors }, facts) {
    const used = all(facts, 'rule').some((rule) => rule.sets?.includes(id))
    return used ? { doors, access: controllersOf(facts, doors) } : {}
  },
})
export const scheduleKind = recordKind('schedule', {
  fields: { id: 'text', name: 'text', periods: 'list', everyDay: 'flag?' },
  touches: ({ id }, facts) => ({
    access: [
      ...controllersWith(facts, (rule) => rule.schedule === id),
      ...controllersOf(facts, [
        ...doorsRunning(facts, id).map((d) => d.id),
        ...reactionsBy(facts, (r) => r.schedule === id),
      ]),
    ],
  }),
})
/** It replaces the week of every schedule. */
export const specialDayKind = recordKind('specialDay', {
  fields: {
    id: 'text',
    date: 'text',
    name: 'text',
    periods: 'list',
    until: 'text?',
    yearly: 'flag?',
    schedules: 'list?',
  },
  touches: (_day, facts) => ({ access: all(facts, 'controller').map((c) => c.id) }),
})
/** Every script names them. */
export const testCardsKind = recordKind('testCards', {
  fields: {
    id: 'text',
    good: 'object',
    lost: 'object',
    outOfHours: 'object',
    unknown: 'object',
    expired: 'object?',
    ended: 'object?',
    longer: 'object?',
    second: 'object?',
    codes: 'object?',
  },
  touches: () => ({ everything: true }),
})
