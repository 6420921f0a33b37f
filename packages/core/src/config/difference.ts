import { canonicalJson } from './canonical'
import { testPrefix } from './wanted'
import type { Config, Json } from './records'

export interface Difference {
  key: string
  held: Json | undefined
  wanted: Json | undefined
}

/** Parts that differ, both ways: what is missing or other on the device, and what it holds beyond what is wanted. */
export function difference(held: Config, wanted: Config): Difference[] {
  const keys = new Set([...Object.keys(held), ...Object.keys(wanted)])
  return [...keys].sort().flatMap((key) => {
    const h = held[key]
    const w = wanted[key]
    const same = h !== undefined && w !== undefined && canonicalJson(h) === canonicalJson(w)
    return same ? [] : [{ key, held: h, wanted: w }]
  })
}

/** Differences that make the Load mark stale: everything but the test cards. */
export function lasting(differences: readonly Difference[]): Difference[] {
  return differences.filter((d) => !d.key.startsWith(testPrefix))
}

/** Whether a difference is about this door: its own parts, the groups that may pass it, their cards and their schedules. */
export function touching(differences: readonly Difference[], door: string, held: Config, wanted: Config): Difference[] {
  const profiles = new Map<string, Set<string>>()
  for (const config of [held, wanted]) {
    for (const [key, value] of Object.entries(config)) {
      if (!key.startsWith('profile/')) continue
      const policies = ((value as { policies?: { at: string; schedule: string }[] } | null)?.policies ?? []).filter(
        (p) => p.at.startsWith(`${door}.`),
      )
      if (policies.length)
        profiles.set(key.slice(8), new Set([...(profiles.get(key.slice(8)) ?? []), ...policies.map((p) => p.schedule)]))
    }
  }
  const schedules = new Set([...profiles.values()].flatMap((s) => [...s]))
  const about = (d: Difference): boolean => {
    const [kind, id = ''] = d.key.split('/')
    if (kind === 'door' || kind === 'terminals') return id === door
    if (kind === 'accessPoint') return id.startsWith(`${door}.`)
    if (kind === 'profile') return policiesAt(d.held, door) !== policiesAt(d.wanted, door)
    if (kind === 'schedule') return schedules.has(id)
    if (kind === 'credential')
      return [d.held, d.wanted].some((v) =>
        ((v as { profiles?: string[] } | undefined)?.profiles ?? []).some((p) => profiles.has(p)),
      )
    return false
  }
  return differences.filter(about)
}

/** What a group may do at one door, so that a change elsewhere in the group does not count here. */
function policiesAt(value: Json | undefined, door: string): string {
  return canonicalJson(
    ((value as { policies?: { at: string }[] } | undefined)?.policies ?? []).filter((p) => p.at.startsWith(`${door}.`)),
  )
}

/** One thing a driver does; safe to repeat. */
export type Operation = { do: 'set'; key: string; value: Json } | { do: 'remove'; key: string }

const order = ['schedule', 'door', 'accessPoint', 'terminals', 'profile', 'credential']
const rank = (key: string) => order.indexOf(key.replace(testPrefix, '').split('/')[0] ?? '')

/** The smallest list of operations that makes held equal wanted: sets in the order in which one part refers to another, removals after them in the opposite order. */
export function operationsFor(differences: readonly Difference[]): Operation[] {
  const sets = differences.filter((d) => d.wanted !== undefined).sort((a, b) => rank(a.key) - rank(b.key))
  const removals = differences.filter((d) => d.wanted === undefined).sort((a, b) => rank(b.key) - rank(a.key))
  return [
    ...sets.map((d): Operation => ({ do: 'set', key: d.key, value: d.wanted as Json })),
    ...removals.map((d): Operation => ({ do: 'remove', key: d.key })),
  ]
}
