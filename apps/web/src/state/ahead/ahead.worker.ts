import { Keeper } from '@rauta/core/marks'
import { applyChanges, emptyFacts } from '@rauta/core/records'
import type { Sheets } from '@rauta/core'
import type { Answer, Told } from './messages'
import { goOn, workOut } from './workOut'

/** How long it works before it tells what it has and listens, ms; and how much it tells at once: reading it is the page's work. */
const stretch = 100
const most = 8

let facts = emptyFacts()
let sheets: Sheets = {}
const keeper = new Keeper()
let asked = 0

self.onmessage = ({ data }: MessageEvent<Told>) => {
  if ('sheets' in data) sheets = data.sheets
  else if ('changes' in data) facts = applyChanges(facts, data.changes, data.rev)
  else {
    asked = data.question
    // Thrown outside, it reaches the page as the worker’s error.
    answer(data).catch((error: Error) =>
      setTimeout(() => {
        throw error
      }),
    )
  }
}

async function answer({ question, doors, supplies }: Extract<Told, { question: number }>): Promise<void> {
  keeper.take(facts, sheets)
  const steps = workOut(keeper, facts, doors, supplies)
  for (let done = false; !done && question === asked;) {
    const came = goOn(steps, stretch, most)
    done = came.done
    self.postMessage({ question, ...came } satisfies Answer)
    await new Promise((listened) => setTimeout(listened, 0))
  }
}
