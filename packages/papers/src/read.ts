import { parse } from 'csv-parse/sync'
import readWorkbook from 'read-excel-file/node'
import type { Cell, Table } from '@rauta/core'
import { decodeText } from './decode'
import { PaperError } from './paperError'
import { largestPaper, paperLimits } from './limits'
import { lookThrough, type BrokenCell } from './workbook'

export interface Paper {
  tables: Table[]
  /** What was found out about the file, for people. */ says: string
}

/** The sheets of a spreadsheet, or the one table of a text file with separators. @throws PaperError */
export async function readPaper(bytes: Uint8Array, fileName: string): Promise<Paper> {
  if (bytes.length === 0) throw new PaperError(`${fileName} is empty.`)
  if (bytes.length > largestPaper)
    throw new PaperError(
      `${fileName} has ${Math.round(bytes.length / 1e6)} MB; a list may have ${largestPaper / 1e6} MB. Take pictures out of it.`,
    )
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readXlsx(bytes, fileName)
  if (bytes[0] === 0xd0 && bytes[1] === 0xcf)
    throw new PaperError(
      `${fileName} is a spreadsheet of the old kind (.xls), or has a password. Save it as .xlsx without a password, or as CSV.`,
    )
  if (bytes[0] === 0x25 && bytes[1] === 0x50)
    throw new PaperError(`${fileName} is a PDF. Ask for the list as .xlsx or CSV.`)
  return readSeparated(bytes, fileName)
}

async function readXlsx(bytes: Uint8Array, fileName: string): Promise<Paper> {
  let sheets: { sheet: string; data: unknown[][] }[]
  let broken: BrokenCell[][]
  try {
    broken = await lookThrough(bytes, fileName)
    sheets = (await readWorkbook(Buffer.from(bytes))) as { sheet: string; data: unknown[][] }[]
  } catch (error) {
    if (error instanceof PaperError) throw error
    throw new PaperError(
      `${fileName} cannot be read as a spreadsheet: ${(error as Error).message}. Open it, save it as .xlsx and try again.`,
    )
  }
  const tables = sheets
    .map(({ sheet, data }, i): Table => {
      const rows = data.map((row) => row.map(cellOf))
      for (const { row, column, says } of broken[i] ?? []) {
        const cells = (rows[row] ??= [])
        while (cells.length <= column) cells.push(null)
        cells[column] = { broken: says }
      }
      return { name: sheet, rows }
    })
    .filter((t) => t.rows.some((r) => r.some((c) => c !== null)))
  if (tables.length === 0) throw new PaperError(`${fileName} holds no filled cell.`)
  return { tables, says: `${tables.length === 1 ? 'One sheet' : `${tables.length} sheets`} of a spreadsheet` }
}

function cellOf(value: unknown): Cell {
  if (value === null || value === undefined || value === '') return null
  if (value instanceof Date) return { date: value.toISOString().slice(0, 10) }
  return typeof value === 'number' || typeof value === 'boolean' ? value : String(value)
}

function readSeparated(bytes: Uint8Array, fileName: string): Paper {
  const { text, charset } = decodeText(bytes)
  if ([...text.slice(0, 2000)].some((c) => c < '\t'))
    throw new PaperError(`${fileName} is neither a spreadsheet nor text. Save the list as .xlsx or CSV.`)
  const delimiter = delimiterOf(text)
  checkExtent(text, delimiter, fileName)
  try {
    const rows = parse(text, {
      delimiter,
      relax_column_count: true,
      relax_quotes: true,
      skip_empty_lines: false,
      trim: true,
      bom: true,
    }) as Cell[][]
    // In place: a copy of every row would double the list.
    for (const row of rows) for (const [at, cell] of row.entries()) if (cell === '') row[at] = null
    return {
      tables: [{ name: fileName, rows, ...(delimiter === ',' ? { byComma: true as const } : {}) }],
      says: `Text in ${charset}, cells parted by ${{ ',': 'comma', ';': 'semicolon', '\t': 'tab' }[delimiter]}`,
    }
  } catch (error) {
    throw new PaperError(`${fileName} cannot be read: ${(error as Error).message}. Is a quotation mark left open?`)
  }
}

const tooMuch = (fileName: string, most: string): PaperError =>
  new PaperError(`${fileName} has more than a list can have: more than ${most}. Save the list alone.`)

/** Refuses text with more rows, columns or cells than a list has, before a table is made of it. @throws PaperError */
function checkExtent(text: string, delimiter: string, fileName: string): void {
  const { rows, columns, cells } = paperLimits
  let row = 1
  let inRow = 1
  let all = 1
  let quoted = false
  for (const sign of text) {
    if (sign === '"') quoted = !quoted
    else if (sign === '\n' && !quoted) {
      row += 1
      inRow = 1
      all += 1
    } else if (sign === delimiter && !quoted) {
      inRow += 1
      all += 1
    }
    if (row > rows) throw tooMuch(fileName, `${rows} rows`)
    if (inRow > columns) throw tooMuch(fileName, `${columns} cells in row ${row}`)
    if (all > cells) throw tooMuch(fileName, `${cells} cells`)
  }
}

/** The separator that most lines have equally often, outside quotation marks. */
function delimiterOf(text: string): ',' | ';' | '\t' {
  const lines = text
    .slice(0, 60_000)
    .split(/\r\n|\n|\r/)
    .filter((l) => l.trim())
    .slice(0, 60)
    .map((l) => l.replace(/"(?:[^"]|"")*"/g, ''))
  const score = (d: string) => {
    const counts = lines.map((l) => l.split(d).length - 1).filter((n) => n > 0)
    const often = new Map<number, number>()
    for (const n of counts) often.set(n, (often.get(n) ?? 0) + 1)
    return Math.max(0, ...[...often].map(([n, lines_]) => lines_ * Math.min(n, 8)))
  }
  // A comma may be a decimal sign, so it wins only by more.
  const order: [',' | ';' | '\t', number][] = [
    ['\t', score('\t') * 1.01],
    [';', score(';') * 1.005],
    [',', score(',')],
  ]
  return order.sort((a, b) => b[1] - a[1])[0]?.[0] ?? ','
}
