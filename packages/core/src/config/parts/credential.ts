import { cardData, cardFault, cardFromData, cardName, formatName, usualFormat, type StoredCard } from '../../cards/card'
import type { Person } from '../../access/records'
import { groupsPassed } from '../../access/groups'
import { validityOf } from '../../access/validity'
import { all, type Facts } from '../../job/facts'
import { jobOf } from '../../job/records'
import { wallText } from '../../time/wallClock'
import type { Json } from '../records'
import { asObject, fieldName, plainWords, shape, type Change, type PartKind, type Wants } from './kind'
import { policiesAtDoor } from './profile'
import { rulesHere } from './rules'

const text = { type: 'string' }
const names: Readonly<Record<string, string>> = {
  holder: 'Holder',
  format: 'Card format',
  card: 'Card',
  enabled: 'State',
  profiles: 'Groups',
  reason: 'Refused because',
  from: 'Valid from',
  until: 'Valid until',
  longer: 'Longer times',
}
const stateWords = (value: Json): string => {
  const { enabled, reason } = asObject(value)
  return enabled ? 'in use' : plainWords(reason ?? 'lost')
}

const profilesOf = new WeakMap<object, string[]>()
/** The groups that a credential names, whatever a device told; a value is never altered where it lies. */
function profilesIn(value: Json | undefined): string[] {
  if (typeof value !== 'object' || value === null) return []
  let found = profilesOf.get(value)
  if (!found) {
    const list = asObject(value)['profiles']
    profilesOf.set(value, (found = Array.isArray(list) ? list.map(plainWords) : []))
  }
  return found
}

/** A moment as a device is told it, and as it says it back. */
export const momentText = (ms: number): string => `${new Date(ms).toISOString().slice(0, 19)}Z`

/** When the time of the expired test card ended: before any clock that a device may have. */
const longPast = momentText(Date.UTC(2000, 0, 1))

const identifier = (card: StoredCard) => ({ format: card.format ?? usualFormat, card: cardData(card) })

/** What a device is told of somebody besides their cards; fields that say nothing are left out. */
function holding(person: Person, zone: string) {
  const { from, until } = validityOf(person, zone)
  return {
    ...(from === undefined ? {} : { from: momentText(from) }),
    ...(until === undefined ? {} : { until: momentText(until) }),
    ...(person.longer ? { longer: true } : {}),
  }
}

const kept = new WeakMap<Person, Map<string, Wants>>()
/** Somebody's cards as a device holds them: the same values on every device through whose groups they pass. */
function cardsOf(person: Person, profiles: string[], zone: string): Wants {
  const through = `${zone}\n${profiles.join('\n')}`
  let byProfiles = kept.get(person)
  if (!byProfiles) kept.set(person, (byProfiles = new Map()))
  let cards = byProfiles.get(through)
  if (!cards) {
    const holder = `${person.number} ${person.name}`
    const besides = holding(person, zone)
    cards = Object.fromEntries(
      person.cards
        .filter((card) => cardFault(card) === null)
        .map((card) => [
          card.id,
          {
            holder,
            ...identifier(card),
            enabled: card.state === 'in use',
            ...(card.state === 'withdrawn' ? { reason: card.state } : {}),
            profiles,
            ...besides,
          },
        ]),
    )
    byProfiles.set(through, cards)
  }
  return cards
}

function momentWords(value: Json | undefined, facts: Facts): string {
  const at = typeof value === 'string' ? Date.parse(value) : NaN
  return Number.isNaN(at) ? plainWords(value) : wallText(at, jobOf(facts)?.zone ?? 'UTC')
}

/** A card of somebody, with the groups through which it passes. */
export const credentialKind: PartKind = {
  name: 'credential',
  many: true,
  schema: shape(
    {
      holder: text,
      format: text,
      card: { type: 'string', pattern: '^[0-9A-F]+$' },
      enabled: { type: 'boolean' },
      /** Why it is not enabled; lost where it is not said. */
      reason: text,
      profiles: { type: 'array', items: text },
      /** UTC, to the second. */
      from: text,
      until: text,
      longer: { type: 'boolean' },
    },
    ['reason', 'from', 'until', 'longer'],
  ),
  want(scene) {
    const zone = jobOf(scene.facts)?.zone ?? 'UTC'
    const groups = new Set(rulesHere(scene).map((r) => r.group))
    const wants: Wants = {}
    for (const person of all(scene.facts, 'person')) {
      const profiles = groupsPassed(scene.facts.group, person.groups)
        .filter((g) => groups.has(g))
        .sort()
      if (profiles.length > 0) Object.assign(wants, cardsOf(person, profiles, zone))
    }
    return wants
  },
  wantForTests({ kit }) {
    const credential = (card: StoredCard, enabled: boolean, profile: string, more: Wants = {}): Json => ({
      holder: 'Test card',
      ...identifier(card),
      enabled,
      profiles: [profile],
      ...more,
    })
    return {
      'rauta-good': credential(kit.good, true, 'rauta-good'),
      'rauta-lost': credential(kit.lost, false, 'rauta-good'),
      'rauta-hours': credential(kit.outOfHours, true, 'rauta-hours'),
      ...(kit.expired ? { 'rauta-expired': credential(kit.expired, true, 'rauta-good', { until: longPast }) } : {}),
      ...(kit.second
        ? { 'rauta-second': credential(kit.second, true, 'rauta-good', { holder: 'Second test card' }) }
        : {}),
      ...(kit.longer ? { 'rauta-longer': credential(kit.longer, true, 'rauta-good', { longer: true }) } : {}),
    }
  },
  doorOf: () => null,
  /** Through the groups that pass this door. */
  touches(door, both) {
    const passing = new Set(policiesAtDoor(both, door).map((p) => p.profile))
    const passes = (profile: string) => passing.has(profile)
    return ({ held, wanted }: Change) => profilesIn(held).some(passes) || profilesIn(wanted).some(passes)
  },
  group: 'People',
  title({ held, wanted }) {
    const value = asObject(wanted ?? held)
    const card = cardFromData(plainWords(value['format']), plainWords(value['card']))
    return card ? `Card ${cardName(card)}` : 'Card'
  },
  summary: (value) => `${plainWords(asObject(value)['holder'])}, ${stateWords(value)}`,
  field(field, value, _other, facts) {
    const name = fieldName(names, field)
    if (field === 'enabled') return { name, says: value ? 'in use' : 'refused' }
    if (field === 'from' || field === 'until') return { name, says: momentWords(value, facts) }
    return { name, says: field === 'format' ? formatName(plainWords(value)) : plainWords(value) }
  },
}
