import { plain, textOf, type Table } from './table'

/** A title and what it stands for. `ignore` where nobody can tell. */
export interface Titled<M extends string> {
  title: string
  meaning: M | 'ignore'
  unit: string | null
}

/** What the columns of one kind of list may mean. */
export interface Vocabulary<M extends string> {
  /** What a title most likely stands for. @param group the title that spans several columns above it */
  meaningOf(title: string, group: string, remembered: Readonly<Record<string, string>>): Titled<M>
  /** Titles that are taken for something only where nothing else tells it. */
  lastResort: Readonly<Partial<Record<M, readonly string[]>>>
  /** A row of titles has one of these. */
  telling: readonly M[]
}

/** A column of the file and what it is taken for. */
export interface Column<M extends string = string> extends Titled<M> {
  index: number
  group: string
  /** Under which it is remembered. */ key: string
  sample: string
}
export interface Header<M extends string = string> {
  /** Row of the titles, counted from 0; -1 where none was found. */ row: number
  columns: Column<M>[]
}

/** Rows to look through for the titles. */
const deepest = 40

/**
 * Finds the row of titles: the one whose cells mean most, among them one that is telling. Titles above it are not data.
 * A title that is empty because its cell was merged with the one above takes that one; one that spans columns is their group.
 */
export function headerOf<M extends string>(
  table: Table,
  vocabulary: Vocabulary<M>,
  remembered: Readonly<Record<string, string>> = {},
): Header<M> {
  let best: Header<M> = { row: -1, columns: [] }
  let bestScore = 1
  for (let row = 0; row < Math.min(deepest, table.rows.length); row++) {
    const columns = columnsUnder(table, row, vocabulary, remembered)
    const own = (table.rows[row] ?? []).filter((c) => textOf(c)).length
    const known = new Set(columns.filter((c) => c.meaning !== 'ignore').map((c) => c.meaning))
    const score = own === 0 || !vocabulary.telling.some((m) => known.has(m)) ? 0 : known.size
    if (score > bestScore) {
      best = { row, columns }
      bestScore = score
    }
  }
  return best
}

/** The columns when this row holds the titles. Where two columns mean the same, the first is taken. */
export function columnsUnder<M extends string>(
  table: Table,
  row: number,
  vocabulary: Vocabulary<M>,
  remembered: Readonly<Record<string, string>> = {},
  chosen: Readonly<Record<string, string>> = {},
): Column<M>[] {
  const own = table.rows[row] ?? []
  const above = row > 0 ? (table.rows[row - 1] ?? []) : []
  const width = table.rows.slice(row, row + 50).reduce((most, r) => Math.max(most, r.length), 0)
  // A row of one cell above the titles is the sheet's own title, not a group of columns.
  const spans = above.filter((c) => textOf(c)).length > 1 || (above.length > 1 && textOf(above[0]) === '')
  const taken = new Set<M>()
  let group = ''
  const columns = Array.from({ length: width }, (_, index): Column<M> => {
    const over = spans ? textOf(above[index]) : ''
    const self = textOf(own[index])
    if (over) group = self ? over : ''
    const title = self || over
    if (!title) return { index, title: '', group: '', key: '', meaning: 'ignore', unit: null, sample: '' }
    const found = vocabulary.meaningOf(title, group, remembered)
    const key = rememberedAs(title, group)
    const wanted = (chosen[String(index)] ?? found.meaning) as M | 'ignore'
    const meaning = wanted !== 'ignore' && taken.has(wanted) ? 'ignore' : wanted
    if (meaning !== 'ignore') taken.add(meaning)
    return { ...found, index, group, key, meaning, sample: sampleOf(table, row, index) }
  })
  return atLast(columns, vocabulary).filter((c) => c.title !== '')
}

/** How a title is remembered for the next file. */
export const rememberedAs = (title: string, group: string): string => plain(`${group} ${title}`)

/** What nothing else tells is taken from a column whose title says it poorly. */
function atLast<M extends string>(columns: readonly Column<M>[], { lastResort }: Vocabulary<M>): Column<M>[] {
  const wanted = (Object.keys(lastResort) as M[]).filter((m) => !columns.some((c) => c.meaning === m))
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
  columns: readonly Pick<Column, 'title' | 'index'>[],
  texts: (index: number) => string,
): boolean {
  const titled = columns.filter((c) => c.title)
  return (
    titled.length > 1 &&
    cells.length > 0 &&
    titled.filter((c) => plain(texts(c.index)) === plain(c.title)).length >= Math.max(2, titled.length * 0.6)
  )
}
