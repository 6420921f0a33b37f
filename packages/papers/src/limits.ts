/** Largest file that is taken, bytes. */
export const largestPaper = 30_000_000

/** What a list may come to. A workbook of 20,000 doors with 40 columns has a fifth of it. */
export const paperLimits = { rows: 200_000, columns: 1_000, cells: 4_000_000, files: 4_000, inflatedB: 300_000_000 }
