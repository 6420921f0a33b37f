import { sql } from 'drizzle-orm'
import type { ChainRecord } from '@rauta/core'
import type { Entry } from '../changes/entry'
import type { Database } from './store'
import { StoreFullError } from './room'

/** Everything that one commit writes. */
export interface Commit {
  changes: (Entry & { command: string | null; hash: string })[]
  records: { kind: string; id: string; rev: number; data: unknown }[]
  gone: { kind: string; id: string }[]
  events: { id: string; received: number; data: unknown }[]
  chain: { door: string; n: number; data: ChainRecord }[]
  fields: { kind: string; id: string; field: string; rev: number; by: string; phone: string }[]
  totals: { rev: number; records: number; weight: string; hash: string }[]
}

/** A command of this commit was written before: the log has each but once. */
export class TwiceError extends Error {}

/** SQLSTATE of a file that could not be made longer, and of a row that is there already. */
const diskFull = '53100'
const unique = '23505'

const insertFrom = (part: keyof Commit, into: string, columns: string, shape: string, conflict = '') =>
  `if jsonb_array_length(d -> '${part}') > 0 then
    insert into ${into} (job, ${columns}) select of, ${columns} from jsonb_to_recordset(d -> '${part}') as x(${shape}) ${conflict};
  end if;`

/** One statement, so that its parts are planned once and the engine is asked once: all of it or nothing. It lives as long as the session. */
const writer = `create or replace function pg_temp.write_commit(of text, d jsonb) returns void language plpgsql as $$
begin
  ${insertFrom('changes', 'changes', 'rev, at, by, command, name, says, changes, hash', 'rev int, at bigint, by text, command text, name text, says text, changes jsonb, hash text')}
  ${insertFrom('records', 'records', 'kind, id, rev, data', 'kind text, id text, rev int, data jsonb', 'on conflict (job, kind, id) do update set rev = excluded.rev, data = excluded.data')}
  ${insertFrom('events', 'events', 'id, received, data', 'id text, received bigint, data jsonb', 'on conflict do nothing')}
  ${insertFrom('chain', 'chain_records', 'door, n, data', 'door text, n int, data jsonb')}
  ${insertFrom('fields', 'field_revisions', 'kind, id, field, rev, by, phone', 'kind text, id text, field text, rev int, by text, phone text', 'on conflict (job, kind, id, field) do update set rev = excluded.rev, by = excluded.by, phone = excluded.phone')}
  if jsonb_array_length(d -> 'gone') > 0 then
    delete from records r using jsonb_to_recordset(d -> 'gone') as x(kind text, id text)
    where r.job = of and r.kind = x.kind and r.id = x.id;
  end if;
  ${insertFrom('totals', 'totals', 'rev, records, weight, hash', 'rev int, records int, weight text, hash text', 'on conflict (job) do update set rev = excluded.rev, records = excluded.records, weight = excluded.weight, hash = excluded.hash')}
end $$`

/** Makes the session ready for `writeCommit`. */
export async function prepareWriting(db: Database): Promise<void> {
  await db.execute(sql.raw(writer))
}

/** Writes a commit: one way to the engine and one to the disk. @throws StoreFullError, TwiceError */
export async function writeCommit(db: Database, job: string, commit: Commit): Promise<void> {
  try {
    await db.execute(sql`select pg_temp.write_commit(${job}, ${JSON.stringify(commit)}::jsonb)`)
  } catch (error) {
    const { code, constraint } = failureOf(error)
    if (code === diskFull) throw new StoreFullError(0)
    if (code === unique && constraint === 'changes_command') throw new TwiceError()
    throw error
  }
}

interface Failure {
  code?: string
  constraint?: string
}

/** What the engine said, also where it came wrapped. */
function failureOf(error: unknown): Failure {
  const failure = error as Failure & { cause?: unknown }
  return failure.code === undefined && failure.cause ? failureOf(failure.cause) : failure
}
