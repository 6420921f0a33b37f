import { cellName, textOf, type Cell } from './table'

/** What is wrong with one cell, where, and how to mend it. */
export interface CellFault {
  cell: string
  column: string
  says: string
  mend: string
}

/** What a row is to the job. */
export const rowStates = ['new', 'changed', 'same', 'bad'] as const
export type RowState = (typeof rowStates)[number]

/** A row with more cells than there are titles: a comma in it parts what belongs together, and every cell behind it is one off. */
export function partedFault(
  cells: readonly Cell[],
  row: number,
  titles: readonly Cell[],
  column: string,
): CellFault | null {
  const last = cells.reduce<number>((at, c, i) => (textOf(c) === '' ? at : i), -1)
  if (last < titles.length) return null
  return {
    cell: cellName(row, titles.length),
    column,
    says: `the row has ${last + 1} cells and there are ${titles.length} titles: a comma in it, as in 17,5, parts a cell in two`,
    mend: 'Put that cell in quotation marks, write 17.5, or save the list with semicolons.',
  }
}
