import type { Facts } from '@rauta/core'
import { v7 } from 'uuid'
import { forPaper, type Workshop } from '../workshop/workshop'

/** Sheets of many doors in the making. */
export interface Print {
  id: string
  by: string
  total: number
  done: number
  state: 'running' | 'stopped' | 'ready' | 'failed'
  says: string
}

const keptMs = 30 * 60_000

interface Made extends Print {
  file: Buffer | null
  at: number
  stop: AbortController
}

/** Wire sheets of a whole job in one file: made door by door in the workshop, so that it can be stopped; what is made stays. */
export class Printing {
  private readonly prints = new Map<string, Made>()
  constructor(private readonly workshop: Workshop) {}

  start(facts: Facts, origin: string, by: string, now: number): Print {
    for (const [id, p] of this.prints) if (now - p.at > keptMs) this.prints.delete(id)
    const print: Made = {
      id: v7(),
      by,
      total: Object.keys(facts.door).length,
      done: 0,
      state: 'running',
      says: 'Begins.',
      file: null,
      at: now,
      stop: new AbortController(),
    }
    this.prints.set(print.id, print)
    const onProgress = (done: number, ref: string) => {
      print.done = done
      print.says = `${ref}, ${done} of ${print.total}`
    }
    this.workshop
      .run(
        'wireSheets',
        { facts: forPaper(facts), origin, made: { by, at: now } },
        { onProgress, signal: print.stop.signal },
      )
      .then((file) => {
        print.file = Buffer.from(file)
        if (print.state === 'running') print.state = 'ready'
        print.says =
          print.state === 'stopped'
            ? `Stopped after ${print.done} of ${print.total}; those are in the file.`
            : `${print.done} wire sheets.`
      })
      .catch((error: Error) => {
        print.state = 'failed'
        print.says = error.message
      })
    return told(print)
  }

  of(id: string): Print | null {
    const p = this.prints.get(id)
    return p ? told(p) : null
  }
  file(id: string): Buffer | null {
    return this.prints.get(id)?.file ?? null
  }
  stop(id: string): Print | null {
    const p = this.prints.get(id)
    if (p?.state === 'running') {
      p.state = 'stopped'
      p.stop.abort()
    }
    return p ? told(p) : null
  }
}

const told = ({ id, by, total, done, state, says }: Print): Print => ({ id, by, total, done, state, says })
