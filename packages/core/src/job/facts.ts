/**
 * One table per kind of record; all that a job is. Each subject adds its own kinds here (`declare module`) beside their declaration by
 * `recordKind`, so that this folder knows none of them.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by the subjects
export interface RecordTypes {}
export type RecordKind = keyof RecordTypes

/** A record is plain data with an `id`. */
export type Facts = { readonly [K in RecordKind]: Readonly<Record<string, RecordTypes[K]>> } & { readonly rev: number }

export function all<K extends RecordKind>(facts: Facts, kind: K): RecordTypes[K][] {
  return Object.values(facts[kind]) as RecordTypes[K][]
}
