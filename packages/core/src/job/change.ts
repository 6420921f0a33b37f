import type { Facts, RecordKind, RecordTypes } from './facts'

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
