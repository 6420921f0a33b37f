import { groupsPassed } from '../access/groups'
import { scheduleOn } from '../doors/hours'
import type { Facts } from '../job/facts'
import { panelWay } from './causes'
import { reactionsAt, twiceWithinS, type Reaction, type ReactionCause } from './records'

/** Something that happens, or is only thought of. */
export interface Happening {
  door: string
  what: ReactionCause
  /** Part whose input it is. */
  part?: string
  /** Id of whoever is let in. */
  person?: string
  /** The same card was let in so many seconds before; absent where it was not. */
  againAfterS?: number
  /** ms since 1970 UTC. */
  at: number
  /** Whether the alarm panel is set; absent where nobody can tell. */
  panelSet?: boolean
}

/** Why a reaction does not come of a happening. */
export type ReactionObjection = 'notOfGroup' | 'notTwice' | 'hours' | 'panelIsSo' | 'panelUnknown'

/** A reaction to a happening, with why it does not come; null where it does. */
export interface Outcome {
  reaction: Reaction
  not: ReactionObjection | null
}

/** What would come of something at a door: every reaction to it, with why one does not come. */
export const outcomes = (facts: Facts, happening: Happening): Outcome[] =>
  reactionsAt(facts, happening.door)
    .filter((r) => r.when === happening.what && (r.part === undefined || r.part === happening.part))
    .map((reaction) => ({ reaction, not: objection(facts, reaction, happening) }))

function objection(facts: Facts, r: Reaction, h: Happening): ReactionObjection | null {
  if (r.group !== undefined && !isOf(facts, h.person, r.group)) return 'notOfGroup'
  if (r.twice && (h.againAfterS === undefined || h.againAfterS > twiceWithinS)) return 'notTwice'
  if (r.schedule !== undefined && !scheduleOn(facts, r.schedule, h.at)) return 'hours'
  const door = facts.door[r.door]
  const way = door && panelWay(door, r.then)
  if (!way?.turns || !way.state) return null
  if (h.panelSet === undefined) return 'panelUnknown'
  return h.panelSet === (r.then === 'setPanel') ? 'panelIsSo' : null
}

const isOf = (facts: Facts, person: string | undefined, group: string): boolean =>
  groupsPassed(facts.group, facts.person[person ?? '']?.groups ?? []).includes(group)

/** Why it does not come, in words. */
export const objectionWords: Readonly<Record<ReactionObjection, string>> = {
  notOfGroup: 'Not of that group',
  notTwice: 'Shown once',
  hours: 'Outside its hours',
  panelIsSo: 'The panel stands so already',
  panelUnknown: 'It hangs on how the panel stands',
}
