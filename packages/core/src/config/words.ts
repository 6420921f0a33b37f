import { card26FromHex, cardName } from '../cards/wiegand'
import { functionFacts, type PartFunction } from '../doors/functions'
import type { Facts } from '../job/facts'
import { canonicalJson } from './canonical'
import type { Difference } from './difference'
import type { Json } from './records'

/** One line of the preview: what the device has on the left, what it will have on the right. */
export interface TwoSided {
  group: string
  what: string
  holds: string
  willHold: string
}

const fields: Readonly<Record<string, string>> = {
  name: 'Name',
  release: 'Release time',
  heldOpen: 'Open time',
  relockDelay: 'Delay before relock',
  forcedAlarm: 'Forced-open alarm',
  door: 'Door',
  from: 'Leads from',
  to: 'Leads to',
  periods: 'Periods',
  special: 'Special days',
  policies: 'May pass',
  holder: 'Holder',
  card: 'Card',
  enabled: 'State',
  profiles: 'Groups',
}
const seconds = new Set(['release', 'heldOpen', 'relockDelay'])

/** The differences of a device told as two-sided lines, grouped by door or by people. */
export function twoSided(differences: readonly Difference[], facts: Facts): TwoSided[] {
  return differences.flatMap((d) => linesOf(d, facts))
}

function linesOf(d: Difference, facts: Facts): TwoSided[] {
  const group = groupOf(d.key, facts)
  const name = nameOf(d, facts)
  if (d.held === undefined || d.wanted === undefined) {
    const whole = (value: Json | undefined) => (value === undefined ? 'not held' : summary(d.key, value, facts))
    return [{ group, what: name, holds: whole(d.held), willHold: d.wanted === undefined ? 'removed' : whole(d.wanted) }]
  }
  const held = asObject(d.held)
  const wanted = asObject(d.wanted)
  return [...new Set([...Object.keys(held), ...Object.keys(wanted)])]
    .filter((f) => canonicalJson(held[f] ?? null) !== canonicalJson(wanted[f] ?? null))
    .map((f) => ({
      group,
      what: whatWords(d.key, f, held[f] ?? wanted[f], name),
      holds: fieldWords(d.key, f, held[f], facts),
      willHold: fieldWords(d.key, f, wanted[f], facts),
    }))
}

const isTerminals = (key: string) => key.startsWith('terminals/')

function whatWords(key: string, field: string, value: Json | undefined, name: string): string {
  if (isTerminals(key)) return pointName(value, field)
  return key.startsWith('door/') ? (fields[field] ?? field) : `${name}: ${fields[field] ?? field}`
}

/** A wired point: `K1, lock`. */
function pointName(value: Json | undefined, key: string): string {
  const point = asObject(value ?? null)
  const facts = functionFacts[String(point['function']) as PartFunction] as { says: string } | undefined
  return point['part'] ? `${String(point['part'])}, ${facts?.says ?? String(point['function'])}` : key
}

const fieldWords = (key: string, field: string, value: Json | undefined, facts: Facts): string =>
  isTerminals(key) ? pointWords(value) : valueWords(field, value, facts)

/** Where a wired point is and what the device knows of it: `input 7, closed at rest`. */
function pointWords(value: Json | undefined): string {
  if (value === undefined) return 'not told'
  const point = asObject(value)
  const says = [String(point['port'] ?? '')]
  if (point['address'] !== undefined) says.push(`address ${String(point['address'])}`)
  if (point['idle'] !== undefined) says.push(`${String(point['idle'])} at rest`)
  if (point['after'] !== undefined) says.push(`${String(point['after'])} s after the lock`)
  if (point['release'] !== undefined) says.push(`releases for ${String(point['release'])} s`)
  return says.join(', ')
}

const asObject = (value: Json): { [key: string]: Json } =>
  value !== null && typeof value === 'object' && !Array.isArray(value) ? value : { value }
const doorId = (key: string) => (/^(?:door|terminals)\/(.+)$/.exec(key) ?? /^accessPoint\/(.+)\.[^.]+$/.exec(key))?.[1]

function groupOf(key: string, facts: Facts): string {
  if (key.startsWith('test/')) return 'Test cards'
  const id = doorId(key)
  if (id) return facts.door[id]?.ref ?? 'A door that is not in this job'
  return key.startsWith('schedule/') ? 'Time' : 'People'
}

function nameOf(d: Difference, facts: Facts): string {
  const [kind, id] = d.key.replace('test/', '').split('/')
  if (kind === 'credential') {
    const card = card26FromHex(String(asObject(d.wanted ?? d.held ?? null)['card'] ?? ''))
    return card ? `Card ${cardName(card)}` : 'Card'
  }
  if (kind === 'schedule') return `Schedule ${facts.schedule[id ?? '']?.name ?? id}`
  if (kind === 'profile') return `Group ${facts.group[id ?? '']?.name ?? id}`
  if (kind === 'accessPoint') return `Reader ${(id ?? '').split('.').at(-1)}`
  return kind === 'terminals' ? 'Terminals' : 'Door'
}

function summary(key: string, value: Json, facts: Facts): string {
  const object = asObject(value)
  const kind = key.replace('test/', '').split('/')[0]
  if (kind === 'door') return `${object['name']}, release ${object['release']} s, open ${object['heldOpen']} s`
  if (kind === 'terminals')
    return Object.entries(object)
      .map(([k, point]) => `${pointName(point, k)}: ${pointWords(point)}`)
      .join('; ')
  if (kind === 'credential') return `${object['holder']}, ${object['enabled'] ? 'in use' : 'lost'}`
  if (kind === 'profile') return valueWords('policies', object['policies'], facts)
  if (kind === 'schedule') return valueWords('periods', object['periods'], facts)
  return String(object['name'] ?? '')
}

function valueWords(field: string, value: Json | undefined, facts: Facts): string {
  if (value === undefined || value === '') return 'none'
  if (seconds.has(field)) return `${String(value)} s`
  if (field === 'enabled') return value ? 'in use' : 'lost'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (field === 'from' || field === 'to') return facts.area[String(value)]?.name ?? String(value)
  if (field === 'policies' && Array.isArray(value)) {
    const doors = new Set(value.map((p) => facts.door[String(asObject(p)['at']).split('.')[0] ?? '']?.ref ?? '?'))
    return doors.size ? [...doors].join(', ') : 'nobody'
  }
  if (Array.isArray(value))
    return value.length ? value.map((v) => (typeof v === 'string' ? v : JSON.stringify(v))).join('; ') : 'none'
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([k, v]) => `${k} ${String(v)}`)
      .join(', ')
  return String(value)
}
