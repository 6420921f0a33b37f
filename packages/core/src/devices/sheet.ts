import type { SwitchCoding } from './coding'
import type { PowerClass } from '../power/ethernet'
import type { Thresholds } from '../power/supervised'
import type { ReaderOrder } from '../cards/orders'
import type { DoorAbility } from '../doors/abilities'
import type { PartFunction } from '../doors/functions'

/** What a terminal is for; a lead may only go to a terminal of the kind that it wants. */
export const terminalKinds = [
  'reader+',
  'reader-',
  'd0',
  'd1',
  'led',
  'busA',
  'busB',
  'bus0',
  'input',
  'inputCommon',
  'relayC',
  'relayNO',
  'relayNC',
  'auxC',
  'auxNO',
  'feed+',
  'feed-',
] as const
export type TerminalKind = (typeof terminalKinds)[number]

export const leadKinds = [
  'supply+',
  'supply-',
  'd0',
  'd1',
  'led',
  'busA',
  'busB',
  'bus0',
  'contactA',
  'contactB',
  'lock+',
  'lock-',
  'break1',
  'break2',
  'drive1',
  'drive2',
] as const
export type LeadKind = (typeof leadKinds)[number]

export const deviceKinds = [
  'controller',
  'reader',
  'lock',
  'contact',
  'exit',
  'breakGlass',
  'supply',
  'expander',
  'hub',
  'wirelessLock',
  'station',
  'module',
  'converter',
  'switch',
  'midspan',
  'opener',
  'sounder',
  'panelLine',
  'panelState',
] as const
export type DeviceKind = (typeof deviceKinds)[number]

/** One screw of a controller or an expander. */
export interface Terminal {
  id: string
  label: string
  kind: TerminalKind
  /** Port group it belongs to; a door's parts must share one. `*`: any port group of the controller. */
  group: string
  /** Reader port, input or relay it is part of, unique in the controller: `reader 1`, `input 7`. */
  port: string
  maxConductors: number
  /** Thickest core that it takes, mm². */
  mostMm2?: number
}

/** One conductor that comes out of a part. */
export interface Lead {
  id: string
  name: string
  /** Empty: the lead has no colour; plus and minus are found with a meter first. */
  colour: string
  kind: LeadKind
}

export interface LockFacts {
  principle: 'magnetic' | 'strike' | 'motor'
  fail: 'safe' | 'secure'
  nominalV: number
  /** Least volts at the lock at which it pulls in (strike) or holds its rating (magnetic). */
  leastV: number
  /** Amps while pulling in (strike) or held (magnetic). */
  pullA: number
  /** How long pulling in takes. */
  pullMs?: number
  /** Amps once it has pulled in; as much as pulling in where it is not said. */
  holdA?: number
  /** Volts under which it lets go. */
  dropOutV?: number
  /** Share of the time that it may be driven, 0 to 1. */
  duty?: number
  /** Direct where it is not said. */
  current?: 'direct' | 'alternating'
  /** Milliseconds that suppression across its coil adds before it lets go. */
  suppressionMs?: number
  /** Whether it tells by itself that it is locked. */
  sensing: boolean
}

export interface ControllerFacts {
  doors: number
  portGroups: { id: string; name: string }[]
  /** Steps that the device can keep; times are rounded to them when they are loaded. */
  releaseStepS: number
  longestReleaseS: number
  /** Card formats that its reader ports take, by their ids. */
  cardFormats: string[]
  /** How many formats by fields and parity it can be told besides; none where it is not said. */
  ownFormats?: number
  /** Orders of bits and bytes that a reader can be set to, besides as sent; none where it is not said. */
  bitOrders?: ReaderOrder[]
  feedVolts: number
  /** Amps its lock feed gives in all. */
  feedA: number
  factory: { address: string; user: string; password: string }
  /** Where terminal 1 sits, looking at the board with its text upright. */
  terminalOneAt: 'left' | 'right'
  /** `holds`: a key is held through power-up for so long, and let go. */
  reset: { says: string; seconds: number; holds?: true }[]
  lamps: { lamp: string; means: string }[]
  cabinet: { id: string; says: string; /** Ids of what must be done before. */ after?: string[] }[]
  /** Ohms at which its supervised inputs tell the states apart, where it has such inputs. */
  supervised?: Thresholds
  /** Whether it can be told when somebody's right begins and ends; else only the card itself can end. */
  limitedRights?: true
  /** What it can be told that a part does; everything where it is not said. */
  functions?: PartFunction[]
  /** What it can do for a door beyond its plain times; nothing where it is not said. */
  abilities?: DoorAbility[]
  /** How many reactions it keeps; none where it is not said. */
  reactions?: number
  /** How much of time it holds; as much as is wanted where it is not said. */
  times?: { schedules: number; periodsADay: number; specialDays: number }
  /** Port of the reader that is part of the device itself: a door station, a wall unit that drives its own lock. */
  ownReader?: string
  /** Hubs for wireless locks behind a planned controller; never on a sheet. */
  hubs?: HubBehind[]
}

/** A hub behind a controller: the planned unit, and its address on the bus between them. */
export interface HubBehind {
  unit: string
  address: number
}

/** What a hub, or a lock that it joins, is on the air. */
export interface RadioFacts {
  /** Metres that a hub reaches in the open. */
  openM?: number
  /** Weakest signal at which it still works, dBm. */
  leastDbm?: number
  /** Standby credentials that a lock keeps. */
  standby?: number
}

/** What a reader is presented with. Tags are cards here; a `picture` is a code on paper or a phone. */
export const presentables = ['card', 'code', 'finger', 'face', 'picture'] as const
export type Presentable = (typeof presentables)[number]

/** What it draws from a network port. Watts at the device. */
export interface NetworkDraw {
  class: PowerClass['class']
  restW: number
  peakW: number
}
export interface SupplyFacts {
  volts: number
  amps: number
  internalOhm: number
  /** With the mains there and the battery full. */
  floatV?: number
  /** At the end of the battery, where the supply cuts it off. */
  endV?: number
  /** Amps that its charger takes from the rating. */
  chargerA?: number
  /** Batteries it takes. */
  battery?: { volts: number; peukert: number | null }
  outputs?: { id: string; fuseA: number }[]
  /** Amps at which it trips in the first moment. */
  tripA?: number
}

/** What bringing a device into service takes besides what lies at hand: a tool with what it runs on, a key, a licence. */
export interface SetUpNeed {
  what: string
  kind: 'tool' | 'key' | 'licence'
  /** For a tool: `a laptop with a USB port`. */
  runsOn?: string
  /** One for the whole job, for each device, or for each door on it. */
  one: 'job' | 'device' | 'door'
}

/** A device type as data. Nothing in the code knows a type by its name. */
export interface DeviceSheet {
  id: string
  name: string
  kind: DeviceKind
  /** What else it is at once: a door station is a reader and a lock output too. */
  also?: DeviceKind[]
  says: string
  /** What it speaks on the network, by the name that its driver has; the usual one where it is not said. */
  protocol?: string
  /** Ports it listens on, and what is spoken there. */
  listens?: { transport: 'tcp' | 'udp'; port: number; protocol: string }[]
  /** Whom it calls by itself, besides the time server. */
  calls?: { transport: 'tcp' | 'udp'; port: number; protocol: string; whom: string }[]
  /** Amps at rest from the reader or device supply. */
  restA: number
  terminals: Terminal[]
  leads: Lead[]
  lock?: LockFacts
  controller?: ControllerFacts
  supply?: SupplyFacts
  /** Least and most volts it works at. */
  operatingV?: { least: number; most: number }
  /** Amps in the first moment of power, and for how long. */
  inrush?: { amps: number; ms: number }
  place?: 'indoor' | 'outdoor'
  /** How it hands on what it reads. `osdp` sits on a bus under an address. */
  reading?: {
    by: 'wiegand' | 'osdp' | 'network' | 'radio'
    technologies: string[]
    keypad: boolean
    reachM: number
    unitLoad?: number
    /** A card where it is not said. */ takes?: Presentable[]
  }
  coding?: SwitchCoding
  /** `does`: what the position of one is worked out for. */
  jumpers?: { id: string; says: string; positions: string[]; factory: string; does?: 'terminator' }[]
  network?: NetworkDraw
  /** A converter's other side: what it makes of what it gets. */
  feeds?: { volts: number; watts: number; efficiency: number; cutOffV: number }
  networkSource?: { volts: number; budgetW: number; ports: { id: string; highestClass: number }[] }
  radio?: RadioFacts
  /** A battery of its own: passages a day that it suits. */
  ownBattery?: { passagesPerDay: number; cells: string }
  /** How many of what may hang on it. */
  carries?: { kind: DeviceKind; most: number }[]
  lamps?: { lamp: string; means: string }[]
  sounds?: { sound: string; means: string }[]
  box?: string[]
  mounting?: string[]
  setUp?: SetUpNeed[]
  /** What must be at hand to bring it into service. */
  atHand: string[]
}

export type Sheets = Readonly<Record<string, DeviceSheet>>

/** The sheet of a type, or an error naming it: a plan never holds an unknown type, so this is a broken file. */
export function sheetOf(sheets: Sheets, id: string): DeviceSheet {
  const sheet = sheets[id]
  if (!sheet) throw new Error(`No device sheet is called ${id}.`)
  return sheet
}

/** Whether a device is of a kind, first or among other things. */
export const isKind = (sheet: DeviceSheet, kind: DeviceKind): boolean =>
  sheet.kind === kind || (sheet.also?.includes(kind) ?? false)

/** Whether a device reads cards or tags: one that reads only codes, fingers or faces is never asked for one. */
export const takesCards = (sheet: DeviceSheet): boolean =>
  isKind(sheet, 'reader') && (sheet.reading?.takes ?? ['card']).includes('card')
