import { lastResort, meaningOf, rememberedAs, type Meaning, type Titled } from './meanings'
import { plain, textOf, type Table } from './table'

/** A column of the file and what it is taken for. */
export interface Column extends Titled {
  index: number
  group: string
  /** Under which it is remembered. */ key: string
  sample: string
}
export interface Header {
  /** Row of the titles, counted from 0; -1 where none was found. */ row: number
  columns: Column[]
}

/** Rows to look through for the titles. */
const deepest = 40

/**
 * Finds the row of titles: the one whose cells mean most, among them a reference or a name. Titles above it are not data.
 * A title that is empty because its cell was merged with the one above takes that one; one that spans columns is their group.
 */
export function findHeader(table: Table, remembered: Readonly<Record<string, string>> = {}): Header {
  let best: Header = { row: -1, columns: [] }
  let bestScore = 1
  for (let row = 0; row < Math.min(deepest, table.rows.length); row++) {
    const columns = columnsAt(table, row, remembered)
    const own = (table.rows[row] ?? []).filter((c) => textOf(c)).length
    const known = new Set(columns.filter((c) => c.meaning !== 'ignore').map((c) => c.meaning))
    const score = own === 0 || !(known.has('ref') || known.has('name')) ? 0 : known.size
    if (score > bestScore) {
      best = { row, columns }
      bestScore = score
    }
  }
  return best
}

/** The columns when this row holds the titles. Where two columns mean the same, the first is taken. */
export function columnsAt(
  table: Table,
  row: number,
  remembered: Readonly<Record<string, string>> = {},
  chosen: Readonly<Record<string, string>> = {},
): Column[] {
  const own = table.rows[row] ?? []
  const above = row > 0 ? (table.rows[row - 1] ?? []) : []
  const width = table.rows.slice(row, row + 50).reduce((most, r) => Math.max(most, r.length), 0)
  // A row of one cell above the titles is the sheet's own title, not a group of columns.
  const spans = above.filter((c) => textOf(c)).length > 1 || (above.length > 1 && textOf(above[0]) === '')
  const taken = new Set<Meaning>()
  let group = ''
  const columns = Array.from({ length: width }, (_, index): Column => {
    const over = spans ? textOf(above[index]) : ''
    const self = textOf(own[index])
    if (over) group = self ? over : ''
    const title = self || over
    if (!title) return { index, title: '', group: '', key: '', meaning: 'ignore', unit: null, sample: '' }
    const found = meaningOf(title, group, remembered)
    const key = rememberedAs(title, group)
    const wanted = (chosen[String(index)] ?? found.meaning) as Meaning
    const meaning = taken.has(wanted) ? 'ignore' : wanted
    if (meaning !== 'ignore') taken.add(meaning)
    return { ...found, index, group, key, meaning, sample: sampleOf(table, row, index) }
  })
  return atLast(columns).filter((c) => c.title !== '')
}

/** What nothing else tells is taken from a column whose title says it poorly. */
function atLast(columns: readonly Column[]): Column[] {
  const wanted = (Object.keys(lastResort) as Meaning[]).filter((m) => !columns.some((c) => c.meaning === m))
  return columns.map((c) => {
    const found = c.meaning === 'ignore' && wanted.find((m) => lastResort[m]?.includes(plain(c.title)))
    return found ? { ...c, meaning: found } : c
  })
}

function sampleOf(table: Table, row: number, index: number): string {
  for (const cells of table.rows.slice(row + 1, row + 30)) {
    const text = textOf(cells[index])
    if (text) return text
  }
  return ''
}

/** Whether a row says the titles over again, as lists that were printed page by page do. */
export function repeatsHeader(
  cells: readonly unknown[],
  columns: readonly Column[],
  texts: (index: number) => string,
): boolean {
  const titled = columns.filter((c) => c.title)
  return (
    titled.length > 1 &&
    cells.length > 0 &&
    titled.filter((c) => plain(texts(c.index)) === plain(c.title)).length >= Math.max(2, titled.length * 0.6)
  )
}
