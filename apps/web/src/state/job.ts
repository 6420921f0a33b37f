import { applyChanges, emptyFacts, jobIdentity, jobOf, type Change, type Facts, type Snapshot } from '@rauta/core'
import {
  batchMost,
  commands,
  sheetsFor,
  type BatchResult,
  type CommandAnswer,
  type CommandName,
  type CommandPayloads,
  type CommandRequest,
  type LoadProgress,
  type Role,
} from '@rauta/contracts'
import { v7 } from 'uuid'
import { create } from 'zustand'
import { AwayError, get, post, ProblemError } from './api'
import { alone } from './alone'
import {
  allWaiting,
  discardWaiting,
  factsFrom,
  keepWaiting,
  loadKept,
  requestOf,
  retryRefused,
  saveEntries,
  saveSnapshot,
  settleWaiting,
  type LogEntry,
  type Waiting,
} from './kept'
import { thisPhone } from './phone'
import { sendPhotos } from './photos'
import { askFirst } from './costs'
import { keptMe, useSession } from './session'

/** What of the store could not be read, was made anew or is missing, in words. */
interface SetAside {
  kind: string
  id: string
  says: string
}

interface JobState {
  /** As the server has it, or had it when it was last heard of. */
  base: Facts
  /** `base` with what waits applied on top. */
  facts: Facts
  ready: boolean
  connection: 'joining' | 'live' | 'away'
  /** What waits on this phone, in order; each is on the disk before it stands here. */
  outbox: Waiting[]
  /** How far loads are that are under way, by their ids. */
  loads: Readonly<Record<string, LoadProgress>>
  /** When the server last took something that was sent from here, ms; 0 for never. */
  savedAt: number
  /** In words: the server’s disk is full, and what is recorded waits here; null while it is not. */
  full: string | null
  /** What everybody should know of the server’s store. */
  aside: readonly SetAside[]
  join(): () => void
  /** Null: the server is away, and the record is kept here. */
  send<N extends CommandName>(name: N, payload: CommandPayloads[N]): Promise<CommandAnswer | null>
  /** Sends what waits now. */
  flush(): Promise<void>
  discard(id: string): Promise<void>
  tryAgain(): Promise<void>
}

/** A post that has had no answer for so long counts as not sent; the server takes the same record only once. */
const commandMs = 12_000
const batchMs = 60_000
const retryMs = 3000
/** How soon a full disk is tried again. */
const fullMs = 10_000
const isFull = (error: unknown): error is ProblemError => error instanceof ProblemError && error.status === 507

/** What is done live is done now or not at all. */
const noSignal = 'No signal to the server: this was not done. It is done live, so try again where there is signal.'

const keyOf = (facts: Facts): string => jobIdentity(jobOf(facts))

/** Applies what waits to the facts, by the same commands as the server; one that no longer fits is left out here. */
function overlay(base: Facts, outbox: readonly Waiting[]): Facts {
  const { me } = useSession.getState()
  const job = keyOf(base)
  return outbox.reduce((facts, w) => {
    if (w.refused !== undefined || w.job !== job) return facts
    try {
      const changes =
        commands[w.name]?.apply(facts, w.payload as never, {
          id: w.id,
          by: w.by,
          role: (me?.role ?? 'engineer') as Role,
          at: w.madeAt,
          sheets: sheetsFor(facts),
        }) ?? []
      return applyChanges(facts, changes, facts.rev)
    } catch {
      return facts
    }
  }, base)
}

interface FactsAnswer extends Snapshot {
  aside?: SetAside[]
}

/** Where somebody was here before, what this phone has of the job is read, or the facts are asked for, before anything is drawn. */
const known = keptMe() !== null
let early: Promise<FactsAnswer | null> | null =
  typeof document === 'undefined' || known ? null : get<FactsAnswer>('/facts').catch(() => null)
const keptEarly = typeof document === 'undefined' || !known ? Promise.resolve(null) : loadKept().catch(() => null)

export const useJob = create<JobState>((set, getState) => {
  let fetching: Promise<void> | null = null
  let wanted = 0

  const setBase = (base: Facts) => set({ base, facts: overlay(base, getState().outbox), ready: true })
  const setOutbox = (outbox: Waiting[]) => set({ outbox, facts: overlay(getState().base, outbox) })
  const readOutbox = async () => setOutbox(await allWaiting().catch(() => getState().outbox))

  async function whole(): Promise<void> {
    const first = early
    early = null
    const snapshot = (await first) ?? (await get<FactsAnswer>('/facts'))
    const { facts, missing } = factsFrom(snapshot)
    setBase(facts)
    set({ connection: 'live', aside: snapshot.aside ?? [] })
    await fetchHeld(missing)
    later(() => {
      void saveSnapshot(keyOf(facts), facts).catch(() => undefined)
    })
    if (wanted > snapshot.rev) await catchUp(wanted)
  }

  /** What devices hold where this build works out what is wanted otherwise than the one that told it. */
  async function fetchHeld(ids: readonly string[]): Promise<void> {
    for (let i = 0; i < ids.length; i += 100) {
      const { rev, records } = await get<Snapshot>(
        `/held?ids=${ids
          .slice(i, i + 100)
          .map(encodeURIComponent)
          .join(',')}`,
      )
      const { base } = getState()
      // What came since has its own changes.
      if (rev !== base.rev) return whole()
      setBase(
        applyChanges(
          base,
          records.map(
            (r) => ({ kind: r.kind, id: (r.data as { id: string }).id, before: null, after: r.data }) as Change,
          ),
          base.rev,
        ),
      )
    }
  }

  /** From what this phone has, if it is of the same job; else everything anew. */
  async function begin(): Promise<void> {
    const kept = await keptEarly
    if (kept && !getState().ready) setBase(kept.facts)
    if (getState().ready && keyOf(getState().base) !== '' && !kept?.missing.length) await follow()
    else await whole()
  }

  async function follow(): Promise<void> {
    for (;;) {
      const { base } = getState()
      const { rev, job, entries } = await get<{ rev: number; job: string; entries: LogEntry[] }>(
        `/changes?after=${base.rev}`,
      )
      // Another job, or an older state of this one put back: what is kept here is not true any more.
      if ((job !== undefined && job !== keyOf(base)) || rev < base.rev) return whole()
      set({ connection: 'live' })
      if (entries.length === 0) return
      // A log that lacks changes leads nowhere from here.
      if (entries[0]?.rev !== base.rev + 1) return whole()
      setBase(
        entries.reduce((facts, e) => (e.rev === facts.rev + 1 ? applyChanges(facts, e.changes, e.rev) : facts), base),
      )
      later(() => {
        void saveEntries(entries).catch(() => undefined)
      })
      if (getState().base.rev >= Math.max(wanted, rev)) return
    }
  }

  /** A command's own changes, where nothing else came between: they need not be fetched again. */
  function takeOver({ rev, changes, repeated }: CommandAnswer, name: string): void {
    const { base } = getState()
    if (repeated || rev !== base.rev + 1) return
    setBase(applyChanges(base, changes, rev))
    const entry = { rev, at: Date.now(), by: useSession.getState().me?.name ?? '', name, says: '', changes }
    later(() => {
      void saveEntries([entry]).catch(() => undefined)
    })
  }

  /** Fetches what came after our own revision; one fetch at a time. */
  function catchUp(rev: number): Promise<void> {
    wanted = Math.max(wanted, rev)
    if (getState().ready && getState().base.rev >= wanted) return Promise.resolve()
    fetching ??= (getState().ready ? follow() : Promise.resolve()).catch(onFailure).finally(() => {
      fetching = null
    })
    return fetching
  }

  function onFailure(error: unknown): void {
    if (error instanceof ProblemError && error.status === 401) useSession.getState().expire()
    else if (isFull(error)) noteFull(error)
    else if (error instanceof AwayError) set({ connection: 'away' })
    else throw error
  }

  let againAt: ReturnType<typeof setTimeout> | undefined
  /** Tries again by itself: nothing announces that there is room. */
  function noteFull(error: ProblemError): void {
    set({ full: error.says })
    clearTimeout(againAt)
    againAt = setTimeout(() => void getState().flush(), fullMs)
  }

  /** Records of the one who is signed in and of this job, in order, many at a time; one tab at a time. */
  async function flushAlone(): Promise<void> {
    await sendPhotos()
    for (;;) {
      const me = useSession.getState().me?.name
      const mine = (await allWaiting()).filter(
        (w) => w.refused === undefined && w.by === me && w.job === keyOf(getState().base),
      )
      if (mine.length === 0) break
      const { rev, results } = await post<{ rev: number; results: BatchResult[] }>(
        '/commands/batch',
        { records: mine.slice(0, batchMost).map((w) => requestOf(w, Date.now())) },
        batchMs,
      )
      set({ full: null })
      await settleWaiting(results)
      // What the server has is taken over before it is taken off the list: nothing flickers.
      await catchUp(rev)
      await readOutbox()
    }
    await readOutbox()
  }

  return {
    base: emptyFacts(),
    facts: emptyFacts(),
    ready: false,
    connection: 'joining',
    outbox: [],
    loads: {},
    savedAt: 0,
    full: null,
    aside: [],
    join() {
      void readOutbox()
      let closed = false
      let stream: EventSource | null = null
      let again: ReturnType<typeof setTimeout> | undefined
      const open = () => {
        if (closed) return
        stream = new EventSource('/api/v1/live')
        stream.addEventListener('rev', (event) => {
          set({ connection: 'live' })
          void catchUp(Number((event as MessageEvent<string>).data)).then(() => getState().flush())
        })
        stream.addEventListener('load', (event) => {
          const progress = JSON.parse((event as MessageEvent<string>).data) as LoadProgress
          set({ loads: { ...getState().loads, [progress.id]: progress } })
        })
        stream.onerror = () => {
          set({ connection: 'away' })
          // A stream that was refused outright does not come back by itself.
          if (stream?.readyState === 2) {
            stream.close()
            again = setTimeout(open, retryMs)
          }
        }
      }
      begin().catch(onFailure).finally(open)
      return () => {
        closed = true
        clearTimeout(again)
        stream?.close()
      }
    },
    async send(name, payload) {
      const request: CommandRequest = { id: v7(), name, payload, seen: getState().base.rev, phone: thisPhone() }
      const keep = async () => {
        const kept = await keepWaiting({
          ...request,
          by: useSession.getState().me?.name ?? '',
          job: keyOf(getState().base),
          madeAt: Date.now(),
        })
        setOutbox([...getState().outbox, kept])
        return null
      }
      const live = commands[name]?.live === true
      if (live && getState().outbox.some((w) => w.refused === undefined)) await getState().flush()
      // What waits goes first: a later record may rest on an earlier one.
      if (getState().outbox.some((w) => w.refused === undefined)) {
        if (live) throw new AwayError(noSignal)
        await keep()
        void getState().flush()
        return null
      }
      try {
        await askFirst(getState().base, request)
        const answer = await post<CommandAnswer>('/commands', request, commandMs)
        set({ full: null, savedAt: Date.now() })
        takeOver(answer, name)
        await catchUp(answer.rev)
        return answer
      } catch (error) {
        if (error instanceof AwayError) {
          set({ connection: 'away' })
          if (live) throw new AwayError(noSignal)
          return keep()
        }
        if (isFull(error)) {
          noteFull(error)
          if (live) throw error
          return keep()
        }
        if (error instanceof ProblemError && error.status === 401) useSession.getState().expire()
        throw error
      }
    },
    flush: () => alone('rauta.flush', flushAlone).catch(onFailure),
    async discard(id) {
      await discardWaiting(id)
      await readOutbox()
    },
    async tryAgain() {
      await retryRefused()
      await readOutbox()
      await getState().flush()
    },
  }
})

/** When the screen has been drawn. */
const later = (work: () => void) => {
  if (typeof requestIdleCallback === 'undefined') setTimeout(work, 50)
  else requestIdleCallback(work, { timeout: 2000 })
}

export const useFacts = (): Facts => useJob((s) => s.facts)
/** What waits on this phone about one door. */
export const useWaitingAt = (door: string): Waiting[] =>
  useJob((s) => s.outbox).filter((w) => (w.payload as { door?: string }).door === door)
