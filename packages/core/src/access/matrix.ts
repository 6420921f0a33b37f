import { all, type Facts } from '../job/facts'
import { groupsUpwards } from './groups'
import { doorsOfRule, isLimited } from './rights'

type Passing = ReadonlyMap<string, ReadonlyMap<string, readonly string[]>>

const kept = new WeakMap<Facts['rule'], { sets: Facts['doorSet']; found: Passing }>()

/** Schedules on which each group passes each door by rules of its own: group, then door, then ids of schedules. */
function passing(facts: Facts): Passing {
  const known = kept.get(facts.rule)
  let found = known?.sets === facts.doorSet ? known.found : undefined
  if (!found) {
    const made = new Map<string, Map<string, string[]>>()
    for (const rule of all(facts, 'rule')) {
      // A right that begins or ends, or is one person's, is no cell of a group.
      const { group, schedule } = rule
      if (group === undefined || isLimited(rule)) continue
      const row = made.get(group) ?? new Map<string, string[]>()
      made.set(group, row)
      for (const door of doorsOfRule(facts, rule)) row.set(door, [...new Set([...(row.get(door) ?? []), schedule])])
    }
    found = made
    kept.set(facts.rule, { sets: facts.doorSet, found })
  }
  return found
}

/** What a group may at a door. */
export interface AccessCell {
  /** Ids of schedules, by rules of its own. */
  own: readonly string[]
  /** By rules of a group that it is in. */
  through: readonly { group: string; schedule: string }[]
}

export function accessCell(facts: Facts, group: string, door: string): AccessCell {
  const by = passing(facts)
  const [, ...above] = groupsUpwards(facts.group, group)
  return {
    own: by.get(group)?.get(door) ?? [],
    through: above.flatMap((g) => (by.get(g)?.get(door) ?? []).map((schedule) => ({ group: g, schedule }))),
  }
}
