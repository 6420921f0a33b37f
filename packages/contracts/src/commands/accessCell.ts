import { all, drop, groupPath, isLimited, passesDoor, put, type Change, type Rule } from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

/** When one group passes one door by a rule of its own: on one schedule, or not at all. Rules of groups that it is in stay as they are. */
export const accessCell = defineCommand<{ group: string; door: string; schedule: string | null }>()({
  name: 'access.cell',
  roles: everyFitter,
  schema: object({ group: id, door: id, schedule: { anyOf: [id, { type: 'null' }] } }),
  apply(facts, p, context) {
    existing(facts.group[p.group], 'group', p.group)
    existing(facts.door[p.door], 'door', p.door)
    if (p.schedule !== null) existing(facts.schedule[p.schedule], 'schedule', p.schedule)
    const rules = all(facts, 'rule').filter((r) => r.group === p.group && !isLimited(r))
    const without = (r: Rule): Change[] => {
      const doors = r.doors.filter((d) => d !== p.door)
      return doors.length || r.sets?.length ? [put(facts, 'rule', { ...r, doors })] : drop(facts, 'rule', r.id)
    }
    const others = rules.filter((r) => r.schedule !== p.schedule && passesDoor(facts, r, p.door))
    const bySet = others.find((r) => !r.doors.includes(p.door))
    if (bySet) {
      const sets = (bySet.sets ?? []).flatMap((s) => facts.doorSet[s] ?? []).filter((s) => s.doors.includes(p.door))
      throw new Refusal(
        `${facts.door[p.door]?.ref ?? p.door} is passed as one of ${sets.map((s) => s.name).join(', ')}: change that rule, or the set.`,
        'door',
      )
    }
    const away = others.flatMap(without)
    if (p.schedule === null || rules.some((r) => r.schedule === p.schedule && passesDoor(facts, r, p.door))) return away
    const there = rules.find((r) => r.schedule === p.schedule)
    const rule: Rule = there
      ? { ...there, doors: [...there.doors, p.door] }
      : { id: context.id, group: p.group, doors: [p.door], schedule: p.schedule }
    return [...away, put(facts, 'rule', rule)]
  },
  words(f, p) {
    const [who, where] = [groupPath(f.group, p.group), f.door[p.door]?.ref ?? p.door]
    return p.schedule === null
      ? `${who} no longer pass ${where}`
      : `${who} pass ${where} on ${f.schedule[p.schedule]?.name ?? p.schedule}`
  },
})
