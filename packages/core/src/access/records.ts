import type { StoredCard } from '../cards/card'

/** Lost is a state, not a deletion, so that a tag found in the street is refused until someone says otherwise; withdrawn is taken from somebody who has it still. */
export const cardStates = ['in use', 'lost', 'withdrawn'] as const
export type CardState = (typeof cardStates)[number]
/** Cards that one person may have. */
export const mostCards = 10

export interface PersonCard extends StoredCard {
  id: string
  state: CardState
}

/** What somebody has besides number, name, cards and groups. */
export const personDetails = ['company', 'contact', 'remark', 'validFrom', 'validUntil', 'longer'] as const
export type PersonDetail = (typeof personDetails)[number]

/** A card that somebody had, and who has it since. */
export interface PastCard extends StoredCard {
  /** Id of the person. */
  to: string
  /** Server time, ms since 1970 UTC. */
  at: number
}

export interface Person {
  id: string
  number: string
  name: string
  cards: PersonCard[]
  /** Group ids. */
  groups: string[]
  company?: string
  contact?: string
  remark?: string
  /** First and last day, or moment, at which they may pass, by the site's wall clock: `2027-01-31` or `2027-01-31T16:00`. */
  validFrom?: string
  validUntil?: string
  /** Needs longer: doors release and stay open for the longer of their times. */
  longer?: boolean
  /** Digits that they enter at a keypad. */
  code?: string
  /** What they enter instead where somebody forces them: it opens all the same, and tells. */
  duress?: string
  /** Cards that were passed on to somebody else. */
  past?: PastCard[]
}
/** Whoever is in a group passes by the rules of those that it is in as well. */
export interface Group {
  id: string
  name: string
  /** Id of the group that it is in. */
  parent?: string
}

/** A group, or one person, passes doors on a schedule. */
export interface Rule {
  id: string
  /** Id of the group; or of the person that it is for alone. */
  group?: string
  person?: string
  doors: string[]
  /** Ids of sets of doors that it passes besides. */
  sets?: string[]
  schedule: string
  /** First and last day, or moment, at which it counts, as with a person's. */
  validFrom?: string
  validUntil?: string
}

/** Doors that rules name together. */
export interface DoorSet {
  id: string
  name: string
  doors: string[]
}

/** Cards the engineer carries to prove doors; the id is always `kit`. `unknown` is a card that no device is ever told of. */
export interface TestCards {
  id: 'kit'
  good: StoredCard
  lost: StoredCard
  outOfHours: StoredCard
  unknown: StoredCard
  /** One whose time has ended, where somebody carries it. */
  expired?: StoredCard
  /** One whose right to pass has ended, though the card has not, where somebody carries it. */
  ended?: StoredCard
  /** One that is granted the longer times, where somebody carries it. */
  longer?: StoredCard
  /** As good as the good one, for doors that two people pass together. */
  second?: StoredCard
  /** Codes for doors that ask for one. */
  codes?: TestCodes
}

/** `unknown` is a code that no device is ever told of. */
export interface TestCodes {
  good: string
  duress: string
  unknown: string
}

/** The test cards that there are, each under what it stands for. */
export const kitCards = ({ id: _id, codes: _codes, ...cards }: TestCards): [TestCard, StoredCard][] =>
  Object.entries(cards) as [TestCard, StoredCard][]
export type TestCard = Exclude<keyof TestCards, 'id' | 'codes'>
