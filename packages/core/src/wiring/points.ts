import { usualFormat } from '../cards/card'
import { orderNames, type ReaderOrder } from '../cards/orders'
import type { CardFormat } from '../cards/formats'
import type { DeviceSheet, Sheets, TerminalKind } from '../devices/sheet'
import { sheetOf } from '../devices/sheet'
import type { Door, IdleState, Part } from '../doors/door'
import { stop, type Finding } from '../job/finding'
import { functionFacts, type PartFunction } from '../doors/functions'
import { byRadio, portByRadio } from '../radio/port'
import { ownUnitOf, unitFault, unitWanted } from '../doors/ownUnit'
import { functionOf } from './functions'
import { wantsOf } from './placement'
import { byPort, portWords, sharedKinds, type PortClass } from './ports'

/** One thing that a part does at one port of its controller. A part may have several: a lock with its sensing, a reader with its tamper. */
export interface WiredPoint {
  /** Of the part and its function: `K1.lock`. Unique at a door. */
  key: string
  part: Part
  function: PartFunction
  /** Port of the board, as the board counts them: `input 7`, `E1 relay 2`. */
  port: string
  /** How an input rests. */
  idle?: IdleState
  /** On a bus. */
  address?: number
  /** How a reader's bits are read. */
  format?: string
  /** In which order they come, where it is another than as sent. */
  order?: ReaderOrder
  /** Seconds that an output waits after the lock has been told to let go. */
  afterS?: number
  /** Seconds for which an input releases the door, where it has a rule of its own. */
  releaseS?: number
}

/** Seconds that an opener waits where nobody said otherwise (common practice, no source). */
export const usualOpenerAfterS = 1

/** The screws by which the port of a class is known. */
const portScrews: Readonly<Record<PortClass | 'air', readonly TerminalKind[]>> = {
  air: [],
  reader: ['d0'],
  bus: ['busA'],
  power: ['reader+'],
  lock: ['relayNC', 'relayNO', 'relayC'],
  input: ['input'],
  aux: ['auxC'],
}

/** A part's leads that go to one class of port, with what they do there. */
interface Use {
  part: Part
  class: PortClass | 'air'
  does: PartFunction | null
  leads: string[]
  kinds: TerminalKind[]
}

/** @param board with it, the reader that is the board itself counts too: it is on no lead */
function usesOf(door: Door, sheets: Sheets, board?: DeviceSheet): Use[] {
  const unit = board && ownUnitOf(door, board)
  return door.parts.flatMap((part) => {
    const wired = [...byPort(wantsOf(door, sheets, [part]))].map(([portClass, wants]) => ({
      part,
      class: portClass,
      does: functionOf(part.role, portClass),
      leads: wants.map((w) => w.lead),
      kinds: wants.map((w) => w.kind),
    }))
    const own: Use = { part, class: 'reader', does: functionOf(part.role, 'reader'), leads: [], kinds: [] }
    return [...(part === unit ? [own] : []), ...wired, ...(byRadio(part, sheets) ? airUses(part) : [])]
  })
}

/** A wireless lock is reader and lock at once, with no lead to either. */
const airUses = (part: Part): Use[] =>
  (['entryReader', 'lock'] as const).map((does) => ({ part, class: 'air', does, leads: [], kinds: [] }))

/** The port that a use's leads end on, empty where they are on none. */
function portOf(use: Use, door: Door, board: DeviceSheet): string {
  if (use.class === 'air') return portByRadio(use.part, board)
  if (use.leads.length === 0) return board.controller?.ownReader ?? ''
  for (const lead of use.leads) {
    const terminal = board.terminals.find((t) => t.id === door.placement?.terminals[`${use.part.id}.${lead}`])
    if (terminal && portScrews[use.class].includes(terminal.kind)) return terminal.port
  }
  return ''
}

/** Everything that the door's parts do at their controller, in the order of the parts. What is on no terminal is left out. */
export function wiredPoints(door: Door, board: DeviceSheet, sheets: Sheets): WiredPoint[] {
  return usesOf(door, sheets, board).flatMap((use) => {
    const port = portOf(use, door, board)
    return use.does && port ? [pointOf(door, use.part, use.does, port, use.class)] : []
  })
}

/** Points that the controller has to be told of: all but what acts in the feed by itself. */
export const toldPoints = (door: Door, board: DeviceSheet, sheets: Sheets): WiredPoint[] =>
  wiredPoints(door, board, sheets).filter((p) => functionFacts[p.function].side !== 'feed')

function pointOf(door: Door, part: Part, does: PartFunction, port: string, portClass: Use['class']): WiredPoint {
  const b = door.behaviour
  const point: WiredPoint = { key: `${part.id}.${does}`, part, function: does, port }
  if (functionFacts[does].side === 'input') point.idle = b.idle?.[part.id] ?? usualIdle(door, does)
  if (functionFacts[does].side === 'reader') {
    point.format = part.format ?? usualFormat
    if (part.order) point.order = part.order
  }
  if (portClass === 'bus' && part.address !== undefined) point.address = part.address
  if (does === 'opener')
    point.afterS = door.parts.some((p) => p.role === 'lock') ? (b.openerAfterS ?? usualOpenerAfterS) : 0
  if (does === 'deskButton') point.releaseS = b.deskReleaseS ?? b.releaseS
  return point
}

/** How an input rests where nobody said otherwise: contacts closed while all is shut and whole, buttons open while nobody presses. */
function usualIdle(door: Door, does: PartFunction): IdleState {
  switch (does) {
    case 'contact':
    case 'secondContact':
      return door.behaviour.contactIdle
    case 'exitButton':
    case 'exitSensor':
    case 'deskButton':
      return door.behaviour.exitIdle
    case 'spare':
    case 'panelState':
      return 'open'
    default:
      return 'closed'
  }
}

/** Inputs of a door whose rest is not already said by its contact or its exit button, with how they rest now. Needs no place on a controller. */
export function otherInputs(door: Door, sheets: Sheets): { part: Part; function: PartFunction; idle: IdleState }[] {
  return usesOf(door, sheets).flatMap(({ part, class: at, does }) =>
    at === 'input' && does && does !== 'contact' && does !== 'secondContact' && does !== 'exitButton'
      ? [{ part, function: does, idle: door.behaviour.idle?.[part.id] ?? usualIdle(door, does) }]
      : [],
  )
}

/** What a controller of this type can be told; everything where its sheet does not say. */
export const canBeTold = (board: DeviceSheet, does: PartFunction): boolean =>
  functionFacts[does].side === 'feed' || (board.controller?.functions?.includes(does) ?? true)

/** Why a controller of this type would read nothing at a reader that is set so, and what to do; null where it reads it. */
function deafTo(
  formats: readonly CardFormat[],
  board: DeviceSheet,
  ref: string,
  { id, format = usualFormat, order }: Part,
): string | null {
  const { cardFormats, ownFormats = 0, bitOrders = [] } = board.controller ?? {}
  const sends = formats.find((f) => f.id === format)
  const name = sends?.name ?? format
  const elsewhere = 'or place the door on another controller.'
  if (!sends) return `${id} is set to ${name}, and there is no such card format any more. Set another.`
  if (sends.keeps === undefined && cardFormats && !cardFormats.includes(sends.id))
    return `${ref} cannot read cards of ${name}, and ${id} is set to them. Set another format, ${elsewhere}`
  if (sends.keeps !== undefined && !ownFormats)
    return `${ref} cannot be told what ${name} is, and ${id} is set to it: its type knows its own card formats alone. Set another format, ${elsewhere}`
  if (order && !bitOrders.includes(order))
    return `${ref} cannot read ${id} with ${orderNames[order]}. Have the reader set so that it sends the usual way round, ${elsewhere}`
  return null
}

/**
 * Parts that are wired and would stay silent: their leads have no function that a controller knows, this controller cannot be told
 * of it, or it could not tell them apart. Each is a stop: nothing is wired, ticked and forgotten.
 */
export function untoldFindings(
  door: Door,
  board: DeviceSheet,
  ref: string,
  sheets: Sheets,
  formats: readonly CardFormat[],
): Finding[] {
  const uses = usesOf(door, sheets, board)
  const unit = unitFault(door, board, ref, sheets)
  const alone = unit ? [stop('plan', 'untold', unit, unitWanted(door, sheets)?.id)] : []
  const wired = uses.flatMap((use) => {
    if (use.class === 'air' && !portOf(use, door, board)) return use.does === 'lock' ? [noHub(use.part, ref)] : []
    const name = `${use.part.id} ${sheetOf(sheets, use.part.sheet).name}`
    if (!use.does)
      return [
        stop(
          'plan',
          'untold',
          `${name} has leads for a ${use.class === 'air' ? 'radio' : portWords[use.class]}, and no controller can be told what they do there. Choose another device, or leave those leads off its sheet.`,
          use.part.id,
        ),
      ]
    const what = functionFacts[use.does].says
    if (!canBeTold(board, use.does))
      return [
        stop(
          'plan',
          'untold',
          `${ref} cannot be told of ${use.part.id}, the ${what}: its type does not know that function. Place the door on another controller.`,
          use.part.id,
        ),
      ]
    const deaf = functionFacts[use.does].side === 'reader' ? deafTo(formats, board, ref, use.part) : null
    if (deaf) return [stop('plan', 'untold', deaf, use.part.id)]
    if (use.class === 'bus' && use.part.address === undefined)
      return [
        stop(
          'plan',
          'no-bus-address',
          `${name} has no address on its bus yet. Give it one under Addresses.`,
          use.part.id,
        ),
      ]
    const twin = uses.find((u) => u !== use && u.part.id === use.part.id && u.does === use.does)
    if (twin)
      return [
        stop('plan', 'untold', `${name} would do the same on two ports: ${what}. Choose another device.`, use.part.id),
      ]
    return splitFindings(use, door, board)
  })
  return [...alone, ...wired]
}

const noHub = ({ id, radio }: Part, ref: string): Finding =>
  stop(
    'plan',
    'no-hub',
    radio
      ? `The hub that ${id} was given does not hang on ${ref}. Give it one that does, under Radio.`
      : `${id} is at no hub yet. Give it one under Radio.`,
    id,
  )

/** Leads of one use on two ports: a reader with its data lines on two ports never reads. */
function splitFindings(use: Use, door: Door, board: DeviceSheet): Finding[] {
  const ports = new Set(
    use.leads.flatMap((lead) => {
      const terminal = board.terminals.find((t) => t.id === door.placement?.terminals[`${use.part.id}.${lead}`])
      return terminal && !sharedKinds.has(terminal.kind) ? [terminal.port] : []
    }),
  )
  return ports.size > 1
    ? [
        stop(
          'plan',
          'split',
          `${use.part.id} sits on ${[...ports].join(' and ')}. All its leads belong on one port.`,
          use.part.id,
        ),
      ]
    : []
}
