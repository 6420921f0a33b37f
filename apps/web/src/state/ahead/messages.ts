import { differing, recordKinds, type Change, type Facts, type Sheets, type WorkedOut } from '@rauta/core'

/** To the worker: what became of the facts, kind by kind, then what of them is wanted. A newer question replaces an older one. */
export type Told =
  | { sheets: Sheets }
  | { changes: Change[]; rev: number }
  | { question: number; doors: readonly string[]; supplies: readonly string[] }
/** From the worker, bit by bit. */
export interface Answer extends WorkedOut {
  question: number
  /** The last of it. */
  done: boolean
}

/** What leads from one state of the facts to the next, a list for each kind that differs. */
export const changesBetween = (was: Facts, now: Facts): Change[][] =>
  recordKinds
    .filter((kind) => was[kind] !== now[kind])
    .map((kind) =>
      differing(was[kind], now[kind]).map(
        (id) =>
          ({ kind, id, before: null, after: Object.hasOwn(now[kind], id) ? now[kind][id] : null }) as unknown as Change,
      ),
    )
    .filter((changes) => changes.length > 0)
