import { sentFormats, type CardFormat } from '../cards/formats'
import type { Controller } from '../devices/records'
import type { PowerPlan } from '../power/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import type { Finding } from '../job/finding'
import { planFindings } from './findings'

/** What a change of the plan would bring and take away, before it is made. */
export interface Effect {
  comes: Finding[]
  goes: Finding[]
}

/** Findings of a door as it would be, beside those as it is. */
export function effectOf(
  before: Door,
  after: Door,
  controllers: Readonly<Record<string, Controller>>,
  sheets: Sheets,
  doors: readonly Door[],
  plans: Readonly<Record<string, PowerPlan>> = {},
  formats: readonly CardFormat[] = sentFormats,
): Effect {
  const was = planFindings(before, controllers, sheets, doors, plans, formats)
  const will = planFindings(
    after,
    controllers,
    sheets,
    doors.map((d) => (d.id === after.id ? after : d)),
    plans,
    formats,
  )
  const key = (f: Finding) => `${f.rule} ${f.at ?? ''} ${f.says}`
  const had = new Set(was.map(key))
  const has = new Set(will.map(key))
  return { comes: will.filter((f) => !had.has(key(f))), goes: was.filter((f) => !has.has(key(f))) }
}

/** A door with one lead on another terminal. */
export function withLeadAt(door: Door, lead: string, terminal: string): Door {
  return door.placement
    ? { ...door, placement: { ...door.placement, terminals: { ...door.placement.terminals, [lead]: terminal } } }
    : door
}
