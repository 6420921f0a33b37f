import type {
  ClaimStepName,
  Config,
  DeviceEvent,
  DoorOrder,
  HeldPoint,
  Holds,
  Operation,
  Rehearsal,
  Secured,
  StandingMode,
} from '@rauta/core'
import type { BusLoan, BusSeen, Clock, HubSeen } from '@rauta/protocols'
import type { Dialer } from './dialer'
import { DeviceError } from './errors'

export interface Identity {
  model: string
  firmware: string
  serial: string
  mac: string
  address: string
  hostname: string
}
export interface Secret {
  user: string
  password: string
}
export interface DeviceClock {
  utcMs: number
  /** POSIX zone string that it holds. */
  zone: string
  /** Device clock minus ours, ms, the round trip halved. */
  offsetMs: number
  roundTripMs: number
}
export interface NetworkSettings {
  hostname: string
  address: string
  prefix: number
  gateway: string
  timeServer: string
}

/** An event as a device told it, in our words; who received it and when is the server's to say. */
export type ToldEvent = Omit<DeviceEvent, 'id' | 'controller' | 'received' | 'offsetMs'>

/** One look into a device's events: what happened, and the boot that it told last. */
/** Some of what a device told since it started, by its own count from 1; each number once, ascending. */
export interface Counted {
  boot: string
  numbers: readonly number[]
}

/** Somebody at a door, about whom whoever listens is asked to decide. */
export interface DecisionAsked {
  accessPoint: string
  door: string
  /** Token by which the device knows the credential. */
  credential: string
}

export interface Pulled {
  events: ToldEvent[]
  /** Those who wait for a decision now; none where the device asks nobody. */
  asks?: DecisionAsked[]
  boot: string
  /** Numbers of its own count that it told; none after a quiet spell, null where it doesn't count all that it tells. */
  counted: Counted | null
  /** How many more it told at once than are taken. */
  leftOut?: number
  /** Something of its configuration was altered, by whomever. */
  configured?: boolean
  /** Doors whose standing mode was told, repeats included; null stands for their settings. */
  modes?: { door: string; mode: StandingMode | null }[]
}

/** A subscription to a device's events. */
export interface Watch {
  /** Waits for events; none after a quiet spell. @throws DeviceError where the subscription is gone */
  pull(points: ReadonlyMap<string, HeldPoint>): Promise<Pulled>
  renew(): Promise<void>
  end(): Promise<void>
}

/** What a device may be able to do, each safe to repeat. @throws DeviceError */
export interface Abilities {
  /** Counts what it holds from before. */
  holds(): Promise<Holds>
  erase(): Promise<void>
  /** How it can be talked to so that nobody listens; null where it can't. */
  secured(): Promise<Secured | null>
  setSecret(password: string): Promise<void>
  /** Names of all accounts that it knows. */
  accounts(): Promise<string[]>
  removeAccounts(names: readonly string[]): Promise<void>
  setNetwork(wanted: NetworkSettings): Promise<void>
  /** As it keeps it; the gateway is empty where it has none. */
  network(): Promise<Pick<NetworkSettings, 'prefix' | 'gateway'>>
  setClock(wanted: { zone: string; daylightSaving: boolean }): Promise<void>
  restart(): Promise<void>
  read(): Promise<Config>
  /** A word for its configuration as it stands: another one as soon as anything of it is altered. Much less work than `read`. */
  glance(): Promise<string>
  write(operation: Operation): Promise<void>
  watch(): Promise<Watch>
  /** Tells a door to let go once, to stand open or locked, or to go back to its settings. */
  order(door: string, order: DoorOrder): Promise<void>
  /** Makes a door stand as though its own hours said so, for a test; it goes back by itself after `seconds`. Null brings it back now. */
  rehearse(door: string, as: Rehearsal | null, seconds: number): Promise<void>
  /** Where these credentials were last is forgotten: none of them is in anywhere, or came in a moment ago. */
  forget(credentials: readonly string[]): Promise<void>
  /** Tells a door that whoever decides there is still there. */
  announce(door: string): Promise<void>
  /** Decides about somebody. @param reason word that events have for it; empty where they may pass */
  decide(asked: DecisionAsked, reason: string): Promise<void>
  /** How it sees what hangs on its buses. */
  busDevices(): Promise<BusSeen[]>
  /** Sends bytes on one of its buses, and hands back what comes. */
  onBus(loan: BusLoan): Promise<Uint8Array>
  /** Tells it the key of a device on one of its buses; null takes it away. */
  setBusKey(port: string, address: number, key: Uint8Array | null): Promise<void>
  /** Hubs for wireless locks that it hears, with their locks. */
  hubs(): Promise<HubSeen[]>
  /** Gives a hub the radio key. */
  setRadioKey(hub: number, key: Uint8Array): Promise<void>
  /** Has a hub wait for the next lock at which a set-up card is presented; null ends that. */
  pairLock(hub: number, place: number | null): Promise<void>
  /** Lets go of the lock in a place of a hub. */
  removeLock(hub: number, place: number): Promise<void>
  /** Has a hub flash, so that it can be told from its neighbours. */
  blinkHub(hub: number): Promise<void>
}

/** What a driver can do with one device at one address under one password. Every device says who it is and what time it has; the rest is asked for. */
export interface Driver extends Partial<Abilities> {
  time(): Promise<DeviceClock>
  identify(): Promise<Identity>
}

const abilityWords: Readonly<Record<keyof Abilities, string>> = {
  holds: 'be asked what it holds',
  erase: 'be erased from here',
  secured: 'be talked to over HTTPS',
  setSecret: 'be given a password from here',
  accounts: 'say which accounts it knows',
  removeAccounts: 'have accounts taken away from here',
  setNetwork: 'be given an address from here',
  network: 'say how its network is set',
  setClock: 'have its clock set from here',
  restart: 'be restarted from here',
  read: 'be read back',
  glance: 'say whether it was altered',
  write: 'be loaded from here',
  watch: 'tell what happens at its doors',
  order: 'be told from here to let go or to lock',
  rehearse: 'be made to stand as in its own hours, for a test',
  forget: 'be told to forget who is in',
  announce: 'be told that a server decides at its doors',
  decide: 'be told from here who may come in',
  busDevices: 'say what hangs on its buses',
  onBus: 'let others send on its buses',
  setBusKey: 'be given the keys of its readers',
  hubs: 'say which hubs for wireless locks hang on it',
  setRadioKey: 'give its hubs a radio key',
  pairLock: 'have its hubs wait for a lock',
  removeLock: 'have its hubs let go of a lock',
  blinkHub: 'have its hubs flash',
}

/** An ability of a device. @throws DeviceError `unsupported`, told for a fitter, where its driver has it not */
export function ability<K extends keyof Abilities>(driver: Driver, name: K): Abilities[K] {
  const found = driver[name] as Abilities[K] | undefined
  if (!found) throw new DeviceError('unsupported', `This device cannot ${abilityWords[name]}.`)
  return found.bind(driver) as Abilities[K]
}

export interface SessionOptions {
  dialer: Dialer
  clock: Clock
  address: string
  port: number
  secret: Secret | null
  /** Over HTTPS, to the device with this certificate alone. */
  secured?: Secured | undefined
  signal?: AbortSignal
  timeoutMs?: number
}

/** A device as it announced itself, in the site's terms. */
export interface Heard {
  endpoint: string
  address: string
  port: number
  name: string
  model: string
  mac: string
  serial: string
}

/** How devices of one kind are found and talked to. Found by the name that a device sheet gives. */
export interface Protocol {
  name: string
  /** Port at which its devices listen where nobody says otherwise. */
  port: number
  driver(options: SessionOptions): Driver
  /** Steps by which such a device is taken into service, in their order. */
  steps: readonly ClaimStepName[]
  /** Asks the segment; hands over each device once, until `signal` ends it. */
  search?(dialer: Dialer, onDevice: (device: Heard) => void, signal: AbortSignal): Promise<void>
  /** Hears devices that announce themselves, until `signal` ends it. */
  listen?(dialer: Dialer, onDevice: (device: Heard) => void, signal: AbortSignal): Promise<void>
}
