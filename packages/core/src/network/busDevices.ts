import { boardOf } from '../devices/board'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { partDeviceId, partOfDeviceId, type Door, type Part } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import { leadsToController } from '../wiring/chain'

/** A part of a door that hangs on a bus of its controller: a reader, or the converter before one. */
export interface BusDevice {
  /** Id of its status record: `door/part`. */
  id: string
  ref: string
  door: Door
  part: Part
  /** Of what hangs on the bus. */
  sheet: DeviceSheet
  controller: string
  /** Bus of the controller; empty while it is on no screw of one. */
  port: string
  /** Null while nobody has given it one. */
  address: number | null
}

/** Whether a part is addressed on a bus. */
export const onBus = (part: Part, sheets: Sheets): boolean =>
  leadsToController(part, sheets).some((lead) => lead.kind === 'busA')

function ofDoor(door: Door, facts: Facts, sheets: Sheets): BusDevice[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return []
  const { terminals } = boardOf(sheets, controller)
  return door.parts
    .filter((part) => onBus(part, sheets))
    .map((part) => {
      const screw = Object.entries(door.placement?.terminals ?? {}).find(
        ([key, id]) => key.startsWith(`${part.id}.`) && terminals.find((t) => t.id === id)?.kind === 'busA',
      )?.[1]
      return {
        id: partDeviceId(door.id, part.id),
        ref: `${door.ref} ${part.id}`,
        door,
        part,
        sheet: sheetOf(sheets, part.via ?? part.sheet),
        controller: controller.id,
        port: terminals.find((t) => t.id === screw)?.port ?? '',
        address: part.address ?? null,
      }
    })
}

/** Everything that hangs on the buses of a controller, by reference of its door. */
export const busDevicesOn = (facts: Facts, sheets: Sheets, controller: string): BusDevice[] =>
  all(facts, 'door')
    .filter((door) => door.placement?.controller === controller)
    .sort(byRef)
    .flatMap((door) => ofDoor(door, facts, sheets))

/** A device on a bus by its id, or null where the job has none of that name there. */
export function busDeviceOf(facts: Facts, sheets: Sheets, id: string): BusDevice | null {
  const named = partOfDeviceId(id)
  const door = named && facts.door[named.door]
  return door ? (ofDoor(door, facts, sheets).find((d) => d.id === id) ?? null) : null
}
