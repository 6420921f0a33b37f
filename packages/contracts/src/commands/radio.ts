import {
  all,
  applyChanges,
  cardFault,
  cardName,
  drop,
  hubClaimSteps,
  isTestCard,
  lockClaimSteps,
  ownerOf,
  placesLeft,
  partDeviceId,
  put,
  radioDeviceOf,
  radioHubs,
  radioLocks,
  spreadLocks,
  unitDeviceId,
  type Change,
  type Controller,
  type Door,
  type Facts,
  type Part,
  type RadioDevice,
  type RadioHub,
  type Sheets,
  type StoredCard,
} from '@rauta/core'
import { acceptFirmware, takeOrGoOn } from './behind'
import { card, optionalOfCard } from './cards'
import { putController } from './devices'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

const withPart = (facts: Facts, door: Door, part: string, change: (part: Part) => Part): Change =>
  put(facts, 'door', { ...door, parts: door.parts.map((p) => (p.id === part ? change(p) : p)) })
const withoutRadio = ({ radio: _gone, ...part }: Part): Part => part

const withoutHub = (controller: Controller, unit: string): Controller => ({
  ...controller,
  hubs: (controller.hubs ?? []).filter((h) => h.unit !== unit),
})
/** Takes a hub off a controller; nothing where it hangs on none. */
const off = (facts: Facts, controller: Controller | null | undefined, unit: string): Change[] =>
  controller ? [put(facts, 'controller', withoutHub(controller, unit))] : []

/** What is known of a hub goes with it: the controller that it hangs on, the locks that it joins, its taking. */
export function offTheAir(facts: Facts, unit: string): Change[] {
  const on = all(facts, 'controller').find((c) => c.hubs?.some((h) => h.unit === unit))
  const joined = all(facts, 'door').filter((d) => d.parts.some((p) => p.radio?.hub === unit))
  return [
    ...off(facts, on, unit),
    ...joined.map((d) =>
      put(facts, 'door', { ...d, parts: d.parts.map((p) => (p.radio?.hub === unit ? withoutRadio(p) : p)) }),
    ),
    ...(['claim', 'reach'] as const).flatMap((kind) => drop(facts, kind, unitDeviceId(unit))),
  ]
}

/** @throws Refusal */
function hubNamed(facts: Facts, sheets: Sheets, unit: string): RadioHub {
  const hub = radioHubs(facts, sheets).find((h) => h.unit.id === unit)
  if (hub) return hub
  throw new Refusal(`${facts.unit[unit]?.ref ?? unit} is no hub for wireless locks. Choose one.`, 'hub')
}

export const hubHang = defineCommand<{ hub: string; controller: string | null; address?: number }>()({
  name: 'hub.hang',
  roles: everyFitter,
  schema: object(
    { hub: id, controller: { anyOf: [id, { type: 'null' }] }, address: { type: 'integer', minimum: 0, maximum: 63 } },
    ['address'],
  ),
  apply(facts, p, { sheets }) {
    const hub = hubNamed(facts, sheets, p.hub)
    if (p.controller === null) return off(facts, hub.controller, p.hub)
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const others = withoutHub(controller, p.hub).hubs ?? []
    const taken = new Set(others.map((h) => h.address))
    const free = Array.from({ length: 64 }, (_, i) => i + 1).find((a) => !taken.has(a)) ?? 1
    const elsewhere = hub.controller?.id === controller.id ? [] : off(facts, hub.controller, p.hub)
    // As every other controller it has to be one that its sheet and its neighbours allow.
    const next = { ...controller, hubs: [...others, { unit: p.hub, address: p.address ?? free }] }
    return [...elsewhere, putController(applyChanges(facts, elsewhere, facts.rev), next, sheets)]
  },
  words: (f, p) =>
    p.controller === null
      ? `Took ${f.unit[p.hub]?.ref ?? p.hub} off its controller`
      : `Hung ${f.unit[p.hub]?.ref ?? p.hub} on ${f.controller[p.controller]?.ref ?? p.controller}`,
})

/** @throws Refusal */
function lockNamed(facts: Facts, sheets: Sheets, p: { door: string; part: string }) {
  const door = existing(facts.door[p.door], 'door', p.door)
  const lock = radioDeviceOf(facts, sheets, partDeviceId(p.door, p.part))
  if (lock?.kind !== 'lock') throw new Refusal(`${door.ref} has no wireless lock ${p.part}.`, 'part')
  return lock
}

export const lockJoin = defineCommand<{ door: string; part: string; hub: string | null; place?: number }>()({
  name: 'lock.join',
  roles: everyFitter,
  schema: object(
    { door: id, part: id, hub: { anyOf: [id, { type: 'null' }] }, place: { type: 'integer', minimum: 1, maximum: 64 } },
    ['place'],
  ),
  apply(facts, p, { sheets }) {
    const lock = lockNamed(facts, sheets, p)
    if (p.hub === null) return [withPart(facts, lock.door, p.part, withoutRadio)]
    const hub = hubNamed(facts, sheets, p.hub)
    if (!lock.controller)
      throw new Refusal(`${lock.door.ref} is on no controller yet. Place it first, under Plan.`, 'door')
    if (hub.controller?.id !== lock.controller.id)
      throw new Refusal(
        `${hub.ref} does not hang on ${lock.controller.ref}, where ${lock.door.ref} is. Choose a hub of it.`,
        'hub',
      )
    const others = radioLocks(facts, sheets).filter((l) => l.hub?.id === hub.id && l.id !== lock.id)
    const [free] = placesLeft(hub, others)
    const place = p.place ?? free
    if (place === undefined || place > hub.most)
      throw new Refusal(
        `${hub.ref} joins ${hub.most} locks${place === undefined ? ', and has as many' : ''}. Choose another ${place === undefined ? 'hub' : 'place'}.`,
        place === undefined ? 'hub' : 'place',
      )
    const other = others.find((l) => l.place === place)
    if (other) throw new Refusal(`Place ${place} of ${hub.ref} has ${other.ref} already. Choose another.`, 'place')
    return [withPart(facts, lock.door, p.part, (part) => ({ ...part, radio: { hub: hub.unit.id, place } }))]
  },
  words: (f, p) =>
    `${f.door[p.door]?.ref ?? p.door} ${p.part} ${p.hub === null ? 'is at no hub' : `is at hub ${f.unit[p.hub]?.ref ?? p.hub}`}`,
})

export const radioSpread = defineCommand<{ controller: string }>()({
  name: 'radio.spread',
  roles: everyFitter,
  schema: object({ controller: id }),
  apply(facts, p, { sheets }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const { placed, left } = spreadLocks(facts, sheets, controller)
    if (placed.length === 0)
      throw new Refusal(
        left.length
          ? `${left.length} wireless locks of ${controller.ref} find no place: its hubs are full, or none hangs on it. Hang another hub on it.`
          : `Every wireless lock of ${controller.ref} has its hub already.`,
      )
    return placed.map(({ lock, hub, place }) =>
      withPart(facts, lock.door, lock.part.id, (part) => ({ ...part, radio: { hub: hub.unit.id, place } })),
    )
  },
  words: (f, p) => `Gave the wireless locks of ${f.controller[p.controller]?.ref ?? p.controller} their hubs`,
})

export const radioPlanPut = defineCommand<{ standby: StoredCard | null }>()({
  name: 'radioPlan.put',
  roles: everyFitter,
  schema: object({ standby: { anyOf: [object(card, optionalOfCard), { type: 'null' }] } }),
  apply(facts, { standby }) {
    if (standby) {
      const fault = cardFault(standby)
      if (fault) throw new Refusal(fault, 'standby')
      const owner = ownerOf(facts, standby, '')
      if (owner)
        throw new Refusal(
          `Card ${cardName(standby)} belongs to ${owner}. A standby credential is nobody’s: it lies in an envelope. Take another.`,
          'standby',
        )
      if (isTestCard(facts, standby))
        throw new Refusal(`Card ${cardName(standby)} is one of the test cards. Take another.`, 'standby')
    }
    return [put(facts, 'radioPlan', { id: 'site', standby })]
  },
  words: (_f, p) => (p.standby ? `Standby credential ${cardName(p.standby)}` : 'No standby credential'),
})

/** @throws Refusal */
function deviceNamed(facts: Facts, sheets: Sheets, named: string): RadioDevice {
  const device = radioDeviceOf(facts, sheets, named)
  if (device) return device
  throw new Refusal('There is no such hub and no such wireless lock in the plan any more.', 'device')
}

/** Why a hub or a lock can't be taken into service yet, in words; null where nothing is against it. */
function notYet(facts: Facts, device: RadioDevice): string | null {
  const { controller } = device
  if (!controller)
    return device.kind === 'hub'
      ? `${device.ref} hangs on no controller yet. Hang it on one, under Radio.`
      : `${device.door.ref} is on no controller yet. Place it first, under Plan.`
  if (!facts.reach[controller.id]?.owned)
    return `${device.ref} is reached through ${controller.ref}, which is not in service yet. Take that into service first.`
  if (device.kind === 'hub') return null
  if (!device.hub) return `${device.ref} is at no hub yet. Give it one, under Radio.`
  return facts.reach[device.hub.id]?.owned
    ? null
    : `${device.ref} is paired through ${device.hub.ref}, which is not in service yet. Take that into service first.`
}

const radioDeviceId = { type: 'string', pattern: '^[^/]{1,60}/[^/]{1,60}$' } as const

export const radioTake = defineCommand<{ device: string }>()({
  name: 'radioDevice.take',
  live: true,
  roles: everyFitter,
  schema: object({ device: radioDeviceId }),
  apply(facts, p, { by, at, sheets }) {
    const device = deviceNamed(facts, sheets, p.device)
    const fault = notYet(facts, device)
    if (fault) throw new Refusal(fault)
    const steps = device.kind === 'hub' ? hubClaimSteps : lockClaimSteps
    return [takeOrGoOn(facts, device, steps, { by, at })]
  },
  words: (_f, p) => `Began taking ${p.device.replace('unit/', '').replace('/', ' ')} into service`,
})

export const radioAccept = defineCommand<{ device: string }>()({
  name: 'radioDevice.acceptFirmware',
  roles: everyFitter,
  schema: object({ device: radioDeviceId }),
  apply(facts, p, { by, at, sheets }) {
    return [acceptFirmware(facts, deviceNamed(facts, sheets, p.device), { by, at })]
  },
  words: (f, p) =>
    `Accepted firmware ${f.reach[p.device]?.firmware ?? ''} of ${p.device.replace('unit/', '').replace('/', ' ')}`,
})
