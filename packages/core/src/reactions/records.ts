import { all, type Facts } from '../job/facts'
import { recordKind } from '../job/kind'

/** What happens at a door that something may follow. */
export const reactionCauses = [
  'granted',
  'refused',
  'duress',
  'forced',
  'heldOpen',
  'preAlarm',
  'exit',
  'desk',
  'input',
  'inputEnds',
] as const
export type ReactionCause = (typeof reactionCauses)[number]

/** What follows: an output for a time or for as long as it lasts, an alarm panel, another door. */
export const reactionActs = ['pulse', 'hold', 'setPanel', 'unsetPanel', 'release'] as const
export type ReactionAct = (typeof reactionActs)[number]

/** When this happens at a door, then that. */
export interface Reaction {
  id: string
  door: string
  when: ReactionCause
  /** Part whose input it is, of `input` and `inputEnds`. */
  part?: string
  /** Only where whoever is let in is of this group, or of one that is in it. */
  group?: string
  /** Only where the same card is let in twice within `twiceWithinS`. */
  twice?: true
  /** Only in the hours of this schedule. */
  schedule?: string
  then: ReactionAct
  /** Part of the door that `pulse` and `hold` drive. */
  output?: string
  /** How long `pulse` drives it, s. */
  seconds?: number
  /** Door that `release` lets go. */
  lets?: string
  /** The lead's word for a line that turns the panel round although nothing tells how it stands: why it may. */
  blind?: string
}

/** Within which time the same card counts as shown twice, s. */
export const twiceWithinS = 5
/** How long a line to an alarm panel is driven, s (common practice, no source). */
export const panelPulseS = 1

/** Reactions to what happens at a door, always in the same order. */
export const reactionsAt = (facts: Facts, door: string): Reaction[] =>
  all(facts, 'reaction')
    .filter((r) => r.door === door)
    .sort((a, b) => (a.id < b.id ? -1 : 1))

/** Doors that have such reactions. */
export const reactionsBy = (facts: Facts, which: (r: Reaction) => boolean): string[] =>
  all(facts, 'reaction')
    .filter(which)
    .map((r) => r.door)

declare module '../job/facts' {
  interface RecordTypes {
    reaction: Reaction
  }
}

const controllerAt = (facts: Facts, door: string): string[] => {
  const controller = facts.door[door]?.placement?.controller
  return controller ? [controller] : []
}

export const reactionKind = recordKind('reaction', {
  fields: {
    id: 'text',
    door: 'text',
    when: 'text',
    part: 'text?',
    group: 'text?',
    twice: 'flag?',
    schedule: 'text?',
    then: 'text',
    output: 'text?',
    seconds: 'number?',
    lets: 'text?',
    blind: 'text?',
  },
  // Who is of its group, and in which hours it counts, is told to the device besides.
  touches: ({ door, lets }, facts) => ({
    doors: lets === undefined ? [door] : [door, lets],
    access: controllerAt(facts, door),
  }),
})
