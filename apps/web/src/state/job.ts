import { applyChanges, emptyFacts, type Change, type Facts, type RecordKind } from '@rauta/core'
import { commands, sheetsFor, type CommandAnswer, type CommandRequest, type Role } from '@rauta/contracts'
import { v7 } from 'uuid'
import { create } from 'zustand'
import { AwayError, get, post, ProblemError } from './api'
import { useSession } from './session'

interface Entry { rev: number; at: number; by: string; name: string; says: string; changes: Change[] }

interface JobState {
  /** As the server has it. */
  base: Facts
  /** `base` with what waits in the outbox applied on top. */
  facts: Facts
  ready: boolean
  connection: 'joining' | 'live' | 'away'
  outbox: CommandRequest[]
  /** A command from the outbox that the server refused, told once. */
  refused: string | null
  join(): () => void
  send(name: string, payload: unknown): Promise<CommandAnswer | null>
  clearRefused(): void
}

const outboxKey = 'rauta.outbox'
const keptOutbox = (): CommandRequest[] => {
  try {
    return JSON.parse(localStorage.getItem(outboxKey) ?? '[]') as CommandRequest[]
  } catch {
    return []
  }
}

/** Applies what waits to the facts, by the same commands as the server; one that no longer fits is left out here. */
function overlay(base: Facts, outbox: readonly CommandRequest[]): Facts {
  const { me } = useSession.getState()
  return outbox.reduce((facts, request) => {
    try {
      const changes = commands[request.name]?.apply(facts, request.payload as never, { id: request.id, by: me?.name ?? '', role: (me?.role ?? 'engineer') as Role, at: Date.now(), sheets: sheetsFor(facts) }) ?? []
      return applyChanges(facts, changes, facts.rev)
    } catch {
      return facts
    }
  }, base)
}

interface Snapshot { rev: number; records: { kind: RecordKind; data: { id: string } }[] }

/** The facts are asked for before anything is drawn; for somebody who is not signed in that comes to nothing. */
let early: Promise<Snapshot | null> | null = typeof document === 'undefined' ? null : get<Snapshot>('/facts').catch(() => null)

export const useJob = create<JobState>((set, getState) => {
  let fetching: Promise<void> | null = null
  let wanted = 0

  const setBase = (base: Facts) => set({ base, facts: overlay(base, getState().outbox), ready: true })
  const keepOutbox = (outbox: CommandRequest[]) => {
    localStorage.setItem(outboxKey, JSON.stringify(outbox))
    set({ outbox, facts: overlay(getState().base, outbox) })
  }

  async function whole(): Promise<void> {
    const first = early
    early = null
    const snapshot = (await first) ?? (await get<Snapshot>('/facts'))
    const changes = snapshot.records.map((r) => ({ kind: r.kind, id: r.data.id, before: null, after: r.data }) as Change)
    setBase(applyChanges(emptyFacts(), changes, snapshot.rev))
    if (wanted > snapshot.rev) await catchUp(wanted)
  }

  async function follow(): Promise<void> {
    while (getState().ready && getState().base.rev < wanted) {
      const { entries } = await get<{ entries: Entry[] }>(`/changes?after=${getState().base.rev}`)
      if (entries.length === 0) return
      setBase(entries.reduce((facts, e) => (e.rev === facts.rev + 1 ? applyChanges(facts, e.changes, e.rev) : facts), getState().base))
    }
  }

  /** Fetches what came after our own revision; one fetch at a time. */
  function catchUp(rev: number): Promise<void> {
    wanted = Math.max(wanted, rev)
    fetching ??= follow().catch(onFailure).finally(() => { fetching = null })
    return fetching
  }

  function onFailure(error: unknown): void {
    if (error instanceof ProblemError && error.status === 401) useSession.getState().expire()
    else if (error instanceof AwayError) set({ connection: 'away' })
    else throw error
  }

  async function flush(): Promise<void> {
    for (const request of [...getState().outbox]) {
      try {
        const answer = await post<CommandAnswer>('/commands', request)
        keepOutbox(getState().outbox.filter((r) => r.id !== request.id))
        await catchUp(answer.rev)
      } catch (error) {
        if (error instanceof AwayError || (error instanceof ProblemError && error.status === 401)) return
        keepOutbox(getState().outbox.filter((r) => r.id !== request.id))
        set({ refused: error instanceof ProblemError ? error.says : 'A waiting record was refused.' })
      }
    }
  }

  return {
    base: emptyFacts(), facts: emptyFacts(), ready: false, connection: 'joining', outbox: keptOutbox(), refused: null,
    join() {
      whole().catch(onFailure)
      const stream = new EventSource('/api/v1/live')
      stream.addEventListener('rev', (event) => {
        set({ connection: 'live' })
        void catchUp(Number((event as MessageEvent<string>).data))
        void flush()
      })
      stream.onerror = () => set({ connection: 'away' })
      return () => stream.close()
    },
    async send(name, payload) {
      const request: CommandRequest = { id: v7(), name, payload, seen: getState().base.rev }
      try {
        const answer = await post<CommandAnswer>('/commands', request)
        await catchUp(answer.rev)
        return answer
      } catch (error) {
        if (error instanceof AwayError) {
          set({ connection: 'away' })
          keepOutbox([...getState().outbox, request])
          return null
        }
        if (error instanceof ProblemError && error.status === 401) useSession.getState().expire()
        throw error
      }
    },
    clearRefused() { set({ refused: null }) },
  }
})

export const useFacts = (): Facts => useJob((s) => s.facts)
