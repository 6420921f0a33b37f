import type { Conductor } from '../wiring/conductors'

export interface Point {
  x: number
  y: number
}
/** A conductor from its part down to a level, along it, and down to its screw; `y` null where it falls straight. */
export interface Turn {
  conductor: Conductor
  start: number
  end: number
  y: number | null
}

const trackGap = 6

/**
 * Levels on which conductors run sideways. Of those that go left the leftmost turns first (highest), of those that go right the
 * rightmost: then no two that need not cross do. @param top of the first level
 */
export function turnsOf(
  starts: readonly { conductor: Conductor; start: number; end: number }[],
  top: number,
): { turns: Turn[]; bottom: number } {
  const straight = starts.filter((s) => Math.abs(s.start - s.end) < 0.5)
  const leftward = starts.filter((s) => s.end <= s.start - 0.5).sort((a, b) => a.start - b.start)
  const rightward = starts.filter((s) => s.end >= s.start + 0.5).sort((a, b) => b.start - a.start)
  const taken: { from: number; to: number; y: number }[] = []
  const turns: Turn[] = straight.map((s) => ({ ...s, y: null }))
  for (const side of [leftward, rightward]) {
    const before: typeof taken = []
    for (const s of side) {
      const from = Math.min(s.start, s.end) - 3
      const to = Math.max(s.start, s.end) + 3
      const over = (l: { from: number; to: number }) => l.from < to && l.to > from
      // Under every earlier one of its own side that it meets, and on no level that is taken.
      let y = Math.max(top, ...before.filter(over).map((l) => l.y + trackGap))
      while (taken.some((l) => over(l) && Math.abs(l.y - y) < trackGap - 1)) y += trackGap
      const level = { from, to, y }
      taken.push(level)
      before.push(level)
      turns.push({ ...s, y })
    }
  }
  return { turns, bottom: Math.max(top, ...taken.map((l) => l.y)) }
}
