import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type DeviceSheet, type Sheets, type Terminal } from '../devices/sheet'
import type { Door } from '../doors/door'
import type { Facts } from '../job/facts'
import { byRef } from '../job/order'
import { bankOf } from '../power/battery'
import { cableName } from '../power/conductor'
import { netOf, type Conductor } from '../wiring/conductors'

/** A screw with everything on it: `Q-01 R1 data 0, green, W1`, `link to 12`. */
export interface Screw {
  id: string
  /** As printed on its own board: without the expander's name. */ number: string
  label: string
  on: string[]
}
/** Screws that belong together, with the door they serve. */
export interface ScrewGroup {
  title: string
  screws: Screw[]
}
/** Something that hangs in the cabinet. */
export interface Fitted {
  id: string
  kind: 'supply' | 'battery' | 'board' | 'expander' | 'unit'
  /** On the drawing: `A1`, `E1`, `N1`; `Supply of A1`. */
  ref: string
  says: string
  groups: ScrewGroup[]
  /** The record that it stands for. */
  of: { kind: 'controller' | 'supply' | 'unit'; id: string }
  /** Terminal 1 is at the right, its text upright. */
  fromRight?: true
  /** Cables of doors that end on it. */
  cables: number
}
/** What joins two of them; an end that is null lies outside the cabinet, and `says` names it. */
export interface FittedLink {
  from: string | null
  to: string | null
  kind: 'power' | 'link' | 'network'
  says: string
}
export interface Inside {
  fitted: Fitted[]
  links: FittedLink[]
}

/** Everything in a cabinet, each board after what feeds it, and what joins them: worked out from the plan, so that the picture and the check-off tell the same. */
export function insideOf(cabinet: string, facts: Facts, sheets: Sheets): Inside {
  const controllers = inFeedOrder(
    Object.values(facts.controller)
      .filter((c) => c.cabinet === cabinet)
      .sort(byRef),
  )
  const units = Object.values(facts.unit)
    .filter((u) => u.cabinet === cabinet)
    .sort(byRef)
  const inside: Inside = { fitted: [], links: [] }
  for (const c of controllers) {
    addPower(inside, c, facts, sheets)
    addBoard(inside, c, facts, sheets)
  }
  for (const u of units)
    inside.fitted.push({
      id: u.id,
      kind: 'unit',
      ref: u.ref,
      says: sheetOf(sheets, u.sheet).name,
      groups: [],
      of: { kind: 'unit', id: u.id },
      cables: 0,
    })
  addFeeds(inside, cabinet, facts)
  addNetwork(inside, cabinet, facts)
  return inside
}

/** Each after the board that feeds it, where that hangs here too. */
function inFeedOrder(list: readonly Controller[]): Controller[] {
  const left = [...list]
  const done: Controller[] = []
  while (left.length) {
    const at = left.findIndex((c) => !c.fedFrom || !left.some((o) => o.id === c.fedFrom?.controller))
    done.push(...left.splice(Math.max(0, at), 1))
  }
  return done
}

function addPower({ fitted, links }: Inside, c: Controller, facts: Facts, sheets: Sheets): void {
  const supply = sheets[c.supply]?.supply
  if (c.fedFrom || !supply || sheetOf(sheets, c.sheet).feeds) return
  const id = `supply/${c.id}`
  fitted.push({
    id,
    kind: 'supply',
    ref: `Supply of ${c.ref}`,
    says: sheetOf(sheets, c.supply).name,
    groups: [],
    of: { kind: 'supply', id: c.id },
    cables: 0,
  })
  links.push({
    from: id,
    to: c.id,
    kind: 'power',
    says: `${supply.volts} V to ${c.ref}${supply.outputs?.length ? `, fuses: ${supply.outputs.map((o) => `${o.id} ${o.fuseA} A`).join(', ')}` : ''}`,
  })
  const plan = facts.powerPlan[c.id]
  if (!supply.battery || !plan || plan.batteryCount === 0) return
  const bank = bankOf({
    ah: plan.batteryAh,
    count: plan.batteryCount,
    wiring: plan.wiring,
    volts: supply.battery.volts,
  })
  fitted.push({
    id: `battery/${c.id}`,
    kind: 'battery',
    ref: plan.batteryCount === 1 ? 'Battery' : `${plan.batteryCount} batteries in ${plan.wiring}`,
    says: `${bank.volts} V, ${bank.ah} Ah`,
    groups: [],
    of: { kind: 'supply', id: c.id },
    cables: 0,
  })
  links.push({ from: `battery/${c.id}`, to: id, kind: 'power', says: `Battery to supply of ${c.ref}, ${bank.volts} V` })
}

function addBoard({ fitted, links }: Inside, c: Controller, facts: Facts, sheets: Sheets): void {
  const board = boardOf(sheets, c)
  const doors = Object.values(facts.door)
    .filter((d) => d.placement?.controller === c.id)
    .sort(byRef)
  const on = onScrews(
    doors,
    board,
    sheets,
    (d, c) => `${d.ref} ${c.part} ${c.leadName}, ${c.colour || 'no colour'}, ${c.cable}`,
  )
  const screws = (list: readonly Terminal[]): Screw[] =>
    list.map((t) => ({ id: t.id, number: t.id.slice(t.id.indexOf('.') + 1), label: t.label, on: on.get(t.id) ?? [] }))
  const own = board.terminals.filter((t) => !(c.expanders ?? []).some((e) => t.id.startsWith(`${e.id}.`)))
  const named = new Map((board.controller?.portGroups ?? []).map((g) => [g.id, g.name]))
  const groups = [...new Set(own.map((t) => t.group))].map((g): ScrewGroup => {
    const refs = doors.filter((d) => d.placement?.portGroup === g).map((d) => d.ref)
    return {
      title: g === '*' ? 'For any door' : `${named.get(g) ?? g} · ${refs.join(', ') || 'free'}`,
      screws: screws(own.filter((t) => t.group === g)),
    }
  })
  fitted.push({
    id: c.id,
    kind: 'board',
    ref: c.ref,
    says: board.name,
    groups,
    of: { kind: 'controller', id: c.id },
    ...(board.controller?.terminalOneAt === 'right' ? { fromRight: true as const } : {}),
    cables: doors.reduce((sum, d) => sum + d.cables.length, 0),
  })
  for (const [i, e] of (c.expanders ?? []).entries()) {
    const terminals = board.terminals.filter((t) => t.id.startsWith(`${e.id}.`))
    fitted.push({
      id: `${c.id}/${e.id}`,
      kind: 'expander',
      ref: e.id,
      says: sheetOf(sheets, e.sheet).name,
      groups: [{ title: `Behind ${c.ref}`, screws: screws(terminals) }],
      of: { kind: 'controller', id: c.id },
      cables: 0,
    })
    const before = i === 0 ? c.id : `${c.id}/${c.expanders?.[i - 1]?.id}`
    links.push({
      from: before,
      to: `${c.id}/${e.id}`,
      kind: 'link',
      says: `${i === 0 ? c.ref : c.expanders?.[i - 1]?.id} to ${e.id}`,
    })
  }
}

/** What is under each screw of a board, by the screw's id: the conductors of its doors, then the links at the strip. @param words of a conductor */
export function onScrews(
  doors: readonly Door[],
  board: DeviceSheet,
  sheets: Sheets,
  words: (door: Door, conductor: Conductor) => string,
): Map<string, string[]> {
  const on = new Map<string, string[]>()
  const put = (id: string, says: string) => on.set(id, [...(on.get(id) ?? []), says])
  const nets = doors.map((door) => ({ door, net: netOf(door, board, sheets) }))
  for (const { door, net } of nets) for (const c of net.conductors) put(c.terminal.id, words(door, c))
  for (const { net } of nets)
    for (const { from, to } of net.links) {
      put(from.id, `link to ${to.id}`)
      put(to.id, `link to ${from.id}`)
    }
  return on
}

/** Runs from board to board. */
function addFeeds({ links }: Inside, cabinet: string, facts: Facts): void {
  for (const c of Object.values(facts.controller)) {
    const from = c.fedFrom && facts.controller[c.fedFrom.controller]
    if (!c.fedFrom || !from || (c.cabinet !== cabinet && from.cabinet !== cabinet)) continue
    const end = (k: Controller) => (k.cabinet === cabinet ? k.id : null)
    const far = (k: Controller) => (k.cabinet === cabinet ? k.ref : `${k.ref} in ${k.cabinet}`)
    links.push({
      from: end(from),
      to: end(c),
      kind: 'power',
      says: `${far(from)} feeds ${far(c)}: ${c.fedFrom.lengthM} m of ${cableName(c.fedFrom.type)}`,
    })
  }
}

/** Network runs that carry power, from a port of a switch or midspan. */
function addNetwork({ links }: Inside, cabinet: string, facts: Facts): void {
  for (const f of Object.values(facts.unitFeed)) {
    const source = facts.unit[f.unit]
    const [kind, id = '', part] = f.id.split('/')
    const device = kind === 'controller' || kind === 'unit' ? facts[kind][id] : undefined
    const door = kind === 'part' ? facts.door[id] : undefined
    if (!source || (source.cabinet !== cabinet && device?.cabinet !== cabinet)) continue
    const to = device?.cabinet === cabinet ? device.id : null
    const from = source.cabinet === cabinet ? source.id : null
    const at = (ref: string, hangs: string | undefined) =>
      hangs === undefined || hangs === cabinet ? ref : `${ref} in ${hangs}`
    links.push({
      from,
      to,
      kind: 'network',
      says: `${at(source.ref, source.cabinet)} port ${f.port} to ${door ? `${part} at ${door.ref}` : at(device?.ref ?? id, device?.cabinet)}, ${f.lengthM} m`,
    })
  }
}
