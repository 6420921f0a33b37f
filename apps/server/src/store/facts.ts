import { and, desc, eq, ne, sql } from 'drizzle-orm'
import {
  applyChanges,
  declarationOf,
  emptyFacts,
  heldParts,
  newestEvents,
  recordFault,
  type Change,
  type Config,
  type Facts,
  type HeldParts,
} from '@rauta/core'
import type { Database } from './open'
import { changes, events, records } from './schema'

/** A stored record that cannot be one: it is left out of the job and named. */
export interface SetAside {
  kind: string
  id: string
  says: string
}

type Row = Pick<typeof records.$inferSelect, 'kind' | 'id' | 'data'>

/** The job as the store has it: every record, the newest events, and what had to be left out. */
export async function storedFacts(db: Database, job: string): Promise<{ facts: Facts; aside: SetAside[] }> {
  const rows = await db
    .select({ kind: records.kind, id: records.id, data: records.data })
    .from(records)
    .where(and(eq(records.job, job), ne(records.kind, 'event')))
  const newest = await db
    .select({ id: events.id, data: events.data })
    .from(events)
    .where(eq(events.job, job))
    .orderBy(desc(events.received))
    .limit(newestEvents)
  const top = await db
    .select({ rev: sql<number>`coalesce(max(${changes.rev}), 0)` })
    .from(changes)
    .where(eq(changes.job, job))
  const aside: SetAside[] = []
  const made: Change[] = []
  for (const row of [...rows.flatMap(inShares), ...newest.reverse().map((e) => ({ kind: 'event', ...e }))]) {
    const declaration = declarationOf(row.kind)
    const fault = declaration
      ? recordFault(declaration, row.id, row.data)
      : 'is of a kind that this version does not know'
    if (fault) aside.push({ kind: row.kind, id: row.id, says: `The stored ${row.kind} ${row.id} ${fault}.` })
    else made.push({ kind: row.kind, id: row.id, before: null, after: row.data } as Change)
  }
  return { facts: applyChanges(emptyFacts(), made, Number(top[0]?.rev ?? 0)), aside }
}

/** What a device was read to hold was one record in older stores. */
function inShares(row: Row): Row[] {
  if (row.kind !== 'held') return [row]
  const { config, ...held } = row.data as { config?: Config }
  if (config === undefined) return [row]
  return [
    { ...row, data: held },
    ...heldParts(row.id, config).map((share: HeldParts) => ({ kind: 'heldParts', id: share.id, data: share })),
  ]
}
