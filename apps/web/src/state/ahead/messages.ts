import { recordKinds, type Change, type Facts, type RecordKind, type Sheets, type WorkedOut } from '@rauta/core'

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
export function changesBetween(was: Facts, now: Facts): Change[][] {
  return recordKinds
    .filter((kind) => was[kind] !== now[kind])
    .map((kind) => changesOf(kind, was[kind], now[kind]))
    .filter((changes) => changes.length > 0)
}

type Table = Readonly<Record<string, unknown>>
function changesOf(kind: RecordKind, was: Table, now: Table): Change[] {
  const change = (id: string, after: unknown) => ({ kind, id, before: null, after }) as Change
  const gone = Object.keys(was).filter((id) => !Object.hasOwn(now, id))
  const come = Object.keys(now).filter((id) => was[id] !== now[id])
  return [...gone.map((id) => change(id, null)), ...come.map((id) => change(id, now[id]))]
}
