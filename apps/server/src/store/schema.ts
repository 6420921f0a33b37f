import { sql } from 'drizzle-orm'
import { bigint, customType, index, integer, jsonb, pgTable, primaryKey, text, uniqueIndex } from 'drizzle-orm/pg-core'
import type { ChainRecord, Change, DeviceEvent } from '@rauta/core'

/** The change log: one row per revision of a job, never altered. */
export const changes = pgTable(
  'changes',
  {
    job: text('job').notNull(),
    rev: integer('rev').notNull(),
    at: bigint('at', { mode: 'number' }).notNull(),
    by: text('by').notNull(),
    /** Id of the command, null for what devices told. */
    command: text('command'),
    name: text('name').notNull(),
    says: text('says').notNull(),
    changes: jsonb('changes').$type<Change[]>().notNull(),
    /** Of this row and of the hash before it: the log is a chain. Null where an older version wrote it. */
    hash: text('hash'),
  },
  (t) => [
    primaryKey({ columns: [t.job, t.rev] }),
    uniqueIndex('changes_command').on(t.job, t.command),
    index('changes_traces')
      .on(t.job, t.rev)
      .where(sql`name like 'trace.%'`),
  ],
)

/** Every record as it stands, so that a start need not replay the log. */
export const records = pgTable(
  'records',
  {
    job: text('job').notNull(),
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    rev: integer('rev').notNull(),
    data: jsonb('data').notNull(),
  },
  (t) => [primaryKey({ columns: [t.job, t.kind, t.id] }), index('records_kind').on(t.job, t.kind)],
)

/** What the records and the log must come to, written with each change: a store that lost a part is found out at the start. */
export const totals = pgTable('totals', {
  job: text('job').primaryKey(),
  rev: integer('rev').notNull(),
  /** How many records stand. */
  records: integer('records').notNull(),
  /** Sum of their weights, as a decimal number. */
  weight: text('weight').notNull(),
  /** Hash of the newest change. */
  hash: text('hash').notNull(),
})

/** Records of the doors' chains, sealed; none is ever altered. The facts know only where each chain ends. */
export const chainRecords = pgTable(
  'chain_records',
  {
    job: text('job').notNull(),
    door: text('door').notNull(),
    n: integer('n').notNull(),
    data: jsonb('data').$type<ChainRecord>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.job, t.door, t.n] })],
)

/** Every event that a device told; the facts hold the newest. */
export const events = pgTable(
  'events',
  {
    job: text('job').notNull(),
    id: text('id').notNull(),
    received: bigint('received', { mode: 'number' }).notNull(),
    data: jsonb('data').$type<DeviceEvent>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.job, t.id] }), index('events_received').on(t.job, t.received)],
)

/** At which revision each field was last set, by whom and from which phone (empty where it is not told), so that two edits that meet are noticed. */
export const fieldRevisions = pgTable(
  'field_revisions',
  {
    job: text('job').notNull(),
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    field: text('field').notNull(),
    rev: integer('rev').notNull(),
    by: text('by').notNull(),
    phone: text('phone').notNull().default(''),
  },
  (t) => [primaryKey({ columns: [t.job, t.kind, t.id, t.field] })],
)

export const accounts = pgTable('accounts', {
  name: text('name').primaryKey(),
  role: text('role').notNull(),
  hash: text('hash').notNull(),
  createdAt: bigint('created_at', { mode: 'number' }).notNull(),
})

/** Sessions by the hash of their token: a copy of the store signs nobody in. */
export const sessions = pgTable('sessions', {
  tokenHash: text('token_hash').primaryKey(),
  /** By which people speak of it; says nothing of the token. */
  id: text('id').notNull(),
  account: text('account').notNull(),
  createdAt: bigint('created_at', { mode: 'number' }).notNull(),
  seenAt: bigint('seen_at', { mode: 'number' }).notNull(),
  expiresAt: bigint('expires_at', { mode: 'number' }).notNull(),
  /** Address and kind of phone or computer that it began at, in words. */
  from: text('from').notNull(),
})

/** Device secrets and the job's signing key, sealed under a key that is kept outside the data folder. */
export const secrets = pgTable(
  'secrets',
  { job: text('job').notNull(), id: text('id').notNull(), sealed: text('sealed').notNull() },
  (t) => [primaryKey({ columns: [t.job, t.id] })],
)

const bytea = customType<{ data: Uint8Array; driverData: Uint8Array }>({ dataType: () => 'bytea' })

/** Bytes of pictures, by the id of their record. */
export const photos = pgTable(
  'photos',
  {
    job: text('job').notNull(),
    id: text('id').notNull(),
    type: text('type').notNull(),
    sha256: text('sha256').notNull(),
    bytes: bytea('bytes').notNull(),
  },
  (t) => [primaryKey({ columns: [t.job, t.id] })],
)
