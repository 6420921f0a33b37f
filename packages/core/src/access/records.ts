import type { StoredCard } from '../cards/card'

/** Lost is a state, not a deletion, so that a tag found in the street is refused until someone says otherwise. */
export type CardState = 'in use' | 'lost'
export interface PersonCard extends StoredCard {
  id: string
  state: CardState
}

export interface Person {
  id: string
  number: string
  name: string
  cards: PersonCard[]
  /** Group ids. */
  groups: string[]
}
export interface Group {
  id: string
  name: string
}

/** A group passes doors on a schedule. */
export interface Rule {
  id: string
  group: string
  doors: string[]
  schedule: string
}

/** Cards the engineer carries to prove doors; the id is always `kit`. `unknown` is a card that no device is ever told of. */
export interface TestCards {
  id: 'kit'
  good: StoredCard
  lost: StoredCard
  outOfHours: StoredCard
  unknown: StoredCard
}
