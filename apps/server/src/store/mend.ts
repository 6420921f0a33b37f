import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm'
import { sameJson, type Change } from '@rauta/core'
import type { SetAside } from './facts'
import type { Database } from './store'
import { changes, chainRecords, records, totals } from './schema'
import { changeHash, liesApart, Totals, type StoredRow } from './totals'

const page = 500

/** What is wrong with a store, in words; `kind` and `id` say where. */
export type Damage = SetAside

type LogRow = typeof changes.$inferSelect

/** Rows of the log in their order, a page at a time. */
async function* logPages(db: Database, job: string) {
  for (let from = 0; ;) {
    const rows = await db
      .select()
      .from(changes)
      .where(and(eq(changes.job, job), gt(changes.rev, from)))
      .orderBy(asc(changes.rev))
      .limit(page)
    if (rows.length === 0) return
    yield rows
    from = rows.at(-1)?.rev ?? from
  }
}

/** Reads the log from its beginning: which numbers it lacks, and whether its hashes follow from each other. @param see is shown every page, and waited for */
async function readLog(db: Database, job: string, see: (page: readonly LogRow[]) => unknown) {
  const missing: [from: number, to: number][] = []
  let broken: number | null = null
  let rev = 0
  let previous = ''
  for await (const rows of logPages(db, job)) {
    await see(rows)
    for (const { command, hash, ...entry } of rows) {
      if (entry.rev !== rev + 1) missing.push([rev + 1, entry.rev - 1])
      else if (hash !== null && hash !== changeHash(previous, entry, command)) broken ??= entry.rev
      rev = entry.rev
      previous = hash ?? ''
    }
  }
  return { missing, broken, rev }
}

const alteredChange = (rev: number): Damage => ({
  kind: 'change',
  id: String(rev),
  says: `Change ${rev} of the job’s log is not what was written then.`,
})
const missingChanges = ([from, to]: readonly [number, number]): Damage => ({
  kind: 'change',
  id: `${from}–${to}`,
  says: `The job’s log lacks ${from === to ? `change ${from}` : `changes ${from} to ${to}`}.`,
})

/** Looks the whole log through, a page at a time with pauses: a start that finds the records right doesn't read it. */
export async function alteredLog(db: Database, job: string, pause: () => Promise<unknown>): Promise<Damage[]> {
  const { broken } = await readLog(db, job, pause)
  return broken === null ? [] : [alteredChange(broken)]
}

/** Where the records and the log part, the log decides; what it cannot decide is named. @returns what was found */
async function rebuild(db: Database, job: string, rows: readonly StoredRow[], top: number): Promise<Damage[]> {
  const latest = new Map<string, { rev: number; change: Change }>()
  const { missing, broken, rev } = await readLog(db, job, (page) => {
    for (const entry of page)
      for (const change of entry.changes)
        if (!liesApart(change.kind)) latest.set(`${change.kind}/${change.id}`, { rev: entry.rev, change })
  })
  if (rev < top) missing.push([rev + 1, top])
  const damage = [...missing.map(missingChanges), ...(broken === null ? [] : [alteredChange(broken)])]
  const stored = new Map(rows.map((row) => [`${row.kind}/${row.id}`, row]))
  const mended: string[] = []
  for (const [key, { rev: at, change }] of latest) {
    const row = stored.get(key)
    const { kind, id, after } = change
    // A record that is newer than the log is what the log lost.
    if (row && row.rev > at) {
      damage.push({ kind, id, says: `The ${kind} ${id} stands as change ${row.rev} left it, which the log lacks.` })
      continue
    }
    if (after === null ? !row : row && row.rev === at && sameJson(row.data, after)) continue
    mended.push(key)
    const where = and(eq(records.job, job), eq(records.kind, kind), eq(records.id, id))
    if (after === null) await db.delete(records).where(where)
    else
      await db
        .insert(records)
        .values({ job, kind, id, rev: at, data: after })
        .onConflictDoUpdate({ target: [records.job, records.kind, records.id], set: { rev: at, data: after } })
    if (missing.some(([, to]) => to > at))
      damage.push({ kind, id, says: `The ${kind} ${id} is as change ${at} left it; a later one may be lost.` })
  }
  if (mended.length)
    damage.push({
      kind: 'store',
      id: 'rebuilt',
      says: `The store had lost or altered ${mended.length} ${mended.length === 1 ? 'record' : 'records'}: made anew from the log of changes.`,
    })
  return damage
}

/** Chains whose records are not as many as their door's head counts. */
async function shortChains(db: Database, job: string): Promise<Damage[]> {
  const counted = await db
    .select({ door: chainRecords.door, count: sql<number>`count(*)::int`, top: sql<number>`max(${chainRecords.n})` })
    .from(chainRecords)
    .where(eq(chainRecords.job, job))
    .groupBy(chainRecords.door)
  const by = new Map(counted.map((c) => [c.door, c]))
  const heads = await db
    .select({ data: records.data })
    .from(records)
    .where(and(eq(records.job, job), eq(records.kind, 'head')))
  return heads.flatMap(({ data }) => {
    const { id, n } = data as { id: string; n: number }
    const { count = 0, top = 0 } = by.get(id) ?? {}
    return count === n && top === n
      ? []
      : [{ kind: 'chain', id, says: `The record of door ${id} has ${count} of ${n} entries.` }]
  })
}

const rowsOf = (db: Database, job: string): Promise<StoredRow[]> =>
  db
    .select({ kind: records.kind, id: records.id, rev: records.rev, data: records.data })
    .from(records)
    .where(eq(records.job, job))

const totalsOf = (rows: readonly StoredRow[], hash: string): Totals => {
  const made = new Totals(hash)
  for (const { kind, id, data } of rows) made.set(kind, id, data)
  return made
}

/** Hashes for rows that a version before them wrote. @returns the newest */
async function hashLog(db: Database, job: string): Promise<string> {
  let previous = ''
  for await (const rows of logPages(db, job))
    for (const { command, hash, ...entry } of rows) {
      const made = hash ?? changeHash(previous, entry, command)
      if (hash === null)
        await db
          .update(changes)
          .set({ hash: made })
          .where(and(eq(changes.job, job), eq(changes.rev, entry.rev)))
      previous = made
    }
  return previous
}

/**
 * Compares the records with what the last change said they come to, and mends them from the log where they differ.
 * @param migrated this version has just altered the tables, so that the old totals say nothing
 */
export async function wholeStore(
  db: Database,
  job: string,
  migrated: boolean,
): Promise<{ rows: StoredRow[]; totals: Totals; rev: number; damage: Damage[] }> {
  const rows = await rowsOf(db, job)
  const [log] = await db
    .select({ top: sql<number>`coalesce(max(${changes.rev}), 0)::int`, count: sql<number>`count(*)::int` })
    .from(changes)
    .where(eq(changes.job, job))
  const [kept] = await db.select().from(totals).where(eq(totals.job, job))
  const top = log?.top ?? 0
  if (!kept || migrated) {
    const unhashed = await db
      .select({ rev: changes.rev })
      .from(changes)
      .where(and(eq(changes.job, job), isNull(changes.hash)))
      .limit(1)
    const hash = unhashed.length ? await hashLog(db, job) : await newestHash(db, job, top)
    const made = totalsOf(rows, hash)
    await keepTotals(db, job, top, made)
    return { rows, totals: made, rev: top, damage: await shortChains(db, job) }
  }
  const found = totalsOf(rows, kept.hash)
  const rev = Math.max(kept.rev, top, ...rows.map((r) => r.rev))
  const newest = await newestHash(db, job, kept.rev)
  const damage: Damage[] = await shortChains(db, job)
  const right = found.weight === kept.weight && found.records === kept.records
  if (right && top === kept.rev && log?.count === kept.rev && newest === kept.hash)
    return { rows, totals: found, rev, damage }
  damage.push(...(await rebuild(db, job, rows, rev)))
  const mended = await rowsOf(db, job)
  return { rows: mended, totals: totalsOf(mended, kept.hash), rev, damage }
}

async function newestHash(db: Database, job: string, rev: number): Promise<string> {
  const [row] = await db
    .select({ hash: changes.hash })
    .from(changes)
    .where(and(eq(changes.job, job), eq(changes.rev, rev)))
  return row?.hash ?? ''
}

async function keepTotals(db: Database, job: string, rev: number, { records: count, weight, hash }: Totals) {
  const row = { rev, records: count, weight, hash }
  await db
    .insert(totals)
    .values({ job, ...row })
    .onConflictDoUpdate({ target: totals.job, set: row })
}
