import type { Facts } from '../job/facts'
import { partDeviceId } from '../doors/door'
import { sameJson } from './canonical'
import { isTestPart, readKey, type PartKind } from './parts'
import type { Change } from './parts/kind'
import type { Config, Json } from './records'

export interface Difference {
  key: string
  held: Json | undefined
  wanted: Json | undefined
}

/** Parts that differ, both ways, by their keys: what is missing or other on the device, and what it holds beyond what is wanted. */
export function difference(held: Config, wanted: Config): Difference[] {
  const found: Difference[] = []
  for (const [key, value] of Object.entries(wanted)) {
    const there = Object.hasOwn(held, key) ? held[key] : undefined
    if (there === undefined || !sameJson(there, value)) found.push({ key, held: there, wanted: value })
  }
  for (const [key, value] of Object.entries(held))
    if (!Object.hasOwn(wanted, key)) found.push({ key, held: value, wanted: undefined })
  return found.sort((a, b) => (a.key < b.key ? -1 : 1))
}

/**
 * Differences that make the Load mark stale: everything but the test cards, as this job gives them.
 * @param testParts all that the test cards can have been given there; asked for only where a part bears their name
 */
export function lasting(differences: readonly Difference[], testParts: () => Config): Difference[] {
  let ours: Config | undefined
  return differences.filter((d) => !isTestPart(d.key) || !isLeftOver(d, (ours ??= testParts())))
}

/** Whether a part under the test cards' names is what this job once gave them, or lacks: then it opens nothing by surprise. */
function isLeftOver({ key, held }: Difference, ours: Config): boolean {
  if (held === undefined) return true
  if (!Object.hasOwn(ours, key)) return false
  const given = ours[key] as Json
  return readKey(key).kind?.within?.(held, given) ?? sameJson(held, given)
}

/** The differences that are about this door: its own parts, what else on the device has to do with it, the groups that may pass it, their cards and their schedules. */
export function touching(differences: readonly Difference[], door: string, held: Config, wanted: Config): Difference[] {
  const both = { held, wanted }
  const asked = new Map<PartKind, (change: Change) => boolean>()
  const touches = (kind: PartKind): ((change: Change) => boolean) => {
    let ask = asked.get(kind)
    if (!ask) asked.set(kind, (ask = kind.touches?.(door, both) ?? (() => false)))
    return ask
  }
  return differences.filter(({ key, held: h, wanted: w }) => {
    const { kind, token } = readKey(key)
    return kind !== null && (kind.doorOf(token) === door || touches(kind)({ token, held: h, wanted: w }))
  })
}

/** A part at a door that waits for somebody to be at it. */
export interface HandAt {
  door: string
  part: string
}

/** Parts at doors that wait for a hand before they take what they were sent, where nothing else differs; null where something does. */
export function waitingForHands(differences: readonly Difference[]): HandAt[] | null {
  const hands = differences.map(({ key, held, wanted }) => {
    const { kind, token } = readKey(key)
    const parts = held === undefined || wanted === undefined ? [] : (kind?.waits?.(held, wanted) ?? [])
    return parts.map((part) => ({ door: kind?.doorOf(token) ?? token, part }))
  })
  return hands.length > 0 && hands.every((h) => h.length > 0) ? hands.flat() : null
}

/** What a fitter does for parts that wait for a hand: a lock that nobody paired yet hears no card of anybody's. */
export function handWords(facts: Facts, hands: readonly HandAt[]): string {
  const paired = ({ door, part }: HandAt) => facts.reach[partDeviceId(door, part)]?.owned === true
  const [ours, others] = [hands.filter(paired), hands.filter((hand) => !paired(hand))]
  const waits = (some: readonly HandAt[]) => `${named(facts, some)} ${some.length === 1 ? 'waits' : 'wait'}`
  return [
    ...(ours.length
      ? [`${waits(ours)} for a hand at the door: present any card there, so that it takes what it was sent.`]
      : []),
    ...(others.length ? [`${waits(others)} to be paired; what was sent is taken then.`] : []),
  ].join(' ')
}

function named(facts: Facts, hands: readonly HandAt[]): string {
  const first = hands.slice(0, 5).map(({ door, part }) => `${facts.door[door]?.ref ?? door} ${part}`)
  const more = hands.length > first.length ? ` and ${hands.length - first.length} more` : ''
  return `${first.join(', ')}${more}`
}

/** One thing a driver does; safe to repeat. */
export type Operation = { do: 'set'; key: string; value: Json } | { do: 'remove'; key: string }

const rank = (d: Difference): number => readKey(d.key).order

/** The smallest list of operations that makes held equal wanted: sets in the order in which one part refers to another, removals after them in the opposite order. */
export function operationsFor(differences: readonly Difference[]): Operation[] {
  const sets = differences.filter((d) => d.wanted !== undefined).sort((a, b) => rank(a) - rank(b))
  const removals = differences.filter((d) => d.wanted === undefined).sort((a, b) => rank(b) - rank(a))
  return [
    ...sets.map((d): Operation => ({ do: 'set', key: d.key, value: d.wanted as Json })),
    ...removals.map((d): Operation => ({ do: 'remove', key: d.key })),
  ]
}
