import {
  drop,
  isItsController,
  proposePlacement,
  put,
  smallestSupply,
  unitWanted,
  all,
  type Change,
  type Controller,
  type Door,
  type Facts,
  type Sheets,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, name, object, Refusal } from './command'
import { putController } from './devices'

/**
 * A door with its new place. One that is placed on its own door station or wall unit hands over what that part of it had: its address,
 * where the controller has none yet, and its port of a network switch.
 * @param controllers as they are planned with this change
 */
export function placeDoor(
  facts: Facts,
  door: Door,
  controllers: Readonly<Record<string, Controller>>,
  sheets: Sheets,
): Change[] {
  const unit = door.parts.find((p) => isItsController(door, p, controllers, sheets))
  const controller = controllers[door.placement?.controller ?? '']
  if (!unit || !controller) return [put(facts, 'door', door)]
  const { ip, ...rest } = unit
  const plugged = facts.unitFeed[`part/${door.id}/${unit.id}`]
  const to = `controller/${controller.id}`
  return [
    ...(ip && !controller.address ? [put(facts, 'controller', { ...controller, address: ip })] : []),
    ...(plugged && !facts.unitFeed[to] ? [put(facts, 'unitFeed', { ...plugged, id: to })] : []),
    ...(plugged ? drop(facts, 'unitFeed', plugged.id) : []),
    put(facts, 'door', { ...door, parts: door.parts.map((p) => (p.id === unit.id ? rest : p)) }),
  ]
}

export const doorPlaceOnUnit = defineCommand<{ door: string; controller: string; ref: string }>()({
  name: 'door.placeOnUnit',
  roles: everyFitter,
  schema: object({ door: id, controller: id, ref: name }),
  apply(facts, p, { sheets }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    const unit = unitWanted(door, sheets)
    if (!unit) throw new Refusal(`No reader of ${door.ref} drives a lock by itself. Place it on a controller.`, 'door')
    if (facts.controller[p.controller]) throw new Refusal(`${p.controller} is planned already.`, 'controller')
    const planned: Controller = {
      id: p.controller,
      ref: p.ref,
      sheet: unit.sheet,
      cabinet: `${door.ref} wall`,
      supply: supplyFor(facts, sheets),
      address: unit.ip ?? '',
      serial: '',
      mac: '',
    }
    const controllers = { ...facts.controller, [planned.id]: planned }
    const proposal = proposePlacement(door, planned, sheets, all(facts, 'door'))
    if (!proposal.ok) throw new Refusal(proposal.says)
    return [
      putController(facts, planned, sheets),
      ...placeDoor(facts, { ...door, placement: proposal.placement }, controllers, sheets),
    ]
  },
  words: (f, p) => `Placed ${f.door[p.door]?.ref ?? p.door} on its own unit, ${p.ref}`,
})

/** Kept for the day on which the unit is fed by a supply after all: the one that the other controllers have, or the smallest. */
const supplyFor = (facts: Facts, sheets: Sheets): string =>
  all(facts, 'controller').find((c) => sheets[c.supply]?.supply)?.supply ?? smallestSupply(sheets)
