import {
  all,
  busClaimSteps,
  busDeviceOf,
  partDeviceId,
  put,
  stepsToDo,
  type BusDevice,
  type Claim,
  type Facts,
  type Reach,
  type Sheets,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

const of = { door: id, part: id }
const refOf = (facts: Facts, p: { door: string; part: string }): string => `${facts.door[p.door]?.ref ?? ''} ${p.part}`

/** @throws Refusal */
function deviceOf(facts: Facts, sheets: Sheets, p: { door: string; part: string }): BusDevice {
  const door = existing(facts.door[p.door], 'door', p.door)
  const device = busDeviceOf(facts, sheets, partDeviceId(p.door, p.part))
  if (!device)
    throw new Refusal(
      `${door.ref} has no ${p.part} on a bus of its controller. Place the door on a controller first, under Plan.`,
      'part',
    )
  return device
}

export const busDeviceTake = defineCommand<{ door: string; part: string }>()({
  name: 'busDevice.take',
  live: true,
  roles: everyFitter,
  schema: object(of),
  apply(facts, p, { by, at, sheets }) {
    const device = deviceOf(facts, sheets, p)
    const controller = existing(facts.controller[device.controller], 'controller', device.controller)
    if (!facts.reach[controller.id]?.owned)
      throw new Refusal(
        `${device.ref} is reached through ${controller.ref}, which is not in service yet. Take that into service first.`,
      )
    if (!device.port) throw new Refusal(`${device.ref} is on no bus of ${controller.ref} yet. Wire it under Plan.`)
    if (device.address === null)
      throw new Refusal(`${device.ref} has no address on its bus yet. Give it one under Addresses.`)
    const earlier = facts.claim[device.id]
    const goesOn = earlier?.steps.some((s) => s.state !== 'done') ? earlier : undefined
    const claim: Claim = goesOn
      ? { ...goesOn, steps: goesOn.steps.map((s) => (s.state === 'done' ? s : { ...s, state: 'todo', says: '' })) }
      : {
          id: device.id,
          found: '',
          steps: stepsToDo(busClaimSteps, at),
          eraseAgreed: null,
          resetStep: -1,
          startedBy: by,
        }
    return [put(facts, 'claim', claim)]
  },
  words: (f, p) => `Began taking ${refOf(f, p)} into service`,
})

export const busDeviceAccept = defineCommand<{ door: string; part: string }>()({
  name: 'busDevice.acceptFirmware',
  roles: everyFitter,
  schema: object(of),
  apply(facts, p, { by, at, sheets }) {
    const device = deviceOf(facts, sheets, p)
    const reach = facts.reach[device.id]
    if (!reach) throw new Refusal(`The firmware of ${device.ref} has not been read yet.`)
    return [put(facts, 'reach', { ...reach, firmwareAccepted: { by, at, on: reach.firmware } })]
  },
  words: (f, p) => `Accepted firmware ${f.reach[partDeviceId(p.door, p.part)]?.firmware ?? ''} of ${refOf(f, p)}`,
})

/** Who accepted a firmware for another device of the same type: a door with it is as good as the next. */
export function acceptedElsewhere(
  facts: Facts,
  sheets: Sheets,
  device: BusDevice,
  firmware: string,
): Reach['firmwareAccepted'] {
  const same = (reach: Reach) =>
    reach.firmware === firmware && busDeviceOf(facts, sheets, reach.id)?.sheet.id === device.sheet.id
  return all(facts, 'reach').find((reach) => reach.firmwareAccepted && same(reach))?.firmwareAccepted ?? null
}
