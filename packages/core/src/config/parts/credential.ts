import { cardData, cardFault, cardFromData, cardName, formatName, usualFormat, type StoredCard } from '../../cards/card'
import type { Person } from '../../access/records'
import { all } from '../../job/facts'
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
}
const stateWords = (enabled: Json | undefined): string => (enabled ? 'in use' : 'lost')

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

const identifier = (card: StoredCard) => ({ format: card.format ?? usualFormat, card: cardData(card) })

const kept = new WeakMap<Person, Map<string, Wants>>()
/** Somebody's cards as a device holds them: the same values on every device through whose groups they pass. */
function cardsOf(person: Person, profiles: string[]): Wants {
  const through = profiles.join('\n')
  let byProfiles = kept.get(person)
  if (!byProfiles) kept.set(person, (byProfiles = new Map()))
  let cards = byProfiles.get(through)
  if (!cards) {
    const holder = `${person.number} ${person.name}`
    cards = Object.fromEntries(
      person.cards
        .filter((card) => cardFault(card) === null)
        .map((card) => [card.id, { holder, ...identifier(card), enabled: card.state === 'in use', profiles }]),
    )
    byProfiles.set(through, cards)
  }
  return cards
}

/** A card of somebody, with the groups through which it passes. */
export const credentialKind: PartKind = {
  name: 'credential',
  many: true,
  schema: shape({
    holder: text,
    format: text,
    card: { type: 'string', pattern: '^[0-9A-F]+$' },
    enabled: { type: 'boolean' },
    profiles: { type: 'array', items: text },
  }),
  want(scene) {
    const groups = new Set(rulesHere(scene).map((r) => r.group))
    const wants: Wants = {}
    for (const person of all(scene.facts, 'person')) {
      const profiles = person.groups.filter((g) => groups.has(g)).sort()
      if (profiles.length > 0) Object.assign(wants, cardsOf(person, profiles))
    }
    return wants
  },
  wantForTests({ kit }) {
    const credential = (card: StoredCard, enabled: boolean, profile: string): Json => ({
      holder: 'Test card',
      ...identifier(card),
      enabled,
      profiles: [profile],
    })
    return {
      'rauta-good': credential(kit.good, true, 'rauta-good'),
      'rauta-lost': credential(kit.lost, false, 'rauta-good'),
      'rauta-hours': credential(kit.outOfHours, true, 'rauta-hours'),
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
  summary: (value) => `${plainWords(asObject(value)['holder'])}, ${stateWords(asObject(value)['enabled'])}`,
  field(field, value) {
    const name = fieldName(names, field)
    if (field === 'enabled') return { name, says: stateWords(value) }
    return { name, says: field === 'format' ? formatName(plainWords(value)) : plainWords(value) }
  },
}
