import type { TestCards } from '../../access/records'
import type { Controller } from '../../devices/records'
import type { DeviceSheet, Sheets } from '../../devices/sheet'
import type { Door } from '../../doors/door'
import type { Facts } from '../../job/facts'
import type { Config, Json } from '../records'

/** A time in seconds as the device can keep it: in its steps, at least one of them, at most `longest`. Rounding is told. */
export type Timers = (name: string, seconds: number, longest?: number) => number

/** What the parts of one controller are worked out from. */
export interface Scene {
  facts: Facts
  controller: Controller
  board: DeviceSheet
  sheets: Sheets
  /** Doors on this controller, by reference. */
  doors: readonly Door[]
  timers(door: Door): Timers
}

/** Doors that are still to be proved with the test cards, and the cards. */
export interface Testing {
  doors: readonly Door[]
  kit: TestCards
}

/** A part that is other on the device than the job wants it. */
export interface Change {
  token: string
  held: Json | undefined
  wanted: Json | undefined
}

/** Both configurations of a device, for what a part reaches through others: a card through its groups, a group through its doors. */
export interface Both {
  held: Config
  wanted: Config
}

/** Value or token to what the device shall hold under it. */
export type Wants = Record<string, Json>

/**
 * One kind of part of a device's configuration. Everything that is to be known of a kind stands in its own file; difference, words,
 * order of writing, what it touches and the record of a door ask the registry. What a driver does with a kind stands with the driver.
 */
export interface PartKind {
  /** Begins its keys: `door/D-01`. */
  name: string
  /** There may be thousands of it on one device. */
  many?: true
  /** JSON Schema of its value, as it is wanted and as it is read back. */
  schema: object
  /** What the job wants of this kind, by token. */
  want(scene: Scene): Wants
  /** What the test cards need of it; they make nothing stale. */
  wantForTests?(testing: Testing, scene: Scene): Wants
  /** The door that a part belongs to alone, or null where it serves several. */
  doorOf(token: string): string | null
  /** Whether what is held is a part of what was given, for what is given door by door; without it only the same is. */
  within?(held: Json, given: Json): boolean
  /** Whether a difference in it is about a door that it does not belong to alone; asked for one door, and then of many differences. */
  touches?(door: string, both: Both): (change: Change) => boolean
  /** Parts of the door that were sent what is wanted and take it only while a hand is at them; none where anything else differs. */
  waits?(held: Json, wanted: Json): string[]
  /** Where it is told on the preview, for what belongs to no door alone. */
  group: string
  /** What it is called: `Group Staff`. */
  title(change: Change, facts: Facts): string
  /** The whole value in a line. */
  summary(value: Json, facts: Facts): string
  /** Name and value of one of its fields, in words. */
  field(field: string, value: Json | undefined, other: Json | undefined, facts: Facts): { name: string; says: string }
}

/** A JSON value as an object, whatever a device told; it has its own fields alone, so that none is called `valueOf` by birth. */
export function asObject(value: Json | undefined): { [key: string]: Json } {
  const bare = Object.create(null) as { [key: string]: Json }
  if (value === undefined) return bare
  const fields = value !== null && typeof value === 'object' && !Array.isArray(value) ? value : { value }
  return Object.assign(bare, fields)
}

/** The name of a field in words, or the field itself where a device told one of its own. */
export const fieldName = (names: Readonly<Record<string, string>>, field: string): string =>
  Object.hasOwn(names, field) ? (names[field] ?? field) : field

export const seconds = (value: Json | undefined): string => (value === undefined ? 'none' : `${plainWords(value)} s`)

/** A value in words where its kind has none of its own for it. */
export function plainWords(value: Json | undefined): string {
  if (value === undefined || value === '') return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value))
    return value.length ? value.map((v) => (typeof v === 'string' ? v : JSON.stringify(v))).join('; ') : 'none'
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([k, v]) => `${k} ${typeof v === 'object' ? JSON.stringify(v) : String(v)}`)
      .join(', ')
  return String(value)
}

/** An object's schema with these properties, all required unless named in `optional`. */
export const shape = (properties: Record<string, object>, optional: readonly string[] = []): object => ({
  type: 'object',
  additionalProperties: false,
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
})
