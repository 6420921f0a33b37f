import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { switchesFor } from '../devices/coding'
import type { Cable, Door, Part } from '../doors/door'
import { leadsToController } from './chain'
import { coresOf, coreWords } from './cores'
import { netOf, type Net } from './conductors'

/** Something to do at one end that is no conductor on a terminal. `at`: the cable it is about, or empty for the whole door. */
export interface Hint {
  kind:
    | 'spareLead'
    | 'spareCore'
    | 'empty'
    | 'screen'
    | 'ends'
    | 'suppression'
    | 'jumper'
    | 'switches'
    | 'noColour'
    | 'converter'
    | 'strip'
  cable: string
  part: string
  says: string
}

/** Everything besides the conductors that the hand at the door and at the cabinet must know, in the order of the cables. */
export function wireHints(door: Door, controller: Controller, sheets: Sheets): Hint[] {
  const board = boardOf(sheets, controller)
  const net = netOf(door, board, sheets)
  const perCable = door.cables.flatMap((cable) => {
    const part = door.parts.find((p) => p.id === cable.part)
    return part ? hintsOf(door, part, cable, net, board, sheets) : []
  })
  const bare = door.parts
    .filter((p) => !door.cables.some((c) => c.part === p.id))
    .flatMap((p) => settings(p, '', sheets))
  const empty = emptyTerminals(net, board)
  const strip: Hint = {
    kind: 'strip',
    cable: '',
    part: '',
    says: `${controller.ref}: terminal 1 is at the ${board.controller?.terminalOneAt ?? 'left'}, its text upright.`,
  }
  return [
    ...perCable,
    ...bare,
    ...(net.conductors.length ? [strip] : []),
    ...(empty.length
      ? [
          {
            kind: 'empty' as const,
            cable: '',
            part: '',
            says: `Leave empty: ${empty.map((t) => `${t.id} (${t.label})`).join(', ')}.`,
          },
        ]
      : []),
  ]
}

function hintsOf(door: Door, part: Part, cable: Cable, net: Net, board: DeviceSheet, sheets: Sheets): Hint[] {
  const sheet = sheetOf(sheets, part.sheet)
  const mine = net.conductors.filter((c) => c.cable === cable.id)
  const hint = (kind: Hint['kind'], says: string): Hint => ({ kind, cable: cable.id, part: part.id, says })
  const found: Hint[] = []
  if (part.via)
    found.push(
      hint(
        'converter',
        `${part.id} goes through ${sheetOf(sheets, part.via).name}: its leads on the converter’s screws, the converter’s on ${cable.id}.`,
      ),
    )
  for (const lead of leadsToController(part, sheets))
    if (!mine.some((c) => c.lead === lead.id))
      found.push(
        hint(
          'spareLead',
          `${part.id} ${lead.name}${lead.colour ? ` (${lead.colour})` : ''} goes nowhere: insulate it.`,
        ),
      )
  const { spare } = coresOf(cable, mine)
  if (mine.length > 0 && spare.length > 0)
    found.push(
      hint(
        'spareCore',
        `${cable.id} ${coreWords(spare)} ${spare.length === 1 ? 'is' : 'are'} spare: leave ${spare.length === 1 ? 'it' : 'them'} as long as the rest, insulated at both ends.`,
      ),
    )
  if ((cable.type.perConductor ?? 1) > 1)
    found.push(
      hint('spareCore', `${cable.id}: ${cable.type.perConductor} cores side by side for each conductor, both ends.`),
    )
  if (mine.some((c) => ['d0', 'd1', 'busA', 'busB'].includes(c.terminal.kind)))
    found.push(hint('screen', `Screen of ${cable.id}: on earth at the cabinet only, insulated at ${part.id}.`))
  if (mine.length > 0 && leadsToController(part, sheets).some((l) => l.colour === '' && /[+-]$/.test(l.kind)))
    found.push(
      hint(
        'noColour',
        `${part.id} has leads without colours: find plus and minus with a meter before they go on. A striped lead is often minus.`,
      ),
    )
  if (door.ends && board.controller?.supervised && sheet.leads.some((l) => l.kind === 'contactA'))
    found.push(
      hint(
        'ends',
        `${part.id}: ${door.ends.seriesOhm} Ω in series with the contact, ${door.ends.parallelOhm} Ω across it, both inside the device.`,
      ),
    )
  const plus = sheet.leads.find((l) => l.kind === 'lock+')
  if (sheet.lock && plus)
    found.push(
      hint(
        'suppression',
        sheet.lock.suppressionMs === undefined
          ? `Diode across ${part.id} at the lock: its ring on ${plus.name}${plus.colour ? ` (${plus.colour})` : ''}. Without it the coil’s kick wears the relay.`
          : `${part.id} brings its own suppression: add none.`,
      ),
    )
  return [...found, ...settings(part, cable.id, sheets)]
}

/** How its jumpers and switches stand. */
function settings(part: Part, cable: string, sheets: Sheets): Hint[] {
  const sheet = sheetOf(sheets, part.sheet)
  const found: Hint[] = (sheet.jumpers ?? []).map((j) => ({
    kind: 'jumper',
    cable,
    part: part.id,
    says: `${part.id} jumper ${j.id}, ${j.says}: ${j.positions.join(' or ')}. From the factory: ${j.factory}.`,
  }))
  if (sheet.coding && part.address !== undefined) {
    const set = switchesFor(sheet.coding, part.address)
    found.push({
      kind: 'switches',
      cable,
      part: part.id,
      says: set.ok ? `${part.id} address ${part.address}: ${set.words}.` : `${part.id}: ${set.says}`,
    })
  }
  return found
}

/** Screws of the ports that this door uses which stay empty. */
export function emptyTerminals(net: Net, board: DeviceSheet): { id: string; label: string }[] {
  const used = new Set([...net.conductors.map((c) => c.terminal.id), ...net.links.flatMap((l) => [l.from.id, l.to.id])])
  const ports = new Set(net.conductors.map((c) => c.terminal.port))
  return board.terminals.filter((t) => ports.has(t.port) && !used.has(t.id))
}
