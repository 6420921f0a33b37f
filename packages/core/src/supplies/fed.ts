import type { Controller } from '../devices/records'
import { loopOhm } from '../power/run'

/** A board on a supply: the one that the supply stands beside, or one that is fed on from another board. */
export interface FedBoard {
  controller: Controller
  /** Null for the first. */ parent: string | null
  /** Ohms out and back of the run from the parent. */ ohm: number
}
export type Controllers = Readonly<Record<string, Controller>>

/** The controller whose supply feeds this one: itself, or the first of the chain. A chain that goes in a circle has no first: then itself. */
export function supplyOf(controller: Controller, controllers: Controllers): Controller {
  const seen = new Set<string>()
  let at = controller
  while (at.fedFrom) {
    if (seen.has(at.id)) return controller
    seen.add(at.id)
    const next = controllers[at.fedFrom.controller]
    if (!next) return controller
    at = next
  }
  return at
}

/** All boards on the supply that stands beside `first`, each after the one that feeds it. */
export function boardsOn(first: Controller, controllers: Controllers, celsius = 20): FedBoard[] {
  const fed = new Map<string, Controller[]>()
  for (const c of Object.values(controllers))
    if (c.fedFrom) fed.set(c.fedFrom.controller, [...(fed.get(c.fedFrom.controller) ?? []), c])
  const boards: FedBoard[] = [{ controller: first, parent: null, ohm: 0 }]
  const seen = new Set([first.id])
  for (let i = 0; i < boards.length; i++) {
    const parent = (boards[i] as FedBoard).controller
    for (const controller of fed.get(parent.id) ?? []) {
      if (seen.has(controller.id) || !controller.fedFrom) continue
      seen.add(controller.id)
      boards.push({
        controller,
        parent: parent.id,
        ohm: loopOhm(controller.fedFrom.type, controller.fedFrom.lengthM, celsius),
      })
    }
  }
  return boards
}

/** Why a controller may not be fed from there, in words; null where it may. */
export function feedFault(controller: Controller, controllers: Controllers): string | null {
  if (!controller.fedFrom) return null
  const from = controllers[controller.fedFrom.controller]
  if (!from) return 'The controller that shall feed it is not planned.'
  for (let at: Controller | undefined = from; at; at = at.fedFrom && controllers[at.fedFrom.controller]) {
    if (at.id === controller.id)
      return from.id === controller.id
        ? `${controller.ref} can’t feed itself. Choose another controller, or a supply of its own.`
        : `${from.ref} gets its power from ${controller.ref}: they would feed each other in a circle. Give one of them a supply of its own.`
  }
  return null
}
