import { all, type Facts } from '../job/facts'
import { partOfDeviceId } from '../doors/door'
import type { HubBehind } from './sheet'
import { recordKind, type ChainLink, type Touched } from '../job/kind'
import type { CableType } from '../power/conductor'

/** A run from the board whose supply feeds this one too. */
export interface FedFrom {
  controller: string
  lengthM: number
  type: CableType
}

/** A planned controller. */
export interface Controller {
  id: string
  /** On the drawing, for example `A2`. */
  ref: string
  sheet: string
  cabinet: string
  supply: string
  /** Address it shall have on the site's network. */
  address: string
  /** From the label, where known; matching a found device fills both. */
  serial: string
  mac: string
  /** Hubs for wireless locks behind it. */
  hubs?: HubBehind[]
  /** Expanders behind it, in order: `E1`, `E2`. */
  expanders?: { id: string; sheet: string }[]
  /** Set where it has no supply of its own: `supply` then says nothing. */
  fedFrom?: FedFrom
}

/** Where a cabinet hangs: its name is its id. Metres on the site's grid. */
export interface CabinetPlace {
  id: string
  x: number
  y: number
}

/** Check-off of the cabinet a controller sits in: item id to who and when. Its id is the controller's. */
export interface Cabinet {
  id: string
  done: Record<string, Done>
}
/** Something that must be at hand: got, from whom, by when. Its id is the item's. */
export interface Procured {
  id: string
  got: Done | null
  from: string
  /** `2026-12-01`, or empty. */ due: string
}

/** Who and when; `on` is the digest of what it was true of, where that can change under it. */
export interface Done {
  by: string
  at: number
  on?: string
}

/** A device that answered a search. Its id is its endpoint reference. */
export interface Found {
  id: string
  /** Address in the site's terms. */
  address: string
  port: number
  /** By which it was heard. */
  protocol?: string
  name: string
  model: string
  serial: string
  mac: string
  /** Whether this computer has an address in that subnet. */
  routable: boolean
  /** `factory`: opens to the factory secret; `ours`: to this job's; `closed`: to neither; `unknown`: not asked yet. */
  ownership: 'unknown' | 'factory' | 'ours' | 'closed'
  holds: Holds | null
  seenAt: number
  /** When it last refused every secret that was tried. */
  refusedAt?: number
  /** Planned controller it was matched to. */
  controller: string | null
  /** Somebody matched it by what it says of itself: its serial was not entered from the label beforehand. */
  chosen?: true
}

/** Id of the status record of a hub, or of any other device that is planned as a unit. */
export const unitDeviceId = (unit: string): string => `unit/${unit}`
/** The unit of such an id; null for another device's. */
export const unitOfDevice = (id: string): string | null => (id.startsWith('unit/') ? id.slice('unit/'.length) : null)

/** What a device holds from before, counted before anything is erased. */
export interface Holds {
  doors: number
  people: number
  rules: number
  schedules: number
}

export const claimSteps = [
  'identity',
  'holds',
  'secret',
  'erase',
  'network',
  'restart',
  'clock',
  'firmware',
  'ready',
] as const
/** A reader on a bus is set on its line and then joined to its controller. */
export const busClaimSteps = ['identity', 'network', 'secret', 'joined', 'firmware', 'ready'] as const
/** A hub is found behind its controller, and given the radio key of the job. */
export const hubClaimSteps = ['identity', 'secret', 'firmware', 'ready'] as const
/** A wireless lock is paired by a hand at the door, and then answers by radio. */
export const lockClaimSteps = ['paired', 'joined', 'firmware', 'ready'] as const
/** A device in service is given another address, mask or gateway: nothing of it is erased. */
export const moveSteps = ['network', 'restart', 'clock'] as const
export type ClaimStepName =
  | (typeof claimSteps)[number]
  | (typeof busClaimSteps)[number]
  | (typeof hubClaimSteps)[number]
  | (typeof lockClaimSteps)[number]
export interface ClaimStep {
  name: ClaimStepName
  state: 'todo' | 'running' | 'done' | 'waits' | 'failed'
  says: string
  at: number
}

/** Steps of a taking before anything is done. @param at when it was begun, ms */
export const stepsToDo = (names: readonly ClaimStepName[], at: number): ClaimStep[] =>
  names.map((name) => ({ name, state: 'todo', says: '', at }))

/** HTTPS at this port, by the device that has this certificate (SHA-256, hex) and by no other. */
export interface Secured {
  port: number
  fingerprint: string
}

/** Where a device on a bus answered, and who it said it is. */
export interface OnBus {
  address: number
  /** Bits a second. */
  speed: number
  serial: string
}

/** Taking a device into service, step by step; its id is the controller's, or `door/part`. Resuming is reading this. */
export interface Claim {
  id: string
  /** Empty for a device on a bus: it is reached through its controller. */
  found: string
  onBus?: OnBus
  /** Serial of a hub or a wireless lock, as it was found or paired. */
  byRadio?: { serial: string }
  steps: ClaimStep[]
  /** Who agreed to erase what the device held. */
  eraseAgreed: (Done & { holds: Holds }) | null
  /** Who compared what the device says with its label, and the serial that stands there. */
  compared?: Done
  /** How it is talked to so that nobody listens, as it was found when it was told apart. */
  secured?: Secured
  /** It is in service already, and only its address and what goes with it are set anew. */
  only?: 'network'
  /** Account of the device that this job opens it by, where it is another than its sheet’s. */
  user?: string
  /** Where a reset by hand has got to: index into the sheet's reset steps, -1 while none is needed. */
  resetStep: number
  startedBy: string
}

/** Whether a device stands where it stands by its own word alone: nobody entered its serial beforehand, or held it against the label since. */
export const labelWanted = (found: Found, claim: Claim): boolean =>
  found.chosen === true && claim.compared?.on !== found.serial

/** How the controller of a device on a bus sees it. */
export interface SeenOnBus {
  controller: string
  port: string
  address: number
  /** Of whoever answers there. */
  serial: string
  state: 'silent' | 'garbled' | 'clear' | 'secured' | 'wrongKey' | 'keyWanted'
  tamper?: boolean
}

/** How the controller of a hub or of a wireless lock sees it. */
export interface SeenByRadio {
  controller: string
  /** Of the hub. */
  hub: number
  /** Of the lock at its hub; absent for a hub. */
  place?: number
  /** Of whoever is there. */
  serial: string
  /** `otherKey`: its hub has another radio key than this job's. */
  state: 'silent' | 'joined' | 'noKey' | 'otherKey'
  /** dBm at the hub. */
  signal?: number
  batteryLow?: true
}

/** What the server knows of a device in service; its id is the controller's, or `door/part`. */
export interface Reach {
  id: string
  address: string
  serial: string
  mac: string
  firmware: string
  firmwareAccepted: Done | null
  owned: boolean
  /** How it is talked to so that nobody listens; absent where it can only be talked to in clear. */
  secured?: Secured
  /** Account that this job opens it by, where it is another than its sheet’s. */
  user?: string
  erasedAt: number
  clockOffsetMs: number
  clockCheckedAt: number
  /** POSIX zone string that it holds, as it was last read. */
  zoneHeld: string
  /** The one that the job wanted of it then. */
  zoneWanted?: string
  boot: string
  lastAnswerAt: number
  /** Milliseconds of trying without an answer since the last one. */
  silentMs: number
  says: string
  /** Of a device on a bus. */
  onBus?: SeenOnBus
  /** Of a hub, or of a wireless lock. */
  byRadio?: SeenByRadio
}

/** The planned address of a device in service that answers at another one; null where it is there, or has none planned. */
export const movesTo = (reach: Reach, planned: Controller | undefined): string | null =>
  planned?.address && planned.address !== reach.address ? planned.address : null

declare module '../job/facts' {
  interface RecordTypes {
    controller: Controller
    cabinet: Cabinet
    cabinetPlace: CabinetPlace
    procured: Procured
    found: Found
    claim: Claim
    reach: Reach
  }
}

export const controllerKind = recordKind('controller', {
  fields: {
    id: 'text',
    ref: 'text',
    sheet: 'text',
    cabinet: 'text',
    supply: 'text',
    address: 'text',
    serial: 'text',
    mac: 'text',
    expanders: 'list?',
    hubs: 'list?',
    fedFrom: 'object?',
  },
  touches: ({ id }) => ({ feeds: [id] }),
})
/** Doors on a controller: what is recorded of it goes into the chain of each. */
export const doorsOn = (facts: Facts, controller: string) =>
  all(facts, 'door').filter((d) => d.placement?.controller === controller)

export const cabinetKind = recordKind('cabinet', {
  fields: { id: 'text', done: 'object' },
  recorded: (after, _before, facts) =>
    doorsOn(facts, after.id).map((d) => ({ door: d.id, kind: 'cabinet', body: after })),
  touches: ({ id }) => ({ controllers: [id] }),
})
export const cabinetPlaceKind = recordKind('cabinetPlace', {
  fields: { id: 'text', x: 'number', y: 'number' },
  // How far a wireless lock is from its hub.
  touches: ({ id }, facts) => ({
    doors: all(facts, 'unit')
      .filter((u) => u.cabinet === id)
      .flatMap((u) => doorsAtHub(facts, u.id)),
  }),
})
export const procuredKind = recordKind('procured', {
  fields: { id: 'text', got: 'object or none', from: 'text', due: 'text' },
})
export const foundKind = recordKind('found', {
  fields: {
    id: 'text',
    address: 'text',
    port: 'number',
    protocol: 'text?',
    name: 'text',
    model: 'text',
    serial: 'text',
    mac: 'text',
    routable: 'flag',
    ownership: 'text',
    holds: 'object or none',
    seenAt: 'number',
    refusedAt: 'number?',
    controller: 'text or none',
    chosen: 'flag?',
  },
})
export const claimKind = recordKind('claim', {
  fields: {
    id: 'text',
    found: 'text',
    steps: 'list',
    eraseAgreed: 'object or none',
    compared: 'object?',
    secured: 'object?',
    user: 'text?',
    only: 'text?',
    resetStep: 'number',
    startedBy: 'text',
    onBus: 'object?',
    byRadio: 'object?',
  },
  touches: ({ id }, facts) => touchedBy(id, facts),
})
/** Doors whose wireless locks a hub joins, by the hub's unit. */
export const doorsAtHub = (facts: Facts, unit: string): string[] =>
  all(facts, 'door').flatMap((d) => (d.parts.some((p) => p.radio?.hub === unit) ? [d.id] : []))

/** Doors of a device that is no controller: a part's own door, or those whose locks a hub joins; null for a controller. */
function doorsOfDevice(id: string, facts: Facts): string[] | null {
  const unit = unitOfDevice(id)
  if (unit !== null) return doorsAtHub(facts, unit)
  const part = partOfDeviceId(id)
  return part && [part.door]
}

/** Of a controller all its doors, of another device those that hang on it. */
const touchedBy = (id: string, facts: Facts): Touched => {
  const doors = doorsOfDevice(id, facts)
  return doors ? { doors } : { controllers: [id] }
}

/** Answering again, or a clock that drifts, is no new taking. */
const sameTaking = (now: Reach, before: Reach | null): boolean =>
  !!before?.owned &&
  before.serial === now.serial &&
  before.firmware === now.firmware &&
  !!before.firmwareAccepted === !!now.firmwareAccepted

function takenLinks(reach: Reach, facts: Facts): ChainLink[] {
  const { id, address, serial, mac, firmware, firmwareAccepted, erasedAt, zoneHeld, secured } = reach
  const body = {
    ...(partOfDeviceId(id) ? { device: id } : { controller: id }),
    address,
    serial,
    mac,
    firmware,
    firmwareAccepted,
    erasedAt,
    zoneHeld,
    ...(secured ? { certificate: secured.fingerprint } : {}),
  }
  const doors = doorsOfDevice(id, facts) ?? doorsOn(facts, id).map((d) => d.id)
  return doors.map((door) => ({ door, kind: 'taken', body }))
}

export const reachKind = recordKind('reach', {
  fields: {
    id: 'text',
    address: 'text',
    serial: 'text',
    mac: 'text',
    firmware: 'text',
    firmwareAccepted: 'object or none',
    owned: 'flag',
    secured: 'object?',
    user: 'text?',
    erasedAt: 'number',
    clockOffsetMs: 'number',
    clockCheckedAt: 'number',
    zoneHeld: 'text',
    zoneWanted: 'text?',
    boot: 'text',
    lastAnswerAt: 'number',
    silentMs: 'number',
    says: 'text',
    onBus: 'object?',
    byRadio: 'object?',
  },
  recorded: (after, before, facts) => (after.owned && !sameTaking(after, before) ? takenLinks(after, facts) : []),
  touches: ({ id }, facts) => touchedBy(id, facts),
})
