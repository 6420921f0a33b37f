import type { Door, DoorMarks, Facts } from '@rauta/core'
import { few, useCome } from './ahead'
import { keeperOf, marksFor } from './worked'

/** Of so many, how many are worked out by now; all of them where no more are left than can be on the spot. Looks again whenever some have come. */
export function useDone<T>(list: readonly T[], known: (item: T) => boolean, onTheSpot: number): number {
  const more = useCome(({ turn, more }) => (more ? turn : null)) !== null
  const done = list.filter(known).length
  return !more && list.length - done <= onTheSpot ? list.length : done
}

/** True when the marks of all these doors are worked out. */
export const useMarksKnown = (facts: Facts, doors: readonly Door[]): boolean =>
  useDone(doors, (door) => keeperOf(facts).knows(door.id), few.doors) === doors.length

const shown = new Map<string, DoorMarks>()

/** Marks to show for a door: as they are, or as they were while many are worked out anew; null before they ever were. */
export function marksToShow(facts: Facts, door: Door, allKnown: boolean): DoorMarks | null {
  if (!allKnown && !keeperOf(facts).knows(door.id)) return shown.get(door.id) ?? null
  const now = marksFor(facts, door)
  shown.set(door.id, now)
  return now
}
