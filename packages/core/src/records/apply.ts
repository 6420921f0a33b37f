import type { Change } from '../job/change'
import type { Facts, RecordKind } from '../job/facts'
import { declarationOf, recordKinds } from './kinds'

export function emptyFacts(): Facts {
  const tables = Object.fromEntries(recordKinds.map((kind) => [kind, {}]))
  return { ...tables, rev: 0 } as unknown as Facts
}

/** Of a kind that keeps only its newest, so many more may stand before the oldest go: not each one costs a count. */
const slack = 200

/**
 * Applies changes in order and returns new facts at revision `rev`; the tables that are not touched are shared. A kind that nobody
 * knows is left out.
 * @param copied kinds whose tables nobody else sees: those are altered where they lie, and what is copied here is added to them
 */
export function applyChanges(
  facts: Facts,
  changes: readonly Change[],
  rev: number,
  copied = new Set<RecordKind>(),
): Facts {
  const next: Record<string, unknown> = { ...facts, rev }
  const counted = new Set<RecordKind>()
  for (const { kind, id, after } of changes) {
    const declaration = declarationOf(kind)
    if (!declaration) continue
    if (!copied.has(kind)) {
      next[kind] = { ...facts[kind] }
      copied.add(kind)
    }
    const table = next[kind] as Record<string, unknown>
    if (after === null) delete table[id]
    else table[id] = after
    if (declaration.newest !== undefined) counted.add(kind)
  }
  for (const kind of counted) keepNewest(next[kind] as Record<string, unknown>, declarationOf(kind)?.newest ?? 0)
  return next as unknown as Facts
}

/** Records stand in the order in which they came, so the first are the oldest. */
function keepNewest(table: Record<string, unknown>, newest: number): void {
  const ids = Object.keys(table)
  if (ids.length > newest + slack) for (const id of ids.slice(0, ids.length - newest)) delete table[id]
}

/** Ids of the records that are not the same ones in two states of a table; those that are gone come last. */
export function differing(was: Readonly<Record<string, unknown>>, now: Readonly<Record<string, unknown>>): string[] {
  const ids = Object.keys(now).filter((id) => was[id] !== now[id])
  for (const id of Object.keys(was)) if (!(id in now)) ids.push(id)
  return ids
}
