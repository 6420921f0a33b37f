import { emptyFacts, type Facts, type Sheets } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { create } from 'zustand'
import { withSupply } from '../inOrder'
import { useJob } from '../job'
import { doorsInOrder, keeperOf } from '../worked'
import { changesBetween, type Answer, type Told } from './messages'
import { goOn, workOut } from './workOut'

/** What has come. */
export const useCome = create<{
  /** Goes up whenever marks or reports have come that were not known before. */
  turn: number
  /** Whether more is on its way: what is not known is waited for, not worked out on the spot. */
  more: boolean
}>(() => ({ turn: 0, more: false }))

/** Lists are drawn anew no oftener, ms. */
const between = 150
let soon: ReturnType<typeof setTimeout> | null = null
function come(done: boolean): void {
  if (done) useCome.setState({ more: false })
  soon ??= setTimeout(() => {
    soon = null
    useCome.setState(({ turn }) => ({ turn: turn + 1 }))
  }, between)
}

/** What may be worked out on the spot, where it is drawn: no more than a screen's turn takes. */
export const few = { doors: 2, supplies: 1 }

/** A turn of work where there is no worker, ms: the screen stays quick. */
const slice = 6

/** The part of a worker that is used here. */
export type Helper = Pick<Worker, 'postMessage' | 'terminate' | 'onmessage' | 'onerror'>
const beside = (): Helper => new Worker(new URL('./ahead.worker', import.meta.url))

/**
 * Works out ahead, beside the screen, what the job's lists will show: after each change what is not known any more. Where there
 * is no worker to be had, or it breaks, the same is done here in short turns. @returns how to end it
 */
export function workAhead(make: () => Helper = beside): () => void {
  let question = 0
  let worker: Helper | null = null
  let broken = false
  /** What the worker has by now. */
  let sent: { facts: Facts; sheets: Sheets | null } = { facts: emptyFacts(), sheets: null }

  function ask(): void {
    const { facts, ready } = useJob.getState()
    if (!ready) return
    const keeper = keeperOf(facts)
    const doors = doorsInOrder(facts)
      .map((d) => d.id)
      .filter((id) => !keeper.knows(id))
    const supplies = withSupply(facts)
      .filter((c) => !keeper.knowsReportOf(c))
      .map((c) => c.id)
    // What was asked before was asked of other facts.
    question += 1
    const more = doors.length > few.doors || supplies.length > few.supplies
    useCome.setState({ more })
    if (!more) return
    worker ??= broken ? null : hire()
    if (worker) askWorker(worker, facts, doors, supplies)
    else workHere(facts, doors, supplies)
  }

  function hire(): Helper | null {
    try {
      const helper = make()
      helper.onmessage = ({ data }: MessageEvent<Answer>) => {
        if (data.question !== question) return
        keeperOf(useJob.getState().facts).takeOver(data)
        come(data.done)
      }
      helper.onerror = () => {
        broken = true
        helper.terminate()
        worker = null
        ask()
      }
      return helper
    } catch {
      broken = true
      return null
    }
  }

  function askWorker(helper: Helper, facts: Facts, doors: readonly string[], supplies: readonly string[]): void {
    const post = (message: Told) => helper.postMessage(message)
    const sheets = sheetsFor(facts)
    if (sheets !== sent.sheets) post({ sheets })
    const lists = changesBetween(sent.facts, facts)
    sent = { facts, sheets }
    for (const changes of lists) post({ changes, rev: facts.rev })
    post({ question, doors, supplies })
  }

  function workHere(facts: Facts, doors: readonly string[], supplies: readonly string[]): void {
    const mine = question
    const steps = workOut(keeperOf(facts), facts, doors, supplies)
    const turn = () => {
      if (mine !== question) return
      const { done } = goOn(steps, slice, Infinity)
      come(done)
      if (!done) setTimeout(turn, 0)
    }
    setTimeout(turn, 0)
  }

  const end = useJob.subscribe((now, was) => {
    if (now.facts !== was.facts || now.ready !== was.ready) ask()
  })
  ask()
  return () => {
    end()
    question += 1
    worker?.terminate()
    useCome.setState({ more: false })
  }
}
