import type { Door, DoorMarks, Facts } from '@rauta/core'
import { useEffect, useRef, useState } from 'react'
import { marksFor, marksKnown } from './worked'

/** How long work may go on before the screen gets its turn, ms. */
const slice = 6
/** Rows that are drawn at once, and then with each turn: as many as a slow phone draws in less than 50 ms. */
const firstRows = 6
const moreRows = 4
/** Doors whose marks are worked out on the spot. */
const few = 6

/** Works out what is not known yet in short turns, once `begin` is true; true when everything is. The screen stays quick however many doors there are. */
export function useMarksKnown(facts: Facts, doors: readonly Door[], begin: boolean): boolean {
  const [done, setDone] = useState<Facts | null>(null)
  const ready = done === facts || doors.filter((d) => !marksKnown(facts, d)).length <= few
  useEffect(() => {
    if (ready || !begin) return undefined
    let timer: ReturnType<typeof setTimeout>
    let from = 0
    const turn = () => {
      const end = performance.now() + slice
      while (from < doors.length) {
        const door = doors[from++]
        if (door) marksFor(facts, door)
        if (performance.now() > end) {
          timer = setTimeout(turn, 0)
          return
        }
      }
      setDone(facts)
    }
    timer = setTimeout(turn, 0)
    return () => clearTimeout(timer)
  }, [facts, doors, ready, begin])
  return ready
}

/** How many rows of a long list are drawn by now: the first of them at once, the rest turn by turn, each when its marks are worked out. */
export function useRowsSoFar(facts: Facts, doors: readonly Door[]): number {
  const [rows, setRows] = useState(firstRows)
  useEffect(() => {
    if (rows >= doors.length) return undefined
    let timer: ReturnType<typeof setTimeout>
    let next = rows
    const to = Math.min(rows + moreRows, doors.length)
    const turn = () => {
      const end = performance.now() + slice
      while (next < to) {
        const door = doors[next++]
        if (door) marksFor(facts, door)
        // What was worked out is drawn in a turn of its own.
        if (performance.now() > end) break
      }
      timer = setTimeout(next < to ? turn : () => setRows(to), 0)
    }
    timer = setTimeout(turn, 0)
    return () => clearTimeout(timer)
  }, [rows, doors, facts])
  return Math.min(rows, doors.length)
}

const atOnce = 20
/** A turn of work that somebody waits for and sees progress of, ms. */
const longSlice = 40

/** How many of a list have been worked out since the page came, in turns; once all are, what changes is worked out on the spot. */
export function useWorkedOut<T>(list: readonly T[], work: (item: T) => unknown): number {
  // A few are done before a bar would be seen.
  const [done, setDone] = useState(() => (list.length <= atOnce ? Infinity : 0))
  const latest = useRef({ list, work })
  useEffect(() => {
    latest.current = { list, work }
  })
  useEffect(() => {
    if (latest.current.list.length <= atOnce) return undefined
    let timer: ReturnType<typeof setTimeout>
    let next = 0
    const turn = () => {
      const end = performance.now() + longSlice
      const { list: items, work: one } = latest.current
      for (; next < items.length && performance.now() < end; next++) {
        const item = items[next]
        if (item !== undefined) one(item)
      }
      setDone(next)
      if (next < items.length) timer = setTimeout(turn, 0)
    }
    timer = setTimeout(turn, 0)
    return () => clearTimeout(timer)
  }, [])
  return Math.min(done, list.length)
}

const shown = new Map<string, DoorMarks>()

/** Marks to show for a door: as they are, or as they were while many are worked out anew. */
export function marksToShow(facts: Facts, door: Door, allKnown: boolean): DoorMarks {
  const last = shown.get(door.id)
  if (last && !allKnown && !marksKnown(facts, door)) return last
  const now = marksFor(facts, door)
  shown.set(door.id, now)
  return now
}
