/** Mean of some places; 0 for none. */
export const barycentre = (places: readonly number[]): number =>
  places.length ? places.reduce((a, b) => a + b, 0) / places.length : 0

/** Conductors of two parts that cross when the one with `a` stands left of the one with `b`. */
export const pairCrossings = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x) => sum + b.filter((y) => y < x).length, 0)

/** Crossings that an order of parts cannot avoid, whatever the way of the lines. */
export function crossingsOf(order: readonly (readonly number[])[]): number {
  let count = 0
  for (let i = 0; i < order.length; i++)
    for (let j = i + 1; j < order.length; j++) count += pairCrossings(order[i] ?? [], order[j] ?? [])
  return count
}

/** Parts in an order with few crossings: by the middle of their screws, then neighbours change places as long as that helps. @param feet places of a part's screws along the strip */
export function inFewestCrossings<P>(parts: readonly P[], feet: (part: P) => readonly number[]): P[] {
  const list = parts.map((part) => ({ part, feet: feet(part) })).sort((a, b) => barycentre(a.feet) - barycentre(b.feet))
  for (let moved = true; moved;) {
    moved = false
    for (let i = 0; i + 1 < list.length; i++) {
      const [a, b] = [list[i], list[i + 1]] as [(typeof list)[number], (typeof list)[number]]
      if (pairCrossings(b.feet, a.feet) >= pairCrossings(a.feet, b.feet)) continue
      list[i] = b
      list[i + 1] = a
      moved = true
    }
  }
  return list.map((p) => p.part)
}
