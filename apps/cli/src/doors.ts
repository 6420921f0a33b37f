import { parseArgs } from 'node:util'
import {
  columnLetters,
  columnsAt,
  findHeader,
  meaningOfWord,
  plain,
  previewRows,
  readRows,
  type Cell,
  type DoorColumn,
  type DoorHeader,
  type Table,
} from '@rauta/core/doorlist'
import { shippedSheets } from '@rauta/contracts'
import { PaperError, readPaper } from '@rauta/papers'
import { Bad, told, type Outcome } from './outcome'
import { inWords } from './run'

interface Options {
  file: string
  sheet?: string
  titles?: number
  columns: Map<string, string>
  areas: Map<string, string>
  uses: Map<string, string>
}

/** Reads a door schedule and tells what became of every row. Areas are taken as the list names them. */
export async function doors(args: readonly string[], read: (file: string) => Uint8Array): Promise<Outcome> {
  try {
    return await answer(optionsOf(args), read)
  } catch (error) {
    return { code: 2, out: error instanceof PaperError ? error.says : inWords(error) }
  }
}

async function answer(options: Options, read: (file: string) => Uint8Array): Promise<Outcome> {
  const { file } = options
  const paper = await readPaper(bytesOf(file, read), file)
  const table = withAnswers(tableOf(paper.tables, options), options)
  const head = headOf(table, options)
  if (head.row < 0)
    throw new Bad(`${file}: no row of titles was found: none has a reference or a name. Say which it is with --titles.`)
  const { rows, counts, areas } = previewRows(readRows(table, head.row, head.columns, shippedSheets), [], [])
  return told(counts.bad === 0, {
    says: paper.says,
    sheet: table.name,
    titlesInRow: head.row + 1,
    columns: head.columns.map((c) => ({ column: columnLetters(c.index), title: c.title, tells: c.meaning })),
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
}

function bytesOf(file: string, read: (file: string) => Uint8Array): Uint8Array {
  try {
    return read(file)
  } catch {
    throw new Bad(`${file} cannot be read. Is it there, and may you read it?`)
  }
}

/** @throws Bad for an option that is unknown, empty or twice */
function optionsOf(args: readonly string[]): Options {
  const many = { type: 'string', multiple: true } as const
  let parsed
  try {
    parsed = parseArgs({
      args: [...args],
      options: { sheet: many, titles: many, column: many, area: many, use: many },
      allowPositionals: true,
      strict: true,
    })
  } catch (error) {
    throw new Bad((error as Error).message)
  }
  const { values, positionals } = parsed
  if (positionals.length !== 1) throw new Bad(`doors takes one file; there are ${positionals.length}.`)
  const once = (name: 'sheet' | 'titles'): string | undefined => {
    const given = values[name] ?? []
    if (given.length > 1) throw new Bad(`--${name} is there twice.`)
    if (given[0]?.trim() === '') throw new Bad(`--${name} is empty.`)
    return given[0]
  }
  const pairs = (name: 'column' | 'area' | 'use'): Map<string, string> => {
    const found = new Map<string, string>()
    for (const text of values[name] ?? []) {
      const [, left = '', right = ''] = /^(.*)=([^=]*)$/s.exec(text) ?? []
      if (!left.trim() || !right.trim())
        throw new Bad(`--${name} “${text}” is not understood. Write it as "TEXT=MEANING".`)
      if (found.has(plain(left))) throw new Bad(`--${name}: ${left.trim()} is there twice.`)
      found.set(plain(left), right.trim())
    }
    return found
  }
  const titles = once('titles')
  if (titles !== undefined && !/^[1-9]\d{0,5}$/.test(titles))
    throw new Bad(`--titles ${titles} is no row. Rows count from 1, as the spreadsheet counts.`)
  const sheet = once('sheet')
  return {
    file: positionals[0] ?? '',
    ...(sheet === undefined ? {} : { sheet }),
    ...(titles === undefined ? {} : { titles: Number(titles) }),
    columns: pairs('column'),
    areas: pairs('area'),
    uses: pairs('use'),
  }
}

/** The sheet that is asked for, or the one in which most columns mean something. */
function tableOf(tables: readonly Table[], { sheet, file }: Options): Table {
  if (sheet !== undefined) {
    const found = tables.find((t) => plain(t.name) === plain(sheet)) ?? tables[Number(sheet) - 1]
    if (!found) throw new Bad(`${file} has no sheet ${sheet}. It has: ${tables.map((t) => t.name).join(', ')}.`)
    return found
  }
  const meant = (t: Table) => findHeader(t).columns.filter((c) => c.meaning !== 'ignore').length
  return tables.reduce((a, b) => (meant(b) > meant(a) ? b : a))
}

function headOf(table: Table, { titles, columns, file }: Options): DoorHeader {
  const found = titles === undefined ? findHeader(table) : { row: titles - 1, columns: columnsAt(table, titles - 1) }
  if (titles !== undefined && titles > table.rows.length)
    throw new Bad(`--titles ${titles}: ${file} has ${table.rows.length} rows.`)
  if (columns.size === 0) return found
  const chosen: Record<string, string> = {}
  for (const [title, word] of columns) {
    const column = found.columns.find((c) => plain(c.title) === title || plain(columnLetters(c.index)) === title)
    if (!column) throw new Bad(`--column: there is no column ${title}. There are: ${titlesOf(found.columns)}.`)
    const meaning = meaningOfWord(word)
    if (!meaning) throw new Bad(`--column: ${word} is nothing that a column can tell.`)
    chosen[String(column.index)] = meaning
  }
  return { row: found.row, columns: columnsAt(table, found.row, {}, chosen) }
}

const titlesOf = (columns: readonly DoorColumn[]): string => columns.map((c) => c.title).join(', ')

/** Cells that say the same are answered once: areas by their codes, devices by their sheets. */
function withAnswers(table: Table, { areas, uses }: Options): Table {
  if (areas.size === 0 && uses.size === 0) return table
  const sheets = Object.values(shippedSheets)
  for (const [text, sheet] of uses)
    if (!sheets.some((s) => plain(s.name) === plain(sheet) || plain(s.id) === plain(sheet)))
      throw new Bad(`--use: no device sheet is called ${sheet} (for ${text}).`)
  const instead = (cell: Cell): Cell =>
    typeof cell === 'string' ? (uses.get(plain(cell)) ?? areas.get(plain(cell)) ?? cell) : cell
  return { ...table, rows: table.rows.map((row) => row.map(instead)) }
}
