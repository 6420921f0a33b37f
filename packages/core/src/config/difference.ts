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

/** Differences that make the Load mark stale: everything but the test cards. */
export function lasting(differences: readonly Difference[]): Difference[] {
  return differences.filter((d) => !isTestPart(d.key))
}

/** The differences that are about this door: its own parts, the groups that may pass it, their cards and their schedules. */
export function touching(differences: readonly Difference[], door: string, held: Config, wanted: Config): Difference[] {
  const both = { held, wanted }
  const asked = new Map<PartKind, (change: Change) => boolean>()
  const touches = (kind: PartKind): ((change: Change) => boolean) => {
    let ask = asked.get(kind)
    if (!ask) asked.set(kind, (ask = kind.touches?.(door, both) ?? (() => false)))
    return ask
  }
  return differences.filter(({ key, held: h, wanted: w }) => {
    const { kind, token, test } = readKey(key)
    if (!kind || test) return false
    const own = kind.doorOf(token)
    return own === null ? touches(kind)({ token, held: h, wanted: w }) : own === door
  })
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
