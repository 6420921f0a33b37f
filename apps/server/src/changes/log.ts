import { Ajv, type ValidateFunction } from 'ajv'
import formats from 'ajv-formats'
import { and, eq } from 'drizzle-orm'
import { put, type Change, type DeviceEvent, type Facts, type RecordKind, type RecordTypes } from '@rauta/core'
import {
  batchMost,
  commandNamed,
  complaintWords,
  Misfit,
  Refusal,
  unfitValue,
  type BatchResult,
  type CommandAnswer,
  type CommandRequest,
} from '@rauta/contracts'
import { sealFile, type RecordFile } from '@rauta/core/chain'
import type { Clock } from '@rauta/protocols'
import type { Store } from '../store/open'
import { storedFacts, type SetAside } from '../store/facts'
import { wholeStore } from '../store/mend'
import { changes as changesTable, fieldRevisions } from '../store/schema'
import { changeHash, liesApart, type Totals } from '../store/totals'
import { TwiceError, writeCommit } from '../store/write'
import { VaultClosedError } from '../security/vault'
import { LogReader } from './reader'
import { tracePrefix, type Author, type Entry, type Trace } from './entry'
import { signNatively } from './links'
import { keyOf, lateMs, Staging, type SetBy } from './staging'

const ajv = new Ajv({ allErrors: false, strict: false })
formats.default(ajv)

type Listener = (entry: Entry, facts: Facts) => void

/** A command that waits for its turn, and who waits for its answer. */
interface Asked {
  request: CommandRequest
  author: Author
  done(answer: CommandAnswer): void
  fail(error: unknown): void
}
/** What the log needs of a store. */
export type LogStore = Pick<Store, 'db' | 'room' | 'checkpoint' | 'migrated'>
/** What is done live waits nowhere. */
const tooLate = 'This is done live, with somebody there: it was not done later. Do it again where there is signal.'
/** Commits after which the engine's own log begins anew, so that a start has little to replay. */
const commitsToCheckpoint = 2000

/** The one way through: every change to a job goes over this log, in order, each in one transaction. */
export class JobLog extends LogReader {
  private current: Facts
  private queue: Promise<unknown> = Promise.resolve()
  private readonly asked: Asked[] = []
  private commits = 0
  private readonly listeners = new Set<Listener>()
  private readonly validators = new Map<string, ValidateFunction>()
  private readonly fieldRevs = new Map<string, SetBy>()
  private constructor(
    private readonly store: LogStore,
    job: string,
    private readonly clock: Clock,
    facts: Facts,
    private chainKey: string | null,
    /** What of the store could not be read, was made anew or is missing. */
    readonly aside: readonly SetAside[],
    private readonly totals: Totals,
  ) {
    super(store.db, job)
    this.current = facts
  }

  static async open(store: LogStore, job: string, clock: Clock, chainKey: string | null): Promise<JobLog> {
    const { db } = store
    const { rows, totals, rev, damage } = await wholeStore(db, job, store.migrated)
    const { facts, aside } = await storedFacts(db, job, rows, rev)
    const log = new JobLog(store, job, clock, facts, chainKey, [...damage, ...aside], totals)
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

  /** Runs a command once, however often it arrives. @throws Refusal, StoreFullError */
  run(request: CommandRequest, author: Author): Promise<CommandAnswer> {
    return new Promise((done, fail) => {
      this.asked.push({ request, author, done, fail })
      if (this.asked.length === 1) void this.inOrder(() => this.runAsked())
    })
  }

  /** What is asked for while another waits for the disk is written with it: they share one way there. */
  private async runAsked(): Promise<void> {
    const asked = this.asked.splice(0, batchMost)
    if (this.asked.length) void this.inOrder(() => this.runAsked())
    try {
      await this.runTogether(asked)
    } catch (error) {
      for (const { fail } of asked) fail(error)
    }
  }

  /** @param known commands that were run before; asked for only where something speaks for it, since nearly all are new */
  private async runTogether(asked: readonly Asked[], known: ReadonlyMap<string, number> = new Map()): Promise<void> {
    const staging = this.stage()
    const here = new Map<string, CommandAnswer>()
    const refused = new Map<Asked, unknown>()
    for (const asker of asked) {
      const { request, author } = asker
      if (known.has(request.id) || here.has(request.id)) continue
      try {
        here.set(request.id, await this.give(staging, request, author))
      } catch (error) {
        refused.set(asker, error)
        if (error instanceof Refusal) continue
        // What a command left half done when it broke must not be written with the others.
        asker.fail(error)
        return this.runTogether(
          asked.filter((other) => other !== asker),
          known,
        )
      }
    }
    // One that was run before may well be refused now: what it makes is there.
    const before = refused.size ? await this.known([...refused.keys()].map((asker) => asker.request.id)) : known
    if (staging.staged.length)
      try {
        await this.commit(staging)
      } catch (error) {
        if (known.size || !(error instanceof TwiceError)) throw error
        return this.runTogether(asked, await this.known(asked.map((asker) => asker.request.id)))
      }
    const told = new Set<string>()
    for (const asker of asked) {
      const { id } = asker.request
      const answer = here.get(id)
      const earlier = known.get(id) ?? before.get(id)
      if (answer) asker.done(told.has(id) ? { ...answer, repeated: true } : answer)
      else if (earlier === undefined) asker.fail(refused.get(asker))
      else asker.done(await this.repeated(earlier))
      told.add(id)
    }
  }

  /** The answer that a command had that was run before. */
  private async repeated(rev: number): Promise<CommandAnswer> {
    const [row] = await this.after(rev - 1, 1)
    return { rev, changes: row?.changes ?? [], repeated: true, questions: [] }
  }

  /** Runs what waited, in its order and in one transaction; one that is refused holds the others up in nothing. @param broughtInBy who brought them in from another's phone */
  runAll(requests: readonly CommandRequest[], author: Author, broughtInBy?: string): Promise<BatchResult[]> {
    return this.inOrder(async () => {
      const known = await this.known(requests.map((r) => r.id))
      const staging = this.stage()
      const results: BatchResult[] = []
      for (const request of requests) {
        const before = known.get(request.id)
        if (before !== undefined) {
          results.push({ id: request.id, ok: true, rev: before, repeated: true, questions: 0 })
          continue
        }
        try {
          if (commandNamed(request.name)?.live) throw new Refusal(tooLate)
          const answer = await this.give(staging, request, author, broughtInBy)
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

  /** The facts as they would be after a command; nothing of it is kept. @throws Refusal */
  async preview(request: CommandRequest, author: Author): Promise<Facts> {
    const staging = this.stage()
    await this.give(staging, request, author)
    return staging.facts
  }

  private stage(): Staging {
    return new Staging(this.current, this.fieldRevs, this.chainKey, Math.floor(this.clock.now()))
  }

  /** @throws Refusal for a command that this author may not give, that is not as its schema says, or that does not fit; then nothing is staged */
  private async give(
    staging: Staging,
    request: CommandRequest,
    author: Author,
    broughtInBy?: string,
  ): Promise<CommandAnswer> {
    const command = commandNamed(request.name)
    if (!command) throw new Misfit(`There is no command ${request.name}.`)
    if (!command.roles.includes(author.role)) throw new Refusal(`A ${author.role} may not do this.`)
    if (command.live && request.waitedMs) throw new Refusal(tooLate)
    const unfit = unfitValue(request.payload)
    if (unfit) throw new Misfit(`${unfit.field.replace(/^fields\./, '') || 'This'} ${unfit.says}.`, unfit.field)
    this.check(request.name, command.schema, request.payload)
    const seenAt = (request.waitedMs ?? 0) < lateMs ? 0 : await this.toldAt(Math.min(request.seen, this.current.rev))
    return staging.command(request, author, await this.historyFor(request), {
      seenAt,
      ...(broughtInBy === undefined ? {} : { broughtInBy }),
    })
  }

  /** The earlier revision that an undo or a redo speaks of. */
  private async historyFor({
    name,
    payload,
  }: CommandRequest): Promise<((rev: number) => { name: string; changes: Change[] } | undefined) | null> {
    if (name !== 'plan.undo' && name !== 'plan.redo') return null
    const { rev } = payload as { rev: number }
    // Nothing is there, and the engine has no such number.
    if (rev > this.current.rev) return null
    const row = (
      await this.db
        .select()
        .from(changesTable)
        .where(and(eq(changesTable.job, this.job), eq(changesTable.rev, rev)))
    )[0]
    return (wanted) => (row && wanted === rev ? { name: row.name, changes: row.changes } : undefined)
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

  /** Notes what changes nothing of the job: who signed in, who took what away. It stands in the chained log like any change. */
  note(name: Trace, says: string, by: string): Promise<number> {
    return this.inOrder(async () => {
      const staging = this.stage()
      const rev = staging.add([], { by, name: `${tracePrefix}${name}`, says: says.slice(0, 500) })
      await this.commit(staging)
      return rev
    })
  }

  /** What is recorded from now on is signed with this key: the log says already that it is the job's. */
  useKey(secret: string): void {
    this.chainKey = secret
  }

  /** Hands over to another key; what is recorded from then on is signed with it. @throws VaultClosedError */
  changeKey(secret: string, by: string): Promise<number> {
    return this.inOrder(async () => {
      const staging = this.stage()
      const rev = staging.handOver(secret, by)
      await this.commit(staging)
      this.useKey(secret)
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

  /** A door's record under the seal of the job. @throws VaultClosedError where the key is gone */
  sealed(file: Omit<RecordFile, 'seal'>): RecordFile {
    if (!this.chainKey) throw new VaultClosedError()
    return sealFile(file, this.chainKey, signNatively)
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
    throw new Misfit(`${field || 'This'} ${error ? complaintWords(error) : 'is not right'}.`, field || undefined)
  }

  /** @throws StoreFullError; then nothing of it is written, and the job is as it was */
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
    const kept = puts.filter((c) => !liesApart(c.kind))
    let { hash } = this.totals
    const entries = staged.map(({ entry, command }) => {
      hash = changeHash(hash, entry, command)
      return { ...entry, command, hash }
    })
    this.store.room?.check()
    const { records, weight, take } = this.totals.weigh(kept)
    await writeCommit(this.db, this.job, {
      changes: entries,
      records: kept.flatMap(({ kind, id, rev, after }) => (after === null ? [] : [{ kind, id, rev, data: after }])),
      gone: kept.flatMap(({ kind, id, after }) => (after === null ? [{ kind, id }] : [])),
      events: puts.flatMap(({ kind, id, after }) =>
        kind === 'event' && after !== null ? [{ id, received: (after as DeviceEvent).received, data: after }] : [],
      ),
      chain: staged.flatMap((s) => s.chain.map((data) => ({ door: data.door, n: data.n, data }))),
      fields: staging.fieldRevisions,
      totals: [{ rev: staging.facts.rev, hash, records, weight }],
    })
    this.totals.hash = hash
    take()
    for (const f of staging.fieldRevisions) this.fieldRevs.set(keyOf(f), f)
    this.current = staging.facts
    for (const { entry } of staged) for (const listener of this.listeners) listener(entry, this.current)
    if (++this.commits % commitsToCheckpoint === 0) await this.store.checkpoint()
  }
}
