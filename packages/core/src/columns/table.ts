/** A cell as a file has it. A date is told apart from text, because a spreadsheet makes dates of references. */
export type Cell = string | number | boolean | null | { date: string } | { broken: string }

/** One sheet of a file, row by row as it stands there. */
export interface Table {
  name: string
  rows: readonly (readonly Cell[])[]
  /** Cells are parted by commas: then a decimal comma outside quotation marks parts a number. */
  byComma?: true
}

/** Letters of a column as spreadsheets count: 0 is A, 26 is AA. */
export function columnLetters(column: number): string {
  const rest = Math.floor(column / 26)
  return (rest > 0 ? columnLetters(rest - 1) : '') + String.fromCharCode(65 + (column % 26))
}

/** A cell's name for people. @param row counted from 0 */
export const cellName = (row: number, column: number): string => `${columnLetters(column)}${row + 1}`

/** What stands in a cell, as text without blanks around it; numbers as they are written. */
export function textOf(cell: Cell | undefined): string {
  if (cell === null || cell === undefined) return ''
  if (typeof cell === 'object') return 'date' in cell ? cell.date : cell.broken
  return String(cell).replace(/\s+/g, ' ').trim()
}

export { plain } from '../areas/plain'
