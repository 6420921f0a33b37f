import type { DoorLayout } from './layout'
import type { Point } from './turns'

/** Crossings of conductors of different paths: how well a layout does its work. */
export function crossings(layout: DoorLayout): number {
  const segments = layout.conductors.flatMap((c, path) =>
    c.points.slice(1).map((to, i) => ({ path, from: c.points[i] as Point, to })),
  )
  let count = 0
  for (const a of segments)
    for (const b of segments) {
      if (a.path >= b.path) continue
      const vertical = [a, b].find((s) => s.from.x === s.to.x)
      const level = [a, b].find((s) => s.from.y === s.to.y)
      if (!vertical || !level || vertical === level) continue
      const between = (v: number, p: number, q: number) => v > Math.min(p, q) + 0.01 && v < Math.max(p, q) - 0.01
      if (between(vertical.from.x, level.from.x, level.to.x) && between(level.from.y, vertical.from.y, vertical.to.y))
        count += 1
    }
  return count
}

/** Pairs of conductors that lie on each other for a stretch: there must be none. */
export function overlaps(layout: DoorLayout): number {
  const level = layout.conductors.flatMap((c) =>
    c.points.length === 4
      ? [
          {
            y: c.points[1]?.y ?? 0,
            from: Math.min(c.points[1]?.x ?? 0, c.points[2]?.x ?? 0),
            to: Math.max(c.points[1]?.x ?? 0, c.points[2]?.x ?? 0),
          },
        ]
      : [],
  )
  return level.filter((a, i) =>
    level.some((b, j) => j > i && Math.abs(a.y - b.y) < 2 && a.from < b.to && a.to > b.from),
  ).length
}
