import type { Column, Facts, Table } from '@rauta/core'
import { columnLetters } from '@rauta/core/doorlist'
import { shownRows, type PaperView } from '@rauta/contracts'
import { readPaper } from '@rauta/papers'
import { listKinds, type ListKindName } from './listKinds'

/** Another sheet, another row of titles (as the spreadsheet counts), or other meanings for columns (by their index). */
export interface Choice {
  table?: number
  headerRow?: number
  columns?: Record<string, string>
}

/** What of a job a list is looked at against. */
export type JobTables = Facts

/** What is taken over of a list: its good rows, and what its columns meant. */
export interface Taking {
  file: string
  rows: unknown[]
  meanings: Record<string, string>
}

/** A list that was read, between being brought and being taken over. */
export class PaperAtHand {
  private table = 0
  private headerRow = -1
  private chosen: Record<string, string> = {}
  private constructor(
    private readonly kind: ListKindName,
    private readonly file: string,
    private readonly says: string,
    private readonly tables: readonly Table[],
  ) {}

  /** @throws PaperError */
  static async read(kind: ListKindName, bytes: Uint8Array, file: string, job: JobTables): Promise<PaperAtHand> {
    const { tables, says } = await readPaper(bytes, file)
    return PaperAtHand.of(kind, tables, file, says, job)
  }

  /** Of tables that were read already. */
  static of(kind: ListKindName, tables: readonly Table[], file: string, says: string, job: JobTables): PaperAtHand {
    const paper = new PaperAtHand(kind, file, says, tables)
    // The sheet in which most columns mean something is most likely the list.
    const heads = tables.map((t) => paper.headerOf(t, job))
    paper.table = heads.reduce((best, h, i) => (meant(h.columns) > meant(heads[best]?.columns ?? []) ? i : best), 0)
    paper.headerRow = heads[paper.table]?.row ?? -1
    return paper
  }

  choose(choice: Choice, job: JobTables): void {
    if (choice.table !== undefined && choice.table !== this.table && this.tables[choice.table]) {
      this.table = choice.table
      this.chosen = {}
      this.headerRow = this.headerOf(this.rows, job).row
    }
    if (choice.headerRow !== undefined) {
      this.headerRow = choice.headerRow - 1
      this.chosen = {}
    }
    if (choice.columns) this.chosen = { ...this.chosen, ...choice.columns }
  }

  /** What is to be taken over now, against the job as it stands. */
  payload(job: JobTables): Taking {
    const { seen, columns } = this.look(job)
    return {
      file: this.file,
      rows: seen.good,
      meanings: Object.fromEntries(columns.filter((c) => c.key).map((c) => [c.key, c.meaning])),
    }
  }

  private headerOf(table: Table, job: JobTables) {
    const { findHeader, remembered } = listKinds[this.kind]
    return findHeader(table, job.columns[remembered]?.meanings ?? {})
  }

  private get rows(): Table {
    return this.tables[this.table] ?? { name: '', rows: [] }
  }

  private look(job: JobTables) {
    const kind = listKinds[this.kind]
    const remembered = job.columns[kind.remembered]?.meanings ?? {}
    const columns = this.headerRow < 0 ? [] : kind.columnsAt(this.rows, this.headerRow, remembered, this.chosen)
    return { seen: kind.look(this.rows, this.headerRow, columns, job), columns }
  }

  view(job: JobTables): Omit<PaperView, 'id'> {
    const { seen, columns } = this.look(job)
    // Bad rows first: they are what somebody has to look at.
    const order = { bad: 0, changed: 1, new: 2, same: 3 }
    const rows = [...seen.rows].sort((a, b) => order[a.state] - order[b.state] || a.row - b.row).slice(0, shownRows)
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
      counts: seen.counts,
      rows: rows.map(({ row, ref, name, state, says, faults, notes }) => ({
        row,
        ref,
        name,
        state,
        says,
        faults,
        notes,
      })),
      areas: seen.areas,
      groups: seen.groups,
      shown: rows.length,
    }
  }
}

const meant = (columns: readonly Column[]): number => columns.filter((c) => c.meaning !== 'ignore').length
