import type { Door } from '../doors/door'
import type { Procured, Cabinet, CabinetPlace, Controller, Claim, Found, Reach } from '../devices/records'
import type { DeviceSheet } from '../devices/sheet'
import type { PowerPlan, Unit, UnitFeed } from '../power/records'
import type { MeterZero, Reading } from '../readings/records'
import type { Photo } from '../wiring/photo'
import type { Tick } from '../wiring/records'
import type { BusRun } from '../network/records'
import type { Group, Person, Rule, TestCards } from '../access/records'
import type { Schedule, SpecialDay } from '../time/schedule'
import type { Held, Load } from '../config/records'
import type { DeviceEvent } from '../proving/events'
import type { DoorMode } from '../proving/orders'
import type { Proof, Snag, Trial } from '../proving/records'
import type { ChainRecord } from '../chain/record'
import type { Signature } from '../chain/signature'

/** The job itself: who it is for, where it is, and the figures the client's IT gave. */
export interface Job {
  id: 'job'
  name: string
  client: string
  site: string
  /** IANA zone of the site, for example `Europe/Helsinki`. */
  zone: string
  network: SiteNetwork
  limits: JobLimits
  /** Ed25519 public key of the job, hex; every record of a door is signed with it. */
  publicKey: string
}

/** What the client's IT allows this job to use. */
export interface SiteNetwork {
  /** Network address, for example `10.61.8.0`. */
  address: string
  /** Prefix length in bits, 8 to 30. */
  prefix: number
  gateway: string
  timeServer: string
  /** Addresses that are not ours: `10.61.8.1-20, 10.61.8.200`. */
  reserved?: string
}

/** Limits that a lead may change per job; all in seconds. */
export interface JobLimits {
  /** How often a device's configuration is read again. */
  watchS: number
  /** How far a receipt may lie from the device's own stamp before a test is not judged. */
  receiptS: number
  /** How long a device may stay silent while the server tries, before Reach goes stale. */
  reachS: number
  /** How far a device's clock may be off. */
  clockS: number
}

export interface Area {
  id: string
  /** Short code that begins the references of its doors, for example `Q`. */
  code: string
  name: string
  /** The area it is part of. */
  parent?: string
}

/** Two edits of one field met: `kept` came first and is in force, `offered` waits until somebody chooses. */
export interface Question {
  id: string
  kind: RecordKind
  record: string
  field: string
  kept: unknown
  offered: unknown
  by: string
  at: number
}

/** A change that was taken back: `r` and its revision; `by` is the revision that did. */
export interface Undone {
  id: string
  by: number
}
/** What the columns of door schedules were said to mean, by their titles in small letters. Its id is `doors`. */
export interface ColumnMemory {
  id: string
  meanings: Record<string, string>
}

/** One table per kind of record; all a job is. Each record is plain data with an `id`. */
export interface RecordTypes {
  job: Job
  area: Area
  door: Door
  controller: Controller
  cabinet: Cabinet
  tick: Tick
  reading: Reading
  meter: MeterZero
  found: Found
  claim: Claim
  reach: Reach
  person: Person
  group: Group
  rule: Rule
  schedule: Schedule
  specialDay: SpecialDay
  testCards: TestCards
  held: Held
  load: Load
  event: DeviceEvent
  trial: Trial
  proof: Proof
  snag: Snag
  signature: Signature
  chain: ChainRecord
  question: Question
  sheet: DeviceSheet
  cabinetPlace: CabinetPlace
  powerPlan: PowerPlan
  unit: Unit
  unitFeed: UnitFeed
  undone: Undone
  columns: ColumnMemory
  busRun: BusRun
  procured: Procured
  photo: Photo
  doorMode: DoorMode
}
export type RecordKind = keyof RecordTypes

export const recordKinds: readonly RecordKind[] = [
  'job',
  'area',
  'door',
  'controller',
  'cabinet',
  'tick',
  'reading',
  'meter',
  'found',
  'claim',
  'reach',
  'person',
  'group',
  'rule',
  'schedule',
  'specialDay',
  'testCards',
  'held',
  'load',
  'event',
  'trial',
  'proof',
  'snag',
  'signature',
  'chain',
  'question',
  'sheet',
  'cabinetPlace',
  'powerPlan',
  'unit',
  'unitFeed',
  'undone',
  'columns',
  'busRun',
  'procured',
  'photo',
  'doorMode',
]

export type Facts = { readonly [K in RecordKind]: Readonly<Record<string, RecordTypes[K]>> } & { readonly rev: number }

export function emptyFacts(): Facts {
  const tables = Object.fromEntries(recordKinds.map((kind) => [kind, {}]))
  return { ...tables, rev: 0 } as unknown as Facts
}

/** The job record, or an error value's worth of default where none has been made yet. */
export function jobOf(facts: Facts): Job | undefined {
  return facts.job['job']
}

export function all<K extends RecordKind>(facts: Facts, kind: K): RecordTypes[K][] {
  return Object.values(facts[kind]) as RecordTypes[K][]
}
