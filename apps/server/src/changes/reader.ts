import { and, asc, desc, eq, gt, gte, inArray, like, lt } from 'drizzle-orm'
import type { ChainRecord, DeviceEvent } from '@rauta/core'
import { planEdits, type PlanEdit } from '@rauta/contracts'
import type { Database } from '../store/open'
import { chainRecords, changes as changesTable, events } from '../store/schema'
import { tracePrefix, type Entry } from './entry'

/** As many revisions or records as the store can number. */
const mostRows = 2 ** 31 - 1

/** What was written of a job, asked for a page at a time: its changes, the chains of its doors, what devices told. */
export class LogReader {
  protected constructor(
    protected readonly db: Database,
    protected readonly job: string,
  ) {}

  /** Which of these commands were run before, and at which revision. */
  protected async known(ids: readonly string[]): Promise<Map<string, number>> {
    const rows = await this.db
      .select({ command: changesTable.command, rev: changesTable.rev })
      .from(changesTable)
      .where(and(eq(changesTable.job, this.job), inArray(changesTable.command, [...ids])))
    return new Map(rows.flatMap((r) => (r.command === null ? [] : [[r.command, r.rev]])))
  }

  /** When a revision was made; what rests on it is not older. 0 where there is none such. */
  protected async toldAt(rev: number): Promise<number> {
    const [row] = await this.db
      .select({ at: changesTable.at })
      .from(changesTable)
      .where(and(eq(changesTable.job, this.job), eq(changesTable.rev, Math.min(rev, mostRows))))
    return row?.at ?? 0
  }

  /** Newest plan edits, undos and redos first. */
  async planEdits(limit = 100): Promise<PlanEdit[]> {
    const rows = await this.db
      .select({
        rev: changesTable.rev,
        name: changesTable.name,
        says: changesTable.says,
        by: changesTable.by,
        at: changesTable.at,
      })
      .from(changesTable)
      .where(and(eq(changesTable.job, this.job), inArray(changesTable.name, [...planEdits, 'plan.undo', 'plan.redo'])))
      .orderBy(desc(changesTable.rev))
      .limit(limit)
    return rows
  }

  /** What was noted, newest first. @param before only what came before this revision */
  async notes(limit: number, before: number): Promise<Omit<Entry, 'changes'>[]> {
    const { rev, at, by, name, says } = changesTable
    return await this.db
      .select({ rev, at, by, name, says })
      .from(changesTable)
      .where(
        and(
          eq(changesTable.job, this.job),
          like(changesTable.name, `${tracePrefix}%`),
          lt(changesTable.rev, Math.min(before, mostRows)),
        ),
      )
      .orderBy(desc(changesTable.rev))
      .limit(limit)
  }

  async after(rev: number, limit = 500): Promise<Entry[]> {
    const rows = await this.db
      .select()
      .from(changesTable)
      .where(and(eq(changesTable.job, this.job), gt(changesTable.rev, Math.min(rev, mostRows))))
      .orderBy(asc(changesTable.rev))
      .limit(limit)
    return rows.map((r) => ({ rev: r.rev, at: r.at, by: r.by, name: r.name, says: r.says, changes: r.changes }))
  }

  /** A door's chain from its beginning. */
  async chain(door: string): Promise<ChainRecord[]> {
    const rows = await this.db
      .select({ data: chainRecords.data })
      .from(chainRecords)
      .where(and(eq(chainRecords.job, this.job), eq(chainRecords.door, door)))
      .orderBy(asc(chainRecords.n))
    return rows.map((r) => r.data)
  }

  /** The newest records of a door's chain, newest first. @param before only those before this one */
  async newestOfChain(door: string, limit: number, before = Number.MAX_SAFE_INTEGER): Promise<ChainRecord[]> {
    const rows = await this.db
      .select({ data: chainRecords.data })
      .from(chainRecords)
      .where(
        and(
          eq(chainRecords.job, this.job),
          eq(chainRecords.door, door),
          lt(chainRecords.n, Math.min(before, mostRows)),
        ),
      )
      .orderBy(desc(chainRecords.n))
      .limit(limit)
    return rows.map((r) => r.data)
  }

  /** Events received from one moment up to another, oldest first; also those that the facts have no more. */
  async eventsBetween(from: number, before: number, limit: number): Promise<DeviceEvent[]> {
    const rows = await this.db
      .select({ data: events.data })
      .from(events)
      .where(and(eq(events.job, this.job), gte(events.received, from), lt(events.received, before)))
      .orderBy(desc(events.received))
      .limit(limit)
    return rows.map((r) => r.data).reverse()
  }

  /** Which of these events are known, also where the facts have them no more. */
  async knownEvents(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .select({ id: events.id })
      .from(events)
      .where(and(eq(events.job, this.job), inArray(events.id, [...ids])))
    return new Set(rows.map((r) => r.id))
  }
}
