import { boardOf } from '../devices/board'
import { sheetOf, type Sheets } from '../devices/sheet'
import { isItsController } from '../doors/ownUnit'
import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import type { PortDemand } from '../power/ethernet'
import type { Unit } from '../power/records'

/** A device that takes its power from the network, and how it is called. */
export interface NetworkFed {
  id: string
  ref: string
  what: string
  draw: { restW: number; peakW: number; class: number }
}

/** Every planned device that asks for network power. */
export function networkFed(facts: Facts, sheets: Sheets): NetworkFed[] {
  const found: NetworkFed[] = []
  const add = (id: string, ref: string, sheet: { name: string; network?: NetworkFed['draw'] }) => {
    if (sheet.network) found.push({ id, ref, what: sheet.name, draw: sheet.network })
  }
  for (const c of all(facts, 'controller')) add(`controller/${c.id}`, c.ref, boardOf(sheets, c))
  for (const u of all(facts, 'unit')) add(`unit/${u.id}`, u.ref, sheetOf(sheets, u.sheet))
  for (const d of all(facts, 'door'))
    for (const p of d.parts)
      if (p.fed !== 'own' && !isItsController(d, p, facts.controller, sheets))
        add(`part/${d.id}/${p.id}`, `${d.ref} ${p.id}`, sheetOf(sheets, p.sheet))
  return found.sort(byRef)
}

/** What a switch or a midspan is asked for on each port. */
export function demandsOf(facts: Facts, unit: Unit, sheets: Sheets): PortDemand[] {
  const fed = new Map(networkFed(facts, sheets).map((f) => [f.id, f]))
  return all(facts, 'unitFeed')
    .filter((f) => f.unit === unit.id)
    .flatMap((f) => {
      const device = fed.get(f.id)
      return device ? [{ consumer: device.ref, port: f.port, lengthM: f.lengthM, draw: device.draw }] : []
    })
}
