import { Ajv, type ValidateFunction } from 'ajv'
import formats from 'ajv-formats'
import { and, asc, desc, eq, gt, inArray, sql } from 'drizzle-orm'
import { applyChanges, digestOf, emptyFacts, put, type Change, type Facts, type Question, type RecordKind, type RecordTypes } from '@rauta/core'
import { commands, planEdits, Refusal, sheetsFor, type CommandAnswer, type CommandRequest, type PlanEdit, type Role } from '@rauta/contracts'
import type { Clock } from '@rauta/protocols'
import type { Database } from '../store/open'
import { changes as changesTable, fieldRevisions, records } from '../store/schema'
import { chainChanges, Heads } from './links'

const ajv = new Ajv({ allErrors: false, strict: false })
formats.default(ajv)

export interface Author { name: string; role: Role }
export interface Entry { rev: number; at: number; by: string; name: string; says: string; changes: Change[] }
type Listener = (entry: Entry, facts: Facts) => void

/** The one way through: every change to a job goes over this log, in order, each in one transaction. */
export class JobLog {
  private current: Facts
  private queue: Promise<unknown> = Promise.resolve()
  private readonly listeners = new Set<Listener>()
  private readonly validators = new Map<string, ValidateFunction>()
  private readonly fieldRevs = new Map<string, { rev: number; by: string }>()
  private constructor(private readonly db: Database, private readonly job: string, private readonly clock: Clock, facts: Facts, private readonly heads: Heads, private readonly chainKey: string) {
    this.current = facts
  }

  static async open(db: Database, job: string, clock: Clock, chainKey: string): Promise<JobLog> {
    const rows = await db.select().from(records).where(eq(records.job, job))
    const facts = emptyFacts() as unknown as Record<string, Record<string, unknown>> & { rev: number }
    for (const row of rows) (facts[row.kind] ??= {})[row.id] = row.data
    const top = await db.select({ rev: sql<number>`coalesce(max(${changesTable.rev}), 0)` }).from(changesTable).where(eq(changesTable.job, job))
    const loaded = { ...facts, rev: Number(top[0]?.rev ?? 0) } as unknown as Facts
    const log = new JobLog(db, job, clock, loaded, new Heads(loaded), chainKey)
    for (const f of await db.select().from(fieldRevisions).where(eq(fieldRevisions.job, job))) log.fieldRevs.set(`${f.kind}/${f.id}/${f.field}`, { rev: f.rev, by: f.by })
    return log
  }

  get facts(): Facts { return this.current }

  onCommit(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Runs a command once, however often it arrives. @throws Refusal */
  run(request: CommandRequest, author: Author): Promise<CommandAnswer> {
    return this.inOrder(async () => {
      const before = (await this.db.select().from(changesTable).where(and(eq(changesTable.job, this.job), eq(changesTable.command, request.id))))[0]
      if (before) return { rev: before.rev, changes: before.changes, repeated: true, questions: [] }
      const command = commands[request.name]
      if (!command) throw new Refusal(`There is no command ${request.name}.`)
      if (!command.roles.includes(author.role)) throw new Refusal(`A ${author.role} may not do this.`)
      this.check(request.name, command.schema, request.payload)
      const at = Math.floor(this.clock.now())
      let payload = request.payload as never
      let questions: Question[] = []
      const edit = command.edits?.(payload)
      if (edit) {
        questions = this.meetings(edit, request, author, at)
        const left = Object.keys(edit.fields).filter((f) => !questions.some((q) => q.field === f))
        if (questions.length && command.keepFields) payload = command.keepFields(payload, left) as never
      }
      const says = command.words(this.current, payload)
      const history = await this.historyFor(request)
      const made = edit && questions.length === Object.keys(edit.fields).length ? [] : command.apply(this.current, payload, { id: request.id, by: author.name, role: author.role, at, sheets: sheetsFor(this.current), ...(history ? { history } : {}) })
      const asked = questions.map((q) => put(this.current, 'question', q))
      const rev = await this.commit([...made, ...asked], { by: author.name, at, name: request.name, says, command: request.id, ...(edit ? { edit: { ...edit, except: questions.map((q) => q.field) } } : {}) })
      return { rev, changes: made, repeated: false, questions }
    })
  }

  /** The earlier revision that an undo or a redo speaks of. */
  private async historyFor({ name, payload }: CommandRequest): Promise<((rev: number) => { name: string; changes: Change[] } | undefined) | null> {
    if (name !== 'plan.undo' && name !== 'plan.redo') return null
    const { rev } = payload as { rev: number }
    const row = (await this.db.select().from(changesTable).where(and(eq(changesTable.job, this.job), eq(changesTable.rev, rev))))[0]
    return (wanted) => (row && wanted === rev ? { name: row.name, changes: row.changes } : undefined)
  }

  /** Newest plan edits, undos and redos first. */
  async planEdits(limit = 100): Promise<PlanEdit[]> {
    const rows = await this.db.select({ rev: changesTable.rev, name: changesTable.name, says: changesTable.says, by: changesTable.by, at: changesTable.at }).from(changesTable)
      .where(and(eq(changesTable.job, this.job), inArray(changesTable.name, [...planEdits, 'plan.undo', 'plan.redo']))).orderBy(desc(changesTable.rev)).limit(limit)
    return rows
  }

  /** Appends what a device told or the server worked out. `make` sees the facts as they are when its turn comes. */
  append(name: string, says: string, make: (facts: Facts, at: number) => Change[], by = 'Rauta'): Promise<number> {
    return this.inOrder(async () => {
      const at = Math.floor(this.clock.now())
      const made = make(this.current, at)
      return made.length ? await this.commit(made, { by, at, name, says }) : this.current.rev
    })
  }

  /** Sets fields of one record, if it is there. */
  async patch<K extends RecordKind>(kind: K, id: string, says: string, change: (record: RecordTypes[K]) => RecordTypes[K] | null): Promise<number> {
    return this.append(`${kind}.fact`, says, (facts) => {
      const record = facts[kind][id] as RecordTypes[K] | undefined
      const next = record && change(record)
      return next ? [put(facts, kind, next)] : []
    })
  }

  async after(rev: number, limit = 500): Promise<Entry[]> {
    const rows = await this.db.select().from(changesTable).where(and(eq(changesTable.job, this.job), gt(changesTable.rev, rev))).orderBy(asc(changesTable.rev)).limit(limit)
    return rows.map((r) => ({ rev: r.rev, at: r.at, by: r.by, name: r.name, says: r.says, changes: r.changes }))
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
    const field = (error?.instancePath ?? '').slice(1).replaceAll('/', '.').replace(/^fields\./, '')
    throw new Refusal(`${field || 'This'} ${plainly(error?.keyword ?? '', error?.message ?? 'is not right', error?.params as Record<string, unknown>)}.`, field || undefined)
  }

  /** Fields that somebody else set after the revision this author had seen, to another value. */
  private meetings(edit: { kind: RecordKind; id: string; fields: Record<string, unknown> }, request: CommandRequest, author: Author, at: number): Question[] {
    const record = this.current[edit.kind][edit.id] as unknown as Record<string, unknown> | undefined
    if (!record) return []
    return Object.entries(edit.fields).flatMap(([field, offered]) => {
      const last = this.fieldRevs.get(`${edit.kind}/${edit.id}/${field}`)
      if (!last || last.rev <= request.seen || !(field in record) || digestOf(record[field] ?? null) === digestOf(offered ?? null)) return []
      return [{ id: `${request.id}-${field}`, kind: edit.kind, record: edit.id, field, kept: record[field], offered, by: author.name, at }]
    })
  }

  private async commit(made: Change[], entry: { by: string; at: number; name: string; says: string; command?: string; edit?: { kind: RecordKind; id: string; fields: Record<string, unknown>; except: string[] } }): Promise<number> {
    const rev = this.current.rev + 1
    const afterMade = applyChanges(this.current, made, rev)
    const links = this.chainKey ? chainChanges(afterMade, made, this.heads, this.chainKey, entry.at, entry.by) : []
    const list = [...made, ...links]
    const setFields = entry.edit ? Object.keys(entry.edit.fields).filter((f) => !entry.edit?.except.includes(f)) : []
    await this.db.transaction(async (tx) => {
      await tx.insert(changesTable).values({ job: this.job, rev, at: entry.at, by: entry.by, command: entry.command ?? null, name: entry.name, says: entry.says, changes: list })
      const puts = [...new Map(list.map((c) => [`${c.kind}/${c.id}`, c])).values()]
      const kept = puts.filter((c) => c.after !== null).map((c) => ({ job: this.job, kind: c.kind, id: c.id, rev, data: c.after }))
      for (let i = 0; i < kept.length; i += 100) {
        await tx.insert(records).values(kept.slice(i, i + 100)).onConflictDoUpdate({ target: [records.job, records.kind, records.id], set: { rev: sql`excluded.rev`, data: sql`excluded.data` } })
      }
      for (const gone of puts.filter((c) => c.after === null)) await tx.delete(records).where(and(eq(records.job, this.job), eq(records.kind, gone.kind), eq(records.id, gone.id)))
      for (const field of setFields) {
        await tx.insert(fieldRevisions).values({ job: this.job, kind: entry.edit?.kind ?? '', id: entry.edit?.id ?? '', field, rev, by: entry.by }).onConflictDoUpdate({ target: [fieldRevisions.job, fieldRevisions.kind, fieldRevisions.id, fieldRevisions.field], set: { rev, by: entry.by } })
      }
    })
    for (const field of setFields) this.fieldRevs.set(`${entry.edit?.kind}/${entry.edit?.id}/${field}`, { rev, by: entry.by })
    for (const link of links) this.heads.note(link.after as never)
    this.current = applyChanges(afterMade, links, rev)
    const told: Entry = { rev, at: entry.at, by: entry.by, name: entry.name, says: entry.says, changes: list }
    for (const listener of this.listeners) listener(told, this.current)
    return rev
  }
}

/** A schema's complaint in plain words. */
function plainly(keyword: string, message: string, params: Record<string, unknown> = {}): string {
  switch (keyword) {
    case 'required': return `needs ${String(params['missingProperty'])}`
    case 'minimum': case 'exclusiveMinimum': return `must be ${String(params['limit'])} or more`
    case 'maximum': return `must be ${String(params['limit'])} or less`
    case 'type': return `must be a ${String(params['type']).replace('integer', 'whole number')}`
    case 'minLength': return 'must not be empty'
    case 'additionalProperties': return `has a field that is not known: ${String(params['additionalProperty'])}`
    default: return message
  }
}
