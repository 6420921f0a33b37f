import type { Facts, RecordKind, RecordTypes } from './facts'

type Bare<T> = unknown extends T
  ? 'any'
  : [T] extends [string]
    ? 'text'
    : [T] extends [number]
      ? 'number'
      : [T] extends [boolean]
        ? 'flag'
        : [T] extends [readonly unknown[]]
          ? 'list'
          : 'object'
type Known<T> = null extends T ? (unknown extends T ? 'any' : `${Bare<NonNullable<T>>} or none`) : Bare<T>
type Field<T> = undefined extends T ? (unknown extends T ? 'any' : `${Known<Exclude<T, undefined>>}?`) : Known<T>
/** What each field of a record must be; `?` may be absent, `or none` may be null. The compiler holds it to the record's type. */
export type FieldsOf<T> = { readonly [F in keyof T]-?: Field<T[F]> }

/** What an altered record can change of what is worked out from the job. Ids; what is not named is not touched. */
export interface Touched {
  everything?: true
  /** These doors alone. */
  doors?: readonly string[]
  /** Every door on these controllers. */
  controllers?: readonly string[]
  /** Everything on the supplies that feed these controllers. */
  feeds?: readonly string[]
  /** The supply reports of these controllers. */
  supplies?: readonly string[]
  /** What these controllers shall hold of people, groups and times. */
  access?: readonly string[]
}

/** What a door's chain shall say of an alteration. */
export interface ChainLink {
  door: string
  /** Kind of the chain's record. */
  kind: string
  body: unknown
}

/** A kind of record as its subject declares it; everything else finds it in the registry. */
export interface RecordDeclaration<K extends RecordKind> {
  readonly name: K
  readonly fields: FieldsOf<RecordTypes[K]>
  /** Asked of a record as it was, with the facts then, and as it is, with the facts now. Nothing where it is not said. */
  touches?(record: RecordTypes[K], facts: Facts): Touched
  /** What of it becomes a record of which door's chain; what can be worked out again from others is left out. */
  recorded?(after: RecordTypes[K], before: RecordTypes[K] | null, facts: Facts): ChainLink[]
  /** Made once and never altered: what speaks otherwise is a new record. */
  readonly once?: true
  /** Only so many of the newest stand in the facts; all of them stay in the log and in the store. */
  readonly newest?: number
}

export const recordKind = <K extends RecordKind>(
  name: K,
  declaration: Omit<RecordDeclaration<K>, 'name'>,
): RecordDeclaration<K> => ({ name, ...declaration })

/** What every kind has in common whose records speak of one door: they touch it, and each goes into its chain as it stands. */
export const ofItsDoor = (kind: string) => ({
  touches: ({ door }: { door: string }): Touched => ({ doors: [door] }),
  recorded: (after: { door: string }): ChainLink[] => [{ door: after.door, kind, body: after }],
})

const typeFault: Readonly<Record<string, (value: unknown) => boolean>> = {
  any: () => false,
  text: (v) => typeof v !== 'string',
  number: (v) => typeof v !== 'number' || !Number.isFinite(v),
  flag: (v) => typeof v !== 'boolean',
  list: (v) => !Array.isArray(v),
  object: (v) => typeof v !== 'object' || v === null || Array.isArray(v),
}

/** What is wrong with a stored record, in words, or null. */
export function recordFault(kind: RecordDeclaration<RecordKind>, id: string, data: unknown): string | null {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) return 'is no record'
  const record = data as Record<string, unknown>
  if (record['id'] !== id) return 'has another id than it is kept under'
  for (const [field, declared] of Object.entries(kind.fields as Readonly<Record<string, string>>)) {
    const optional = declared.endsWith('?')
    const bare = declared.replace('?', '')
    const value = Object.hasOwn(record, field) ? record[field] : undefined
    if (value === undefined) {
      if (!optional && bare !== 'any') return `lacks its field ${field}`
      continue
    }
    if (value === null && bare.endsWith(' or none')) continue
    if (typeFault[bare.replace(' or none', '')]?.(value)) return `has a field ${field} that cannot be`
  }
  return null
}
