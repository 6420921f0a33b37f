import type { Door, Part, Placement } from '../doors/door'
import { boardOf } from '../devices/board'
import { ownUnitOf, unitFault } from '../doors/ownUnit'
import type { Controller } from '../devices/records'
import { leadsToController, readerScrews } from './chain'
import { boardOfPort, byPort, keyScrew, markerOf, portWords, sharedKinds, type PortClass } from './ports'
import {
  isKind,
  sheetOf,
  type ControllerFacts,
  type DeviceSheet,
  type LeadKind,
  type Sheets,
  type Terminal,
  type TerminalKind,
} from '../devices/sheet'

/** One lead of a part and the terminal kind it wants. Links that the panel closes by itself are not leads. */
export interface Want {
  part: string
  lead: string
  kind: TerminalKind
}

const kindFor: Readonly<Record<LeadKind, TerminalKind | 'restingSide'>> = {
  ...readerScrews,
  contactA: 'input',
  contactB: 'inputCommon',
  break1: 'feed+',
  break2: 'relayC',
  'lock+': 'restingSide',
  'lock-': 'feed-',
  drive1: 'auxC',
  drive2: 'auxNO',
}

/** Which terminal kind each lead of a part needs, in this door. */
export function wantsOf(door: Door, sheets: Sheets, parts: readonly Part[] = door.parts): Want[] {
  return parts.flatMap((part) =>
    leadsToController(part, sheets)
      .filter((lead) => !(part.fed === 'own' && lead.kind === 'supply+'))
      .map((lead) => {
        const kind = kindFor[lead.kind]
        return { part: part.id, lead: lead.id, kind: kind === 'restingSide' ? restingSide(part, sheets) : kind }
      }),
  )
}

/** A fail-safe lock is powered while locked, so it hangs on the contact that is closed at rest: each lock of a door by its own sheet. */
function restingSide(part: Part, sheets: Sheets): 'relayNC' | 'relayNO' {
  return sheetOf(sheets, part.sheet).lock?.fail === 'secure' ? 'relayNO' : 'relayNC'
}

/** How many conductors each terminal of a controller carries, doors other than `except` counted. */
export function load(controller: string, doors: readonly Door[], except = ''): Map<string, number> {
  const count = new Map<string, number>()
  for (const door of doors) {
    if (door.id === except || door.placement?.controller !== controller) continue
    for (const terminal of Object.values(door.placement.terminals)) count.set(terminal, (count.get(terminal) ?? 0) + 1)
  }
  return count
}

export type Proposal = { ok: true; placement: Placement } | { ok: false; says: string }

/** Port group of a door that needs no terminal: it stands behind the controller by radio or by network. */
export const noGroup = '*'

/**
 * Proposes terminals for a door on one controller: all parts on one port group, each part on one free port of the right
 * kind (on an expander behind the controller where the group has none left).
 */
export function proposePlacement(
  door: Door,
  controller: Controller,
  sheets: Sheets,
  doors: readonly Door[],
  portGroup?: string,
): Proposal {
  const board = boardOf(sheets, controller)
  if (!board.controller) return { ok: false, says: `${controller.ref} is not a controller.` }
  const fault = unitFault(door, board, controller.ref, sheets)
  if (fault) return { ok: false, says: fault }
  const others = doors.filter((other) => other.id !== door.id && other.placement?.controller === controller.id)
  if (wantsOf(door, sheets).length === 0 && !ownUnitOf(door, board))
    return withoutTerminals(door, controller, board, sheets, others)
  const used = load(controller.id, others)
  const groups = board.controller.portGroups.filter((group) => !portGroup || group.id === portGroup)
  let firstReason = ''
  for (const group of groups) {
    if (others.some((other) => other.placement?.portGroup === group.id)) {
      firstReason ||= `${group.name} of ${controller.ref} already serves another door.`
      continue
    }
    const result = fillGroup(door, board, group.id, used, sheets)
    if (result.ok)
      return { ok: true, placement: { controller: controller.id, portGroup: group.id, terminals: result.terminals } }
    firstReason = result.says.replace('$', `${group.name} of ${controller.ref}`)
  }
  return {
    ok: false,
    says:
      firstReason ||
      (portGroup
        ? `${controller.ref} has no door port called ${portGroup}.`
        : `${controller.ref} has no door ports: it serves doors by radio only.`),
  }
}

function withoutTerminals(
  door: Door,
  controller: Controller,
  board: DeviceSheet,
  sheets: Sheets,
  others: readonly Door[],
): Proposal {
  if (door.parts.length === 0) return { ok: false, says: `${door.ref} has no hardware yet.` }
  const byRadio = (d: Door) => d.parts.some((p) => isKind(sheetOf(sheets, p.sheet), 'wirelessLock'))
  const placement = { controller: controller.id, portGroup: noGroup, terminals: {} }
  if (!byRadio(door)) return { ok: true, placement }
  const most = board.carries?.find((c) => c.kind === 'wirelessLock')?.most ?? 0
  if (most === 0)
    return { ok: false, says: `${controller.ref} carries no wireless locks. Take a controller for radio.` }
  const there = others.filter(byRadio).length
  return there < most
    ? { ok: true, placement }
    : { ok: false, says: `${controller.ref} carries ${most} wireless locks and has ${there}.` }
}

type Filled = { ok: true; terminals: Record<string, string> } | { ok: false; says: string }

function fillGroup(
  door: Door,
  board: DeviceSheet,
  group: string,
  used: ReadonlyMap<string, number>,
  sheets: Sheets,
): Filled {
  const filling = new Filling(
    board.terminals.filter((t) => t.group === group || t.group === '*'),
    used,
  )
  const terminals: Record<string, string> = {}
  for (const part of door.parts) {
    for (const [portClass, wants] of byPort(wantsOf(door, sheets, [part]))) {
      const chosen = filling.take(portClass, wants)
      if (!chosen) return { ok: false, says: `$ has no free ${portWords[portClass]} left for ${part.id}.` }
      for (const [key, terminal] of chosen) terminals[key] = terminal.id
    }
  }
  return { ok: true, terminals }
}

/** Terminals of a port group while a door's parts are put on them. */
class Filling {
  private readonly count: Map<string, number>
  private readonly takenPorts = new Set<string>()
  constructor(
    private readonly terminals: readonly Terminal[],
    used: ReadonlyMap<string, number>,
  ) {
    this.count = new Map(used)
    for (const t of terminals)
      if ((used.get(t.id) ?? 0) > 0 && Object.values(keyScrew).includes(t.kind)) this.takenPorts.add(t.port)
  }

  take(portClass: PortClass, wants: readonly Want[]): [string, Terminal][] | null {
    for (const port of this.portsOf(portClass)) {
      const chosen = this.fit(port, wants)
      if (!chosen) continue
      for (const [, terminal] of chosen) this.count.set(terminal.id, (this.count.get(terminal.id) ?? 0) + 1)
      if (keyScrew[portClass]) this.takenPorts.add(port)
      return chosen
    }
    return null
  }

  private portsOf(portClass: PortClass): string[] {
    const marker = markerOf[portClass]
    return [...new Set(this.terminals.filter((t) => t.kind === marker).map((t) => t.port))].filter(
      (p) => !this.takenPorts.has(p),
    )
  }

  private fit(port: string, wants: readonly Want[]): [string, Terminal][] | null {
    const now = new Map(this.count)
    const chosen: [string, Terminal][] = []
    for (const want of wants) {
      const fits = (t: Terminal) => t.kind === want.kind && (now.get(t.id) ?? 0) < t.maxConductors
      const terminal =
        this.terminals.find((t) => t.port === port && fits(t)) ??
        (sharedKinds.has(want.kind) ? this.terminals.find((t) => fits(t) && besides(t, port)) : undefined)
      if (!terminal) return null
      now.set(terminal.id, (now.get(terminal.id) ?? 0) + 1)
      chosen.push([`${want.part}.${want.lead}`, terminal])
    }
    return chosen
  }
}

const besides = (t: Terminal, port: string) => boardOfPort(t.port) === boardOfPort(port)

export function controllerFacts(sheet: DeviceSheet): ControllerFacts {
  if (!sheet.controller) throw new Error(`${sheet.name} is not a controller.`)
  return sheet.controller
}
