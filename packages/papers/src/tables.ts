import { stringify } from 'csv-stringify/sync'
import writeWorkbook from 'write-excel-file/node'

/** A list as it goes into a spreadsheet: titles, and rows of texts and numbers. */
export interface TableOut {
  name: string
  columns: readonly string[]
  rows: readonly (readonly (string | number | null)[])[]
}

/** A cell of a workbook: texts stay texts, whatever they look like. */
export function cellOf(v: string | number | null) {
  if (v === null) return null
  return typeof v === 'number' ? { value: v, type: Number } : { value: v, type: String, format: '@' }
}
export const titleOf = (value: string) => ({ value, fontWeight: 'bold' as const })
/** How the CSV that we write looks: UTF-8 with its mark, so that spreadsheets open it rightly; cells that look like formulas are made harmless. */
export const csvStyle = { bom: true, escape_formulas: true, record_delimiter: 'windows' } as const

/** CSV in UTF-8 with its mark; cells that look like formulas are made harmless. */
export const tableCsv = ({ columns, rows }: TableOut): string =>
  stringify([[...columns], ...rows.map((r) => [...r])], csvStyle)

/** A workbook with one sheet, its titles kept in sight. */
export async function tableXlsx({ name, columns, rows }: TableOut): Promise<Uint8Array> {
  const widths = columns.map((c, i) => ({
    width: Math.min(48, Math.max(c.length, ...rows.slice(0, 200).map((r) => String(r[i] ?? '').length)) + 2),
  }))
  return new Uint8Array(
    await writeWorkbook([
      {
        data: [columns.map(titleOf), ...rows.map((r) => r.map(cellOf))] as never,
        sheet: name,
        stickyRowsCount: 1,
        columns: widths,
      },
    ] as never).toBuffer(),
  )
}
