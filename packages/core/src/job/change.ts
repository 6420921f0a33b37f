import { recordKinds, type Facts, type RecordKind, type RecordTypes } from './facts'

/** One record made, altered (`before` and `after`) or removed (`after` null). A list of them is what a command does. */
export interface Change<K extends RecordKind = RecordKind> {
  kind: K
  id: string
  before: RecordTypes[K] | null
  after: RecordTypes[K] | null
}

export function put<K extends RecordKind>(facts: Facts, kind: K, record: RecordTypes[K]): Change {
  const before = (facts[kind][record.id] as RecordTypes[K] | undefined) ?? null
  return { kind, id: record.id, before, after: record } as Change
}

export function drop<K extends RecordKind>(facts: Facts, kind: K, id: string): Change[] {
  const before = facts[kind][id] as RecordTypes[K] | undefined
  return before ? [{ kind, id, before, after: null } as Change] : []
}

/**
 * Applies changes in order and returns new facts at revision `rev`; the tables that are not touched are shared.
 * @param copied kinds whose tables nobody else sees: those are altered where they lie, and what is copied here is added to them
 */
export function applyChanges(
  facts: Facts,
  changes: readonly Change[],
  rev: number,
  copied = new Set<RecordKind>(),
): Facts {
  const next: Record<string, unknown> = { ...facts, rev }
  for (const change of changes) {
    if (!recordKinds.includes(change.kind)) continue
    if (!copied.has(change.kind)) {
      next[change.kind] = { ...facts[change.kind] }
      copied.add(change.kind)
    }
    const table = next[change.kind] as Record<string, unknown>
    if (change.after === null) delete table[change.id]
    else table[change.id] = change.after
  }
  return next as unknown as Facts
}

/** The changes that take these back, last first. */
export function reversed(changes: readonly Change[]): Change[] {
  return changes.map((c) => ({ ...c, before: c.after, after: c.before })).reverse() as Change[]
}
