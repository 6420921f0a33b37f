import { partOf, readersOf, type Door, type Part, type Placement } from '../doors/door'
import { sheetOf, type ControllerFacts, type DeviceSheet, type Lead, type Sheets, type Terminal, type TerminalKind } from '../devices/sheet'
import type { Controller } from '../devices/records'

/** One lead of a part and the terminal kind it wants. Links that the panel closes by itself are not leads. */
export interface Want {
  part: string
  lead: string
  kind: TerminalKind
}

/** The conductor that goes from a lock circuit's feed to the relay when no break glass stands between. */
export const feedLink = 'link.feed'

/** Which terminal kind each lead of a part needs, in this door. */
export function wantsOf(door: Door, sheets: Sheets): Want[] {
  return door.parts.flatMap((part) => sheetOf(sheets, part.sheet).leads.map((lead) => ({ part: part.id, lead: lead.id, kind: terminalKindFor(part, lead, door, sheets) })))
}

function terminalKindFor(part: Part, lead: Lead, door: Door, sheets: Sheets): TerminalKind {
  switch (lead.kind) {
    case 'supply+': return 'reader+'
    case 'supply-': return 'reader-'
    case 'd0': case 'd1': case 'led': return lead.kind
    case 'contactA': return 'input'
    case 'contactB': return 'inputCommon'
    case 'break1': return 'feed+'
    case 'break2': return 'relayC'
    case 'lock-': return 'feed-'
    case 'lock+': return restingSide(door, sheets)
  }
}

/** A fail-safe lock is powered while locked, so it hangs on the contact that is closed at rest. */
function restingSide(door: Door, sheets: Sheets): 'relayNC' | 'relayNO' {
  const lock = partOf(door, 'lock')
  return lock && sheetOf(sheets, lock.sheet).lock?.fail === 'secure' ? 'relayNO' : 'relayNC'
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

/**
 * Proposes terminals for a door on one controller: all parts on one port group, each part on one free port of the right
 * kind, pins already chosen kept where they still fit.
 */
export function proposePlacement(door: Door, controller: Controller, sheets: Sheets, doors: readonly Door[], portGroup?: string): Proposal {
  const sheet = sheetOf(sheets, controller.sheet)
  if (!sheet.controller) return { ok: false, says: `${controller.ref} is not a controller.` }
  const used = load(controller.id, doors, door.id)
  const groups = sheet.controller.portGroups.filter((group) => !portGroup || group.id === portGroup)
  let firstReason = ''
  for (const group of groups) {
    const taken = doors.some((other) => other.id !== door.id && other.placement?.controller === controller.id && other.placement.portGroup === group.id)
    if (taken) {
      firstReason ||= `${group.name} of ${controller.ref} already serves another door.`
      continue
    }
    const result = fillGroup(door, sheet, group.id, used, sheets)
    if (result.ok) return { ok: true, placement: { controller: controller.id, portGroup: group.id, terminals: result.terminals } }
    firstReason = result.says.replace('$', `${group.name} of ${controller.ref}`)
  }
  return { ok: false, says: firstReason || `${controller.ref} has no port group called ${portGroup ?? ''}.` }
}

function fillGroup(door: Door, sheet: DeviceSheet, group: string, used: ReadonlyMap<string, number>, sheets: Sheets):
  | { ok: true; terminals: Record<string, string> } | { ok: false; says: string } {
  const terminals: Record<string, string> = {}
  const count = new Map(used)
  const takenPorts = new Set<string>()
  const lockPort = (sheet.terminals.find((t) => t.group === group && t.kind === 'relayC') ?? { port: '' }).port
  for (const part of door.parts) {
    const wants = wantsOf({ ...door, parts: [part] }, sheets)
    const choice = choosePort(wants, sheet.terminals.filter((t) => t.group === group), count, takenPorts, part.role === 'lock' || part.role === 'breakGlass' ? lockPort : null)
    if (!choice) return { ok: false, says: `$ has no free ${portWord(part)} left for ${part.id}.` }
    for (const [key, terminal] of choice) {
      terminals[key] = terminal.id
      count.set(terminal.id, (count.get(terminal.id) ?? 0) + 1)
      if (terminal.kind === 'd0' || terminal.kind === 'input') takenPorts.add(terminal.port)
    }
  }
  return { ok: true, terminals }
}

function portWord(part: Part): string {
  if (part.role === 'entryReader' || part.role === 'exitReader') return 'reader port'
  return part.role === 'lock' || part.role === 'breakGlass' ? 'lock relay' : 'input'
}

function choosePort(wants: readonly Want[], terminals: readonly Terminal[], count: ReadonlyMap<string, number>, taken: ReadonlySet<string>, lockPort: string | null): [string, Terminal][] | null {
  const ports = lockPort !== null ? [lockPort] : [...new Set(terminals.filter((t) => t.kind === 'd0' || t.kind === 'input').map((t) => t.port))].filter((p) => !taken.has(p))
  for (const port of ports) {
    const chosen: [string, Terminal][] = []
    const now = new Map(count)
    for (const want of wants) {
      const fits = (t: Terminal) => t.kind === want.kind && (now.get(t.id) ?? 0) < t.maxConductors
      const terminal = terminals.find((t) => t.port === port && fits(t)) ?? (sharedKinds.has(want.kind) ? terminals.find(fits) : undefined)
      if (!terminal) break
      now.set(terminal.id, (now.get(terminal.id) ?? 0) + 1)
      chosen.push([`${want.part}.${want.lead}`, terminal])
    }
    if (chosen.length === wants.length) return chosen
  }
  return null
}

/** Kinds of which a port group may have one screw for several ports. */
const sharedKinds: ReadonlySet<TerminalKind> = new Set(['inputCommon', 'feed+', 'feed-', 'reader+', 'reader-'])

/** Terminal numbers as the controller's board counts them, for the configuration that is loaded. */
export interface PortUse {
  readers: Record<string, string>
  lockRelay: string
  contactInput: string
  exitInput: string
}

/** Ports (not screws) that serve the door's parts: what the controller has to be told. Empty string where a part is absent. */
export function portsOf(door: Door, controller: DeviceSheet): PortUse {
  const port = (part: Part | undefined, kind: TerminalKind[]): string => {
    if (!part || !door.placement) return ''
    for (const [key, id] of Object.entries(door.placement.terminals)) {
      const terminal = controller.terminals.find((t) => t.id === id)
      if (key.startsWith(`${part.id}.`) && terminal && kind.includes(terminal.kind)) return terminal.port
    }
    return ''
  }
  return {
    readers: Object.fromEntries(readersOf(door).map((reader) => [reader.id, port(reader, ['d0'])])),
    lockRelay: port(partOf(door, 'lock'), ['relayNC', 'relayNO']),
    contactInput: port(partOf(door, 'contact'), ['input']),
    exitInput: port(partOf(door, 'exit'), ['input']),
  }
}

export function controllerFacts(sheet: DeviceSheet): ControllerFacts {
  if (!sheet.controller) throw new Error(`${sheet.name} is not a controller.`)
  return sheet.controller
}
