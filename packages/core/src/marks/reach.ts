import {
  movesTo,
  unitDeviceId,
  type Controller,
  type Reach,
  type SeenByRadio,
  type SeenOnBus,
} from '../devices/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import { partDeviceId, partOfDeviceId, type Door, type Part } from '../doors/door'
import { isItsController } from '../doors/ownUnit'
import { type Facts } from '../job/facts'
import { jobOf, usualLimits, type JobLimits } from '../job/records'
import { stop, warn, type Finding } from '../job/finding'
import { busDeviceOf, onBus, type BusDevice } from '../network/busDevices'
import { byRadio } from '../radio/port'
import { radioDeviceOf, type RadioDevice } from '../radio/devices'
import { radioStanding } from './radioReach'
import type { DeviceStanding, MarkState } from './state'

/** A device of a door that has an address of its own: on the network, on a bus, or by radio. */
export interface OwnDevice {
  /** Id of its status record: the controller’s id, or `door/part`. */
  id: string
  /** How it is named to a fitter. */
  ref: string
  by: 'network' | 'bus' | 'radio'
}

const addressWords: Readonly<Record<OwnDevice['by'], string>> = {
  network: 'an address of its own on the network',
  bus: 'an address of its own on the bus',
  radio: 'a radio address of its own',
}

/** How a part is addressed, or null where it is reached through its controller’s terminals only. */
function ownAddress(part: Part, sheets: Sheets): OwnDevice['by'] | null {
  const sheet = sheetOf(sheets, part.sheet)
  if (byRadio(part, sheets)) return 'radio'
  if (sheet.network || sheet.reading?.by === 'network') return 'network'
  return onBus(part, sheets) ? 'bus' : null
}

/** Every device of a door that has an address of its own, its controller first. */
export function ownDevices(door: Door, facts: Facts, sheets: Sheets): OwnDevice[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  const parts = door.parts.flatMap((part): OwnDevice[] => {
    const by = isItsController(door, part, facts.controller, sheets) ? null : ownAddress(part, sheets)
    return by ? [{ id: partDeviceId(door.id, part.id), ref: `${part.id} ${sheetOf(sheets, part.sheet).name}`, by }] : []
  })
  const hubs = [...new Set(door.parts.flatMap((part) => facts.unit[part.radio?.hub ?? ''] ?? []))]
  return [
    ...(controller ? [{ id: controller.id, ref: controller.ref, by: 'network' as const }] : []),
    ...hubs.map((unit) => ({ id: unitDeviceId(unit.id), ref: unit.ref, by: 'radio' as const })),
    ...parts,
  ]
}

interface Standing {
  device: OwnDevice
  standing: DeviceStanding
}

const standingsOf = (facts: Facts, door: Door, sheets: Sheets, limits: JobLimits): Standing[] =>
  ownDevices(door, facts, sheets).map((device) => ({ device, standing: standingOf(device, facts, limits, sheets) }))

/** What Reach waits for: one that was lost comes before one that is still to be taken. */
const waitedFor = (devices: readonly Standing[]): Standing | undefined =>
  devices.find((d) => d.standing.sign === 'stale') ?? devices.find((d) => d.standing.sign !== 'given')

/** The device of a door that Reach waits for; null where it waits for none. */
export function deviceToReach(facts: Facts, door: Door, sheets: Sheets): OwnDevice | null {
  const limits = jobOf(facts)?.limits
  return (limits && waitedFor(standingsOf(facts, door, sheets, limits))?.device) ?? null
}

/** Where a device on a bus stands by itself, whatever its door lacks besides. */
export const deviceStanding = (facts: Facts, { id, part, sheet }: BusDevice, sheets: Sheets): DeviceStanding =>
  standingOf({ id, ref: `${part.id} ${sheet.name}`, by: 'bus' }, facts, jobOf(facts)?.limits ?? usualLimits, sheets)

/** Where a hub or a wireless lock stands by itself, whatever its door lacks besides. */
export const radioDeviceStanding = (facts: Facts, { id, ref }: RadioDevice, sheets: Sheets): DeviceStanding =>
  standingOf({ id, ref, by: 'radio' }, facts, jobOf(facts)?.limits ?? usualLimits, sheets)

/** Reach of a door: given when every device of it that has an address of its own is reached. */
export function reachMark(facts: Facts, door: Door, sheets: Sheets): MarkState {
  const limits = jobOf(facts)?.limits
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller || !limits)
    return { mark: 'reach', sign: 'todo', share: 0, says: 'The door is on no controller yet.', findings: [] }
  const devices = standingsOf(facts, door, sheets, limits)
  const worst = waitedFor(devices)
  const share = devices.reduce((sum, d) => sum + d.standing.share, 0) / devices.length
  if (!worst)
    return {
      mark: 'reach',
      sign: 'given',
      share: 1,
      says:
        devices.length === 1 ? (devices[0]?.standing.says ?? '') : `All ${devices.length} devices of this door answer.`,
      findings: [],
    }
  const { sign, says } = worst.standing
  const begun = devices.some((d) => d.standing.share > 0)
  return {
    mark: 'reach',
    sign: sign === 'todo' && begun ? 'underWay' : sign,
    share: sign === 'stale' ? 1 : share,
    says,
    findings: sign === 'stale' ? [warn('reach', 'lost', says)] : [],
  }
}

function standingOf(device: OwnDevice, facts: Facts, limits: JobLimits, sheets: Sheets): DeviceStanding {
  const controller = facts.controller[device.id]
  const reach = facts.reach[device.id]
  const radio = device.by === 'radio' ? radioDeviceOf(facts, sheets, device.id) : null
  if (reach && radio)
    return radioStanding(device.ref, radio, reach, facts) ?? reachedStanding(device, reach, controller, limits)
  if (reach) return busStanding(device, reach, facts, sheets) ?? reachedStanding(device, reach, controller, limits)
  const claim = facts.claim[device.id]
  if (!controller && device.by === 'bus' && !claim)
    return { sign: 'todo', share: 0, says: `${device.ref} is still to be taken into service on its bus.` }
  if (device.by === 'radio' && !claim)
    return {
      sign: 'todo',
      share: 0,
      says:
        radio?.kind === 'hub'
          ? `${device.ref} is still to be taken into service behind its controller.`
          : `${device.ref} is still to be paired with its hub.`,
    }
  if (!controller && device.by === 'network')
    return {
      sign: 'todo',
      share: 0,
      says: `${device.ref} has ${addressWords[device.by]} and is not reached: Rauta takes only controllers and readers on a bus into service so far.`,
    }
  if (!claim) return { sign: 'todo', share: 0, says: `${device.ref} is still to be found.` }
  const done = claim.steps.filter((s) => s.state === 'done').length
  const at = claim.steps.find((s) => s.state === 'waits' || s.state === 'failed' || s.state === 'running')
  return {
    sign: 'underWay',
    share: done / Math.max(1, claim.steps.length),
    says: at ? `${device.ref}: ${at.says}` : `${device.ref} is being taken into service.`,
  }
}

/** What stands in the way of a device on a bus that was taken into service; null where nothing does, or it is none. */
function busStanding({ id, ref, by }: OwnDevice, reach: Reach, facts: Facts, sheets: Sheets): DeviceStanding | null {
  const seen = reach.onBus
  if (by !== 'bus' || !reach.owned) return null
  const stale = (says: string): DeviceStanding => ({ sign: 'stale', share: 1, says })
  if (!seen) return stale(`${ref} was never seen on its bus. Take it into service again.`)
  const planned = busDeviceOf(facts, sheets, id)
  const at = (controller: string, port: string, address: number | null) =>
    `address ${address ?? 'none'} of ${facts.controller[controller]?.ref ?? 'no controller'} ${port || 'on no bus'}`
  const was = at(seen.controller, seen.port, seen.address)
  const shall = planned ? at(planned.controller, planned.port, planned.address) : was
  if (was !== shall)
    return stale(`${ref} was taken into service at ${was}, and is planned at ${shall} now. Take it into service again.`)
  if (seen.serial && seen.serial !== reach.serial)
    return stale(
      `${ref}: another device (${seen.serial}) answers at address ${seen.address} instead of ${reach.serial}. If it was replaced, take the new one into service.`,
    )
  const why = busStateWords[seen.state]
  if (why) return stale(`${ref} ${why}`)
  return seen.tamper ? stale(`${ref} says that its case is open.`) : null
}

/** Devices of a door that are talked to in clear, or under a key that everybody knows: nobody signs for such a door. */
export function openDevices(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const own = ownDevices(door, facts, sheets)
  const foreign = own
    .filter(({ id, by }) => by === 'radio' && !(facts.reach[id]?.owned && keyed.has(facts.reach[id].byRadio?.state)))
    .map(({ id, ref }) =>
      stop(
        'sign',
        'other-radio-key',
        `${ref} has not the radio key of this job: whoever has its key opens the door. Take it into service.`,
        partOfDeviceId(id)?.part,
      ),
    )
  const clear = own
    .filter(({ id, by }) => by === 'bus' && !(facts.reach[id]?.owned && !openStates.has(facts.reach[id].onBus?.state)))
    .map(({ id, ref }) =>
      stop(
        'sign',
        'talks-in-clear',
        `${ref} is not encrypted: it has the key of the factory or another one, and whoever is on its bus can send cards of their own. Take it into service.`,
        partOfDeviceId(id)?.part,
      ),
    )
  return [...foreign, ...clear]
}
const keyed: ReadonlySet<SeenByRadio['state'] | undefined> = new Set(['joined', 'silent'])
const openStates: ReadonlySet<SeenOnBus['state'] | undefined> = new Set([undefined, 'clear', 'wrongKey', 'keyWanted'])

/** How a device on a bus is not as it should be; silence counts by its time, as with every other device. */
const busStateWords: Readonly<Partial<Record<SeenOnBus['state'], string>>> = {
  garbled:
    'is answered for by several at once, or by noise. Look for a second device at its address, and at the terminators.',
  clear: 'is talked to in clear: whoever is on the bus can read its cards and send others. Take it into service again.',
  wrongKey: 'has another key than this job gave it. Take it into service again.',
  keyWanted: 'has its key, and its controller does not. It is given again at the next look.',
}

function reachedStanding(
  { ref }: OwnDevice,
  reach: Reach,
  planned: Controller | undefined,
  limits: JobLimits,
): DeviceStanding {
  const stale = (says: string): DeviceStanding => ({ sign: 'stale', share: 1, says })
  if (!reach.owned) return { sign: 'underWay', share: 0.5, says: `${ref} is not yet owned by this job.` }
  if (reach.silentMs > limits.reachS * 1000)
    return stale(`${ref} has not answered for ${Math.round(reach.silentMs / 1000)} s of trying.`)
  if (reach.silentMs > 0)
    return { sign: 'underWay', share: 0.9, says: `${ref} does not answer since a moment ago. ${reach.says}`.trim() }
  if (planned?.serial && reach.serial !== planned.serial)
    return stale(`${ref}: another device (${reach.serial}) answers at its address.`)
  const elsewhere = movesTo(reach, planned)
  if (elsewhere)
    return stale(
      `${ref} answers at ${reach.address} and is planned at ${elsewhere}. Move it there under Reach, or plan the address that it has.`,
    )
  if (Math.abs(reach.clockOffsetMs) > limits.clockS * 1000)
    return stale(`The clock of ${ref} is ${offsetText(reach.clockOffsetMs)} s off.`)
  if (reach.zoneWanted !== undefined && reach.zoneHeld !== reach.zoneWanted)
    return stale(
      `${ref} keeps the time zone ${reach.zoneHeld || 'that it left the factory with'}; the job wants ${reach.zoneWanted}.`,
    )
  if (!reach.firmwareAccepted)
    return { sign: 'underWay', share: 0.9, says: `Nobody has accepted firmware ${reach.firmware} of ${ref}.` }
  return { sign: 'given', share: 1, says: `${ref} answers at ${reach.address}.` }
}

/** How far a clock is off in seconds, without a sign where there is nothing to sign. @param offsetMs device less ours */
export function offsetText(offsetMs: number): string {
  const text = (offsetMs / 1000).toFixed(1)
  return text === '-0.0' ? '0.0' : text
}
