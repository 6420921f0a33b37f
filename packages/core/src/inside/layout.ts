import type { Point } from '../drawing/turns'
import type { Fitted, FittedLink, Inside, Screw } from './fitted'

export interface PlacedScrew {
  screw: Screw
  x: number
  y: number
  w: number
  h: number
}
export interface PlacedGroup {
  title: string
  x: number
  y: number
  screws: PlacedScrew[]
}
export interface PlacedFitted {
  fitted: Fitted
  x: number
  y: number
  w: number
  h: number
  /** Height of its head, beside which links end. */ head: number
  groups: PlacedGroup[]
}
/** A link as a line beside the boxes; one that leaves the cabinet is a stub with a letter at its end, for the list below the picture. @param side -1 left, 1 right */
export interface PlacedLink {
  link: FittedLink
  points: Point[]
  mark: string
  side: -1 | 1
}
export interface CabinetLayout {
  width: number
  height: number
  fitted: PlacedFitted[]
  links: PlacedLink[]
}

const top = 10
const gap = 16
const pad = 10
const headHeight = 40
const track = 7
const stub = 12
const endGap = 15
const screwHeight = 34
const titleHeight = 18

/**
 * The inside of a cabinet as coordinates: what hangs there one under the other in the order of the power, each board with all of its
 * screws, links down the sides (power and board links left, network right), no two on one track where they pass each other.
 * @param width of the picture @param cell least width of a screw
 */
export function layoutCabinet({ fitted, links }: Inside, width: number, cell = 30): CabinetLayout {
  const at = new Map(fitted.map((f, i) => [f.id, i]))
  const marks = lettersOf(links)
  const sides = ([-1, 1] as const).map((side) =>
    sideOf(
      side,
      links.filter((l) => (l.kind === 'network') === side > 0),
      at,
    ),
  )
  const [left, right] = sides.map((s) => s.gutter) as [number, number]
  const x = Math.max(1, left)
  const w = width - x - Math.max(1, right)
  let y = top
  const placed = fitted.map((f) => {
    const ends = Math.max(...sides.map((s) => s.ends.get(f.id)?.length ?? 0))
    const box = place(f, x, y, w, cell, Math.max(headHeight, (ends + 1) * endGap))
    y += box.h + gap
    return box
  })
  const lines = sides.flatMap(({ side, list, tracks, ends }) =>
    list.map((link, i): PlacedLink => {
      const edge = side < 0 ? x : x + w
      const lane = edge + side * (6 + (tracks[i] ?? 0) * track)
      const end = (id: string | null): Point | null => {
        const box = id === null ? undefined : placed[at.get(id) ?? -1]
        const all = ends.get(id ?? '') ?? []
        return box ? { x: edge, y: box.y + (box.head * (all.indexOf(i) + 1)) / (all.length + 1) } : null
      }
      return {
        link,
        side,
        points: way(end(link.from), end(link.to), lane, edge + side * stub),
        mark: marks.get(link) ?? '',
      }
    }),
  )
  return { width, height: fitted.length ? y - gap + top : 0, fitted: placed, links: lines }
}

/** From one box out into its lane, along it, and into the other; a stub where there is no other. */
function way(from: Point | null, to: Point | null, lane: number, out: number): Point[] {
  const one = from ?? to
  if (!one) return []
  if (!from || !to) return [one, { x: out, y: one.y }]
  return [from, { x: lane, y: from.y }, { x: lane, y: to.y }, to]
}

interface Side {
  side: -1 | 1
  list: readonly FittedLink[]
  /** Track of each link, the innermost first. */ tracks: number[]
  /** Links that end on each box, from the top down. */ ends: Map<string, number[]>
  /** Pixels beside the boxes. */ gutter: number
}

const leaves = (l: FittedLink): boolean => l.from === null || l.to === null

function sideOf(side: -1 | 1, list: readonly FittedLink[], at: ReadonlyMap<string, number>): Side {
  const { of, count } = tracksOf(list, at)
  const lanes = count ? 6 + count * track : 0
  return {
    side,
    list,
    tracks: of,
    ends: endsOf(list, of, at),
    gutter: Math.max(lanes, list.some(leaves) ? stub + 14 : 0),
  }
}

/** Links beside each other where they pass the same place: each on the innermost free track, the short ones first. Stubs need none. */
function tracksOf(links: readonly FittedLink[], at: ReadonlyMap<string, number>): { count: number; of: number[] } {
  const spans = links.flatMap((l, i) => {
    if (leaves(l)) return []
    const ends = [l.from, l.to].map((id) => at.get(id ?? '') ?? 0)
    return [{ i, from: Math.min(...ends), to: Math.max(...ends) }]
  })
  const of = links.map(() => 0)
  const taken: { from: number; to: number; track: number }[] = []
  for (const s of [...spans].sort((a, b) => a.to - a.from - (b.to - b.from) || a.from - b.from)) {
    let t = 0
    while (taken.some((k) => k.track === t && k.from <= s.to && k.to >= s.from)) t += 1
    taken.push({ from: s.from, to: s.to, track: t })
    of[s.i] = t
  }
  return { count: taken.length ? Math.max(...taken.map((k) => k.track)) + 1 : 0, of }
}

/**
 * Links that end on each box, from the top down: first what comes from above, the innermost track first, then what goes on down, the
 * outermost first; stubs between the two, where no lane is taken. In that order no two links of one box cross.
 */
function endsOf(
  links: readonly FittedLink[],
  of: readonly number[],
  at: ReadonlyMap<string, number>,
): Map<string, number[]> {
  const ends = new Map<string, { i: number; rank: number }[]>()
  links.forEach((l, i) => {
    for (const [id, other] of [
      [l.from, l.to],
      [l.to, l.from],
    ] as const) {
      if (id === null) continue
      const before = (at.get(other ?? '') ?? 0) < (at.get(id) ?? 0)
      const inside = before ? (of[i] ?? 0) : 1000 - (of[i] ?? 0)
      const rank = other === null ? 500 : inside
      ends.set(id, [...(ends.get(id) ?? []), { i, rank }])
    }
  })
  return new Map([...ends].map(([id, list]) => [id, list.sort((a, b) => a.rank - b.rank).map((e) => e.i)]))
}

/** A letter for each link that leaves the cabinet. */
export function lettersOf(links: readonly FittedLink[]): Map<FittedLink, string> {
  const out = links.filter((l) => l.from === null || l.to === null)
  return new Map(out.map((l, i) => [l, i < 26 ? String.fromCharCode(97 + i) : `${i + 1}`]))
}

function place(fitted: Fitted, x: number, y: number, w: number, cell: number, head: number): PlacedFitted {
  let down = y + head
  const groups = fitted.groups.map((g): PlacedGroup => {
    const rows = Math.ceil(g.screws.length / Math.max(1, Math.floor((w - 2 * pad) / cell)))
    // As many in each row, so that none stands alone.
    const perRow = Math.max(1, Math.ceil(g.screws.length / Math.max(1, rows)))
    const wide = Math.min(40, (w - 2 * pad) / perRow)
    const screws = g.screws.map((screw, i): PlacedScrew => ({
      screw,
      // As it hangs there: from the side at which its terminal 1 is.
      x: x + pad + (fitted.fromRight ? perRow - 1 - (i % perRow) : i % perRow) * wide,
      y: down + titleHeight + Math.floor(i / perRow) * screwHeight,
      w: wide,
      h: screwHeight - 4,
    }))
    const group = { title: g.title, x: x + pad, y: down, screws }
    down += titleHeight + rows * screwHeight + 4
    return group
  })
  return { fitted, x, y, w, h: down - y + (groups.length ? 4 : 0), head, groups }
}
