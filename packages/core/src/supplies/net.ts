import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type DeviceSheet, type LockFacts, type Sheets } from '../devices/sheet'
import type { Door, Part } from '../doors/door'
import { loopOhm } from '../power/run'
import type { Consumer, Tree, TreeNode } from '../power/tree'
import { circuitIn } from '../wiring/circuit'
import { netOf, type Net } from '../wiring/conductors'
import { boardsOn, type Controllers } from './fed'

/** What the doors of a supply are doing. */
export type Moment =
  | { kind: 'rest' }
  /** One lock pulls in, or lets go if it is fail-safe. */
  | { kind: 'pull'; door: string }
  | { kind: 'hold'; door: string }
  /** A fail-safe lock that was free pulls in again. */
  | { kind: 'relock'; door: string }
  /** Every door is released: fail-secure locks are driven, fail-safe ones dropped. */
  | { kind: 'allOpen' }
  /** Power comes back, or the fire signal is reset: every fail-safe lock pulls in at once. */
  | { kind: 'powerReturn' }
  /** Everything as at `of`, but only so many locks pull in at once: the rest have done so and are held, or wait. */
  | { kind: 'queue'; of: 'allOpen' | 'powerReturn'; most: number }
/** What stands behind the supply: its set volts, a full battery on charge, a battery at its end. */
export type SourceState = 'nominal' | 'floating' | 'batteryEnd'

export const momentWords = (moment: Moment, refOf: (door: string) => string): string => {
  switch (moment.kind) {
    case 'rest':
      return 'At rest'
    case 'pull':
      return `${refOf(moment.door)} is released`
    case 'relock':
      return `${refOf(moment.door)} locks again`
    case 'hold':
      return `${refOf(moment.door)} stays released`
    case 'allOpen':
      return 'Every door is released'
    case 'powerReturn':
      return 'Power comes back'
    case 'queue':
      return `${moment.of === 'allOpen' ? 'Every door is released' : 'Power comes back'}, ${moment.most} at a time`
  }
}

/** Amps of a lock in a moment: 0 for one that is not energised. */
export function lockAmps(lock: LockFacts, door: string, moment: Moment): number {
  const hold = lock.holdA ?? lock.pullA
  // The worst of a queue: all but the last few are held already.
  const held = moment.kind === 'queue' && moment.of === 'allOpen' ? 'secure' : 'safe'
  if (moment.kind === 'queue') return lock.fail === held ? hold : 0
  const mine = (moment.kind === 'pull' || moment.kind === 'hold') && moment.door === door
  if (lock.fail === 'safe') {
    if (moment.kind === 'powerReturn' || (moment.kind === 'relock' && moment.door === door)) return lock.pullA
    return mine || moment.kind === 'allOpen' ? 0 : hold
  }
  if (moment.kind === 'allOpen') return lock.pullA
  if (!mine) return 0
  return moment.kind === 'pull' ? lock.pullA : hold
}

export interface LockAt {
  node: string
  /** The board's place in the tree. */ board: string
  door: string
  part: string
  facts: LockFacts
}
export interface SupplyNet {
  tree: Tree
  locks: readonly LockAt[]
  /** Cables without a length: what hangs on them is not in the tree. */ unknown: readonly string[]
  /** Doors whose lock circuit is open, with the conductor that is missing. */ open: readonly {
    door: string
    conductor: string
  }[]
}

/** Volts behind a controller's locks and readers; the tree of a network-fed controller begins at its own converter. */
export function sourceOf(
  board: DeviceSheet,
  supply: DeviceSheet | undefined,
  state: SourceState,
): { volts: number; ohm: number } {
  if (board.feeds) return { volts: board.feeds.volts, ohm: 0.05 }
  const s = supply?.supply
  const nominal = s?.volts ?? board.controller?.feedVolts ?? 12
  return { volts: { floating: s?.floatV, batteryEnd: s?.endV, nominal }[state] ?? nominal, ohm: s?.internalOhm ?? 0 }
}

/** What hangs on a controller's supply and over how many ohms, whatever the moment: read once from the same nets as the drawings. */
export interface SupplyWays {
  controller: Controller
  board: DeviceSheet
  /** Boards on this supply, each after the one that feeds it; `node` is its place in the tree. */
  boards: { node: string; parent: string | null; ohm: number; amps: number; controller: string }[]
  supply: DeviceSheet | undefined
  locks: (LockAt & { ohm: number; whole: boolean })[]
  readers: { node: string; board: string; ohm: number; amps: number }[]
  unknown: string[]
  open: { door: string; conductor: string }[]
}

/** @param controllers all that are planned: those fed on from this one hang on its supply too */
export function supplyWays(
  controller: Controller,
  doors: readonly Door[],
  sheets: Sheets,
  celsius = 20,
  opened: ReadonlySet<string> = new Set(),
  controllers: Controllers = {},
): SupplyWays {
  const ways: SupplyWays = {
    controller,
    board: boardOf(sheets, controller),
    boards: [],
    supply: sheets[controller.supply],
    locks: [],
    readers: [],
    unknown: [],
    open: [],
  }
  for (const { controller: c, parent, ohm } of boardsOn(controller, controllers, celsius)) {
    const board = boardOf(sheets, c)
    const amps =
      (board.feeds ? 0 : board.restA) + (c.expanders ?? []).reduce((sum, e) => sum + sheetOf(sheets, e.sheet).restA, 0)
    const node = boardNode(c.id, controller.id)
    ways.boards.push({
      node,
      parent: parent === null ? null : boardNode(parent, controller.id),
      ohm,
      amps,
      controller: c.id,
    })
    if (c.fedFrom && c.fedFrom.lengthM <= 0) ways.unknown.push(node)
    for (const door of doors)
      if (door.placement?.controller === c.id) addDoor(ways, door, board, node, sheets, celsius, scoped(opened, door))
  }
  return ways
}

const boardNode = (id: string, first: string): string => (id === first ? 'board' : `board/${id}`)

function addDoor(
  ways: SupplyWays,
  door: Door,
  board: DeviceSheet,
  node: string,
  sheets: Sheets,
  celsius: number,
  cut: ReadonlySet<string>,
): void {
  const net = netOf(door, board, sheets, cut)
  for (const part of door.parts) {
    const sheet = sheetOf(sheets, part.sheet)
    if (sheet.lock && sheet.leads.length > 0) addLock(ways, door, part, sheet.lock, net, node, sheets, celsius)
    else if (sheet.restA > 0 && part.fed !== 'own' && sheet.leads.some((l) => l.kind === 'supply+'))
      addFed(ways, door, part, sheet, net, node, sheets, celsius)
  }
}

function addLock(
  ways: SupplyWays,
  door: Door,
  part: Part,
  facts: LockFacts,
  net: Net,
  board: string,
  sheets: Sheets,
  celsius: number,
): void {
  const circuit = circuitIn(net, door, sheets, part.id, celsius)
  const node = `${door.id}/${part.id}`
  if (circuit.missing[0]) ways.open.push({ door: door.id, conductor: circuit.missing[0] })
  if (circuit.ohm === null) ways.unknown.push(node)
  else
    ways.locks.push({
      node,
      board,
      door: door.id,
      part: part.id,
      facts,
      ohm: circuit.ohm,
      whole: circuit.missing.length === 0,
    })
}

/** A reader: constant current, since it is a small converter's load that hardly changes with volts. */
function addFed(
  ways: SupplyWays,
  door: Door,
  part: Part,
  sheet: DeviceSheet,
  net: Net,
  board: string,
  sheets: Sheets,
  celsius: number,
): void {
  const cable = door.cables.find((c) => c.part === part.id)
  const node = `${door.id}/${part.id}`
  if (!cable || cable.lengthM <= 0) {
    ways.unknown.push(node)
    return
  }
  const via = part.via ? sheetOf(sheets, part.via) : null
  const whole = (via ?? sheet).leads
    .filter((l) => l.kind === 'supply+' || l.kind === 'supply-')
    .every((l) => net.conductors.some((c) => c.id === `${part.id}.${l.id}`))
  ways.readers.push({
    node,
    board,
    ohm: loopOhm(cable.type, cable.lengthM, celsius),
    amps: whole ? sheet.restA + (via?.restA ?? 0) : 0,
  })
}

/** The tree in one moment. */
export function netAt(ways: SupplyWays, moment: Moment, state: SourceState = 'nominal'): SupplyNet {
  const source = sourceOf(ways.board, ways.supply, state)
  const order = moment.kind === 'queue' ? queued(ways.locks, moment) : null
  const nodes: TreeNode[] = ways.boards.map((b) => ({
    id: b.node,
    parent: b.parent,
    ohm: b.ohm,
    consumers: b.amps > 0 ? [{ kind: 'current', amps: b.amps }] : [],
  }))
  for (const r of ways.readers)
    nodes.push({
      id: r.node,
      parent: r.board,
      ohm: r.ohm,
      consumers: r.amps > 0 ? [{ kind: 'current', amps: r.amps }] : [],
    })
  for (const lock of ways.locks) {
    const own: Moment = moment.kind === 'queue' && order?.has(lock.node) ? { kind: moment.of } : moment
    const amps = lock.whole ? lockAmps(lock.facts, lock.door, own) : 0
    const consumers: Consumer[] = amps > 0 ? [{ kind: 'resistance', ohm: lock.facts.nominalV / amps }] : []
    nodes.push({ id: lock.node, parent: lock.board, ohm: lock.ohm, consumers })
  }
  return {
    tree: { sourceV: source.volts, sourceOhm: source.ohm, nodes },
    locks: ways.locks,
    unknown: ways.unknown,
    open: ways.open,
  }
}

/** The real tree behind a controller's supply in one moment: board, readers and locks on their cables, from the same nets as the drawings. */
export const supplyNet = (
  controller: Controller,
  doors: readonly Door[],
  sheets: Sheets,
  moment: Moment,
  state: SourceState = 'nominal',
  celsius = 20,
  opened: ReadonlySet<string> = new Set(),
  controllers: Controllers = {},
): SupplyNet => netAt(supplyWays(controller, doors, sheets, celsius, opened, controllers), moment, state)

/** The hungriest locks: those that pull in last, while all others are held. */
function queued(
  locks: readonly LockAt[],
  moment: { of: 'allOpen' | 'powerReturn'; most: number },
): ReadonlySet<string> {
  const moving = locks
    .filter((l) => l.facts.fail === (moment.of === 'allOpen' ? 'secure' : 'safe'))
    .map(({ node, facts }) => ({ node, more: facts.pullA - (facts.holdA ?? facts.pullA) }))
  return new Set(
    moving
      .sort((a, b) => b.more - a.more)
      .slice(0, moment.most)
      .map((l) => l.node),
  )
}

/** Conductors are named within a door; over a whole supply `door/conductor`. */
function scoped(opened: ReadonlySet<string>, door: Door): ReadonlySet<string> {
  return opened.size === 0
    ? opened
    : new Set([...opened].filter((id) => id.startsWith(`${door.id}/`)).map((id) => id.slice(door.id.length + 1)))
}
