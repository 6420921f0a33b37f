import { all, type Column, type Facts, type Preview, type Table } from '@rauta/core'
import { columnLetters, columnsAt, findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { sheetsFor, shownRows, type DoorsImport, type PaperView } from '@rauta/contracts'
import { readPaper } from '@rauta/papers'

/** Another sheet, another row of titles (as the spreadsheet counts), or other meanings for columns (by their index). */
export interface Choice {
  table?: number
  headerRow?: number
  columns?: Record<string, string>
}

/** What of a job a door schedule is looked at against. */
export type JobTables = Facts

/** A door schedule that was read, between being brought and being taken over. */
export class PaperAtHand {
  private table = 0
  private headerRow = -1
  private chosen: Record<string, string> = {}
  private constructor(
    private readonly file: string,
    private readonly says: string,
    private readonly tables: readonly Table[],
  ) {}

  /** @throws PaperError */
  static async read(bytes: Uint8Array, file: string, job: JobTables): Promise<PaperAtHand> {
    const { tables, says } = await readPaper(bytes, file)
    const paper = new PaperAtHand(file, says, tables)
    // The sheet in which most columns mean something is most likely the list.
    const heads = tables.map((t) => findHeader(t, meaningsOf(job)))
    paper.table = heads.reduce((best, h, i) => (meant(h.columns) > meant(heads[best]?.columns ?? []) ? i : best), 0)
    paper.headerRow = heads[paper.table]?.row ?? -1
    return paper
  }

  choose(choice: Choice, job: JobTables): void {
    if (choice.table !== undefined && choice.table !== this.table && this.tables[choice.table]) {
      this.table = choice.table
      this.chosen = {}
      this.headerRow = findHeader(this.rows, meaningsOf(job)).row
    }
    if (choice.headerRow !== undefined) {
      this.headerRow = choice.headerRow - 1
      this.chosen = {}
    }
    if (choice.columns) this.chosen = { ...this.chosen, ...choice.columns }
  }

  /** What is to be taken over now, against the job as it stands. */
  payload(job: JobTables): DoorsImport {
    const { preview, columns } = this.look(job)
    return {
      file: this.file,
      doors: preview.rows.filter((r) => r.state === 'new' || r.state === 'changed').map((r) => r.listed),
      meanings: Object.fromEntries(columns.filter((c) => c.key).map((c) => [c.key, c.meaning])),
    }
  }

  private get rows(): Table {
    return this.tables[this.table] ?? { name: '', rows: [] }
  }

  private look(job: JobTables): { preview: Preview; columns: Column[] } {
    const columns = this.headerRow < 0 ? [] : columnsAt(this.rows, this.headerRow, meaningsOf(job), this.chosen)
    const rows = this.headerRow < 0 ? [] : readRows(this.rows, this.headerRow, columns, sheetsFor(job))
    return { preview: previewRows(rows, all(job, 'door'), all(job, 'area')), columns }
  }

  view(job: JobTables): Omit<PaperView, 'id'> {
    const { preview, columns } = this.look(job)
    // Bad rows first: they are what somebody has to look at.
    const order = { bad: 0, changed: 1, new: 2, same: 3 }
    const rows = [...preview.rows].sort((a, b) => order[a.state] - order[b.state] || a.row - b.row).slice(0, shownRows)
    return {
      file: this.file,
      says: this.says,
      tables: this.tables.map((t) => ({ name: t.name, rows: t.rows.length })),
      table: this.table,
      headerRow: this.headerRow + 1,
      columns: columns.map((c) => ({
        index: c.index,
        letters: columnLetters(c.index),
        title: c.title,
        group: c.group,
        meaning: c.meaning,
        sample: c.sample,
      })),
      counts: preview.counts,
      rows: rows.map(({ row, ref, name, state, says, faults, notes }) => ({
        row,
        ref,
        name,
        state,
        says,
        faults,
        notes,
      })),
      areas: preview.areas.map(({ path, code }) => ({ path, code })),
      shown: rows.length,
    }
  }
}

const meaningsOf = (job: JobTables) => job.columns['doors']?.meanings ?? {}
const meant = (columns: readonly Column[]): number => columns.filter((c) => c.meaning !== 'ignore').length
