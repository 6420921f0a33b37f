import { plain } from '../areas/plain'
import { all, type Facts } from '../job/facts'
import type { Group } from './records'

type Groups = Facts['group']
const kept = new WeakMap<Groups, Map<string, readonly string[]>>()

/** A group with those that it is in, from itself upwards; a circle ends where it closes. */
export function groupsUpwards(groups: Groups, id: string): readonly string[] {
  let known = kept.get(groups)
  if (!known) kept.set(groups, (known = new Map()))
  let up = known.get(id)
  if (!up) {
    const found = [id]
    for (let at = groups[id]?.parent; at !== undefined && groups[at] && !found.includes(at); at = groups[at]?.parent)
      found.push(at)
    known.set(id, (up = found))
  }
  return up
}

/** Every group that somebody passes by: those they are in, and those that these are in. */
export const groupsPassed = (groups: Groups, ids: readonly string[]): string[] => [
  ...new Set(ids.flatMap((id) => groupsUpwards(groups, id))),
]

/** Name of a group with those that it is in: `Staff / Night`. */
export const groupPath = (groups: Groups, id: string): string =>
  [...groupsUpwards(groups, id)]
    .reverse()
    .map((g) => groups[g]?.name ?? g)
    .join(' / ')

/** Groups as a tree, each after the one that it is in, by name. */
export function groupTree(facts: Facts): { group: Group; depth: number }[] {
  return all(facts, 'group')
    .map((group) => ({
      group,
      depth: groupsUpwards(facts.group, group.id).length - 1,
      path: groupPath(facts.group, group.id),
    }))
    .sort((a, b) => a.path.localeCompare(b.path, 'en', { numeric: true }))
    .map(({ group, depth }) => ({ group, depth }))
}

/** What is wrong with putting a group into another, or null. */
export function groupFault(groups: Groups, group: Group): string | null {
  if (group.parent === undefined) return null
  if (!groups[group.parent]) return 'The group that it shall be in is not there any more.'
  if (group.parent === group.id || groupsUpwards(groups, group.parent).includes(group.id))
    return `${group.name} would be inside itself. Choose another group for it to be in.`
  return null
}

/** A group that a list speaks of and the job lacks. */
export interface NewGroup {
  path: string
  name: string
  /** Id of the group that it is in, `new:` and its path where that is new too; empty for none. */
  parent: string
}

/** Letters of a group's name; as those of a person's. */
const longestGroupName = 120
/** How deep groups may lie in each other. */
const deepest = 8

/** Groups as the job has them, and those that a list brings along. */
export class GroupsToCome {
  readonly list: NewGroup[] = []
  private readonly known = new Map<string, string>()
  constructor(groups: Groups) {
    const names = new Map<string, string[]>()
    for (const id of Object.keys(groups)) {
      this.known.set(plainPath(groupPath(groups, id)), id)
      const name = plain(groups[id]?.name ?? '')
      names.set(name, [...(names.get(name) ?? []), id])
    }
    // A name alone is enough where only one group has it.
    for (const [name, ids] of names)
      if (ids.length === 1 && ids[0] && !this.known.has(name)) this.known.set(name, ids[0])
  }

  /** What is wrong with a path, or null. */
  faultOf(text: string): string | null {
    const parts = partsOf(text)
    if (parts.length === 0) return 'it names no group'
    if (parts.length > deepest) return `it has ${parts.length} groups in each other; ${deepest} can be`
    const long = parts.find((p) => p.length > longestGroupName)
    return long ? `the name of a group has ${long.length} letters; ${longestGroupName} can be` : null
  }

  /** Id of a group; one that the job lacks is `new:` and its path, and is remembered. */
  idOf(text: string): string {
    const whole = this.known.get(plainPath(text))
    if (whole) return whole
    let parent = ''
    const parts = partsOf(text)
    parts.forEach((name, i) => {
      const path = parts.slice(0, i + 1).join(' / ')
      const key = plainPath(path)
      let id = this.known.get(key)
      if (!id) {
        this.known.set(key, (id = `new:${path}`))
        this.list.push({ path, name, parent })
      }
      parent = id
    })
    return parent
  }
}

const partsOf = (text: string): string[] =>
  text
    .split(/\s*[/>\\]\s*/)
    .map((p) => p.trim())
    .filter(Boolean)
const plainPath = (text: string): string => partsOf(text).map(plain).join('/')
