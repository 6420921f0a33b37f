/** The six marks of a door, in the order in which the work is done. */
export const marks = ['plan', 'wire', 'reach', 'load', 'prove', 'sign'] as const
export type Mark = (typeof marks)[number]

/** Something the computation has to say about a door. `stop` keeps its mark from being given. */
export interface Finding {
  mark: Mark
  grade: 'stop' | 'warn' | 'note'
  /** Stable name of the rule that found it. */
  rule: string
  /** Id of the part, cable or terminal it is about; the door itself where empty. */
  at?: string
  /** For a fitter, in one or two sentences, with what to do. */
  says: string
}

export const stop = (mark: Mark, rule: string, says: string, at?: string): Finding => ({
  mark,
  grade: 'stop',
  rule,
  says,
  ...(at ? { at } : {}),
})
export const warn = (mark: Mark, rule: string, says: string, at?: string): Finding => ({
  mark,
  grade: 'warn',
  rule,
  says,
  ...(at ? { at } : {}),
})
export const note = (mark: Mark, rule: string, says: string, at?: string): Finding => ({
  mark,
  grade: 'note',
  rule,
  says,
  ...(at ? { at } : {}),
})
