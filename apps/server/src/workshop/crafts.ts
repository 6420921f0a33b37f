import { all, byWalk, jobOf, type ChainRecord, type Facts, type Table } from '@rauta/core'
import { peopleCsv, peopleXlsx, scheduleCsv, scheduleXlsx, tableCsv, tableXlsx } from '@rauta/papers'
import { listPdf } from '../files/lists'
import type { ListName, ListOptions } from '../files/listTables'
import type { ListKindName } from '../files/listKinds'
import { footOf, PdfFile, type Made } from '../files/page'
import { PaperAtHand, type Choice, type JobTables } from '../files/paperAtHand'
import { recordPdf } from '../files/pdf'
import type { Pictures } from '../files/pictures'
import { cabinetSheetPdf, controllerSheetPdf, drawWireSheet, wireSheetPdf, type PaperFor } from '../files/wireSheet'

/** What a piece of work may use. */
export interface Tools {
  progress(done: number, says: string): void
  /** Whether somebody wants it to end where it is. */
  stopped(): boolean
}

const existing = <T>(record: T | undefined): T => {
  if (record === undefined) throw new Error('This record is not in the job any more.')
  return record
}

let paper: PaperAtHand | null = null
const atHand = (): PaperAtHand => existing(paper ?? undefined)

/** Everything that is done in a process of its own: each takes and gives plain values. */
export const crafts = {
  wireSheet: ({ door, ...of }: PaperFor & { door: string }) => wireSheetPdf(existing(of.facts.door[door]), of),
  controllerSheet: ({ controller, ...of }: PaperFor & { controller: string }) =>
    controllerSheetPdf(existing(of.facts.controller[controller]), of),
  cabinetSheet: ({ name, ...of }: PaperFor & { name: string }) => cabinetSheetPdf(name, of),
  list: ({ which, options, ...of }: PaperFor & { which: ListName; options: ListOptions }) =>
    listPdf(which, of, options),
  table: tableXlsx,
  tableCsv,
  schedule: scheduleXlsx,
  peopleXlsx,
  peopleCsv,
  scheduleCsv,
  record: ({
    facts,
    door,
    ...more
  }: {
    facts: Facts
    door: string
    pictures: Pictures
    chain: ChainRecord[]
    made: Made
  }) => recordPdf(facts, existing(facts.door[door]), more),
  /** Wire sheets of a whole job in one file, door by door; stopped, those that are made are in it. */
  async wireSheets(of: PaperFor, { progress, stopped }: Tools): Promise<Buffer> {
    const out = new PdfFile('Wire sheets', jobOf(of.facts)?.name ?? '', footOf('wire sheets', of.facts, of.made))
    let done = 0
    for (const door of all(of.facts, 'door').sort(byWalk)) {
      // Whether it is to stop is heard between two doors.
      await new Promise((turn) => setImmediate(turn))
      if (stopped()) break
      drawWireSheet(out, door, of)
      progress(++done, door.ref)
    }
    if (done === 0) out.page().line('No door.')
    return out.end()
  },
  async bring({ kind, bytes, file, job }: { kind: ListKindName; bytes: Uint8Array; file: string; job: JobTables }) {
    paper = await PaperAtHand.read(kind, bytes, file, job)
    return paper.view(job)
  },
  bringTable({ kind, table, file, job }: { kind: ListKindName; table: Table; file: string; job: JobTables }) {
    paper = PaperAtHand.of(kind, [table], file, `${table.rows.length - 1} people`, job)
    return paper.view(job)
  },
  choose({ choice, job }: { choice: Choice; job: JobTables }) {
    atHand().choose(choice, job)
    return atHand().view(job)
  },
  payload: ({ job }: { job: JobTables }) => atHand().payload(job),
}
export type Crafts = typeof crafts
export type CraftName = keyof Crafts
