import { accessPlaces } from '../doors/accesspoints'
import { partOf, type Door, type Part, type PartRole } from '../doors/door'
import type { Sheets } from '../devices/sheet'
import type { Reaction, ReactionAct, ReactionCause } from './records'

interface CauseFacts {
  /** As after “When”. */
  says: string
  /** Somebody is known by it, so that a group or a second showing can be asked for. */
  ofSomebody: boolean
  /** It goes on for a while, so that something can be held for as long. */
  lasts: boolean
  /** Whether whoever brings it about is let in anyhow, so that it may open another door or unset a panel. */
  wellMeant: boolean
}

export const causeFacts: Readonly<Record<ReactionCause, CauseFacts>> = {
  granted: { says: 'somebody is let in', ofSomebody: true, lasts: false, wellMeant: true },
  refused: { says: 'somebody is refused', ofSomebody: false, lasts: false, wellMeant: false },
  duress: { says: 'somebody is let in under duress', ofSomebody: false, lasts: false, wellMeant: false },
  forced: { says: 'it is forced open', ofSomebody: false, lasts: true, wellMeant: false },
  heldOpen: { says: 'it stands open too long', ofSomebody: false, lasts: true, wellMeant: false },
  preAlarm: { says: 'it warns that it is still open', ofSomebody: false, lasts: false, wellMeant: false },
  exit: { says: 'somebody asks to leave', ofSomebody: false, lasts: false, wellMeant: true },
  desk: { says: 'the desk lets somebody in', ofSomebody: false, lasts: false, wellMeant: true },
  input: { says: 'an input becomes active', ofSomebody: false, lasts: true, wellMeant: true },
  inputEnds: { says: 'an input goes back to rest', ofSomebody: false, lasts: false, wellMeant: true },
}

export const actWords: Readonly<Record<ReactionAct, string>> = {
  pulse: 'drive an output for a time',
  hold: 'drive an output while it lasts',
  setPanel: 'set the alarm panel',
  unsetPanel: 'unset the alarm panel',
  release: 'let another door go',
}

/** Parts that an output drives for nothing but a reaction. */
const drivenRoles: ReadonlySet<PartRole> = new Set(['sounder', 'signal'])
/** Lines to an alarm panel. */
export const panelLines = { set: 'panelSet', unset: 'panelUnset', toggle: 'panelToggle' } as const
const panelRoles: ReadonlySet<PartRole> = new Set(Object.values(panelLines))
/** Parts whose input may begin something by itself. */
const tellingRoles: ReadonlySet<PartRole> = new Set(['tamper', 'spare', 'panelState'])

export const drivenParts = (door: Door): Part[] => door.parts.filter((p) => drivenRoles.has(p.role))
export const tellingParts = (door: Door): Part[] => door.parts.filter((p) => tellingRoles.has(p.role))

/** Parts that do nothing unless a reaction drives them. */
export const reactingParts = (door: Door): Part[] =>
  door.parts.filter((p) => drivenRoles.has(p.role) || panelRoles.has(p.role))

/** What can happen at a door as it is planned and set. */
export function causesAt(door: Door, sheets: Sheets): ReactionCause[] {
  const places = accessPlaces(door, sheets).filter((p) => !p.leaving && (p.cards || p.keys))
  const sees = partOf(door, 'contact') !== undefined
  const b = door.behaviour
  const can: Readonly<Record<ReactionCause, boolean>> = {
    granted: places.length > 0,
    refused: places.length > 0,
    duress: places.length > 0 && b.code !== undefined,
    forced: sees && b.forcedAlarm,
    heldOpen: sees,
    preAlarm: sees && b.preAlarmS !== undefined,
    exit: !!partOf(door, 'exit') || !!partOf(door, 'exitSensor'),
    desk: !!partOf(door, 'deskButton'),
    input: tellingParts(door).length > 0,
    inputEnds: tellingParts(door).length > 0,
  }
  return (Object.keys(can) as ReactionCause[]).filter((cause) => can[cause])
}

/** What may follow a cause: nothing is opened or unset by whoever is refused or forces a door. */
export function mayFollow(when: ReactionCause, then: ReactionAct): boolean {
  const { lasts, wellMeant } = causeFacts[when]
  if (then === 'hold') return lasts
  return wellMeant || (then !== 'release' && then !== 'unsetPanel')
}

export const isOfInput = (when: ReactionCause): boolean => when === 'input' || when === 'inputEnds'
/** Whether an act drives an output that is named. */
export const isDriven = (then: ReactionAct): boolean => then === 'pulse' || then === 'hold'
export const isOfPanel = (then: ReactionAct): then is 'setPanel' | 'unsetPanel' =>
  then === 'setPanel' || then === 'unsetPanel'

/** How a panel of a door is brought to stand: by a line of its own, by one that turns it round, or not at all. */
export interface PanelWay {
  line: Part
  /** What tells how the panel stands; absent where nothing does. */
  state?: Part
  /** The line turns the panel round, so that it may be driven only where the panel stands the other way. */
  turns: boolean
}

/** Null for an act that is not the panel's, and where no line does it. */
export function panelWay(door: Door, then: ReactionAct): PanelWay | null {
  if (!isOfPanel(then)) return null
  const own = partOf(door, then === 'setPanel' ? panelLines.set : panelLines.unset)
  const line = own ?? partOf(door, panelLines.toggle)
  const state = partOf(door, 'panelState')
  return line ? { line, turns: !own, ...(state ? { state } : {}) } : null
}

/** Whether an act would turn the panel round with nothing that tells how it stands. */
export function turnsBlindly(door: Door, then: ReactionAct): boolean {
  const way = panelWay(door, then)
  return way !== null && way.turns && !way.state
}

/** The part that a reaction drives, or null where it drives none that there is. */
export function drivenBy(door: Door, { then, output }: Pick<Reaction, 'then' | 'output'>): Part | null {
  const named = isDriven(then) ? drivenParts(door).find((p) => p.id === output) : undefined
  return named ?? panelWay(door, then)?.line ?? null
}
