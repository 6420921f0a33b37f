import { blindSpots, hasWayOut, partOf, type Door, type Part } from '../doors/door'
import type { Controller } from '../devices/records'
import { boardOf } from '../devices/board'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { ownUnitOf } from '../doors/ownUnit'
import { note, stop, warn, type Finding } from '../job/finding'
import { releaseWords, stuckCases } from '../supplies/release'
import { fedPastTheGlass } from './bypass'
import { sentFormats, type CardFormat } from '../cards/formats'
import { netOf } from './conductors'
import { fitFindings, readsCards, secondPoleFinding } from './fit'
import { load, noGroup, wantsOf } from './placement'
import { untoldFindings } from './points'
import type { Planned } from './volts'
import type { PowerPlan } from '../power/records'
import { worstAtLocks } from '../supplies/worst'

/** Everything the plan of a door has to say, each finding owned by the mark Plan. */
export function planFindings(
  door: Door,
  controllers: Readonly<Record<string, Controller>>,
  sheets: Sheets,
  doors: readonly Door[],
  plans: Readonly<Record<string, PowerPlan>> = {},
  /** Ways of sending that the job knows. */
  formats: readonly CardFormat[] = sentFormats,
): Finding[] {
  const hardware = hardwareFindings(door, sheets)
  return [
    ...hardware,
    ...fitFindings(door, controllers, sheets),
    ...secondPoleFinding(door, sheets),
    ...placementFindings(door, controllers, sheets, doors, formats),
    ...(hardware.some((f) => aboutLeaving.has(f.rule)) ? [] : stuckFindings(door, controllers, sheets)),
    ...voltFindings(door, { controllers, doors, sheets }, plans),
    ...blindSpots(door).map((says) => warn('plan', 'blind', says)),
  ]
}

/** Stops that tell already that nobody gets out, and what is missing. */
const aboutLeaving = new Set(['escape-secure', 'magnet-break-glass', 'magnet-exit', 'no-way-out'])

function hardwareFindings(door: Door, sheets: Sheets): Finding[] {
  const found: Finding[] = []
  const lockPart = partOf(door, 'lock')
  const lock = lockPart && sheetOf(sheets, lockPart.sheet).lock
  if (!lock && !partOf(door, 'opener')) found.push(stop('plan', 'no-lock', 'No lock is chosen for this door.'))
  if (!readsCards(door, sheets))
    found.push(
      stop(
        'plan',
        'no-reader',
        'Nothing reads a card at this door. Choose a reader, or a lock or door station that is one.',
      ),
    )
  for (const part of door.parts) found.push(...wayOutFindings(door, part, sheets))
  if (door.parts.length > 0 && !hasWayOut(door) && !found.some((f) => f.rule === 'magnet-exit'))
    found.push(
      stop(
        'plan',
        'no-way-out',
        'No exit device, handle or exit reader: nobody can ask to leave from the secured side. Plan one.',
      ),
    )
  return found
}

/** What each lock asks for so that people get out, whichever leaf it is on. */
function wayOutFindings(door: Door, part: Part, sheets: Sheets): Finding[] {
  const lock = sheetOf(sheets, part.sheet).lock
  const found: Finding[] = []
  if (lock?.fail === 'secure' && door.escapeRoute && !door.handle) {
    found.push(
      stop(
        'plan',
        'escape-secure',
        'On an escape route a fail-secure lock stays shut without power. It needs a handle that opens it mechanically, or a fail-safe lock.',
        part.id,
      ),
    )
  }
  if (lock?.principle === 'magnetic') {
    if (!partOf(door, 'breakGlass'))
      found.push(
        stop(
          'plan',
          'magnet-break-glass',
          'A magnetic lock needs a break glass in its feed, so that people get out when everything else fails.',
          part.id,
        ),
      )
    if (!partOf(door, 'exit') && !partOf(door, 'exitSensor'))
      found.push(
        stop('plan', 'magnet-exit', 'A magnetic lock needs an exit button: a handle does not free it.', part.id),
      )
  }
  return found
}

/** A case in which nobody gets out stops the door: on an escape route whatever is said, elsewhere unless there is another way out. */
function stuckFindings(door: Door, controllers: Readonly<Record<string, Controller>>, sheets: Sheets): Finding[] {
  const controller = door.placement && controllers[door.placement.controller]
  if (!controller) return []
  const cases = stuckCases(door, controller, sheets)
  if (!cases.length || (door.otherWayOut && !door.escapeRoute)) return []
  const when = cases.map((a) => releaseWords[a.case].toLowerCase()).join(', ')
  const mend = door.escapeRoute
    ? 'That is never allowed on an escape route.'
    : 'If whoever is inside has another way out, say so with the door.'
  return [
    stop(
      'plan',
      'stuck',
      `Nobody gets out when: ${when}. Plan a handle that frees the lock, or a fail-safe lock with a break glass. ${mend}`,
    ),
  ]
}

function placementFindings(
  door: Door,
  controllers: Readonly<Record<string, Controller>>,
  sheets: Sheets,
  doors: readonly Door[],
  formats: readonly CardFormat[],
): Finding[] {
  const placement = door.placement
  const controller = placement && controllers[placement.controller]
  if (!placement || !controller) return [stop('plan', 'not-placed', 'The door is on no controller yet. Place it.')]
  const found: Finding[] = []
  const sheet = boardOf(sheets, controller)
  const byId = new Map(sheet.terminals.map((t) => [t.id, t]))
  for (const want of wantsOf(door, sheets)) {
    const terminal = byId.get(placement.terminals[`${want.part}.${want.lead}`] ?? '')
    if (!terminal)
      found.push(
        stop('plan', 'lead-loose', `${want.part} ${want.lead} is on no terminal. Place the door again.`, want.part),
      )
    else if (terminal.kind !== want.kind)
      found.push(
        stop(
          'plan',
          'wrong-kind',
          `${want.part} ${want.lead} wants a terminal of kind ${want.kind}; ${terminal.id} is ${terminal.label}.`,
          want.part,
        ),
      )
    else if (terminal.group !== placement.portGroup && terminal.group !== '*')
      found.push(
        stop(
          'plan',
          'other-group',
          `${want.part} ${want.lead} sits on another door port than the rest of the door.`,
          want.part,
        ),
      )
  }
  const count = load(
    controller.id,
    doors.map((d) => (d.id === door.id ? door : d)),
  )
  for (const id of new Set(Object.values(placement.terminals))) {
    const terminal = byId.get(id)
    if (terminal && (count.get(id) ?? 0) > terminal.maxConductors) {
      found.push(
        stop(
          'plan',
          'crowded',
          `${count.get(id)} conductors on terminal ${id}; it takes ${terminal.maxConductors}.`,
          id,
        ),
      )
    }
  }
  for (const id of fedPastTheGlass(door, netOf(door, sheet, sheets), sheet))
    found.push(
      stop(
        'plan',
        'glass-bypassed',
        `${id} stays fed when the break glass is broken: its + finds a way to the feed past the glass. Put it behind the relay, and the glass before it.`,
        id,
      ),
    )
  return [
    ...found,
    ...untoldFindings(door, sheet, controller.ref, sheets, formats),
    ...lockOutside(door, sheet, sheets),
    ...sharedPorts(door, sheet, controller.ref, doors),
  ]
}

/** Common practice, no source: what hangs on the unsecured side is taken off the wall, and the lock's leads are behind it. */
function lockOutside(door: Door, board: DeviceSheet, sheets: Sheets): Finding[] {
  const unit = ownUnitOf(door, board)
  const lock = door.parts.find((p) => sheetOf(sheets, p.sheet).lock)
  return unit?.role === 'entryReader' && lock
    ? [
        warn(
          'plan',
          'lock-outside',
          `${lock.id} hangs on ${unit.id} ${board.name}, on the unsecured side: whoever takes it off the wall has the leads that free the lock in hand. Keep its tamper watched, or place the door on a controller inside and read with a reader that has leads.`,
          unit.id,
        ),
      ]
    : []
}

function sharedPorts(door: Door, sheet: ReturnType<typeof sheetOf>, ref: string, doors: readonly Door[]): Finding[] {
  const singleUse = new Set(['d0', 'd1', 'input', 'relayNC', 'relayNO'])
  const users = new Map<string, { door: string; says: string; relay: boolean }[]>()
  for (const other of doors) {
    const mine = other.id === door.id ? door : other
    if (mine.placement?.controller !== door.placement?.controller) continue
    for (const [key, id] of Object.entries(mine.placement?.terminals ?? {})) {
      const terminal = sheet.terminals.find((t) => t.id === id)
      if (terminal && singleUse.has(terminal.kind))
        users.set(id, [
          ...(users.get(id) ?? []),
          { door: mine.id, says: `${mine.ref} ${key.split('.')[0]}`, relay: terminal.kind.startsWith('relay') },
        ])
    }
  }
  // Both locks of two leaves hang on one relay.
  const clash = (by: readonly { door: string; relay: boolean }[]) =>
    by.length > 1 && !by.every((u) => u.relay && u.door === by[0]?.door)
  return [...users]
    .filter(([id, by]) => clash(by) && Object.values(door.placement?.terminals ?? {}).includes(id))
    .map(([id, by]) =>
      stop('plan', 'double-use', `Terminal ${id} of ${ref} is used twice: ${by.map((u) => u.says).join(' and ')}.`, id),
    )
}

/** The one worst case of each lock of the door: the same line as on the page of its supply. */
function voltFindings(door: Door, planned: Planned, plans: Readonly<Record<string, PowerPlan>>): Finding[] {
  const controller = door.placement && planned.controllers[door.placement.controller]
  if (!controller || door.placement?.portGroup === noGroup) return []
  const answers = worstAtLocks(door, planned, plans)
  return door.parts
    .filter((part) => {
      const sheet = sheetOf(planned.sheets, part.sheet)
      return (part.role === 'lock' || part.role === 'lock2') && sheet.lock && !sheet.ownBattery
    })
    .map((part) => {
      const answer = answers.find((a) => a.part === part.id)
      if (!answer)
        return warn(
          'plan',
          'no-length',
          `The volts at ${part.id} cannot be worked out: a cable of its circuit has no length yet.`,
          part.id,
        )
      if (answer.enough) return note('plan', 'volts', answer.says, part.id)
      const says = `${answer.says} ${answer.mend ?? ''}`.trim()
      return answer.onlyAtEnd ? warn('plan', 'volts-end', says, part.id) : stop('plan', 'volts', says, part.id)
    })
}
