import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { columnLetters } from '@rauta/core/doorlist'
import writeWorkbook from 'write-excel-file/node'
import { cellOf, titleOf } from './tables'

/** A column that somebody fills in. */
export interface FilledColumn {
  title: string
  /** What the spreadsheet shows beside a cell of it. */
  tip: string
  /** To choose from; empty where anything may stand there. */
  choices: readonly string[]
}
export interface ListOut {
  name: string
  columns: readonly FilledColumn[]
  rows: readonly (readonly (string | number | null)[])[]
}

/** A list as a workbook that is filled in and brought back: lists to choose from and tips on each column. */
export async function listXlsx({ name, columns, rows }: ListOut): Promise<Uint8Array> {
  const head = columns.map((c) => titleOf(c.title))
  const depth = Math.max(1, ...columns.map((c) => c.choices.length))
  const choiceRows = Array.from({ length: depth }, (_, i) =>
    columns.map(({ choices }) => (choices[i] === undefined ? null : { value: choices[i], type: String })),
  )
  const book = await writeWorkbook([
    {
      data: [head, ...rows.map((r) => r.map(cellOf))] as never,
      sheet: name,
      stickyRowsCount: 1,
      columns: columns.map((c) => ({ width: Math.max(10, c.title.length + 2) })),
    },
    { data: [head, ...choiceRows] as never, sheet: 'Lists', columns: columns.map(() => ({ width: 22 })) },
  ] as never).toBuffer()
  return withChoices(new Uint8Array(book), columns)
}

const escape = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')

/** Puts lists and tips on the columns. A drop-down list is a data validation of ECMA-376, part 1, 18.3.1.33 (from memory). */
function withChoices(book: Uint8Array, columns: readonly FilledColumn[]): Uint8Array {
  const files = unzipSync(book)
  const name = 'xl/worksheets/sheet1.xml'
  const sheet = files[name]
  if (!sheet) throw new Error('The workbook has no first sheet.')
  const rules = columns.map(({ title, tip, choices }, i) => {
    const letters = columnLetters(i)
    const choose = choices.length > 0
    const open = `<dataValidation ${choose ? 'type="list" ' : ''}allowBlank="1" showInputMessage="1" ${choose ? 'errorStyle="warning" showErrorMessage="1" ' : ''}promptTitle="${escape(title.slice(0, 32))}" prompt="${escape(tip.slice(0, 254))}" sqref="${letters}2:${letters}5000">`
    return `${open}${choose ? `<formula1>Lists!$${letters}$2:$${letters}$${choices.length + 1}</formula1>` : ''}</dataValidation>`
  })
  const markup = `<dataValidations count="${rules.length}">${rules.join('')}</dataValidations>`
  const xml = strFromU8(sheet)
  const after = xml.includes('</mergeCells>') ? '</mergeCells>' : '</sheetData>'
  files[name] = strToU8(xml.replace(after, `${after}${markup}`))
  return zipSync(files)
}
