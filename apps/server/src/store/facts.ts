import { desc, eq } from 'drizzle-orm'
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
import type { Database } from './store'
import { events } from './schema'
import { liesApart, type StoredRow } from './totals'

/** A stored record that cannot be one: it is left out of the job and named. */
export interface SetAside {
  kind: string
  id: string
  says: string
}

/** The job as the store has it: every record, the newest events, and what had to be left out. */
export async function storedFacts(
  db: Database,
  job: string,
  rows: readonly StoredRow[],
  rev: number,
): Promise<{ facts: Facts; aside: SetAside[] }> {
  const newest = await db
    .select({ id: events.id, data: events.data })
    .from(events)
    .where(eq(events.job, job))
    .orderBy(desc(events.received))
    .limit(newestEvents)
  const aside: SetAside[] = []
  const made: Change[] = []
  for (const row of [
    ...rows.filter((row) => !liesApart(row.kind)).flatMap(inShares),
    ...newest.reverse().map((e) => ({ kind: 'event', rev, ...e })),
  ]) {
    const declaration = declarationOf(row.kind)
    const fault = declaration
      ? recordFault(declaration, row.id, row.data)
      : 'is of a kind that this version does not know'
    if (fault)
      aside.push({
        kind: row.kind,
        id: row.id,
        says: `The stored ${row.kind} ${row.id} ${fault}: it is left out of the job.`,
      })
    else made.push({ kind: row.kind, id: row.id, before: null, after: row.data } as Change)
  }
  return { facts: applyChanges(emptyFacts(), made, rev), aside }
}

/** What a device was read to hold was one record in older stores. */
function inShares(row: StoredRow): StoredRow[] {
  if (row.kind !== 'held') return [row]
  const { config, ...held } = row.data as { config?: Config }
  if (config === undefined) return [row]
  return [
    { ...row, data: held },
    ...heldParts(row.id, config).map((share: HeldParts) => ({ ...row, kind: 'heldParts', id: share.id, data: share })),
  ]
}
