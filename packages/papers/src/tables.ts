import { stringify } from 'csv-stringify/sync'
import writeWorkbook from 'write-excel-file/node'

/** A list as it goes into a spreadsheet: titles, and rows of texts and numbers. */
export interface TableOut { name: string; columns: readonly string[]; rows: readonly (readonly (string | number | null)[])[] }

/** CSV in UTF-8 with its mark; cells that look like formulas are made harmless. */
export const tableCsv = ({ columns, rows }: TableOut): string => stringify([[...columns], ...rows.map((r) => [...r])], { bom: true, escape_formulas: true, record_delimiter: 'windows' })

/** A workbook with one sheet, its titles kept in sight. */
export async function tableXlsx({ name, columns, rows }: TableOut): Promise<Uint8Array> {
  const head = columns.map((value) => ({ value, fontWeight: 'bold' as const }))
  const body = rows.map((r) => r.map((v) => (v === null ? null : typeof v === 'number' ? { value: v, type: Number } : { value: v, type: String, format: '@' })))
  const widths = columns.map((c, i) => ({ width: Math.min(48, Math.max(c.length, ...rows.slice(0, 200).map((r) => String(r[i] ?? '').length)) + 2) }))
  return new Uint8Array(await writeWorkbook([{ data: [head, ...body] as never, sheet: name, stickyRowsCount: 1, columns: widths }] as never).toBuffer())
}
