import { randomUUID } from 'node:crypto'
import { all, type Column, type Facts, type Preview, type Table } from '@rauta/core'
import { columnLetters, columnsAt, findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { sheetsFor, shownRows, type DoorsImport, type PaperView } from '@rauta/contracts'
import { readPaper } from '@rauta/papers'

/** A file that somebody brought, waiting to be looked through and taken over. */
interface Waiting {
  id: string
  by: string
  file: string
  says: string
  tables: Table[]
  table: number
  headerRow: number
  chosen: Record<string, string>
  at: number
}

/** Files kept at once, and how long. They are in memory only: what was not taken over is brought again. */
const most = 8
const keptMs = 30 * 60_000

/** Door schedules between being brought and being taken over. */
export class Papers {
  private readonly waiting = new Map<string, Waiting>()

  /** @throws PaperError */
  async bring(bytes: Uint8Array, file: string, by: string, facts: Facts, now: number): Promise<PaperView> {
    const { tables, says } = await readPaper(bytes, file)
    const remembered = facts.columns['doors']?.meanings ?? {}
    // The sheet in which most columns mean something is most likely the list.
    const heads = tables.map((t) => findHeader(t, remembered))
    const table = heads.reduce((best, h, i) => (meant(h.columns) > meant(heads[best]?.columns ?? []) ? i : best), 0)
    const kept: Waiting = {
      id: randomUUID(),
      by,
      file,
      says,
      tables,
      table,
      headerRow: heads[table]?.row ?? -1,
      chosen: {},
      at: now,
    }
    for (const [id, w] of this.waiting) if (now - w.at > keptMs) this.waiting.delete(id)
    while (this.waiting.size >= most) this.waiting.delete(this.waiting.keys().next().value ?? '')
    this.waiting.set(kept.id, kept)
    return this.view(kept, facts)
  }

  /** Another sheet, another row of titles, or other meanings for columns (by their index). */
  choose(
    id: string,
    by: string,
    wanted: { table?: number; headerRow?: number; columns?: Record<string, string> },
    facts: Facts,
  ): PaperView | null {
    const paper = this.get(id, by)
    if (!paper) return null
    if (wanted.table !== undefined && wanted.table !== paper.table && paper.tables[wanted.table]) {
      paper.table = wanted.table
      paper.chosen = {}
      paper.headerRow = findHeader(tableOf(paper), facts.columns['doors']?.meanings ?? {}).row
    }
    if (wanted.headerRow !== undefined) {
      paper.headerRow = wanted.headerRow - 1
      paper.chosen = {}
    }
    if (wanted.columns) paper.chosen = { ...paper.chosen, ...wanted.columns }
    return this.view(paper, facts)
  }

  /** What is to be taken over now, against the job as it stands; null for a file that is not here any more. */
  payload(id: string, by: string, facts: Facts): DoorsImport | null {
    const paper = this.get(id, by)
    if (!paper) return null
    const { preview, columns } = this.read(paper, facts)
    const meanings = Object.fromEntries(columns.filter((c) => c.key).map((c) => [c.key, c.meaning]))
    return {
      file: paper.file,
      doors: preview.rows.filter((r) => r.state === 'new' || r.state === 'changed').map((r) => r.listed),
      meanings,
    }
  }

  drop(id: string): void {
    this.waiting.delete(id)
  }

  private get(id: string, by: string): Waiting | null {
    const paper = this.waiting.get(id)
    return paper?.by === by ? paper : null
  }

  private read(paper: Waiting, facts: Facts): { preview: Preview; columns: Column[] } {
    const table = tableOf(paper)
    const columns =
      paper.headerRow < 0 ? [] : columnsAt(table, paper.headerRow, facts.columns['doors']?.meanings ?? {}, paper.chosen)
    const rows = paper.headerRow < 0 ? [] : readRows(table, paper.headerRow, columns, sheetsFor(facts))
    return { preview: previewRows(rows, all(facts, 'door'), all(facts, 'area')), columns }
  }

  private view(paper: Waiting, facts: Facts): PaperView {
    const { preview, columns } = this.read(paper, facts)
    // Bad rows first: they are what somebody has to look at.
    const order = { bad: 0, changed: 1, new: 2, same: 3 }
    const rows = [...preview.rows].sort((a, b) => order[a.state] - order[b.state] || a.row - b.row).slice(0, shownRows)
    return {
      id: paper.id,
      file: paper.file,
      says: paper.says,
      tables: paper.tables.map((t) => ({ name: t.name, rows: t.rows.length })),
      table: paper.table,
      headerRow: paper.headerRow + 1,
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

const meant = (columns: readonly Column[]): number => columns.filter((c) => c.meaning !== 'ignore').length
const tableOf = (paper: Waiting): Table => paper.tables[paper.table] ?? { name: '', rows: [] }
