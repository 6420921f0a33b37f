import type { Conductor, Net } from '../wiring/conductors'
import type { Door, Part } from '../doors/door'

export interface Point { x: number; y: number }
/** A part's box with where it sits in the wall above. */
export interface PlacedPart { part: Part; x: number; y: number; w: number; h: number; side: 'unsecured' | 'leaf' | 'secured' }
export interface PlacedConductor { conductor: Conductor; points: Point[] }
export interface PlacedTerminal { id: string; label: string; x: number; w: number; conductors: number }
export interface DoorLayout { width: number; height: number; wallY: number; stripY: number; parts: PlacedPart[]; conductors: PlacedConductor[]; terminals: PlacedTerminal[]; links: { from: Point; to: Point }[] }

const boxTop = 92
const boxHeight = 30
const trackGap = 6
const stripHeight = 40

/**
 * The door drawing as coordinates: parts in the order of their terminals along the strip, so that conductors fan out
 * without crossing; those that go left turn from the outside in, and so do those that go right.
 * @param width of the picture in pixels
 */
export function layoutDoor(door: Door, net: Net, width: number): DoorLayout {
  const terminals = usedTerminals(net)
  const cell = terminals.length ? width / terminals.length : width
  const at = new Map(terminals.map((t, i) => [t.id, i]))
  const centre = (id: string) => ((at.get(id) ?? 0) + 0.5) * cell
  const byPart = new Map(door.parts.map((p) => [p.id, net.conductors.filter((c) => c.part === p.id).sort((a, b) => (at.get(a.terminal.id) ?? 0) - (at.get(b.terminal.id) ?? 0))]))
  const boxes = placeBoxes(door, byPart, centre, width)
  const levels: Level[] = []
  const turns = boxes.flatMap((box) => fan(box, byPart.get(box.part.id) ?? [], centre, levels))
  const stripY = Math.max(boxTop + boxHeight + 40, ...levels.map((l) => l.y)) + 18
  const conductors = turns.map(({ conductor, start, end, y }) => ({ conductor, points: Math.abs(start - end) < 0.5 ? [{ x: start, y: boxTop + boxHeight }, { x: end, y: stripY }] : [{ x: start, y: boxTop + boxHeight }, { x: start, y }, { x: end, y }, { x: end, y: stripY }] }))
  const used = new Map<string, number>()
  for (const c of net.conductors) used.set(c.terminal.id, (used.get(c.terminal.id) ?? 0) + 1)
  for (const l of net.links) for (const id of [l.from.id, l.to.id]) used.set(id, (used.get(id) ?? 0) + 1)
  return {
    width, height: stripY + stripHeight + 18, wallY: 14, stripY, parts: boxes, conductors,
    terminals: terminals.map((t, i) => ({ id: t.id, label: t.label, x: i * cell, w: cell, conductors: used.get(t.id) ?? 0 })),
    links: net.links.map((l) => ({ from: { x: centre(l.from.id), y: stripY }, to: { x: centre(l.to.id), y: stripY } })),
  }
}

/** Every terminal that a conductor or a link ends on, in the board's order. */
function usedTerminals(net: Net): { id: string; label: string }[] {
  const found = new Map<string, string>()
  for (const c of net.conductors) found.set(c.terminal.id, c.terminal.label)
  for (const l of net.links) { found.set(l.from.id, l.from.label); found.set(l.to.id, l.to.label) }
  return [...found].map(([id, label]) => ({ id, label })).sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }))
}

const onLeaf: ReadonlySet<Part['role']> = new Set(['lock', 'lock2', 'contact', 'contact2', 'boltContact', 'opener'])
const sideOf = (part: Part): PlacedPart['side'] => (part.role === 'entryReader' ? 'unsecured' : onLeaf.has(part.role) ? 'leaf' : 'secured')

function placeBoxes(door: Door, byPart: ReadonlyMap<string, Conductor[]>, centre: (id: string) => number, width: number): PlacedPart[] {
  const wanted = door.parts.map((part) => {
    const mine = byPart.get(part.id) ?? []
    const x = mine.length ? mine.reduce((sum, c) => sum + centre(c.terminal.id), 0) / mine.length : width / 2
    return { part, x, w: Math.min(56, Math.max(34, mine.length * 9 + 14)) }
  }).sort((a, b) => a.x - b.x)
  // Boxes keep their order and a gap; what would run off the right edge is pushed back.
  const gap = 6
  let right = 0
  for (const box of wanted) {
    box.x = Math.max(box.x - box.w / 2, right)
    right = box.x + box.w + gap
  }
  let limit = width
  for (const box of [...wanted].reverse()) {
    box.x = Math.min(box.x, limit - box.w)
    limit = box.x - gap
  }
  return wanted.map(({ part, x, w }) => ({ part, x: Math.max(0, x), y: boxTop, w, h: boxHeight, side: sideOf(part) }))
}

/** A level stretch that is taken: no other conductor may lie on it. */
interface Level { y: number; from: number; to: number }
interface Turn { conductor: Conductor; start: number; end: number; y: number }

function fan(box: PlacedPart, conductors: readonly Conductor[], centre: (id: string) => number, levels: Level[]): Turn[] {
  const step = box.w / (conductors.length + 1)
  const turns = conductors.map((conductor, i) => {
    const start = box.x + step * (i + 1)
    const end = centre(conductor.terminal.id)
    return { conductor, start, end, track: end < start ? i : conductors.length - 1 - i }
  })
  return turns.sort((a, b) => a.track - b.track).map(({ conductor, start, end, track }) => {
    const from = Math.min(start, end) - 3
    const to = Math.max(start, end) + 3
    let y = box.y + box.h + 16 + track * trackGap
    while (levels.some((l) => Math.abs(l.y - y) < trackGap - 1 && l.from < to && l.to > from)) y += trackGap
    if (Math.abs(start - end) >= 0.5) levels.push({ y, from, to })
    return { conductor, start, end, y }
  })
}

/** Crossings of conductors of different paths: how well a layout does its work. */
export function crossings(layout: DoorLayout): number {
  const segments = layout.conductors.flatMap((c, path) => c.points.slice(1).map((to, i) => ({ path, from: c.points[i] as Point, to })))
  let count = 0
  for (const a of segments) for (const b of segments) {
    if (a.path >= b.path) continue
    const vertical = a.from.x === a.to.x ? a : b.from.x === b.to.x ? b : null
    const level = a.from.y === a.to.y ? a : b.from.y === b.to.y ? b : null
    if (!vertical || !level || vertical === level) continue
    const between = (v: number, p: number, q: number) => v > Math.min(p, q) + 0.01 && v < Math.max(p, q) - 0.01
    if (between(vertical.from.x, level.from.x, level.to.x) && between(level.from.y, vertical.from.y, vertical.to.y)) count += 1
  }
  return count
}

/** Pairs of conductors that lie on each other for a stretch: there must be none. */
export function overlaps(layout: DoorLayout): number {
  const level = layout.conductors.flatMap((c) => (c.points.length === 4 ? [{ y: c.points[1]?.y ?? 0, from: Math.min(c.points[1]?.x ?? 0, c.points[2]?.x ?? 0), to: Math.max(c.points[1]?.x ?? 0, c.points[2]?.x ?? 0) }] : []))
  return level.filter((a, i) => level.some((b, j) => j > i && Math.abs(a.y - b.y) < 2 && a.from < b.to && a.to > b.from)).length
}
