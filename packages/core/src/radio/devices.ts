import { unitDeviceId, unitOfDevice, type Controller } from '../devices/records'
import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { partDeviceId, partOfDeviceId, type Door, type Part } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import type { Unit } from '../power/records'
import { byRadio } from './port'

/** A hub as it is planned: which controller it hangs on, and under which address. */
export interface RadioHub {
  kind: 'hub'
  /** Id of its status record: `unit/w1`. */
  id: string
  ref: string
  unit: Unit
  sheet: DeviceSheet
  /** Null while it hangs on none. */
  controller: Controller | null
  /** By its switches; null while it hangs on no controller. */
  address: number | null
  /** Wireless locks that it joins at most. */
  most: number
}

/** A wireless lock as it is planned: at which hub, in which of its places. */
export interface RadioLock {
  kind: 'lock'
  /** Id of its status record: `door/part`. */
  id: string
  ref: string
  door: Door
  part: Part
  sheet: DeviceSheet
  controller: Controller | null
  hub: RadioHub | null
  /** 1 and up; null while it is at no hub. */
  place: number | null
}
export type RadioDevice = RadioHub | RadioLock

function hubOf(facts: Facts, sheets: Sheets, unit: Unit): RadioHub {
  const controller = all(facts, 'controller').find((c) => c.hubs?.some((h) => h.unit === unit.id)) ?? null
  const sheet = sheetOf(sheets, unit.sheet)
  return {
    kind: 'hub',
    id: unitDeviceId(unit.id),
    ref: unit.ref,
    unit,
    sheet,
    controller,
    address: controller?.hubs?.find((h) => h.unit === unit.id)?.address ?? null,
    most: sheet.carries?.find((c) => c.kind === 'wirelessLock')?.most ?? 0,
  }
}

/** Every hub of the job, by reference. */
export const radioHubs = (facts: Facts, sheets: Sheets): RadioHub[] =>
  all(facts, 'unit')
    .filter((unit) => isKind(sheetOf(sheets, unit.sheet), 'hub'))
    .sort(byRef)
    .map((unit) => hubOf(facts, sheets, unit))

function lockOf(facts: Facts, sheets: Sheets, door: Door, part: Part): RadioLock {
  const controller = facts.controller[door.placement?.controller ?? ''] ?? null
  const unit = facts.unit[part.radio?.hub ?? '']
  const hub = unit ? hubOf(facts, sheets, unit) : null
  // A hub on another controller than the door's joins nothing for it.
  const joined = hub?.controller && hub.controller.id === controller?.id ? hub : null
  return {
    kind: 'lock',
    id: partDeviceId(door.id, part.id),
    ref: `${door.ref} ${part.id}`,
    door,
    part,
    sheet: sheetOf(sheets, part.sheet),
    controller,
    hub: joined,
    place: joined ? (part.radio?.place ?? null) : null,
  }
}

/** Every wireless lock of the job, by reference of its door. */
export const radioLocks = (facts: Facts, sheets: Sheets): RadioLock[] =>
  all(facts, 'door')
    .sort(byRef)
    .flatMap((door) => door.parts.filter((p) => byRadio(p, sheets)).map((part) => lockOf(facts, sheets, door, part)))

/** Hubs and wireless locks behind a controller, hubs first. */
export const radioDevicesOn = (facts: Facts, sheets: Sheets, controller: string): RadioDevice[] => [
  ...radioHubs(facts, sheets).filter((h) => h.controller?.id === controller),
  ...radioLocks(facts, sheets).filter((l) => l.controller?.id === controller),
]

/** A hub or a wireless lock by the id of its status record, or null where the job has none of that name. */
export function radioDeviceOf(facts: Facts, sheets: Sheets, id: string): RadioDevice | null {
  const unit = facts.unit[unitOfDevice(id) ?? '']
  if (unit) return isKind(sheetOf(sheets, unit.sheet), 'hub') ? hubOf(facts, sheets, unit) : null
  const named = partOfDeviceId(id)
  const door = named && facts.door[named.door]
  const part = door?.parts.find((p) => p.id === named?.part)
  return door && part && byRadio(part, sheets) ? lockOf(facts, sheets, door, part) : null
}
