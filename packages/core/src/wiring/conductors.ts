import { inNameOrder } from '../job/order'
import { partOf, type Door, type Part } from '../doors/door'
import type { DeviceSheet, Lead, Sheets, Terminal } from '../devices/sheet'
import { leadsToController } from './chain'

/** One conductor of the door's net, from a lead of a part to a numbered terminal. */
export interface Conductor {
  id: string
  cable: string
  part: string
  lead: string
  leadName: string
  colour: string
  terminal: Terminal
  /** Position in the lock's current path (1 feed, 2 ...), 0 for everything else. */
  step: number
}

/** The door's net: what the drawing draws, the table lists and the volts are worked out from. Empty while not placed. */
export interface Net {
  conductors: Conductor[]
  /** Links to be made at the strip, from terminal to terminal. */
  links: { from: Terminal; to: Terminal; says: string }[]
  /** Leads that go on no terminal and are insulated. */
  spares: { part: string; lead: Lead }[]
  /** Cables the lock's current runs through. */
  lockPath: string[]
}

/** @param opened conductors that are cut, by id: they are in no drawing, no table and no circuit */
export function netOf(
  door: Door,
  controller: DeviceSheet,
  sheets: Sheets,
  opened: ReadonlySet<string> = new Set(),
): Net {
  const placement = door.placement
  if (!placement) return { conductors: [], links: [], spares: [], lockPath: [] }
  const byId = new Map(controller.terminals.map((t) => [t.id, t]))
  const conductors = door.parts
    .flatMap((part) => conductorsOf(door, part, leadsToController(part, sheets), byId))
    .filter((c) => !opened.has(c.id))
  const lock = partOf(door, 'lock')
  const breakGlass = partOf(door, 'breakGlass')
  const links: Net['links'] = []
  if (lock && !breakGlass) {
    const inGroup = (kind: Terminal['kind']) =>
      controller.terminals.find((t) => t.group === placement.portGroup && t.kind === kind)
    const from = inGroup('feed+')
    const to = inGroup('relayC')
    if (from && to) links.push({ from, to, says: `Link ${from.id} (${from.label}) to ${to.id} (${to.label})` })
  }
  const lockPath = [breakGlass, lock, partOf(door, 'lock2')].flatMap((part) =>
    part ? door.cables.filter((c) => c.part === part.id).map((c) => c.id) : [],
  )
  const spares = door.parts.flatMap((part) =>
    leadsToController(part, sheets)
      .filter((lead) => !byId.has(placement.terminals[`${part.id}.${lead.id}`] ?? ''))
      .map((lead) => ({ part: part.id, lead })),
  )
  return { conductors, links, spares, lockPath }
}

function conductorsOf(
  door: Door,
  part: Part,
  leads: readonly Lead[],
  terminals: ReadonlyMap<string, Terminal>,
): Conductor[] {
  const cable = door.cables.find((c) => c.part === part.id)?.id ?? ''
  return leads.flatMap((lead) => {
    const terminal = terminals.get(door.placement?.terminals[`${part.id}.${lead.id}`] ?? '')
    if (!terminal) return []
    const step = { break1: 1, break2: 2, 'lock+': 3, 'lock-': 4 }[lead.kind as string] ?? 0
    return [
      {
        id: `${part.id}.${lead.id}`,
        cable,
        part: part.id,
        lead: lead.id,
        leadName: lead.name,
        colour: lead.colour,
        terminal,
        step,
      },
    ]
  })
}

/** The table's order: the lock's circuit as the current runs, then the rest by terminal. */
export function inCurrentOrder(conductors: readonly Conductor[]): Conductor[] {
  const rank = (c: Conductor) => (c.step ? c.step : 100)
  return [...conductors].sort((a, b) => rank(a) - rank(b) || inNameOrder(a.terminal.id, b.terminal.id))
}
