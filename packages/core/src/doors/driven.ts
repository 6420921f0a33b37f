import type { Door, Part } from './door'
import { sheetOf, type Sheets } from '../devices/sheet'

/** A lock that lets go only while it is driven. */
export interface DrivenLock {
  part: Part
  /** Share of the time for which it may be driven, where that is not all of it. */
  duty: number | null
}

export const drivenLocks = (door: Door, sheets: Sheets): DrivenLock[] =>
  door.parts.flatMap((part) => {
    const lock = part.role === 'lock' || part.role === 'lock2' ? sheetOf(sheets, part.sheet).lock : undefined
    if (lock?.fail !== 'secure') return []
    return [{ part, duty: lock.duty !== undefined && lock.duty < 1 ? lock.duty : null }]
  })
