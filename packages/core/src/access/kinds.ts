import { all } from '../job/facts'
import { doorsRunning } from '../doors/hours'
import { recordKind } from '../job/kind'
import type { Schedule } from '../time/schedule'
import type { SpecialDay } from '../time/specialDays'
import type { Group, Person, Rule, TestCards } from './records'
import { groupsPassed, groupsUpwards } from './groups'
import { controllersOf, controllersWith } from './reaching'

declare module '../job/facts' {
  interface RecordTypes {
    person: Person
    group: Group
    rule: Rule
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
    past: 'list?',
  },
  touches({ groups }, facts) {
    const passed = new Set(groupsPassed(facts.group, groups))
    return { access: controllersWith(facts, (rule) => passed.has(rule.group)) }
  },
})
export const groupKind = recordKind('group', {
  fields: { id: 'text', name: 'text', parent: 'text?' },
  touches({ id }, facts) {
    const passed = new Set(groupsUpwards(facts.group, id))
    return { access: controllersWith(facts, (rule) => passed.has(rule.group)) }
  },
})
export const ruleKind = recordKind('rule', {
  fields: { id: 'text', group: 'text', doors: 'list', schedule: 'text' },
  touches: ({ doors }, facts) => ({ doors, access: controllersOf(facts, doors) }),
})
export const scheduleKind = recordKind('schedule', {
  fields: { id: 'text', name: 'text', periods: 'list', everyDay: 'flag?' },
  touches: ({ id }, facts) => ({
    access: [
      ...controllersWith(facts, (rule) => rule.schedule === id),
      ...controllersOf(
        facts,
        doorsRunning(facts, id).map((d) => d.id),
      ),
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
    longer: 'object?',
    second: 'object?',
  },
  touches: () => ({ everything: true }),
})
