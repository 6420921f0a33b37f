import { inNameOrder } from '../job/order'
import type { Lead } from '../devices/sheet'
import type { Conductor, Net } from '../wiring/conductors'
import type { Door, Part } from '../doors/door'
import { barycentre, inFewestCrossings } from './order'
import { turnsOf, type Point } from './turns'

/** A part's box with where it sits in the wall above. */
export interface PlacedPart {
  part: Part
  x: number
  y: number
  w: number
  h: number
  side: 'unsecured' | 'leaf' | 'secured'
}
export interface PlacedConductor {
  conductor: Conductor
  points: Point[]
}
/** A screw of the strip; `again`: the same screw stands in an earlier bay of the drawing too. */
export interface PlacedTerminal {
  id: string
  label: string
  x: number
  y: number
  w: number
  conductors: number
  again: boolean
}
/** A lead that is insulated: a short stub under its part. */
export interface PlacedSpare {
  part: string
  lead: Lead
  at: Point
}
export interface DoorLayout {
  width: number
  height: number
  wallY: number
  bays: number
  parts: PlacedPart[]
  conductors: PlacedConductor[]
  spares: PlacedSpare[]
  terminals: PlacedTerminal[]
  links: { from: Point; to: Point }[]
}
export interface LayoutOptions {
  /** Terminal 1 sits at the right. */ fromRight?: boolean
  /** Least pixels of a screw. */ cell?: number
  /** The part that the strip belongs to: it is drawn under the strip, as wide as that. */ unit?: string | undefined
}

export const boxHeight = 30
export const stripHeight = 40
const firstBoxTop = 92
const bayGap = 46
/** Between the words under a strip and the part that it belongs to, its own words included. */
const ownerGap = 22

type Terminals = { id: string; label: string }[]

/**
 * The door drawing as coordinates. Parts stand in the order in which their conductors cross least, each conductor fans down to its
 * screw. Where the strip would have more screws than can be read at this width, the drawing goes on in a further bay below; a screw
 * that is needed in two bays is drawn in both. @param width of the picture in pixels
 */
export function layoutDoor(
  door: Door,
  net: Net,
  width: number,
  { fromRight = false, cell: least = 24, unit }: LayoutOptions = {},
): DoorLayout {
  const order = usedTerminals(net, fromRight)
  const wired = door.parts.filter((p) => net.conductors.some((c) => c.part === p.id))
  // A link may bring a screw into a bay that no conductor of it ends on.
  const onlyLinked = order.filter((t) => !net.conductors.some((c) => c.terminal.id === t.id)).length
  const bays = baysOf(wired, net, order, Math.max(4, Math.floor(width / least) - onlyLinked))
  const layout: DoorLayout = {
    width,
    height: 0,
    wallY: 14,
    bays: Math.max(1, bays.length),
    parts: [],
    conductors: [],
    spares: [],
    terminals: [],
    links: [],
  }
  let top = firstBoxTop
  bays.forEach((bay, i) => {
    top = drawBay(layout, bay, net, order, top, i === bays.length - 1) + bayGap
  })
  const owner = door.parts.find((p) => p.id === unit && !wired.includes(p))
  if (owner && layout.terminals.length) {
    const left = Math.min(...layout.terminals.map((t) => t.x))
    const w = Math.max(...layout.terminals.map((t) => t.x + t.w)) - left
    const y = top - bayGap + ownerGap
    layout.parts.push({ part: owner, x: left, y, w, h: boxHeight, side: sideOf(owner) })
    top = y + boxHeight + bayGap
  }
  const bare = door.parts.filter((p) => !wired.includes(p) && (p !== owner || !layout.terminals.length))
  if (bare.length) {
    const w = Math.min(56, (width - 6 * (bare.length - 1)) / bare.length)
    bare.forEach((part, i) => layout.parts.push({ part, x: i * (w + 6), y: top, w, h: boxHeight, side: sideOf(part) }))
    top += boxHeight + bayGap
  }
  layout.height = Math.max(firstBoxTop + 40, top - bayGap + 18)
  return layout
}

/** Every terminal that a conductor or a link ends on, as the board has them. */
function usedTerminals(net: Net, fromRight: boolean): Terminals {
  const found = new Map<string, string>()
  for (const c of net.conductors) found.set(c.terminal.id, c.terminal.label)
  for (const l of net.links) {
    found.set(l.from.id, l.from.label)
    found.set(l.to.id, l.to.label)
  }
  const list = [...found].map(([id, label]) => ({ id, label })).sort((a, b) => inNameOrder(a.id, b.id))
  return fromRight ? list.reverse() : list
}

const lockCircuitRoles: ReadonlySet<Part['role']> = new Set(['breakGlass', 'lock', 'lock2'])

/** Parts in bays of at most so many screws. The lock's circuit stays in one bay where it can. */
function baysOf(parts: readonly Part[], net: Net, order: Terminals, most: number): Part[][] {
  const at = new Map(order.map((t, i) => [t.id, i]))
  const feet = (part: Part) => net.conductors.filter((c) => c.part === part.id).map((c) => at.get(c.terminal.id) ?? 0)
  const sorted = inFewestCrossings(parts, feet)
  if (order.length <= most) return sorted.length ? [sorted] : []
  const circuit = sorted.filter((p) => lockCircuitRoles.has(p.role))
  const units: Part[][] = [
    ...sorted.filter((p) => !circuit.includes(p)).map((p) => [p]),
    ...(new Set(circuit.flatMap(feet)).size <= most ? [circuit].filter((c) => c.length) : circuit.map((p) => [p])),
  ]
  const bays: Part[][] = []
  for (const unit of units.sort((a, b) => barycentre(a.flatMap(feet)) - barycentre(b.flatMap(feet)))) {
    const last = bays.at(-1)
    if (last && new Set([...last, ...unit].flatMap(feet)).size <= most) last.push(...unit)
    else bays.push([...unit])
  }
  return bays.map((bay) => inFewestCrossings(bay, feet))
}

/** @returns where the bay ends */
function drawBay(
  layout: DoorLayout,
  parts: readonly Part[],
  net: Net,
  order: Terminals,
  top: number,
  last: boolean,
): number {
  const mine = net.conductors.filter((c) => parts.some((p) => p.id === c.part))
  const linked = net.links
    .filter((l) => last || mine.some((c) => c.terminal.id === l.to.id))
    .filter((l) => !layout.terminals.some((t) => t.id === l.to.id))
  const ids = new Set([...mine.map((c) => c.terminal.id), ...linked.flatMap((l) => [l.from.id, l.to.id])])
  const terminals = order.filter((t) => ids.has(t.id))
  const cell = Math.min(64, layout.width / Math.max(1, terminals.length))
  const left = (layout.width - cell * terminals.length) / 2
  const at = new Map(terminals.map((t, i) => [t.id, i]))
  const centre = (id: string) => left + ((at.get(id) ?? 0) + 0.5) * cell
  const conductorsOf = (part: Part) =>
    mine.filter((c) => c.part === part.id).sort((a, b) => (at.get(a.terminal.id) ?? 0) - (at.get(b.terminal.id) ?? 0))
  const boxes = placeBoxes(parts, conductorsOf, centre, layout.width, top)
  const starts = boxes.flatMap((box) => {
    const own = conductorsOf(box.part)
    const spares = net.spares.filter((s) => s.part === box.part.id)
    const step = box.w / (own.length + spares.length + 1)
    spares.forEach((s, i) =>
      layout.spares.push({
        part: s.part,
        lead: s.lead,
        at: { x: box.x + step * (own.length + i + 1), y: box.y + box.h },
      }),
    )
    return own.map((conductor, i) => ({ conductor, start: box.x + step * (i + 1), end: centre(conductor.terminal.id) }))
  })
  const { turns, bottom } = turnsOf(starts, top + boxHeight + 16)
  const stripY = Math.max(top + boxHeight + 40, bottom + 18)
  for (const { conductor, start, end, y } of turns)
    layout.conductors.push({
      conductor,
      points:
        y === null
          ? [
              { x: start, y: top + boxHeight },
              { x: end, y: stripY },
            ]
          : [
              { x: start, y: top + boxHeight },
              { x: start, y },
              { x: end, y },
              { x: end, y: stripY },
            ],
    })
  const count = new Map<string, number>()
  for (const c of net.conductors) count.set(c.terminal.id, (count.get(c.terminal.id) ?? 0) + 1)
  for (const l of net.links) for (const id of [l.from.id, l.to.id]) count.set(id, (count.get(id) ?? 0) + 1)
  const before = new Set(layout.terminals.map((t) => t.id))
  terminals.forEach((t, i) =>
    layout.terminals.push({
      id: t.id,
      label: t.label,
      x: left + i * cell,
      y: stripY,
      w: cell,
      conductors: count.get(t.id) ?? 0,
      again: before.has(t.id),
    }),
  )
  for (const l of linked)
    layout.links.push({ from: { x: centre(l.from.id), y: stripY }, to: { x: centre(l.to.id), y: stripY } })
  layout.parts.push(...boxes)
  return stripY + stripHeight + 18
}

const onLeaf: ReadonlySet<Part['role']> = new Set(['lock', 'lock2', 'contact', 'contact2', 'boltContact', 'opener'])
function sideOf(part: Part): PlacedPart['side'] {
  if (part.role === 'entryReader') return 'unsecured'
  return onLeaf.has(part.role) ? 'leaf' : 'secured'
}

/** Boxes over the middle of their screws, in the order given, with a gap; what would run off the right edge is pushed back. */
function placeBoxes(
  parts: readonly Part[],
  conductorsOf: (part: Part) => Conductor[],
  centre: (id: string) => number,
  width: number,
  y: number,
): PlacedPart[] {
  const gap = 6
  const room = (width - gap * (parts.length - 1)) / Math.max(1, parts.length)
  const boxes = parts.map((part) => {
    const mine = conductorsOf(part)
    return {
      part,
      x: barycentre(mine.map((c) => centre(c.terminal.id))),
      w: Math.min(56, Math.max(46, mine.length * 9 + 14), Math.max(26, room)),
    }
  })
  let right = 0
  for (const box of boxes) {
    box.x = Math.max(box.x - box.w / 2, right)
    right = box.x + box.w + gap
  }
  let limit = width
  for (const box of [...boxes].reverse()) {
    box.x = Math.min(box.x, limit - box.w)
    limit = box.x - gap
  }
  return boxes.map(({ part, x, w }) => ({ part, x: Math.max(0, x), y, w, h: boxHeight, side: sideOf(part) }))
}
