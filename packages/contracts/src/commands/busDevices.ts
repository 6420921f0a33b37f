import { busClaimSteps, busDeviceOf, partDeviceId, type BusDevice, type Facts, type Sheets } from '@rauta/core'
import { acceptFirmware, takeOrGoOn } from './behind'
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
    return [takeOrGoOn(facts, device, busClaimSteps, { by, at })]
  },
  words: (f, p) => `Began taking ${refOf(f, p)} into service`,
})

export const busDeviceAccept = defineCommand<{ door: string; part: string }>()({
  name: 'busDevice.acceptFirmware',
  roles: everyFitter,
  schema: object(of),
  apply(facts, p, { by, at, sheets }) {
    return [acceptFirmware(facts, deviceOf(facts, sheets, p), { by, at })]
  },
  words: (f, p) => `Accepted firmware ${f.reach[partDeviceId(p.door, p.part)]?.firmware ?? ''} of ${refOf(f, p)}`,
})
