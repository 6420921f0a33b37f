import type { BusReaderFile } from '../bus/peripheral'
import type { RadioHubFile } from '../radio/hub'
import type { RadioLockFile } from '../radio/lock'
import type { ReaderSends } from './sending'

/** How the simulated site is really wired: the rig's own file, never made from the job. */
export interface SiteFile {
  devices: DeviceFile[]
  doors: DoorFile[]
  /** Hubs and wireless locks. */
  radio?: { hubs: RadioHubFile[]; locks: RadioLockFile[] }
  /** Cards that lie about for the hands, by name: six hexadecimal digits for 26 bits, or the bits as `34/003D1141A`. */
  cards: Record<string, string>
  /** Address of the client's time server, where there is one. */
  timeServer?: string
}

export interface DeviceFile {
  serial: string
  mac: string
  /** Id of its device sheet: its model. */
  model: string
  firmware: string
  /** Address it comes up with; the sheet's factory address where absent. */
  address?: string
  prefix?: number
  /** Secret that somebody set before; the factory's where absent. */
  secret?: string
  /** More accounts that somebody made. */
  accounts?: { name: string; secret: string }[]
  powered: boolean
  /** Where the jumper stands that chooses its supply, where it has one. The rig feeds it from the network: on `supply` it stays dark. */
  jumper?: 'network' | 'supply'
  /** Listens over HTTPS as well, with a certificate of its own. */
  https?: true
  /** How far its clock is off at first, ms. */
  clockOffMs: number
  /** What it holds of an earlier job. */
  holds?: { doors: number; people: number }
}

/** Screws of a controller as its board names the port. */
interface InputAt {
  serial: string
  input: string
}
export interface OutputAt {
  serial: string
  relay: string
}

/** A lock on its relay, with the copper on the way. `sensing` closes while it is locked and the leaf shut. */
export interface LockFile extends OutputAt {
  principle: 'magnetic' | 'strike'
  fail: 'safe' | 'secure'
  feedV: number
  loopOhm: number
  coilOhm: number
  leastV: number
  sensing?: InputAt
}

/** A reader of a door, and where its leads really end. */
export interface ReaderFile {
  id: string
  side: 'outside' | 'inside'
  serial: string
  port: string
  /** What hangs there, where the port is a bus. */
  bus?: BusReaderFile
  /** Of a reader that is on a bus, its own entry says so. */
  dataSwapped?: boolean
  /** How it sends, where it is another way than 26 bits as they are. */
  sends?: ReaderSends
}

export interface DoorFile {
  id: string
  name: string
  lock: LockFile
  /** Of the second leaf, where the door has one. */
  lock2?: LockFile
  readers: ReaderFile[]
  contact?: InputAt & { reversed?: boolean }
  contact2?: InputAt
  /** Closes while the bolt is thrown and the leaf shut. */
  bolt?: InputAt
  exit?: InputAt
  breakGlass: boolean
  /** Second pole of the break glass: closed while it is whole. */
  glassPole?: InputAt
  /** Moves the leaf while its relay is driven, unless the lock holds it. */
  opener?: OutputAt
  /** What only shows or sounds while its relay is driven, by the part. */
  driven?: Record<string, OutputAt>
  /** Alarm panel of somebody else: each line acts as it is driven, and its state closes a contact while it is set. */
  panel?: { set?: OutputAt; unset?: OutputAt; toggle?: OutputAt; state?: InputAt }
  /** What hands work besides, by the part: exit sensor, desk button, tamper, spare. */
  worked?: Record<string, InputAt & { rests: 'open' | 'closed' }>
  handle: boolean
}
