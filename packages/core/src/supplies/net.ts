import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type DeviceSheet, type LockFacts, type Sheets } from '../devices/sheet'
import type { Door, Part } from '../doors/door'
import { loopOhm } from '../power/run'
import type { Consumer, Tree, TreeNode } from '../power/tree'
import { lockCircuit } from '../wiring/circuit'
import { netOf } from '../wiring/conductors'

/** What the doors of a supply are doing. */
export type Moment =
  | { kind: 'rest' }
  /** One lock pulls in, or lets go if it is fail-safe. */
  | { kind: 'pull'; door: string }
  | { kind: 'hold'; door: string }
  /** Every door is released: fail-secure locks are driven, fail-safe ones dropped. */
  | { kind: 'allOpen' }
  /** Power comes back, or the fire signal is reset: every fail-safe lock pulls in at once. */
  | { kind: 'powerReturn' }
/** What stands behind the supply: its set volts, a full battery on charge, a battery at its end. */
export type SourceState = 'nominal' | 'floating' | 'batteryEnd'

export const momentWords = (moment: Moment, refOf: (door: string) => string): string => {
  switch (moment.kind) {
    case 'rest': return 'At rest'
    case 'pull': return `${refOf(moment.door)} is released`
    case 'hold': return `${refOf(moment.door)} stays released`
    case 'allOpen': return 'Every door is released'
    case 'powerReturn': return 'Power comes back'
  }
}

/** Amps of a lock in a moment: 0 for one that is not energised. */
export function lockAmps(lock: LockFacts, door: string, moment: Moment): number {
  const hold = lock.holdA ?? lock.pullA
  const mine = (moment.kind === 'pull' || moment.kind === 'hold') && moment.door === door
  if (lock.fail === 'safe') return moment.kind === 'powerReturn' ? lock.pullA : mine || moment.kind === 'allOpen' ? 0 : hold
  if (moment.kind === 'allOpen') return lock.pullA
  return mine ? (moment.kind === 'pull' ? lock.pullA : hold) : 0
}

export interface LockAt { node: string; door: string; part: string; facts: LockFacts }
export interface SupplyNet { tree: Tree; locks: LockAt[]; /** Cables without a length: what hangs on them is not in the tree. */ unknown: string[]; /** Doors whose lock circuit is open, with the conductor that is missing. */ open: { door: string; conductor: string }[] }

/** Volts behind a controller's locks and readers; the tree of a network-fed controller begins at its own converter. */
export function sourceOf(board: DeviceSheet, supply: DeviceSheet | undefined, state: SourceState): { volts: number; ohm: number } {
  if (board.feeds) return { volts: board.feeds.volts, ohm: 0.05 }
  const s = supply?.supply
  const nominal = s?.volts ?? board.controller?.feedVolts ?? 12
  return { volts: state === 'floating' ? (s?.floatV ?? nominal) : state === 'batteryEnd' ? (s?.endV ?? nominal) : nominal, ohm: s?.internalOhm ?? 0 }
}

/** The real tree behind a controller's supply in one moment: board, readers and locks on their cables, from the same nets as the drawings. */
export function supplyNet(controller: Controller, doors: readonly Door[], sheets: Sheets, moment: Moment, state: SourceState = 'nominal', celsius = 20, opened: ReadonlySet<string> = new Set()): SupplyNet {
  const board = boardOf(sheets, controller)
  const source = sourceOf(board, sheets[controller.supply], state)
  const boardA = (board.feeds ? 0 : board.restA) + (controller.expanders ?? []).reduce((sum, e) => sum + sheetOf(sheets, e.sheet).restA, 0)
  const nodes: TreeNode[] = [{ id: 'board', parent: null, ohm: 0, consumers: boardA > 0 ? [{ kind: 'current', amps: boardA }] : [] }]
  const net: SupplyNet = { tree: { sourceV: source.volts, sourceOhm: source.ohm, nodes }, locks: [], unknown: [], open: [] }
  for (const door of doors) {
    if (door.placement?.controller !== controller.id) continue
    for (const part of door.parts) {
      const sheet = sheetOf(sheets, part.sheet)
      if (sheet.lock && sheet.leads.length > 0) addLock(net, door, part, sheet.lock, board, sheets, moment, celsius, opened)
      else if (sheet.restA > 0 && sheet.leads.some((l) => l.kind === 'supply+')) addFed(net, door, part, sheet, board, sheets, celsius, opened)
    }
  }
  return net
}

function addLock(net: SupplyNet, door: Door, part: Part, lock: LockFacts, board: DeviceSheet, sheets: Sheets, moment: Moment, celsius: number, opened: ReadonlySet<string>): void {
  const circuit = lockCircuit(door, board, sheets, part.id, celsius, scoped(opened, door))
  const node = `${door.id}/${part.id}`
  if (circuit.missing[0]) net.open.push({ door: door.id, conductor: circuit.missing[0] })
  if (circuit.ohm === null) { net.unknown.push(node); return }
  const amps = circuit.missing.length ? 0 : lockAmps(lock, door.id, moment)
  const consumers: Consumer[] = amps > 0 ? [{ kind: 'resistance', ohm: lock.nominalV / amps }] : []
  net.tree.nodes.push({ id: node, parent: 'board', ohm: circuit.ohm, consumers })
  net.locks.push({ node, door: door.id, part: part.id, facts: lock })
}

/** A reader: constant current, since it is a small converter's load that hardly changes with volts. */
function addFed(net: SupplyNet, door: Door, part: Part, sheet: DeviceSheet, board: DeviceSheet, sheets: Sheets, celsius: number, opened: ReadonlySet<string>): void {
  const cable = door.cables.find((c) => c.part === part.id)
  const node = `${door.id}/${part.id}`
  if (!cable || cable.lengthM <= 0) { net.unknown.push(node); return }
  const present = new Set(netOf(door, board, sheets, scoped(opened, door)).conductors.map((c) => c.id))
  const whole = sheet.leads.filter((l) => l.kind === 'supply+' || l.kind === 'supply-').every((l) => present.has(`${part.id}.${l.id}`))
  net.tree.nodes.push({ id: node, parent: 'board', ohm: loopOhm(cable.type, cable.lengthM, celsius), consumers: whole ? [{ kind: 'current', amps: sheet.restA }] : [] })
}

/** Conductors are named within a door; over a whole supply `door/conductor`. */
function scoped(opened: ReadonlySet<string>, door: Door): ReadonlySet<string> {
  return opened.size === 0 ? opened : new Set([...opened].filter((id) => id.startsWith(`${door.id}/`)).map((id) => id.slice(door.id.length + 1)))
}
