import { parse } from 'csv-parse/sync'
import { tableCsv, tableXlsx, type TableOut } from '@rauta/papers'
import readXlsx from 'read-excel-file/node'

/** The same table read back from CSV and from a workbook, by libraries that did not write them; every cell as text. */
export async function readTable(table: TableOut): Promise<{ csv: string[][]; book: string[][] }> {
  const csv = parse(tableCsv(table), { bom: true }) as string[][]
  const sheets = (await readXlsx(Buffer.from(await tableXlsx(table)))) as unknown
  const first = (
    Array.isArray(sheets) && sheets.length && !Array.isArray(sheets[0])
      ? (sheets[0] as { data: unknown[][] }).data
      : sheets
  ) as unknown[][]
  return { csv, book: first.map((r) => r.map((c) => (c === null || c === undefined ? '' : String(c)))) }
}
