import { all, type Facts } from '../job/facts'
import { recordKind } from '../job/kind'
import type { ReaderOrder } from '../cards/orders'
import type { DeviceKind } from '../devices/sheet'
import type { CableType } from '../power/conductor'
import type { Behaviour } from './behaviour'

export * from './behaviour'

/** What a part does at its door. */
export const partRoles = [
  'entryReader',
  'exitReader',
  'lock',
  'lock2',
  'contact',
  'contact2',
  'boltContact',
  'exit',
  'exitSensor',
  'deskButton',
  'breakGlass',
  'opener',
  'tamper',
  'spare',
  'sounder',
  'signal',
  'panelSet',
  'panelUnset',
  'panelToggle',
  'panelState',
] as const
export type PartRole = (typeof partRoles)[number]

/** What kind of device does what at a door, the trade's letter and number for it, and how it is called. */
export const roleFacts: Readonly<Record<PartRole, { id: string; kind: DeviceKind; says: string }>> = {
  entryReader: { id: 'R1', kind: 'reader', says: 'Reader, unsecured side' },
  exitReader: { id: 'R2', kind: 'reader', says: 'Reader, secured side' },
  lock: { id: 'K1', kind: 'lock', says: 'Lock' },
  lock2: { id: 'K2', kind: 'lock', says: 'Lock of the second leaf' },
  contact: { id: 'C1', kind: 'contact', says: 'Door contact' },
  contact2: { id: 'C2', kind: 'contact', says: 'Contact of the second leaf' },
  boltContact: { id: 'L1', kind: 'contact', says: 'Bolt contact' },
  exit: { id: 'X1', kind: 'exit', says: 'Exit button' },
  exitSensor: { id: 'X2', kind: 'exit', says: 'Exit sensor' },
  deskButton: { id: 'D1', kind: 'exit', says: 'Desk button' },
  breakGlass: { id: 'B1', kind: 'breakGlass', says: 'Break glass' },
  opener: { id: 'O1', kind: 'opener', says: 'Opener' },
  tamper: { id: 'T1', kind: 'contact', says: 'Tamper switch' },
  spare: { id: 'S1', kind: 'contact', says: 'Spare input' },
  sounder: { id: 'H1', kind: 'sounder', says: 'Sounder or lamp' },
  signal: { id: 'H2', kind: 'panelLine', says: 'Line that signals elsewhere' },
  panelSet: { id: 'P1', kind: 'panelLine', says: 'Alarm panel, line that sets it' },
  panelUnset: { id: 'P2', kind: 'panelLine', says: 'Alarm panel, line that unsets it' },
  panelToggle: { id: 'P3', kind: 'panelLine', says: 'Alarm panel, line that turns it round' },
  panelState: { id: 'P4', kind: 'panelState', says: 'Alarm panel, how it stands' },
}

/** What an opening is. */
export const openingKinds = [
  'door',
  'doubleDoor',
  'gate',
  'shutter',
  'turnstile',
  'cabinet',
  'locker',
  'padlock',
  'liftCall',
] as const
export type OpeningKind = (typeof openingKinds)[number]

/** Who decides whether somebody passes, and what happens when that is out of reach for longer than `afterS`. */
export interface Decides {
  by: 'reader' | 'lock' | 'controller' | 'server'
  afterS: number
  then: 'staysShut' | 'opens' | 'knownCards'
}

/** What follows while who decides is out of reach. */
export const withoutWords: Readonly<Record<Decides['then'], string>> = {
  knownCards: 'cards known at the door still pass',
  staysShut: 'nobody gets in',
  opens: 'the door opens',
}

/** One piece of hardware at a door. Its id is the trade's letter and a number: R1, K1, C1, X1, B1. */
export interface Part {
  id: string
  role: PartRole
  /** Id of its device sheet. */
  sheet: string
  /** On a bus. */
  address?: number
  /** How its bits are read: a format that ships, or one of the job's own; 26 bits where it is not said. */
  format?: string
  /** In which order they come; as they are sent where it is not said. */
  order?: ReaderOrder
  /** On the site's network. */
  ip?: string
  /** Of a wireless lock: its hub, by the unit's id, and its place there from 1. */
  radio?: { hub: string; place: number }
  /** Cards may be read in at it. */
  enrols?: true
  /** Sheet of a converter that stands between it and the controller, near the part. */
  via?: string
  /** From a supply of its own; then only its 0 V is joined with the controller's. */
  fed?: 'own'
}

/** Id of the status record of a part that is a device of its own: `door/part`. */
export const partDeviceId = (door: string, part: string): string => `${door}/${part}`

/** Door and part that a status record is of; null for a controller's. */
export function partOfDeviceId(id: string): { door: string; part: string } | null {
  const slash = id.indexOf('/')
  return slash < 0 ? null : { door: id.slice(0, slash), part: id.slice(slash + 1) }
}

/** A cable from one part to the controller. */
export interface Cable {
  id: string
  part: string
  type: CableType
  /** Metres, one way. Zero means that nobody has said how far it is. */
  lengthM: number
  /** What was planned, where it was built otherwise; `type` and `lengthM` are as built then. */
  planned?: { type: CableType; lengthM: number }
}

/** Which controller and port group serve the door, and which terminal each lead of each part goes to. */
export interface Placement {
  controller: string
  portGroup: string
  /** Key `part.lead` (for example `R1.d0`), value a terminal id of the controller's sheet. */
  terminals: Record<string, string>
}

export interface Door {
  id: string
  /** Unique in the job, for example `Q-03`. */
  ref: string
  name: string
  /** Area ids: the leaf leads from the unsecured side to the secured side. */
  from: string
  to: string
  escapeRoute: boolean
  passagesPerDay: number
  /** Place in the walking order. */
  walk: number
  /** A handle that opens the leaf mechanically from the secured side, with no electrical sign. */
  handle: boolean
  /** Whoever stands on the secured side has another way out: then this door may stay shut when all else fails. Never where `escapeRoute` is true. */
  otherWayOut?: boolean
  parts: Part[]
  cables: Cable[]
  placement: Placement | null
  behaviour: Behaviour
  /** A door where it is not said. */
  opening?: OpeningKind
  decides?: Decides
  /** Whether its unsecured side is out of doors. */
  outdoor?: boolean
  /** Metres to cabinets, by their names, as given. */
  distances?: Record<string, number>
  /** Place on the site's grid, metres. */
  at?: { x: number; y: number }
  /** How its lock is driven: full, then held. */
  drive?: { pullMs: number; holdShare: number }
  /** Resistors of its supervised pairs, and where they sit. */
  ends?: { seriesOhm: number; parallelOhm: number; at: 'device' | 'controller' }
  /** Where it must be placed: nothing moves it. */
  pinned?: boolean
  /** True once the test cards have been taken off this door (before it is signed). */
  testCardsOff: boolean
}

export function partOf(door: Door, role: PartRole): Part | undefined {
  return door.parts.find((part) => part.role === role)
}

/** Parts that serve as entry or exit reader; a lock or station that is a reader too is found by `accessPointsOf`. */
export function readersOf(door: Door): Part[] {
  return door.parts.filter((part) => part.role === 'entryReader' || part.role === 'exitReader')
}

/** Openings behind which nobody can be shut in. */
const nobodyInside: ReadonlySet<OpeningKind> = new Set(['cabinet', 'locker', 'padlock', 'liftCall'])

export const keepsNobodyIn = (door: Door): boolean => nobodyInside.has(door.opening ?? 'door')

/** Whether somebody on the secured side can ask to leave: by a device, a reader or a handle. */
export const hasWayOut = (door: Door): boolean =>
  door.handle ||
  keepsNobodyIn(door) ||
  door.parts.some((p) => p.role === 'exit' || p.role === 'exitSensor' || p.role === 'exitReader')

/** What can never be seen at this door because a part is absent, in words. */
export function blindSpots(door: Door): string[] {
  const says: string[] = []
  if (!partOf(door, 'contact')) {
    says.push(
      'Without a door contact nobody can see whether the leaf is open: no forced-open alarm, no held-open alarm, no proof that it closed.',
    )
  }
  if (!partOf(door, 'exit') && !partOf(door, 'exitSensor') && door.handle) {
    says.push(
      door.behaviour.forcedAlarm && partOf(door, 'contact')
        ? 'The handle gives no signal: each leaving raises the forced-open alarm.'
        : 'The handle gives no signal: leaving cannot be told from forcing the door.',
    )
  }
  return says
}

declare module '../job/facts' {
  interface RecordTypes {
    door: Door
  }
}

/** Doors that keep count of who is in one of these areas: what they can know hangs on every door of it. */
const knowingWhoIsIn = (facts: Facts, areas: readonly string[]): string[] =>
  all(facts, 'door')
    .filter((d) => d.behaviour.passback !== undefined && areas.includes(d.to))
    .map((d) => d.id)

export const doorRecordKind = recordKind('door', {
  fields: {
    id: 'text',
    ref: 'text',
    name: 'text',
    from: 'text',
    to: 'text',
    escapeRoute: 'flag',
    passagesPerDay: 'number',
    walk: 'number',
    handle: 'flag',
    otherWayOut: 'flag?',
    parts: 'list',
    cables: 'list',
    placement: 'object or none',
    behaviour: 'object',
    opening: 'text?',
    decides: 'object?',
    outdoor: 'flag?',
    distances: 'object?',
    at: 'object?',
    drive: 'object?',
    ends: 'object?',
    pinned: 'flag?',
    testCardsOff: 'flag',
  },
  recorded: (after) => [{ door: after.id, kind: 'plan', body: after }],
  touches: ({ id, from, to, placement }, facts) => ({
    doors: [id, ...knowingWhoIsIn(facts, [from, to])],
    feeds: placement ? [placement.controller] : [],
  }),
})
