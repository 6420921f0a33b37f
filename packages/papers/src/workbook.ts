import { SaxesParser } from 'saxes'
import { fromBufferPromise, type Entry, type ZipFile } from 'yauzl'
import { paperLimits } from './limits'
import { PaperError } from './paperError'

/** A cell whose formula gives an error, or was never worked out: a reader sees it as empty and would lose it. Counted from 0. */
export interface BrokenCell {
  row: number
  column: number
  says: string
}

const tooMuch = (fileName: string, what: string): PaperError =>
  new PaperError(
    `${fileName} ${what}. Copy the list alone into a new workbook and save it as .xlsx, or save it as CSV.`,
  )

/**
 * Looks a workbook through before anything makes a table of it: what it would unfold to, how far its cells reach, and
 * which of them are broken, per sheet in the workbook's order. Reads it once from front to back.
 * @throws PaperError
 */
export async function lookThrough(bytes: Uint8Array, fileName: string): Promise<BrokenCell[][]> {
  const zip = await fromBufferPromise(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length), {
    lazyEntries: true,
    validateEntrySizes: true,
  })
  const entries = new Map<string, Entry>()
  let inflated = 0
  for await (const entry of zip.eachEntry()) {
    inflated += entry.uncompressedSize
    entries.set(entry.fileName, entry)
    if (entries.size > paperLimits.files || inflated > paperLimits.inflatedB)
      throw tooMuch(fileName, 'unfolds to more than a list can have')
  }
  const part = (name: string) => {
    const entry = entries.get(name)
    return entry ? chunksOf(zip, entry) : null
  }
  const targets = new Map<string, string>()
  await parse(part('xl/_rels/workbook.xml.rels'), fileName, (tag, attribute) => {
    if (tag === 'Relationship') targets.set(attribute('Id'), attribute('Target'))
  })
  const sheets: string[] = []
  await parse(part('xl/workbook.xml'), fileName, (tag, attribute) => {
    if (tag === 'sheet') sheets.push(targets.get(attribute('r:id')) ?? '')
  })
  const broken: BrokenCell[][] = []
  let cells = 0
  for (const target of sheets) {
    const sheet = await sheetCells(part(`xl/${target.replace(/^\/?(xl\/)?/, '')}`), fileName)
    cells += sheet.area
    if (cells > paperLimits.cells)
      throw tooMuch(
        fileName,
        `has cells as far as row ${sheet.rows}, column ${sheet.columns}: more than a list can have`,
      )
    broken.push(sheet.broken)
  }
  return broken
}

async function* chunksOf(zip: ZipFile, entry: Entry): AsyncGenerator<Buffer> {
  yield* (await zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>
}

type OnTag = (tag: string, attribute: (name: string) => string) => void

async function parse(
  chunks: AsyncIterable<Buffer> | null,
  fileName: string,
  onTag: OnTag,
  onText: (text: string) => void = () => undefined,
  onClose: (tag: string) => void = () => undefined,
): Promise<void> {
  if (!chunks) return
  const parser = new SaxesParser({ xmlns: false })
  let fault: Error | null = null
  const stop = (error: Error) => {
    fault ??= error
  }
  parser.on('error', stop)
  parser.on('doctype', () => stop(new Error('a document type is not taken')))
  parser.on('opentag', ({ name, attributes }) =>
    onTag(name, (key) => (Object.hasOwn(attributes, key) ? String(attributes[key]) : '')),
  )
  parser.on('text', onText)
  parser.on('closetag', ({ name }) => onClose(name))
  const decoder = new TextDecoder()
  for await (const chunk of chunks) {
    parser.write(decoder.decode(chunk, { stream: true }))
    if (fault) break
  }
  if (!fault) parser.close()
  // Told by the parser while it wrote.
  const told = fault as Error | null
  if (told instanceof PaperError) throw told
  if (told)
    throw new PaperError(
      `${fileName} cannot be read as a spreadsheet: ${told.message}. Open it, save it as .xlsx and try again.`,
    )
}

interface SheetCells {
  rows: number
  columns: number
  area: number
  broken: BrokenCell[]
}

/** How far the cells of a sheet reach, and which are broken. */
async function sheetCells(chunks: AsyncIterable<Buffer> | null, fileName: string): Promise<SheetCells> {
  const found: SheetCells = { rows: 0, columns: 0, area: 0, broken: [] }
  let cell: { row: number; column: number; failed: boolean; formula: boolean; value: string | null } | null = null
  let inValue = false
  await parse(
    chunks,
    fileName,
    (tag, attribute) => {
      if (tag === 'c') {
        const [, letters = '', row = ''] = /^([A-Z]{1,3})(\d{1,7})$/.exec(attribute('r')) ?? []
        cell = {
          row: Number(row),
          column: columnOf(letters),
          failed: attribute('t') === 'e',
          formula: false,
          value: null,
        }
        found.rows = Math.max(found.rows, cell.row)
        found.columns = Math.max(found.columns, cell.column)
      } else if (cell && tag === 'f') cell.formula = true
      else if (cell && tag === 'v') {
        cell.value ??= ''
        inValue = true
      }
    },
    (text) => {
      if (inValue && cell?.failed) cell.value += text
    },
    (tag) => {
      if (tag === 'v') inValue = false
      if (tag !== 'c' || !cell) return
      const { row, column, failed, formula, value } = cell
      if (failed) found.broken.push({ row: row - 1, column: column - 1, says: value || 'an error' })
      else if (formula && value === null)
        found.broken.push({ row: row - 1, column: column - 1, says: 'nothing yet (it was never worked out)' })
      cell = null
    },
  )
  if (found.rows > paperLimits.rows || found.columns > paperLimits.columns)
    throw tooMuch(
      fileName,
      `has cells as far as row ${found.rows}, column ${found.columns}; a list has ${paperLimits.rows} rows and ${paperLimits.columns} columns at most`,
    )
  return { ...found, area: found.rows * found.columns }
}

const columnOf = (letters: string): number => [...letters].reduce((n, l) => n * 26 + l.charCodeAt(0) - 64, 0)
