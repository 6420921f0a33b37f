import { boardOf } from '../devices/board'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { stop, type Finding } from '../job/finding'
import {
  causeFacts,
  causesAt,
  drivenBy,
  drivenParts,
  isDriven,
  reactingParts,
  tellingParts,
  turnsBlindly,
} from './causes'
import { reactionsAt, type Reaction } from './records'
import { whenWords } from './words'

const stops = (rule: string, says: string, at?: string): Finding => stop('load', rule, says, at)

/** What is wrong with the reactions of a door: with each of them, with its hardware, with its controller, with one another. */
export function reactionFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const reactions = reactionsAt(facts, door.id)
  return [
    ...reactions.flatMap((r) => [...neverFindings(facts, door, sheets, r), ...actFindings(facts, door, r)]),
    ...idleParts(door, reactions),
    ...contraryFindings(facts, reactions),
    ...twiceDriven(facts, reactions),
    ...(reactions.length ? keptFindings(facts, door, sheets) : []),
  ]
}

/** Whether what it waits for can happen at all. */
function neverFindings(facts: Facts, door: Door, sheets: Sheets, r: Reaction): Finding[] {
  const when = whenWords(facts, r)
  if (!causesAt(door, sheets).includes(r.when))
    return [
      stops(
        'reaction-never',
        `A reaction of ${door.ref} waits until ${causeFacts[r.when].says}, and nothing there can tell that. Plan what tells it, or take the reaction away.`,
      ),
    ]
  if (r.part !== undefined && !tellingParts(door).some((p) => p.id === r.part))
    return [
      stops(
        'reaction-no-part',
        `A reaction of ${door.ref} waits for ${r.part}, which is no input there any more. Choose another, or take the reaction away.`,
      ),
    ]
  const { reentryS, passback, pairWithinS } = door.behaviour
  const once =
    reentryS !== undefined || passback === 'refuse'
      ? 'nobody is let in twice'
      : pairWithinS !== undefined && 'two people come in together'
  return r.twice && once
    ? [
        stops(
          'reaction-twice-never',
          `A reaction of ${door.ref} waits until ${when}, and there ${once}. Ask for one showing, or leave that rule out under Behaviour.`,
        ),
      ]
    : []
}

/** Whether what is to follow can be done, and is safe to do. */
function actFindings(facts: Facts, door: Door, r: Reaction): Finding[] {
  const when = whenWords(facts, r)
  if (r.then === 'release') {
    const other = facts.door[r.lets ?? '']
    return other && other.placement?.controller === door.placement?.controller
      ? []
      : [
          stops(
            'reaction-elsewhere',
            `When ${when}, ${other?.ref ?? 'a door that is gone'} is to be let go, and that is on another controller, which this one tells nothing. Place both on one, or take the reaction away.`,
          ),
        ]
  }
  const line = drivenBy(door, r)
  if (!line)
    return [
      stops(
        'reaction-no-output',
        isDriven(r.then)
          ? `When ${when}, ${r.output ?? '?'} is to be driven, which is no output of ${door.ref} any more. Choose another, or take the reaction away.`
          : `When ${when}, the alarm panel is to be ${r.then === 'setPanel' ? 'set' : 'unset'}, and no line of ${door.ref} does that. Plan one, or take the reaction away.`,
      ),
    ]
  const loud =
    r.when === 'duress' ? drivenParts(door).find((p) => p.id === r.output && p.role === 'sounder') : undefined
  if (loud)
    return [
      stops(
        'reaction-duress-heard',
        `${loud.id} sounds or shines at ${door.ref} when somebody is let in under duress: whoever forces them notices. Let a line signal elsewhere instead.`,
        loud.id,
      ),
    ]
  return turnsBlindly(door, r.then) && r.blind === undefined
    ? [
        stops(
          'reaction-blind',
          `${line.id} turns the alarm panel round, and nothing tells whether it is set: driven blindly it may unset what was to be set. Bring the panel’s own state back on an input, or have the lead say why it may.`,
          line.id,
        ),
      ]
    : []
}

/** Outputs that are wired and that nothing drives. */
const idleParts = (door: Door, reactions: readonly Reaction[]): Finding[] =>
  reactingParts(door)
    .filter((part) => !reactions.some((r) => drivenBy(door, r)?.id === part.id))
    .map((part) =>
      stops(
        'reaction-idle-part',
        `Nothing drives ${part.id}: no reaction of ${door.ref} is for it. Say under Reactions when it is driven, or take it off the plan.`,
        part.id,
      ),
    )

/** What is driven by two reactions to the same thing proves neither of them: nobody can tell which one did it. */
function twiceDriven(facts: Facts, reactions: readonly Reaction[]): Finding[] {
  const same = (a: Reaction, b: Reaction) =>
    a.output !== undefined && a.output === b.output && a.when === b.when && a.part === b.part
  return reactions
    .filter((r, i) => reactions.slice(0, i).some((other) => same(other, r)))
    .map((r) =>
      stops(
        'reaction-twice-driven',
        `When ${whenWords(facts, r)}, ${r.output ?? '?'} is driven, and another reaction to the same drives it too: nobody could tell which of them did. Join them, or let one drive another output.`,
        r.output,
      ),
    )
}

/** The same moment may not bring the panel both ways. */
function contraryFindings(facts: Facts, reactions: readonly Reaction[]): Finding[] {
  const moment = ({ when, part, group, twice, schedule }: Reaction) =>
    JSON.stringify([when, part, group, twice, schedule])
  return reactions
    .filter((r) => r.then === 'setPanel')
    .filter((r) => reactions.some((other) => other.then === 'unsetPanel' && moment(other) === moment(r)))
    .map((r) =>
      stops(
        'reaction-contrary',
        `When ${whenWords(facts, r)}, the alarm panel is to be set and unset at once. Tell the two apart.`,
      ),
    )
}

/** Whether its controller keeps reactions, and so many. */
function keptFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return []
  const most = boardOf(sheets, controller).controller?.reactions ?? 0
  if (most === 0)
    return [
      stops(
        'reaction-not-kept',
        `${controller.ref} keeps no reactions: its type does not know them. Take them away, or place the door on another controller.`,
      ),
    ]
  const here = all(facts, 'reaction').filter((r) => facts.door[r.door]?.placement?.controller === controller.id).length
  return here > most
    ? [
        stops(
          'reaction-full',
          `${controller.ref} keeps ${most} reactions, and ${here} are wanted of it. Take some away.`,
        ),
      ]
    : []
}
