import type { Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import { marks as markNames, type Mark } from '../job/finding'
import { byRef } from '../job/order'
import type { Keeper } from './keeper'

/** A door that somebody signed, and the marks that it would lose. */
export interface Loss {
  door: string
  ref: string
  /** None where the door itself would go. */
  marks: Mark[]
}

/** What a change would cost the doors that were signed: marks that are given before it and are not after it. */
export function lossesOf(
  keeper: Keeper,
  before: Facts,
  after: Facts,
  sheets: { before: Sheets; after: Sheets },
): Loss[] {
  const signed = new Set(all(before, 'signature').map((s) => s.door))
  const doors = all(before, 'door')
    .filter((d) => signed.has(d.id))
    .sort(byRef)
  keeper.take(before, sheets.before)
  const given = doors.map((d) => {
    const marks = keeper.marksOf(d)
    return markNames.filter((m) => marks[m].sign === 'given')
  })
  keeper.take(after, sheets.after)
  return doors.flatMap((d, i): Loss[] => {
    const now = after.door[d.id]
    if (!now) return [{ door: d.id, ref: d.ref, marks: [] }]
    const marks = keeper.marksOf(now)
    const lost = (given[i] ?? []).filter((m) => marks[m].sign !== 'given')
    return lost.length ? [{ door: d.id, ref: d.ref, marks: lost }] : []
  })
}

/** Whether something has to be done again at the door: one that only waits to be loaded has lost nothing that was done there. */
export const mustBeDoneAgain = ({ marks }: Loss): boolean => marks.length === 0 || marks.some((mark) => mark !== 'load')
