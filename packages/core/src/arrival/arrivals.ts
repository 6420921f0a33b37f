import { credentialTokens } from '../access/codes'
import { groupsPassed } from '../access/groups'
import { doorsOfRule, profileOf, ruleOfProfile, rulesFor, ruleValidAt } from '../access/rights'
import type { Person } from '../access/records'
import { usualFormat } from '../cards/card'
import { keptAs, sendingName } from '../cards/sending'
import { partKey, readKey } from '../config/parts'
import { sameJson } from '../config/canonical'
import { touching } from '../config/difference'
import type { Sheets } from '../devices/sheet'
import { accessPlaces } from '../doors/accesspoints'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { byRef } from '../job/order'
import type { WorkedConfigs } from '../marks/marks'
import { blockersOf, type Blocker } from './blockers'

/** How far somebody's right to pass a door has come, the first that is true. */
export type ArrivalCode =
  'notPlaced' | 'noCode' | 'cannotRead' | 'notLoaded' | 'notSent' | 'changed' | 'away' | 'arrived'

/** One door that somebody's rules let them pass, and whether its device knows. */
export interface Arrival {
  door: Door
  /** Empty where the door is on none. */
  controller: string
  code: ArrivalCode
  says: string
}

/** Every door that somebody passes by some rule, or will, by reference. @param atMs ms since 1970 UTC */
export function doorsFor(facts: Facts, person: Person, atMs: number): Door[] {
  const rules = rulesFor(facts, person).filter((r) => ruleValidAt(facts, r, atMs) !== 'expired')
  const ids = new Set(rules.flatMap((r) => doorsOfRule(facts, r)))
  return [...ids].flatMap((id) => facts.door[id] ?? []).sort(byRef)
}

/** Door by door whether what somebody may has reached the device that decides, read back. @param atMs ms since 1970 UTC */
export const arrivalsOf = (
  facts: Facts,
  person: Person,
  sheets: Sheets,
  configs: WorkedConfigs,
  atMs: number,
): Arrival[] => doorsFor(facts, person, atMs).map((door) => arrivalAt(facts, person, door, sheets, configs))

function arrivalAt(facts: Facts, person: Person, door: Door, sheets: Sheets, configs: WorkedConfigs): Arrival {
  const controller = facts.controller[door.placement?.controller ?? '']
  const at = (code: ArrivalCode, says: string): Arrival => ({ door, controller: controller?.id ?? '', code, says })
  if (!controller) return at('notPlaced', 'The door is on no controller yet.')
  const { code } = door.behaviour
  if (person.code === undefined && (code === 'alone' || code === 'with'))
    return at('noCode', `${door.ref} asks for a code, and they have none.`)
  const reads = readProblem(facts, person, door, sheets)
  if (reads) return at('cannotRead', reads)
  const { wanted, held, known } = configs(controller.id)
  if (!known) return at('notLoaded', `${controller.ref} has not been loaded.`)
  const other = keysOf(person, facts, wanted)
    .filter((key) => !Object.hasOwn(held, key) || !sameJson(held[key], wanted[key]))
    .map((key) => ({ key, held: held[key], wanted: wanted[key] }))
  // What differs of another door of theirs is nothing of this one.
  const open = touching(other, door.id, held, wanted)
  if (open.length > 0) {
    if ((facts.reach[controller.id]?.silentMs ?? 0) > 0)
      return at('away', `${controller.ref} does not answer: it waits to be told.`)
    return open.every(({ key }) => !Object.hasOwn(held, key))
      ? at('notSent', `${controller.ref} has not been told yet. Load it.`)
      : at('changed', `${controller.ref} holds something else of them than the job wants. Load it.`)
  }
  return at('arrived', `${controller.ref} holds it, read back.`)
}

/** Parts of a device that somebody's passing hangs on: their cards, and what these pass as. */
function keysOf(person: Person, facts: Facts, wanted: Readonly<Record<string, unknown>>): string[] {
  const cards = credentialTokens(person).map((token) => partKey('credential', token))
  const profiles = new Set(rulesFor(facts, person).map((r) => partKey('profile', profileOf(r))))
  return [...cards, ...profiles].filter((key) => Object.hasOwn(wanted, key))
}

/** Why a door cannot know somebody by what they have, or null. */
function readProblem(facts: Facts, person: Person, door: Door, sheets: Sheets): string | null {
  const { code } = door.behaviour
  if (person.code !== undefined && (code === 'alone' || code === 'instead')) return null
  const cards = person.cards.filter((c) => c.state === 'in use')
  const places = accessPlaces(door, sheets).filter((p) => p.cards)
  if (cards.length === 0) return null
  const deaf = places.find(({ part }) => !cards.some((c) => (c.format ?? usualFormat) === keptAs(facts, part.format)))
  if (places.length === 0) return 'Nothing at this door reads cards.'
  return deaf
    ? `${deaf.part.id} reads ${sendingName(facts, deaf.part.format)}; they have no card of that format.`
    : null
}

/** Why somebody does not pass, or not everywhere that they may. `late`: devices that are loaded hold something else; `unloaded`: none of theirs is loaded. */
export interface Hindrance {
  code: Blocker['code'] | 'late' | 'unloaded'
  says: string
}

/** Everybody who does not pass yet, or not everywhere, with the first reason. Devices that were never loaded are their doors' matter as long as one is. @param atMs ms since 1970 UTC */
export function whoCannotPass(facts: Facts, configs: WorkedConfigs, atMs: number): ReadonlyMap<string, Hindrance> {
  const late = peopleNotArrived(facts, configs)
  const loaded = new Set(
    all(facts, 'rule')
      .filter((r) => doorsOfRule(facts, r).some((d) => facts.held[facts.door[d]?.placement?.controller ?? '']))
      .map((r) => r.id),
  )
  const hindrance = (person: Person): Hindrance | null => {
    const [blocker, ...more] = blockersOf(facts, person, atMs)
    if (blocker) return { code: blocker.code, says: [blocker, ...more].map((b) => b.says).join(' ') }
    const refs = (late.get(person.id) ?? [])
      .filter((id) => facts.held[id])
      .flatMap((id) => facts.controller[id]?.ref ?? [])
    if (refs.length) return { code: 'late', says: `Not loaded yet: ${refs.join(', ')}.` }
    return rulesFor(facts, person).some((r) => loaded.has(r.id))
      ? null
      : { code: 'unloaded', says: 'No door of theirs is loaded yet.' }
  }
  return new Map(
    all(facts, 'person').flatMap((p): [string, Hindrance][] => {
      const found = hindrance(p)
      return found ? [[p.id, found]] : []
    }),
  )
}

/** Whoever passes as one of these profiles. */
function passingAs(facts: Facts, profiles: ReadonlySet<string>): Person[] {
  if (profiles.size === 0) return []
  const rules = [...profiles].flatMap((p) => ruleOfProfile(facts, p) ?? [])
  const groups = new Set([...profiles, ...rules.flatMap((r) => r.group ?? [])])
  const people = new Set(rules.flatMap((r) => r.person ?? []))
  return all(facts, 'person').filter(
    (p) => people.has(p.id) || groupsPassed(facts.group, p.groups).some((g) => groups.has(g)),
  )
}

/** People of whom some device holds something else than the job wants, with those controllers. */
export function peopleNotArrived(facts: Facts, configs: WorkedConfigs): ReadonlyMap<string, readonly string[]> {
  const holderOf = new Map(
    all(facts, 'person').flatMap((p) => credentialTokens(p).map((token) => [token, p.id] as const)),
  )
  const found = new Map<string, string[]>()
  const add = (person: string, controller: string) => {
    const list = found.get(person) ?? []
    if (!list.includes(controller)) found.set(person, [...list, controller])
  }
  for (const { id } of all(facts, 'controller')) {
    const profiles = new Set<string>()
    for (const { key } of configs(id).differences()) {
      const { name, token, test } = readKey(key)
      const holder = !test && name === 'credential' ? holderOf.get(token) : undefined
      if (holder !== undefined) add(holder, id)
      if (!test && name === 'profile') profiles.add(token)
    }
    for (const person of passingAs(facts, profiles)) add(person.id, id)
  }
  return found
}
