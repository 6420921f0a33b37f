import type { Facts } from '../job/facts'
import type { Reading, ReadingKind } from './records'

const kept = new WeakMap<Facts['reading'], ReadonlyMap<string, readonly Reading[]>>()

/** The newest reading of each kind, by `door/cable`; worked out once for each state of the table. */
function byCable(table: Facts['reading']): ReadonlyMap<string, readonly Reading[]> {
  let found = kept.get(table)
  if (found) return found
  const newest = new Map<string, Map<ReadingKind, Reading>>()
  for (const r of Object.values(table)) {
    const key = `${r.door}/${r.cable}`
    const kinds = newest.get(key) ?? new Map<ReadingKind, Reading>()
    newest.set(key, kinds)
    if (r.at >= (kinds.get(r.kind)?.at ?? -Infinity)) kinds.set(r.kind, r)
  }
  kept.set(table, (found = new Map([...newest].map(([key, kinds]) => [key, [...kinds.values()]]))))
  return found
}

/** The newest reading of each kind on a cable. */
export const newestOf = (facts: Facts, door: string, cable: string): readonly Reading[] =>
  byCable(facts.reading).get(`${door}/${cable}`) ?? []
