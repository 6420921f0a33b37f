import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { partOf, type Door, type Part } from '../doors/door'
import { coreMm2 } from '../power/conductor'
import { loopOhm } from '../power/run'
import { supervisionFaults } from '../power/supervised'
import { note, stop, warn, type Finding } from '../job/finding'
import { longestReaderRunM } from '../siting/length'
import { chainFaults, leadsToController } from './chain'

/** Whether what was chosen is made for this door, this supply, these screws and this distance. */
export function fitFindings(door: Door, controllers: Readonly<Record<string, Controller>>, sheets: Sheets): Finding[] {
  const controller = door.placement ? controllers[door.placement.controller] : undefined
  const board = controller ? boardOf(sheets, controller) : null
  return door.parts
    .flatMap((part) => {
      const sheet = sheetOf(sheets, part.sheet)
      return [
        ...placeFit(door, part, sheet),
        ...batteryFit(door, part, sheet),
        ...cableFit(door, part, sheet, board, sheets),
        ...supplyFit(part, sheet, board),
        ...chainFit(part, sheets, board),
        ...supervisedFit(door, part, sheet, board),
      ]
    })
    .concat(outdoorNotes(door))
}

/** Roles that sit on the unsecured side, where an outer door has weather. */
const outside: ReadonlySet<string> = new Set(['entryReader'])
const openSky: ReadonlySet<string> = new Set(['gate', 'padlock'])

function placeFit(door: Door, part: Part, sheet: DeviceSheet): Finding[] {
  const wet = door.outdoor && (outside.has(part.role) || openSky.has(door.opening ?? 'door'))
  return wet && sheet.place === 'indoor'
    ? [
        stop(
          'plan',
          'indoor-outside',
          `${part.id} ${sheet.name} is made for indoors, and this door’s unsecured side is out of doors. Choose one for outdoors.`,
          part.id,
        ),
      ]
    : []
}

function batteryFit(door: Door, part: Part, sheet: DeviceSheet): Finding[] {
  const most = sheet.ownBattery?.passagesPerDay
  if (most === undefined || door.passagesPerDay <= most) return []
  return [
    warn(
      'plan',
      'battery-passages',
      `${door.passagesPerDay} passages a day; ${sheet.name} runs on ${sheet.ownBattery?.cells} and suits ${most}. Wire this door, or plan to change its cells often.`,
      part.id,
    ),
  ]
}

function cableFit(door: Door, part: Part, sheet: DeviceSheet, board: DeviceSheet | null, sheets: Sheets): Finding[] {
  const cable = door.cables.find((c) => c.part === part.id)
  const leads = leadsToController(part, sheets)
  if (!cable || leads.length === 0) return []
  const found: Finding[] = []
  const needed = leads.length * (cable.type.perConductor ?? 1)
  if (cable.type.cores < needed)
    found.push(
      stop(
        'plan',
        'cores',
        `${cable.id} has ${cable.type.cores} cores; ${part.id} needs ${needed}. Take a cable with more${(cable.type.perConductor ?? 1) > 1 ? ', or fewer cores a conductor' : ''}.`,
        cable.id,
      ),
    )
  const mm2 = coreMm2(cable.type)
  for (const [key, id] of Object.entries(door.placement?.terminals ?? {})) {
    const screw = key.startsWith(`${part.id}.`) ? board?.terminals.find((t) => t.id === id) : undefined
    const most = screw?.mostMm2
    if (most !== undefined && mm2 > most) {
      found.push(
        stop(
          'plan',
          'thick',
          `${cable.id} has cores of ${Number(mm2.toFixed(2))} mm²; terminal ${id} takes ${most} mm². End it on a thinner tail, or take a thinner cable.`,
          cable.id,
        ),
      )
      break
    }
  }
  const longest = longestReaderRunM({ ...door, parts: [part] }, sheets)
  if (isKind(sheet, 'reader') && cable.lengthM > longest)
    found.push(
      stop(
        'plan',
        'distance',
        `${cable.id} is ${cable.lengthM} m; what ${part.id} speaks reaches ${longest} m. ${sheet.reading?.by === 'wiegand' ? 'Take a reader on a bus, or a cabinet nearer to the door.' : 'Plan a cabinet nearer to the door.'}`,
        cable.id,
      ),
    )
  return found
}

function supplyFit(part: Part, sheet: DeviceSheet, board: DeviceSheet | null): Finding[] {
  const feed = board?.feeds?.volts ?? board?.controller?.feedVolts
  if (!board || feed === undefined || !sheet.leads.some((l) => l.kind === 'supply+')) return []
  const range = sheet.operatingV
  if (range && (feed < range.least || feed > range.most))
    return [
      stop(
        'plan',
        'volts-range',
        `${part.id} works from ${range.least} V to ${range.most} V; this controller feeds ${feed} V.`,
        part.id,
      ),
    ]
  return []
}

/** The chain from the reader to the controller, through what stands between. */
function chainFit(part: Part, sheets: Sheets, board: DeviceSheet | null): Finding[] {
  return chainFaults(part, sheets, board?.feeds?.volts ?? board?.controller?.feedVolts).map((says) =>
    stop('plan', 'chain', says, part.id),
  )
}

/** Whether a supervised pair tells its four states apart at the end of its cable. */
function supervisedFit(door: Door, part: Part, sheet: DeviceSheet, board: DeviceSheet | null): Finding[] {
  const thresholds = board?.controller?.supervised
  const cable = door.cables.find((c) => c.part === part.id)
  if (!door.ends || !thresholds || !cable || !sheet.leads.some((l) => l.kind === 'contactA')) return []
  return supervisionFaults(door.ends, loopOhm(cable.type, cable.lengthM), thresholds, door.ends.at).map((says) =>
    stop('plan', 'supervised', `${part.id}: ${says}`, part.id),
  )
}

function outdoorNotes(door: Door): Finding[] {
  const found: Finding[] = []
  for (const part of door.parts)
    if (part.fed === 'own')
      found.push(
        note(
          'plan',
          'own-supply',
          `${part.id} has a supply of its own: join its 0 V with the controller’s, and never its plus.`,
          part.id,
        ),
      )
  if (door.outdoor && door.cables.length > 0)
    found.push(
      note(
        'plan',
        'outdoor-run',
        'Cables to this door run out of doors: screens earthed at the cabinet only, surge protection where they come in, protective earth on metal frames.',
      ),
    )
  return found
}

/** A break glass whose second pole goes nowhere lets the opening show as forced. */
export function secondPoleFinding(door: Door, sheets: Sheets): Finding[] {
  const glass = partOf(door, 'breakGlass')
  if (!glass) return []
  const tells = sheetOf(sheets, glass.sheet).leads.some((l) => l.kind === 'contactA')
  return tells
    ? []
    : [
        warn(
          'plan',
          'glass-silent',
          'The break glass has no second pole to an input: when it is broken, the opening shows as forced.',
          glass.id,
        ),
      ]
}

/** Whether somebody can ask to come in: a reader, or a device that is one among other things. */
export const readsCards = (door: Door, sheets: Sheets): boolean =>
  door.parts.some((p) => isKind(sheetOf(sheets, p.sheet), 'reader'))
