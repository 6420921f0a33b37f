import { boardOf } from '../devices/board'
import type { Done } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import { checkOff } from '../cabinets/checkoff'
import { all, type Facts } from '../job/facts'
import { byRef, byWalk, inNameOrder } from '../job/order'
import { inCurrentOrder, netOf } from '../wiring/conductors'
import { coresOf, coreWords } from '../wiring/cores'
import { endedBy } from '../wiring/records'

/** One conductor with both its ends, as the wire sheet of its door tells it. */
export interface ConductorRow {
  door: string
  part: string
  lead: string
  /** Empty: it has none and is metered first. */ colour: string
  cable: string
  core: string
  controller: string
  cabinet: string
  terminal: string
  label: string
  ended: Done | null
}

/** Every conductor of the job: doors as they are walked, each door's as the current runs. Doors without a controller have none. */
export function conductorList(facts: Facts, sheets: Sheets): ConductorRow[] {
  return all(facts, 'door')
    .sort(byWalk)
    .flatMap((door) => {
      const controller = facts.controller[door.placement?.controller ?? '']
      if (!controller) return []
      const net = netOf(door, boardOf(sheets, controller), sheets)
      const cores = new Map(door.cables.map((c) => [c.id, coresOf(c, net.conductors)]))
      return inCurrentOrder(net.conductors).map((c): ConductorRow => {
        return {
          door: door.ref,
          part: c.part,
          lead: c.leadName,
          colour: c.colour,
          cable: c.cable,
          core: coreWords(cores.get(c.cable)?.of[c.id]),
          controller: controller.ref,
          cabinet: controller.cabinet,
          terminal: c.terminal.id,
          label: c.terminal.label,
          ended: endedBy(facts.tick[`${door.id}/${c.cable}`], c.id),
        }
      })
    })
}

/** One thing to check off in a cabinet. */
export interface CheckRow {
  cabinet: string
  controller: string
  says: string
  done: Done | null
}

/** The check-off of every cabinet, each item after what comes before it. */
export function checkList(facts: Facts, sheets: Sheets): CheckRow[] {
  return all(facts, 'controller')
    .sort((a, b) => inNameOrder(a.cabinet, b.cabinet) || byRef(a, b))
    .flatMap((c) =>
      checkOff(c, facts, sheets).map((item): CheckRow => ({
        cabinet: c.cabinet,
        controller: c.ref,
        says: item.says,
        done: facts.cabinet[c.id]?.done[item.id] ?? null,
      })),
    )
}
