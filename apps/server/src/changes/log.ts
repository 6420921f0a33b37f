import { Ajv, type ValidateFunction } from 'ajv'
import formats from 'ajv-formats'
import { and, asc, desc, eq, gt, gte, inArray, lt, sql } from 'drizzle-orm'
import {
  put,
  type ChainRecord,
  type Change,
  type DeviceEvent,
  type Facts,
  type RecordKind,
  type RecordTypes,
} from '@rauta/core'
import {
  commands,
  planEdits,
  Refusal,
  type BatchResult,
  type CommandAnswer,
  type CommandRequest,
  type PlanEdit,
} from '@rauta/contracts'
import type { Clock } from '@rauta/protocols'
import type { Database } from '../store/open'
import { storedFacts, type SetAside } from '../store/facts'
import { chainRecords, changes as changesTable, events, fieldRevisions, records } from '../store/schema'
import type { Author, Entry } from './entry'
import { keyOf, Staging, type SetBy } from './staging'

const ajv = new Ajv({ allErrors: false, strict: false })
formats.default(ajv)

type Listener = (entry: Entry, facts: Facts) => void

/** The one way through: every change to a job goes over this log, in order, each in one transaction. */
export class JobLog {
  private current: Facts
  private queue: Promise<unknown> = Promise.resolve()
  private readonly listeners = new Set<Listener>()
  private readonly validators = new Map<string, ValidateFunction>()
  private readonly fieldRevs = new Map<string, SetBy>()
  private constructor(
    private readonly db: Database,
    private readonly job: string,
    private readonly clock: Clock,
    facts: Facts,
    private readonly chainKey: string,
    /** Stored records that could not be read. */
    readonly aside: readonly SetAside[],
  ) {
    this.current = facts
  }

  static async open(db: Database, job: string, clock: Clock, chainKey: string): Promise<JobLog> {
    const { facts, aside } = await storedFacts(db, job)
    const log = new JobLog(db, job, clock, facts, chainKey, aside)
    for (const f of await db.select().from(fieldRevisions).where(eq(fieldRevisions.job, job)))
      log.fieldRevs.set(keyOf(f), f)
    return log
  }

  get facts(): Facts {
    return this.current
  }

  onCommit(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Runs a command once, however often it arrives. @throws Refusal */
  run(request: CommandRequest, author: Author): Promise<CommandAnswer> {
    return this.inOrder(async () => {
      const before = (
        await this.db
          .select()
          .from(changesTable)
          .where(and(eq(changesTable.job, this.job), eq(changesTable.command, request.id)))
      )[0]
      if (before) return { rev: before.rev, changes: before.changes, repeated: true, questions: [] }
      const staging = this.stage()
      const answer = await this.give(staging, request, author)
      await this.commit(staging)
      return answer
    })
  }

  /** Runs what waited, in its order and in one transaction; one that is refused holds the others up in nothing. @param note added to the words of each */
  runAll(requests: readonly CommandRequest[], author: Author, note = ''): Promise<BatchResult[]> {
    return this.inOrder(async () => {
      const rows = await this.db
        .select({ command: changesTable.command, rev: changesTable.rev })
        .from(changesTable)
        .where(
          and(
            eq(changesTable.job, this.job),
            inArray(
              changesTable.command,
              requests.map((r) => r.id),
            ),
          ),
        )
      const known = new Map(rows.map((r) => [r.command, r.rev]))
      const staging = this.stage()
      const results: BatchResult[] = []
      for (const request of requests) {
        const before = known.get(request.id)
        if (before !== undefined) {
          results.push({ id: request.id, ok: true, rev: before, repeated: true, questions: 0 })
          continue
        }
        try {
          const answer = await this.give(staging, request, author, note)
          known.set(request.id, answer.rev)
          results.push({
            id: request.id,
            ok: true,
            rev: answer.rev,
            repeated: false,
            questions: answer.questions.length,
          })
        } catch (error) {
          if (!(error instanceof Refusal)) throw error
          results.push({
            id: request.id,
            ok: false,
            says: error.says,
            ...(error.field === undefined ? {} : { field: error.field }),
          })
        }
      }
      if (staging.staged.length) await this.commit(staging)
      return results
    })
  }

  private stage(): Staging {
    return new Staging(this.current, this.fieldRevs, this.chainKey, Math.floor(this.clock.now()))
  }

  /** @throws Refusal for a command that this author may not give, that is not as its schema says, or that does not fit; then nothing is staged */
  private async give(staging: Staging, request: CommandRequest, author: Author, note = ''): Promise<CommandAnswer> {
    const command = commands[request.name]
    if (!command) throw new Refusal(`There is no command ${request.name}.`)
    if (!command.roles.includes(author.role)) throw new Refusal(`A ${author.role} may not do this.`)
    this.check(request.name, command.schema, request.payload)
    return staging.command(request, author, await this.historyFor(request), note)
  }

  /** The earlier revision that an undo or a redo speaks of. */
  private async historyFor({
    name,
    payload,
  }: CommandRequest): Promise<((rev: number) => { name: string; changes: Change[] } | undefined) | null> {
    if (name !== 'plan.undo' && name !== 'plan.redo') return null
    const { rev } = payload as { rev: number }
    const row = (
      await this.db
        .select()
        .from(changesTable)
        .where(and(eq(changesTable.job, this.job), eq(changesTable.rev, rev)))
    )[0]
    return (wanted) => (row && wanted === rev ? { name: row.name, changes: row.changes } : undefined)
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

  /** Appends what a device told or the server worked out. `make` sees the facts as they are when its turn comes. */
  append(name: string, says: string, make: (facts: Facts, at: number) => Change[], by = 'Rauta'): Promise<number> {
    return this.inOrder(async () => {
      const at = Math.floor(this.clock.now())
      const made = make(this.current, at)
      if (made.length === 0) return this.current.rev
      const staging = this.stage()
      const rev = staging.add(made, { by, name, says })
      await this.commit(staging)
      return rev
    })
  }

  /** Sets fields of one record, if it is there. */
  async patch<K extends RecordKind>(
    kind: K,
    id: string,
    says: string,
    change: (record: RecordTypes[K]) => RecordTypes[K] | null,
  ): Promise<number> {
    return this.append(`${kind}.fact`, says, (facts) => {
      const record = facts[kind][id] as RecordTypes[K] | undefined
      const next = record && change(record)
      return next ? [put(facts, kind, next)] : []
    })
  }

  async after(rev: number, limit = 500): Promise<Entry[]> {
    const rows = await this.db
      .select()
      .from(changesTable)
      .where(and(eq(changesTable.job, this.job), gt(changesTable.rev, rev)))
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
          lt(chainRecords.n, Math.min(before, 2147483647)),
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

  /** Resolves when everything that was asked for has been written. */
  async idle(): Promise<void> {
    await this.queue
  }

  private inOrder<T>(work: () => Promise<T>): Promise<T> {
    const next = this.queue.then(work, work)
    this.queue = next.catch(() => undefined)
    return next
  }

  private check(name: string, schema: object, payload: unknown): void {
    let validate = this.validators.get(name)
    if (!validate) this.validators.set(name, (validate = ajv.compile(schema)))
    if (validate(payload)) return
    const error = validate.errors?.[0]
    const field = (error?.instancePath ?? '')
      .slice(1)
      .replaceAll('/', '.')
      .replace(/^fields\./, '')
    throw new Refusal(
      `${field || 'This'} ${plainly(error?.keyword ?? '', error?.message ?? 'is not right', error?.params as Record<string, unknown>)}.`,
      field || undefined,
    )
  }

  private async commit(staging: Staging): Promise<void> {
    const { staged } = staging
    // The last state of each record is what is kept; the log keeps every step.
    const puts = [
      ...new Map(
        staged.flatMap(({ entry }) =>
          entry.changes.map((c) => [`${c.kind}/${c.id}`, { ...c, rev: entry.rev }] as const),
        ),
      ).values(),
    ]
    const kept = puts
      .filter((c) => c.after !== null && c.kind !== 'event')
      .map((c) => ({ job: this.job, kind: c.kind, id: c.id, rev: c.rev, data: c.after }))
    const told = puts.flatMap(({ kind, id, after }) =>
      kind === 'event' && after !== null
        ? [{ job: this.job, id, received: (after as DeviceEvent).received, data: after as DeviceEvent }]
        : [],
    )
    const links = staged.flatMap((s) => s.chain.map((data) => ({ job: this.job, door: data.door, n: data.n, data })))
    const fields = staging.fieldRevisions.map((f) => ({ job: this.job, ...f }))
    await this.db.transaction(async (tx) => {
      for (let i = 0; i < staged.length; i += 100) {
        await tx
          .insert(changesTable)
          .values(
            staged
              .slice(i, i + 100)
              .map(({ entry, command }) => ({
                job: this.job,
                rev: entry.rev,
                at: entry.at,
                by: entry.by,
                command,
                name: entry.name,
                says: entry.says,
                changes: entry.changes,
              })),
          )
      }
      for (let i = 0; i < kept.length; i += 100) {
        await tx
          .insert(records)
          .values(kept.slice(i, i + 100))
          .onConflictDoUpdate({
            target: [records.job, records.kind, records.id],
            set: { rev: sql`excluded.rev`, data: sql`excluded.data` },
          })
      }
      for (let i = 0; i < told.length; i += 100)
        await tx
          .insert(events)
          .values(told.slice(i, i + 100))
          .onConflictDoNothing()
      for (let i = 0; i < links.length; i += 100) await tx.insert(chainRecords).values(links.slice(i, i + 100))
      for (const gone of puts.filter((c) => c.after === null))
        await tx
          .delete(records)
          .where(and(eq(records.job, this.job), eq(records.kind, gone.kind), eq(records.id, gone.id)))
      for (let i = 0; i < fields.length; i += 100) {
        await tx
          .insert(fieldRevisions)
          .values(fields.slice(i, i + 100))
          .onConflictDoUpdate({
            target: [fieldRevisions.job, fieldRevisions.kind, fieldRevisions.id, fieldRevisions.field],
            set: { rev: sql`excluded.rev`, by: sql`excluded.by`, phone: sql`excluded.phone` },
          })
      }
    })
    for (const f of staging.fieldRevisions) this.fieldRevs.set(keyOf(f), f)
    this.current = staging.facts
    for (const { entry } of staged) for (const listener of this.listeners) listener(entry, this.current)
  }
}

/** A schema's complaint in plain words. */
function plainly(keyword: string, message: string, params: Record<string, unknown> = {}): string {
  switch (keyword) {
    case 'required':
      return `needs ${String(params['missingProperty'])}`
    case 'minimum':
    case 'exclusiveMinimum':
      return `must be ${String(params['limit'])} or more`
    case 'maximum':
      return `must be ${String(params['limit'])} or less`
    case 'type':
      return `must be a ${String(params['type']).replace('integer', 'whole number')}`
    case 'minLength':
      return 'must not be empty'
    case 'additionalProperties':
      return `has a field that is not known: ${String(params['additionalProperty'])}`
    default:
      return message
  }
}
