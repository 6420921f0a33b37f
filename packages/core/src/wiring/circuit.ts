import { partOf, type Cable, type Door } from '../doors/door'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { loopOhm } from '../power/run'
import { netOf, type Net } from './conductors'

/** The lock's circuit as the net has it: whole or open, and the copper on the way. */
export interface LockCircuit {
  /** Conductors that the current needs and that are not in the net, by id; empty for a whole circuit. */
  missing: string[]
  cables: Cable[]
  /** Null while a cable of it has no length. */
  ohm: number | null
}

/**
 * The way of the current to a lock, read from the same net that the drawing draws and the table lists: feed, break glass,
 * relay, lock. @param opened conductors that are cut, by id
 */
export function lockCircuit(
  door: Door,
  board: DeviceSheet,
  sheets: Sheets,
  lockId: string,
  celsius = 20,
  opened: ReadonlySet<string> = new Set(),
): LockCircuit {
  return circuitIn(netOf(door, board, sheets, opened), door, sheets, lockId, celsius)
}

/** The same from a net that is known already. */
export function circuitIn(net: Net, door: Door, sheets: Sheets, lockId: string, celsius = 20): LockCircuit {
  const present = new Set(net.conductors.map((c) => c.id))
  const parts = [partOf(door, 'breakGlass'), door.parts.find((p) => p.id === lockId)].filter((p) => p !== undefined)
  const needed = parts.flatMap((part) =>
    sheetOf(sheets, part.sheet)
      .leads.filter((l) => ['break1', 'break2', 'lock+', 'lock-'].includes(l.kind))
      .map((l) => `${part.id}.${l.id}`),
  )
  const cables = parts.flatMap((part) => door.cables.filter((c) => c.part === part.id))
  const known = cables.length === parts.length && cables.every((c) => c.lengthM > 0)
  return {
    missing: needed.filter((id) => !present.has(id)),
    cables,
    ohm: known ? cables.reduce((sum, c) => sum + loopOhm(c.type, c.lengthM, celsius), 0) : null,
  }
}
