import {
  cardFault,
  cardKey,
  cardName,
  cardStates,
  isStandby,
  isTestCard,
  mostCards,
  ownerOf,
  put,
  sameCard,
  type CardState,
  type Facts,
  type StoredCard,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

export const card = {
  format: { type: 'string', maxLength: 40 },
  facility: { type: 'integer' },
  number: { type: 'integer' },
  serial: { type: 'string', maxLength: 40 },
} as const
export const optionalOfCard = ['format', 'serial'] as const

export function checkCard(facts: Facts, c: StoredCard, person: string, field: string): void {
  const fault = cardFault(c)
  if (fault) throw new Refusal(fault, field)
  const owner = ownerOf(facts, c, person)
  if (owner) throw new Refusal(`Card ${cardName(c)} already belongs to ${owner}.`, field)
  noStandby(facts, c, field)
}

function noStandby(facts: Facts, c: StoredCard, field?: string): void {
  if (isStandby(facts, c))
    throw new Refusal(`Card ${cardName(c)} is the standby credential of the wireless locks.`, field)
}

/** A card of a list: as its format writes it, in one row alone, and none of the test cards. @param seen cards of the list so far */
export function soundCard(facts: Facts, c: StoredCard, seen: Set<string>): void {
  const fault = cardFault(c)
  if (fault) throw new Refusal(fault)
  if (seen.has(cardKey(c))) throw new Refusal(`Card ${cardName(c)} stands in the list twice.`)
  seen.add(cardKey(c))
  noTestCard(facts, c)
  noStandby(facts, c)
}

function noTestCard(facts: Facts, c: StoredCard, field?: string): void {
  if (isTestCard(facts, c)) throw new Refusal(`Card ${cardName(c)} is one of the test cards.`, field)
}

/** A card of a person: nobody else's, and none of the test cards. */
export function checkPersonCard(facts: Facts, c: StoredCard, person: string, field: string): void {
  checkCard(facts, c, person, field)
  noTestCard(facts, c, field)
}

const cardOf = (facts: Facts, person: string, which: string) => {
  const holder = existing(facts.person[person], 'person', person)
  return {
    holder,
    card: existing(
      holder.cards.find((c) => c.id === which),
      `card of ${holder.name}`,
      which,
    ),
  }
}

/** A card that was just read is somebody's: given at a door, to one person. */
export const cardGive = defineCommand<{ person: string; card: StoredCard & { id: string } }>()({
  name: 'card.give',
  roles: everyFitter,
  schema: object({ person: id, card: object({ id, ...card }, optionalOfCard) }),
  apply(facts, p) {
    const holder = existing(facts.person[p.person], 'person', p.person)
    const has = holder.cards.find((c) => sameCard(c, p.card))
    if (has) throw new Refusal(`Card ${cardName(p.card)} is ${holder.name}’s already, ${has.state}.`, 'card')
    checkPersonCard(facts, p.card, holder.id, 'card')
    if (holder.cards.some((c) => c.id === p.card.id)) throw new Refusal('A card with this id is there already.', 'card')
    if (holder.cards.length >= mostCards)
      throw new Refusal(`${holder.name} has ${mostCards} cards already. Take one away first.`, 'card')
    return [put(facts, 'person', { ...holder, cards: [...holder.cards, { ...p.card, state: 'in use' }] })]
  },
  words: (f, p) => `Card ${cardName(p.card)} for ${f.person[p.person]?.name ?? ''}`,
})

/** A card goes from one person to another in one step; whose it was stays with whoever had it. */
export const cardPass = defineCommand<{ from: string; card: string; to: string }>()({
  name: 'card.pass',
  roles: everyFitter,
  schema: object({ from: id, card: id, to: id }),
  apply(facts, p, { at }) {
    const { holder, card: passed } = cardOf(facts, p.from, p.card)
    const to = existing(facts.person[p.to], 'person', p.to)
    if (p.from === p.to) throw new Refusal(`Card ${cardName(passed)} is ${to.name}’s already.`, 'to')
    if (to.cards.length >= mostCards)
      throw new Refusal(`${to.name} has ${mostCards} cards already. Take one away first.`, 'to')
    const { id: cardId, state: _state, ...number } = passed
    // Ids of cards are made once: whoever had the same id by chance keeps theirs.
    const taken = to.cards.some((c) => c.id === cardId)
    return [
      put(facts, 'person', {
        ...holder,
        cards: holder.cards.filter((c) => c.id !== p.card),
        past: [...(holder.past ?? []), { ...number, to: to.id, at }].slice(-mostPast),
      }),
      put(facts, 'person', {
        ...to,
        cards: [...to.cards, { ...number, id: taken ? `${cardId}-${at}` : cardId, state: 'in use' }],
      }),
    ]
  },
  words(f, p) {
    const passed = f.person[p.from]?.cards.find((c) => c.id === p.card)
    return `Card ${passed ? cardName(passed) : ''} went from ${f.person[p.from]?.name ?? ''} to ${f.person[p.to]?.name ?? ''}`
  },
})
/** Cards passed on that are remembered with somebody; the history has them all. */
const mostPast = 50

/** Lost, found again, withdrawn: one tap each. */
export const cardState = defineCommand<{ person: string; card: string; state: CardState }>()({
  name: 'card.state',
  roles: everyFitter,
  schema: object({ person: id, card: id, state: { enum: cardStates } }),
  apply(facts, p) {
    const { holder } = cardOf(facts, p.person, p.card)
    const cards = holder.cards.map((c) => (c.id === p.card ? { ...c, state: p.state } : c))
    return [put(facts, 'person', { ...holder, cards })]
  },
  words(f, p) {
    const of = f.person[p.person]
    const which = of?.cards.find((c) => c.id === p.card)
    return `Card ${which ? cardName(which) : ''} of ${of?.name ?? ''} is ${p.state}`
  },
})
