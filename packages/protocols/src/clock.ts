/**
 * The one clock that a process uses. A factor other than 1 lets a simulated site live faster; timers follow it. Rig and
 * server get the same one, as `factor@realMs@simulatedMs`.
 */
export interface Clock {
  /** ms since 1970 UTC. */
  now(): number
  /** Runs `then` after so many milliseconds of this clock; returns a way to call it off. */
  after(ms: number, then: () => void): () => void
  /** Ends early, without a fault, when the signal does. */
  sleep(ms: number, signal?: AbortSignal): Promise<void>
  readonly factor: number
}

const longestTimer = 2 ** 31 - 1

export function clockFrom(text: string | undefined): Clock {
  const match = /^([\d.]+)@(\d+)@(\d+)$/.exec(text ?? '')
  const [factor, real, simulated] = match ? match.slice(1).map(Number) : [1, 0, 0]
  return makeClock(factor ?? 1, real ?? 0, simulated ?? 0)
}

export function makeClock(factor: number, realStart = 0, simulatedStart = 0): Clock {
  const now = () => simulatedStart + (Date.now() - realStart) * factor
  const after = (ms: number, then: () => void) => {
    const timer = setTimeout(then, Math.min(longestTimer, Math.max(0, ms / factor)))
    return () => clearTimeout(timer)
  }
  const sleep = (ms: number, signal?: AbortSignal) =>
    new Promise<void>((done) => {
      if (signal?.aborted) {
        done()
        return
      }
      const end = () => {
        forget()
        signal?.removeEventListener('abort', end)
        done()
      }
      const forget = after(ms, end)
      signal?.addEventListener('abort', end)
    })
  return { now, after, factor, sleep }
}
