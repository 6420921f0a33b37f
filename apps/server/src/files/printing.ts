import { all, byWalk, jobOf, type Facts } from '@rauta/core'
import { v7 } from 'uuid'
import { PdfFile } from './page'
import { drawWireSheet } from './wireSheet'

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

/** Wire sheets of a whole job in one file: made door by door, so that the server goes on answering and it can be stopped. */
export class Printing {
  private readonly prints = new Map<string, Print & { file: Buffer | null; at: number }>()

  start(facts: Facts, origin: string, by: string, now: number): Print {
    for (const [id, p] of this.prints) if (now - p.at > keptMs) this.prints.delete(id)
    const doors = all(facts, 'door').sort(byWalk)
    const print = {
      id: v7(),
      by,
      total: doors.length,
      done: 0,
      state: 'running' as Print['state'],
      says: 'Begins.',
      file: null as Buffer | null,
      at: now,
    }
    this.prints.set(print.id, print)
    const work = async () => {
      const out = new PdfFile('Wire sheets', jobOf(facts)?.name ?? '')
      for (const door of doors) {
        if (print.state === 'stopped') break
        drawWireSheet(out, door, { facts, origin })
        print.done += 1
        print.says = `${door.ref}, ${print.done} of ${print.total}`
        await new Promise((done) => setImmediate(done))
      }
      if (print.done === 0) out.page().line('No door.')
      print.file = await out.end()
      if (print.state === 'running') print.state = 'ready'
      print.says =
        print.state === 'stopped'
          ? `Stopped after ${print.done} of ${print.total}; those are in the file.`
          : `${print.done} wire sheets.`
    }
    work().catch((error: Error) => {
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
    if (p?.state === 'running') p.state = 'stopped'
    return p ? told(p) : null
  }
}

const told = ({ id, by, total, done, state, says }: Print): Print => ({ id, by, total, done, state, says })
