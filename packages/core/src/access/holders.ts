import { sameCard, usualFormat, type StoredCard } from '../cards/card'
import type { CardReading, Printed } from '../cards/detective'
import { printedOn } from '../cards/strange'
import { kitCards } from './records'
import { all, type Facts } from '../job/facts'

interface Known {
  says: string
  format: string
}

const kept = new WeakMap<Facts['person'], ReadonlyMap<string, Known[]>>()

const keyOf = ({ facility, number }: Printed): string => `${facility ?? ''}/${number}`
const keyOfCard = (card: StoredCard): string => keyOf(printedOn(card))

/** Everybody's cards by their numbers: one number may stand on cards of two formats. */
function cardsByNumber(facts: Facts): ReadonlyMap<string, Known[]> {
  let found = kept.get(facts.person)
  if (!found) {
    const made = new Map<string, Known[]>()
    for (const person of all(facts, 'person'))
      for (const card of person.cards) {
        const known = { says: `the card of ${person.name}`, format: card.format ?? usualFormat }
        const key = keyOfCard(card)
        made.set(key, [...(made.get(key) ?? []), known])
      }
    kept.set(facts.person, (found = made))
  }
  return found
}

/** Whose card a reading names, in words, or null where it is nobody's; a card of the format that was read comes first. */
export function holderOf(facts: Facts, reading: CardReading): string | null {
  const key = keyOf(reading)
  const kit = facts.testCards['kit']
  const known = [
    ...(cardsByNumber(facts).get(key) ?? []),
    ...(kit ? kitCards(kit) : [])
      .filter(([which, card]) => which !== 'unknown' && keyOfCard(card) === key)
      .map(([, card]) => ({ says: 'a test card', format: card.format ?? usualFormat })),
  ]
  return (known.find((k) => k.format === reading.format) ?? known[0])?.says ?? null
}

/** Whether a card is one of those that the engineer proves doors with. */
export function isTestCard(facts: Facts, card: StoredCard): boolean {
  const kit = facts.testCards['kit']
  return !!kit && kitCards(kit).some(([, t]) => sameCard(t, card))
}

/** Who has a card already, or null. @param but somebody whose own cards do not count */
export const ownerOf = (facts: Facts, card: StoredCard, but: string): string | null =>
  all(facts, 'person').find((p) => p.id !== but && p.cards.some((c) => sameCard(c, card)))?.name ?? null
