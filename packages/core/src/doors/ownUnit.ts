import type { Controller } from '../devices/records'
import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Door, Part } from './door'

/**
 * The reader of a door that is its controller at once: a door station, or a wall unit that drives its own lock. The plan has it twice, as a
 * part of the door and as what the door is placed on; it is one device.
 * @param board sheet of the controller that the door is, or is to be, placed on
 */
export const ownUnitOf = (door: Door, board: DeviceSheet): Part | undefined =>
  board.controller?.ownReader === undefined
    ? undefined
    : door.parts.find((p) => p.sheet === board.id && (p.role === 'entryReader' || p.role === 'exitReader'))

/** Whether a part is the controller that its door is placed on: then it has no address, no network power and no place beside that. */
export function isItsController(
  door: Door,
  part: Part,
  controllers: Readonly<Record<string, Controller>>,
  sheets: Sheets,
): boolean {
  const controller = controllers[door.placement?.controller ?? '']
  return !!controller && ownUnitOf(door, sheetOf(sheets, controller.sheet))?.id === part.id
}

/** The part of a door whose type drives a door by itself, so that the door belongs on it. */
export const unitWanted = (door: Door, sheets: Sheets): Part | undefined =>
  door.parts.find((p) => ownUnitOf(door, sheetOf(sheets, p.sheet)) === p)

/** Reads by network and hands nothing to a controller: it reads for its own door, or for none. */
export const readsByNetwork = (sheet: DeviceSheet): boolean =>
  isKind(sheet, 'reader') &&
  sheet.reading?.by === 'network' &&
  sheet.kind !== 'module' &&
  sheet.reading.takes?.length !== 0

/** Why a door can't stand on such a controller, or its readers not there, in words; null where nothing is against it. */
export function unitFault(door: Door, board: DeviceSheet, ref: string, sheets: Sheets): string | null {
  const unit = ownUnitOf(door, board)
  if (board.controller?.ownReader !== undefined && !unit)
    return `${ref} has a reader of its own and serves the door that it reads for. Choose ${board.name} as a reader of ${door.ref}, or place the door elsewhere.`
  const other = door.parts.find((p) => p !== unit && readsByNetwork(sheetOf(sheets, p.sheet)))
  if (!other) return null
  const { name, controller } = sheetOf(sheets, other.sheet)
  if (unit) return `${other.id} ${name} hands nothing to ${ref}, which has its own reader. A door has one such unit.`
  return controller?.ownReader === undefined
    ? `${other.id} ${name} reads by network and hands nothing to ${ref}. Choose a reader with leads.`
    : `${other.id} ${name} drives its own lock and hands nothing to ${ref}. Place the door on ${other.id} itself.`
}
