import type { Point } from '../drawing/turns'
import type { Fitted, FittedLink, Inside, Screw } from './fitted'

export interface PlacedScrew { screw: Screw; x: number; y: number; w: number; h: number }
export interface PlacedGroup { title: string; x: number; y: number; screws: PlacedScrew[] }
export interface PlacedFitted { fitted: Fitted; x: number; y: number; w: number; h: number; groups: PlacedGroup[] }
/** A link as a line down a gutter; `mark` is a letter where it leaves the cabinet, for the list below the picture. */
export interface PlacedLink { link: FittedLink; points: Point[]; mark: string }
export interface CabinetLayout { width: number; height: number; fitted: PlacedFitted[]; links: PlacedLink[] }

const top = 10
const gap = 16
const pad = 10
const headHeight = 40
const track = 7
const screwHeight = 34
const titleHeight = 18

/**
 * The inside of a cabinet as coordinates: what hangs there one under the other in the order of the power, each board with all of its
 * screws, links down the sides (power and board links left, network right), no two on one track where they pass each other.
 * @param width of the picture @param cell least width of a screw
 */
export function layoutCabinet({ fitted, links }: Inside, width: number, cell = 26): CabinetLayout {
  const left = links.filter((l) => l.kind !== 'network')
  const right = links.filter((l) => l.kind === 'network')
  const at = new Map(fitted.map((f, i) => [f.id, i]))
  const leftTracks = tracksOf(left, at, fitted.length)
  const rightTracks = tracksOf(right, at, fitted.length)
  const x = leftTracks.count === 0 ? 0 : 10 + leftTracks.count * track
  const w = width - x - (rightTracks.count === 0 ? 0 : 10 + rightTracks.count * track)
  let y = top
  const placed = fitted.map((f) => {
    const box = place(f, x, y, w, cell)
    y += box.h + gap
    return box
  })
  const height = fitted.length ? y - gap + top : 0
  const marks = lettersFor(links)
  const lines = (list: readonly FittedLink[], { of }: Tracks, side: -1 | 1) => list.map((link, i): PlacedLink => {
    const edge = side < 0 ? x : x + w
    const lane = edge + side * (6 + (of[i] ?? 0) * track)
    const end = (id: string | null, share: number): Point | null => { const box = id === null ? undefined : placed[at.get(id) ?? -1]; return box ? { x: edge, y: box.y + Math.min(headHeight, box.h) * share } : null }
    return { link, points: way(end(link.from, 0.7), end(link.to, 0.3), lane, height), mark: marks.get(link) ?? '' }
  })
  return { width, height, fitted: placed, links: [...lines(left, leftTracks, -1), ...lines(right, rightTracks, 1)] }
}

/** From one box out into its lane, along it, and into the other; out through the bottom where there is no other. */
function way(from: Point | null, to: Point | null, lane: number, height: number): Point[] {
  const [a, b] = [from ?? { x: lane, y: height }, to ?? { x: lane, y: height }]
  const points = [a, { x: lane, y: a.y }, { x: lane, y: b.y }, b]
  return points.filter((p, i) => i === 0 || p.x !== points[i - 1]?.x || p.y !== points[i - 1]?.y)
}

interface Tracks { count: number; /** Track of each link, the innermost first. */ of: number[] }

/** Links beside each other where they pass the same place: each on the innermost free track, the short ones first. */
function tracksOf(links: readonly FittedLink[], at: ReadonlyMap<string, number>, rows: number): Tracks {
  const spans = links.map((l, i) => { const ends = [l.from, l.to].map((id) => (id === null ? rows : (at.get(id) ?? rows))); return { i, from: Math.min(...ends), to: Math.max(...ends) } })
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

function lettersFor(links: readonly FittedLink[]): Map<FittedLink, string> {
  const out = links.filter((l) => l.from === null || l.to === null)
  return new Map(out.map((l, i) => [l, i < 26 ? String.fromCharCode(97 + i) : `${i + 1}`]))
}

function place(fitted: Fitted, x: number, y: number, w: number, cell: number): PlacedFitted {
  let down = y + headHeight
  const groups = fitted.groups.map((g): PlacedGroup => {
    const perRow = Math.max(1, Math.floor((w - 2 * pad) / cell))
    const rows = Math.ceil(g.screws.length / perRow)
    const wide = Math.min(40, (w - 2 * pad) / Math.min(perRow, Math.max(1, g.screws.length)))
    const screws = g.screws.map((screw, i): PlacedScrew => ({ screw, x: x + pad + (i % perRow) * wide, y: down + titleHeight + Math.floor(i / perRow) * screwHeight, w: wide, h: screwHeight - 4 }))
    const group = { title: g.title, x: x + pad, y: down, screws }
    down += titleHeight + rows * screwHeight + 4
    return group
  })
  return { fitted, x, y, w, h: down - y + (groups.length ? 4 : 0), groups }
}
