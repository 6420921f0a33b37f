import { all, type Facts } from '../job/facts'
import type { Rule } from './records'
import { doorsOfRule } from './rights'

/** The controllers that hold the rules of this kind: those of the doors that they pass. */
export function controllersWith(facts: Facts, which: (rule: Rule) => boolean): string[] {
  const found = new Set<string>()
  for (const rule of all(facts, 'rule'))
    if (which(rule)) for (const id of controllersOf(facts, doorsOfRule(facts, rule))) found.add(id)
  return [...found]
}

export const controllersOf = (facts: Facts, doors: readonly string[]): string[] => [
  ...new Set(doors.flatMap((id) => facts.door[id]?.placement?.controller ?? [])),
]
