import {
  all,
  applyChanges,
  digestOf,
  jobOf,
  put,
  replacedEvidence,
  type ChainRecord,
  type Change,
  type Facts,
  type Question,
  type RecordKind,
} from '@rauta/core'
import { commandNamed, Refusal, sheetsFor, type CommandAnswer, type CommandRequest, type Edit } from '@rauta/contracts'
import { VaultClosedError } from '../security/vault'
import { agreementHash, changeHash, handoverKind, publicKeyOf, type Handover } from '@rauta/core/chain'
import { chainChanges, goesIntoChain, nextRecord, signNatively, type Waited } from './links'
import type { Author, Entry } from './entry'

/** When a field was set, by whom, and from which phone. */
export interface SetBy {
  rev: number
  by: string
  phone: string
}
export interface FieldRevision extends SetBy {
  kind: RecordKind
  id: string
  field: string
}
export interface Staged {
  entry: Entry
  /** What it adds to the doors’ chains. */
  chain: ChainRecord[]
  command: string | null
  fields: FieldRevision[]
}
type History = (rev: number) => { name: string; changes: Change[] } | undefined

/** Where a field's last revision is found. */
export const keyOf = (f: { kind: string; id: string; field: string }) => `${f.kind}/${f.id}/${f.field}`
/** How long a record may have waited on a phone before the hour that it tells is no longer believed. */
const longestWaitMs = 90 * 24 * 3600_000
/** What waited shorter came at once: a slow network is no phone without signal. */
export const lateMs = 60_000

/** How a command came. */
interface Came {
  /** When the revision was made that its author had seen; 0 where it came at once. */
  seenAt: number
  /** Who brought it in from another's phone. */
  broughtInBy?: string
}

/** Changes that are worked out one after the other and then written together: either all of them stand or none. */
export class Staging {
  readonly staged: Staged[] = []
  private readonly owned = new Set<RecordKind>()
  private readonly newFieldRevs = new Map<string, FieldRevision>()
  constructor(
    public facts: Facts,
    private readonly fieldRevs: ReadonlyMap<string, SetBy>,
    /** Null where the key is gone: then nothing that belongs into a door’s chain is taken. */
    private readonly chainKey: string | null,
    private readonly now: number,
  ) {}

  /** Works out one command on top of what is staged. @throws Refusal, and then nothing of it is staged */
  command(
    request: CommandRequest,
    author: Author,
    history: History | null,
    { seenAt, broughtInBy }: Came,
  ): CommandAnswer {
    const command = commandNamed(request.name)
    if (!command) throw new Refusal(`There is no command ${request.name}.`)
    // A record that waited on a phone was made then, not now; but after what that phone had seen of the job when it was made.
    const claimedMs = Math.max(0, Math.floor(request.waitedMs ?? 0))
    const at = Math.min(this.now, Math.max(this.now - Math.min(claimedMs, longestWaitMs), seenAt))
    const waited: Waited | undefined =
      claimedMs >= lateMs || broughtInBy !== undefined
        ? { claimedMs, plausibleMs: this.now - at, ...(broughtInBy === undefined ? {} : { broughtInBy }) }
        : undefined
    let payload = request.payload as never
    let questions: Question[] = []
    const edit = command.edits?.(payload)
    if (edit) {
      questions = this.meetings(edit, request, author, at)
      const left = Object.keys(edit.fields).filter((f) => !questions.some((q) => q.field === f))
      if (questions.length && command.keepFields) payload = command.keepFields(payload, left) as never
    }
    const says = command.words(this.facts, payload)
    const made =
      edit && questions.length === Object.keys(edit.fields).length
        ? []
        : command.apply(this.facts, payload, {
            id: request.id,
            by: author.name,
            role: author.role,
            at,
            sheets: sheetsFor(this.facts),
            ...(history ? { history } : {}),
          })
    const asked = questions.map((q) => put(this.facts, 'question', q))
    const fields = edit
      ? Object.keys(edit.fields)
          .filter((f) => !questions.some((q) => q.field === f))
          .map((field) => ({ kind: edit.kind, id: edit.id, field }))
      : []
    const rev = this.add(
      [...made, ...asked],
      {
        by: author.name,
        name: request.name,
        says: broughtInBy === undefined ? says : `${says} (brought in by ${broughtInBy})`,
      },
      request,
      fields,
      waited,
    )
    return { rev, changes: this.staged.at(-1)?.entry.changes ?? [], repeated: false, questions }
  }

  /** @returns its revision @throws VaultClosedError, and then nothing of it is staged */
  add(
    made: readonly Change[],
    entry: { by: string; name: string; says: string },
    request: { id: string; phone?: string } | null = null,
    fields: readonly { kind: RecordKind; id: string; field: string }[] = [],
    waited?: Waited,
  ): number {
    const rev = this.facts.rev + 1
    const replaced = replacedEvidence(made)
    if (replaced)
      throw new Refusal(
        `There is a ${replaced.kind} ${replaced.id} already, and it is not this one: what was recorded is never replaced. Record it anew.`,
        'id',
      )
    if (this.chainKey === null && goesIntoChain(this.facts, made)) throw new VaultClosedError()
    this.take(made, rev)
    const linked = this.chainKey
      ? chainChanges(this.facts, made, this.chainKey, { at: this.now, by: entry.by, waited })
      : { records: [], heads: [] }
    const set = fields.map((f) => ({ ...f, rev, by: entry.by, phone: request?.phone ?? '' }))
    for (const f of set) this.newFieldRevs.set(keyOf(f), f)
    this.take(linked.heads, rev)
    this.staged.push({
      entry: { rev, at: this.now, ...entry, changes: [...made, ...linked.heads] },
      chain: linked.records,
      command: request?.id ?? null,
      fields: set,
    })
    return rev
  }

  /**
   * The job signs with another key from now on: each door's chain hands over to it, signed by the key until now, and so does the job.
   * @param secret of the new key @throws VaultClosedError
   */
  handOver(secret: string, by: string): number {
    const job = jobOf(this.facts)
    if (this.chainKey === null || !job) throw new VaultClosedError()
    const [from, to] = [job.publicKey, publicKeyOf(secret)]
    const chainKey = this.chainKey
    const rev = this.facts.rev + 1
    const chain = all(this.facts, 'head').map((head) => {
      const body: Handover = { from, to, agreed: signNatively(agreementHash(from, to, head.hash), secret) }
      return nextRecord(head, { kind: handoverKind, at: this.now, by, body }, chainKey)
    })
    const change = { from, to, at: this.now }
    const changes = [
      put(this.facts, 'job', {
        ...job,
        publicKey: to,
        keyChanges: [...(job.keyChanges ?? []), { ...change, signed: signNatively(changeHash(change), chainKey) }],
      }),
      ...chain.map((r) => put(this.facts, 'head', { id: r.door, n: r.n, hash: r.hash })),
    ]
    this.take(changes, rev)
    const entry = {
      rev,
      at: this.now,
      by,
      name: 'job.key',
      says: 'The job signs with another key from now on',
      changes,
    }
    this.staged.push({ entry, chain, command: null, fields: [] })
    return rev
  }

  /** Nobody else sees these facts before they are written, so a table that was copied once is altered where it lies. */
  private take(list: readonly Change[], rev: number): void {
    this.facts = applyChanges(this.facts, list, rev, this.owned)
  }

  /** The last revision of each field that was set here. */
  get fieldRevisions(): FieldRevision[] {
    return [...this.newFieldRevs.values()]
  }

  /** Fields that somebody else set after the revision this author had seen, to another value. */
  private meetings(edit: Edit, request: CommandRequest, author: Author, at: number): Question[] {
    const record = this.facts[edit.kind][edit.id] as unknown as Record<string, unknown> | undefined
    if (!record) return []
    const same =
      edit.same ?? ((kept: unknown, offered: unknown) => digestOf(kept ?? null) === digestOf(offered ?? null))
    return Object.entries(edit.fields).flatMap(([field, offered]) => {
      const last = this.newFieldRevs.get(keyOf({ ...edit, field })) ?? this.fieldRevs.get(keyOf({ ...edit, field }))
      // What the same person did before, on the same phone, was known there whether the server had told it or not.
      const mine = last?.by === author.name && (edit.own || (!!request.phone && last.phone === request.phone))
      if (!last || last.rev <= request.seen || mine || !(field in record) || same(record[field], offered)) return []
      return [
        {
          id: `${request.id}-${field}`,
          kind: edit.kind,
          record: edit.id,
          field,
          kept: record[field],
          offered: edit.offer ? edit.offer(field, offered, author.name, at) : offered,
          by: author.name,
          at,
        },
      ]
    })
  }
}
