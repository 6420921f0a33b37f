import type { Change, Facts, RecordKind, Sheets } from '@rauta/core'

export const roles = ['lead', 'engineer', 'witness', 'viewer'] as const
export type Role = (typeof roles)[number]

/** What a command may know besides the facts: who, when, and a source of ids that is the same each time it is applied. */
export interface CommandContext {
  /** Id of this command, a UUIDv7 made by the client; records that it makes are named after it. */
  id: string
  by: string
  role: Role
  /** Server time, ms since 1970 UTC. */
  at: number
  sheets: Sheets
  /** What an earlier revision did, where that is known (on the server). */
  history?: (rev: number) => { name: string; changes: readonly Change[] } | undefined
}

/** A command that may not be applied: what is wrong, in which field, and how to mend it. */
export class Refusal extends Error {
  constructor(
    readonly says: string,
    readonly field?: string,
  ) {
    super(says)
  }
}

/** A command that is not as its schema says: nothing of the job decides that. */
export class Misfit extends Refusal {}

/** Fields of one record that a command sets. */
export interface Edit {
  kind: RecordKind
  id: string
  fields: Record<string, unknown>
  /** Whether what stands and what is offered mean the same, where equality does not tell. */
  same?: (kept: unknown, offered: unknown) => boolean
  /** What would be put into the record if the question is settled for it, where that is not the offered value itself. */
  offer?: (field: string, offered: unknown, by: string, at: number) => unknown
  /** One person's own later edit is never a meeting. */
  own?: boolean
}

/** One way to change a job. Server and clients use the same definition. */
export interface Command<P = never> {
  name: string
  roles: readonly Role[]
  /** JSON Schema of the payload. */
  schema: object
  /** Works out the changes, or throws a Refusal. Never alters `facts`. */
  apply(facts: Facts, payload: P, context: CommandContext): Change[]
  /** Done with somebody at the door or a device that answers now: never kept on a phone, never done later. */
  live?: true
  /** For the history: what was done, in words. */
  words(facts: Facts, payload: P): string
  /** For commands that set fields of one record: which, so that two edits that meet are noticed. */
  edits?(payload: P): Edit
  /** The same payload with only these fields left. */
  keepFields?(payload: P, fields: readonly string[]): P
}

export const everyFitter: readonly Role[] = ['lead', 'engineer']

/** A command with its name as a type, so that whoever sends it is held to its payload. */
export type Named<P, N extends string> = Command<P> & { name: N }

/** Defines a command: its payload's type first, then all the rest. */
export const defineCommand =
  <P>() =>
  <const N extends string>(command: Command<P> & { name: N }): Named<P, N> =>
    command

/** A schema for an object with these properties, all required unless named in `optional`. */
export function object<const T extends Record<string, object>>(properties: T, optional: readonly (keyof T)[] = []) {
  return {
    type: 'object',
    additionalProperties: false,
    properties,
    required: Object.keys(properties).filter((k) => !optional.includes(k)),
  } as const
}

export const text = { type: 'string', maxLength: 200 } as const
export const name = { type: 'string', minLength: 1, maxLength: 120 } as const
export const id = { type: 'string', minLength: 1, maxLength: 80, pattern: '^[A-Za-z0-9_.:-]+$' } as const
/** A day, or a day with a time. */
export const day = { type: 'string', maxLength: 16 } as const
export const flag = { type: 'boolean' } as const

export function existing<T>(record: T | undefined, what: string, which: string): T {
  if (!record) throw new Refusal(`There is no ${what} ${which} in this job. It may have been removed meanwhile.`)
  return record
}
