import type { Flow, FlowTest } from '@rauta/core/lists'
import { useEffect, useRef, useState } from 'react'
import { AwayError, postUntil, saysOf } from '../../state/api'

export interface Tried extends Omit<FlowTest, 'outcome'> {
  /** `unknown`: the server could not be asked, or would not. */
  outcome: FlowTest['outcome'] | 'unknown'
  open: boolean
  says: string
}
export interface FlowTests {
  of: (id: string) => Tried | undefined
  trying: (id: string) => boolean
  running: { done: number; of: number } | null
  start: (flows: readonly Flow[]) => void
  stop: () => void
}

export const outcomeWords: Readonly<Record<Tried['outcome'], string>> = {
  open: 'open',
  refused: 'refused',
  silent: 'silent',
  noWay: 'no way there',
  unknown: 'not tried',
}

/** So many are tried at once: the server takes eight, from everybody together. */
const atOnce = 4

/** Tries lines from the server’s computer, a few at once; stopped, what was tried stays. Leaving the page stops it. */
export function useFlowTests(): FlowTests {
  const [tried, setTried] = useState<ReadonlyMap<string, Tried>>(new Map())
  const [busy, setBusy] = useState<ReadonlySet<string>>(new Set())
  const [running, setRunning] = useState<FlowTests['running']>(null)
  const stopping = useRef<AbortController | null>(null)
  useEffect(() => () => stopping.current?.abort(), [])
  const start = (flows: readonly Flow[]) => {
    stopping.current?.abort()
    const stop = new AbortController()
    stopping.current = stop
    void tryAll(flows, stop.signal, setTried, setBusy, (done) =>
      setRunning(done < flows.length ? { done, of: flows.length } : null),
    ).finally(() => {
      if (stopping.current !== stop) return
      setRunning(null)
      setBusy(new Set())
    })
  }
  return {
    of: (id) => tried.get(id),
    trying: (id) => busy.has(id),
    running,
    start,
    stop: () => stopping.current?.abort(),
  }
}

type Change<T> = (change: (before: T) => T) => void

async function tryAll(
  flows: readonly Flow[],
  signal: AbortSignal,
  setTried: Change<ReadonlyMap<string, Tried>>,
  setBusy: Change<ReadonlySet<string>>,
  onDone: (done: number) => void,
): Promise<void> {
  const waiting = [...flows]
  let done = 0
  onDone(0)
  const worker = async () => {
    for (let flow = waiting.shift(); flow && !signal.aborted; flow = waiting.shift()) {
      const { id } = flow
      setBusy((before) => new Set(before).add(id))
      const outcome = await tryOne(id, signal)
      if (signal.aborted) return
      setTried((before) => new Map(before).set(id, outcome))
      setBusy((before) => new Set([...before].filter((x) => x !== id)))
      onDone(++done)
    }
  }
  await Promise.all(Array.from({ length: atOnce }, worker))
}

const tryOne = (id: string, signal: AbortSignal): Promise<Tried> =>
  postUntil<Tried>('/flows/test', { id }, signal).catch((error: unknown) => ({
    outcome: 'unknown' as const,
    tookMs: 0,
    open: false,
    says: error instanceof AwayError ? 'The server is out of reach: nothing was tried.' : saysOf(error),
  }))
