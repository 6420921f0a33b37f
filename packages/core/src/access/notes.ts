import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import type { Schedule } from '../time/schedule'
import { groupsPassed } from './groups'
import { doorsOfRule, passesDoor, whoWords } from './rights'

/** Something about groups and rules as a whole that somebody should look at. */
export interface AccessNote {
  /** `everything`: a group passes every door at any time; `noMember`: a rule for a group with nobody in it; `noTime`: a rule on a schedule without hours; `noRule`: doors that nobody passes. */
  code: 'everything' | 'noMember' | 'noTime' | 'noRule'
  /** Id of the rule; empty where it is about doors. */
  rule: string
  says: string
}

/** Fewer doors than these are no whole site: whoever passes all of them is no surprise. */
const fewestDoors = 3
const wholeDay = (p: { from: string; to: string }): boolean => p.from === '00:00' && p.to === '24:00'
const always = (schedule: Schedule | undefined): boolean =>
  [1, 2, 3, 4, 5, 6, 7].every((day) => schedule?.periods.some((p) => wholeDay(p) && p.days.includes(day)))

/** What stands out among groups and rules. Somebody who passes nowhere is told with the person. */
export function accessNotes(facts: Facts): AccessNote[] {
  const doors = all(facts, 'door').filter((d) => d.placement)
  const rules = all(facts, 'rule')
  const filled = new Set(all(facts, 'person').flatMap((p) => groupsPassed(facts.group, p.groups)))
  const notes: AccessNote[] = []
  for (const rule of rules) {
    const schedule = facts.schedule[rule.schedule]
    const [who, when] = [whoWords(facts, rule), schedule?.name ?? '']
    const note = (code: AccessNote['code'], says: string) => notes.push({ code, rule: rule.id, says })
    const every = doors.length >= fewestDoors && doors.every((d) => passesDoor(facts, rule, d.id))
    if (every && always(schedule)) note('everything', `${who} pass every door at any time, by one rule. Is that meant?`)
    if (rule.group !== undefined && !filled.has(rule.group))
      note('noMember', `Nobody is in ${who}: its rule on ${when} lets nobody pass.`)
    if (schedule && schedule.periods.length === 0)
      note('noTime', `${when} has no hours: on it ${who} pass on special days at most.`)
  }
  const passed = new Set(rules.flatMap((r) => doorsOfRule(facts, r)))
  const closed = doors.filter((d) => !passed.has(d.id)).sort(byRef)
  if (closed.length)
    notes.push({
      code: 'noRule',
      rule: '',
      says: `Nobody passes ${closed.length === 1 ? 'this door' : `these ${closed.length} doors`}: ${closed
        .slice(0, 6)
        .map((d) => d.ref)
        .join(', ')}${closed.length > 6 ? ' …' : '.'}`,
    })
  return notes
}
