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
  partDeviceId,
  put,
  radioDeviceOf,
  radioHubs,
  radioLocks,
  spreadLocks,
  stepsToDo,
  unitDeviceId,
  type Change,
  type Claim,
  type Controller,
  type Door,
  type Facts,
  type Part,
  type RadioDevice,
  type RadioHub,
  type Reach,
  type Sheets,
  type StoredCard,
} from '@rauta/core'
import { card, optionalOfCard } from './cards'
import { putController } from './devices'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

const withPart = (facts: Facts, door: Door, part: string, change: (part: Part) => Part): Change =>
  put(facts, 'door', { ...door, parts: door.parts.map((p) => (p.id === part ? change(p) : p)) })
const withoutRadio = ({ radio: _gone, ...part }: Part): Part => part

/** What is known of a hub goes with it: the controller that it hangs on, the locks that it joins, its taking. */
export function offTheAir(facts: Facts, unit: string): Change[] {
  const on = all(facts, 'controller').find((c) => c.hubs?.some((h) => h.unit === unit))
  return [
    ...(on ? [put(facts, 'controller', { ...on, hubs: on.hubs?.filter((h) => h.unit !== unit) ?? [] })] : []),
    ...all(facts, 'door')
      .filter((d) => d.parts.some((p) => p.radio?.hub === unit))
      .map((d) =>
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

/** The hub, hung on a controller or taken off the one that it hangs on. */
function hung(facts: Facts, hub: RadioHub, controller: Controller | null, address: number): Change[] {
  const before = hub.controller
  const off = (c: Controller): Controller => ({ ...c, hubs: (c.hubs ?? []).filter((h) => h.unit !== hub.unit.id) })
  const on = (c: Controller): Controller => ({ ...c, hubs: [...(c.hubs ?? []), { unit: hub.unit.id, address }] })
  if (!controller) return before ? [put(facts, 'controller', off(before))] : []
  if (before?.id === controller.id) return [put(facts, 'controller', on(off(controller)))]
  return [...(before ? [put(facts, 'controller', off(before))] : []), put(facts, 'controller', on(controller))]
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
    if (p.controller === null) return hung(facts, hub, null, 0)
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const taken = new Set((controller.hubs ?? []).flatMap((h) => (h.unit === p.hub ? [] : [h.address])))
    const free = Array.from({ length: 64 }, (_, i) => i + 1).find((a) => !taken.has(a)) ?? 1
    const changes = hung(facts, hub, controller, p.address ?? free)
    const isItself = (c: Change) => c.kind === 'controller' && c.id === controller.id
    const elsewhere = changes.filter((c) => !isItself(c))
    // As every other controller it has to be one that its sheet and its neighbours allow.
    const next = changes.find(isItself)?.after as Controller
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
    const taken = new Map(
      radioLocks(facts, sheets).flatMap((l) =>
        l.hub?.id === hub.id && l.id !== lock.id ? [[l.place, l.ref] as const] : [],
      ),
    )
    const place = p.place ?? Array.from({ length: hub.most }, (_, i) => i + 1).find((n) => !taken.has(n))
    if (place === undefined || place > hub.most)
      throw new Refusal(
        `${hub.ref} joins ${hub.most} locks${place === undefined ? ', and has as many' : ''}. Choose another ${place === undefined ? 'hub' : 'place'}.`,
        place === undefined ? 'hub' : 'place',
      )
    const other = taken.get(place)
    if (other) throw new Refusal(`Place ${place} of ${hub.ref} has ${other} already. Choose another.`, 'place')
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
    const earlier = facts.claim[device.id]
    const goesOn = earlier?.steps.some((s) => s.state !== 'done') ? earlier : undefined
    const steps = device.kind === 'hub' ? hubClaimSteps : lockClaimSteps
    const claim: Claim = goesOn
      ? { ...goesOn, steps: goesOn.steps.map((s) => (s.state === 'done' ? s : { ...s, state: 'todo', says: '' })) }
      : { id: device.id, found: '', steps: stepsToDo(steps, at), eraseAgreed: null, resetStep: -1, startedBy: by }
    return [put(facts, 'claim', claim)]
  },
  words: (_f, p) => `Began taking ${p.device.replace('unit/', '').replace('/', ' ')} into service`,
})

export const radioAccept = defineCommand<{ device: string }>()({
  name: 'radioDevice.acceptFirmware',
  roles: everyFitter,
  schema: object({ device: radioDeviceId }),
  apply(facts, p, { by, at, sheets }) {
    const device = deviceNamed(facts, sheets, p.device)
    const reach = facts.reach[device.id]
    if (!reach) throw new Refusal(`The firmware of ${device.ref} has not been read yet.`)
    return [put(facts, 'reach', { ...reach, firmwareAccepted: { by, at, on: reach.firmware } })]
  },
  words: (f, p) =>
    `Accepted firmware ${f.reach[p.device]?.firmware ?? ''} of ${p.device.replace('unit/', '').replace('/', ' ')}`,
})

/** Who accepted a firmware for another device of the same type. */
export function radioFirmwareAccepted(
  facts: Facts,
  sheets: Sheets,
  device: RadioDevice,
  firmware: string,
): Reach['firmwareAccepted'] {
  const same = (reach: Reach) =>
    reach.firmware === firmware && radioDeviceOf(facts, sheets, reach.id)?.sheet.id === device.sheet.id
  return all(facts, 'reach').find((reach) => reach.firmwareAccepted && same(reach))?.firmwareAccepted ?? null
}
