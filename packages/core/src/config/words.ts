import type { Facts } from '../job/facts'
import { canonicalJson } from './canonical'
import type { Difference } from './difference'
import { readKey } from './parts'
import { asObject, plainWords } from './parts/kind'
import type { Json } from './records'

/** One line of the preview: what the device has on the left, what it will have on the right. */
export interface TwoSided {
  group: string
  what: string
  holds: string
  willHold: string
}

/** The differences of a device told as two-sided lines, grouped by door or by people. */
export function twoSided(differences: readonly Difference[], facts: Facts): TwoSided[] {
  return differences.flatMap((d) => linesOf(d, facts))
}

function linesOf(d: Difference, facts: Facts): TwoSided[] {
  const { kind, name, token, test } = readKey(d.key)
  const change = { token, held: d.held, wanted: d.wanted }
  const door = kind?.doorOf(token) ?? null
  const own = door === null ? (kind?.group ?? 'Besides') : (facts.door[door]?.ref ?? 'A door that is not in this job')
  const group = test ? 'Test cards' : own
  const title = kind?.title(change, facts) ?? `${name} ${token}`
  if (!kind || d.held === undefined || d.wanted === undefined) {
    const whole = (value: Json | undefined) =>
      value === undefined ? 'not held' : (kind?.summary(value, facts) ?? plainWords(value))
    return [
      { group, what: title, holds: whole(d.held), willHold: d.wanted === undefined ? 'removed' : whole(d.wanted) },
    ]
  }
  const held = asObject(d.held)
  const wanted = asObject(d.wanted)
  // Under a door's reference its own fields need no further name.
  const itself = door !== null && door === token
  return [...new Set([...Object.keys(held), ...Object.keys(wanted)])]
    .filter((f) => canonicalJson(held[f] ?? null) !== canonicalJson(wanted[f] ?? null))
    .map((f) => {
      const left = kind.field(f, held[f], wanted[f], facts)
      const right = kind.field(f, wanted[f], held[f], facts)
      return { group, what: itself ? right.name : `${title}: ${right.name}`, holds: left.says, willHold: right.says }
    })
}
