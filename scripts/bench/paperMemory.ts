/** Looks a door schedule through in a process of its own and tells how much memory that took over the start: `tsx paperMemory.ts FILE`. */
import { readFileSync } from 'node:fs'
import { findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { shippedSheets } from '@rauta/contracts'
import { readPaper } from '@rauta/papers'

const lookThrough = async (bytes: Uint8Array) => {
  const table = (await readPaper(bytes, 'list')).tables[0]
  if (!table) throw new Error('no table')
  const head = findHeader(table)
  return previewRows(readRows(table, head.row, head.columns, shippedSheets), [], []).rows.length
}
const bytes = readFileSync(process.argv[2] ?? '')
// What a process has that has looked through a short list.
await lookThrough(bytes.subarray(0, bytes.indexOf('\n', 20_000)))
const start = process.resourceUsage().maxRSS / 1000
const rows = await lookThrough(bytes)
console.log(JSON.stringify({ rows, overMb: process.resourceUsage().maxRSS / 1000 - start }))
