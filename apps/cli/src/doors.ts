import { columnLetters, findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { shippedSheets } from '@rauta/contracts'
import { PaperError, readPaper } from '@rauta/papers'
import { told, type Outcome } from './outcome'

/** Reads a door schedule and tells what became of every row. Areas are taken as the list names them. */
export async function doors(file: string, read: (file: string) => Uint8Array): Promise<Outcome> {
  let bytes: Uint8Array
  try {
    bytes = read(file)
  } catch {
    return { code: 2, out: `${file} cannot be read.` }
  }
  try {
    const paper = await readPaper(bytes, file)
    const heads = paper.tables.map((t) => ({ table: t, head: findHeader(t) }))
    const best = heads.reduce((a, b) =>
      b.head.columns.filter((c) => c.meaning !== 'ignore').length >
      a.head.columns.filter((c) => c.meaning !== 'ignore').length
        ? b
        : a,
    )
    if (best.head.row < 0)
      return { code: 2, out: `${file}: no row of titles was found: none has a reference or a name.` }
    const { rows, counts, areas } = previewRows(
      readRows(best.table, best.head.row, best.head.columns, shippedSheets),
      [],
      [],
    )
    return told(counts.bad === 0, {
      says: paper.says,
      sheet: best.table.name,
      titlesInRow: best.head.row + 1,
      columns: best.head.columns.map((c) => ({ column: columnLetters(c.index), title: c.title, tells: c.meaning })),
      counts: { good: counts.new, bad: counts.bad },
      areas: areas.map((a) => ({ path: a.path, code: a.code })),
      rows: rows.map((r) =>
        r.state === 'bad'
          ? {
              row: r.row,
              ref: r.ref,
              bad: r.faults.map((f) => ({ cell: f.cell, column: f.column, says: f.says, mend: f.mend })),
            }
          : { row: r.row, ref: r.ref, door: r.listed, ...(r.notes.length ? { notes: r.notes } : {}) },
      ),
    })
  } catch (error) {
    if (error instanceof PaperError) return { code: 2, out: error.says }
    throw error
  }
}
