import type { Siting, SitingInput, SoFar } from '@rauta/core'
import { siteSteps } from '@rauta/core/siting'

/** What the page asks, and what it is told. Functions cannot be sent, so ids of new controllers come as a list. */
export type Ask = { go: Omit<SitingInput, 'makeId' | 'fixed'> & { fixed: string[]; ids: string[] } } | { stop: true }
export type Told = { soFar: SoFar } | { failed: string } | { done: Siting; stopped: boolean; ms: number }

let stopped = false

/** How long the search runs between two looks at what the page says, ms. */
const stretch = 60

self.onmessage = (event: MessageEvent<Ask>) => {
  if ('stop' in event.data) {
    stopped = true
    return
  }
  search(event.data.go).catch((error: Error) => self.postMessage({ failed: error.message } satisfies Told))
}

async function search({ fixed, ids, ...rest }: Extract<Ask, { go: unknown }>['go']): Promise<void> {
  stopped = false
  const began = performance.now()
  const steps = siteSteps({ ...rest, fixed: new Set(fixed), makeId: (n) => ids[n] ?? `${ids[0]}-${n}` })
  let step = steps.next()
  let told = began
  while (!step.done) {
    if (performance.now() - told > stretch) {
      self.postMessage({ soFar: step.value } satisfies Told)
      await new Promise((go) => setTimeout(go, 0))
      told = performance.now()
    }
    step = steps.next(stopped)
  }
  self.postMessage({ done: step.value, stopped, ms: performance.now() - began } satisfies Told)
}
