import {
  bitsOfText,
  cardFault,
  cardFromData,
  formatName,
  numberedCard,
  sameCard,
  serialCard,
  type StoredCard,
} from '../cards/card'
import { readingsOf } from '../cards/detective'
import type { CardFormat } from '../cards/formats'
import { keptAs, sendings, storedOf } from '../cards/sending'
import { strangeReadWords } from '../cards/strange'
import type { Door } from '../doors/door'
import { accessPlaces } from '../doors/accesspoints'
import type { Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import type { DeviceEvent } from '../proving/events'
import type { Person, PersonCard } from './records'
import { holderOf, isTestCard } from './holders'

/** A reader at which cards are read in. */
export interface EnrolmentPlace {
  door: Door
  part: string
}

/** Readers of cards that somebody said may be used to read cards in, by door. */
export function enrolmentPlaces(facts: Facts, sheets: Sheets): EnrolmentPlace[] {
  return all(facts, 'door').flatMap((door) =>
    accessPlaces(door, sheets)
      .filter(({ part, cards }) => cards && part.enrols)
      .map(({ part }) => ({ door, part: part.id })),
  )
}

/** Whose a card is: a person’s, one of the test cards, or nobody’s. */
export type Holding = { of: 'person'; person: Person; card: PersonCard } | { of: 'test' } | { of: 'nobody' }

export function holdingOf(facts: Facts, card: StoredCard): Holding {
  for (const person of all(facts, 'person')) {
    const own = person.cards.find((c) => sameCard(c, card))
    if (own) return { of: 'person', person, card: own }
  }
  return isTestCard(facts, card) ? { of: 'test' } : { of: 'nobody' }
}

/** One way to keep what was read. */
export interface CardChoice {
  card: StoredCard
  /** Format in words. */
  format: string
}

/** What a reader sent, for whoever reads cards in. */
export interface ReadIn {
  /** Id of the event. */
  id: string
  /** The device's stamp, ms. */
  at: number
  /** By the format that the reader is set to; null where its bits are none of it. */
  card: StoredCard | null
  /** Where they are none of it: what they may be, the likeliest first. */
  choices: CardChoice[]
  /** What is to be told besides the number; empty where nothing is. */
  says: string
}

function choicesOf(bits: string, formats: readonly CardFormat[]): CardChoice[] {
  const came = bitsOfText(bits)
  if (!came) return []
  return readingsOf(came, null, formats)
    .filter((r) => r.order === 'asSent' && r.cut === 'none' && r.parity)
    .flatMap((r): CardChoice[] => {
      const format = formats.find((f) => f.id === r.format)
      const card = format && storedOf(format, r)
      return card ? [{ card, format: format.name }] : []
    })
    .filter(({ card }) => cardFault(card) === null)
}

const isRead = (e: DeviceEvent): boolean => (e.kind === 'granted' || e.kind === 'refused') && !!(e.card || e.bits)

/** What a reader sent since a moment, the newest first. @param since server time of receipt, ms: what came then or before is left out */
export function readIn(facts: Facts, { door, part }: EnrolmentPlace, since: number): ReadIn[] {
  const reader = door.parts.find((p) => p.id === part)
  return all(facts, 'event')
    .filter((e) => e.door === door.id && e.reader === part && e.received > since && isRead(e))
    .sort((a, b) => b.received - a.received || b.seq - a.seq)
    .map((e): ReadIn => {
      const card = e.card ? cardFromData(keptAs(facts, reader?.format), e.card) : null
      if (card) return { id: e.id, at: e.at, card, choices: [], says: '' }
      const bits = bitsOfText(e.bits ?? '')
      return {
        id: e.id,
        at: e.at,
        card: null,
        choices: choicesOf(e.bits ?? '', sendings(facts)),
        says: bits
          ? strangeReadWords(bits, reader ?? {}, sendings(facts), (r) => holderOf(facts, r))
          : 'The controller told no number.',
      }
    })
}

/** A number from a desk reader that types like a keyboard, or from what is printed: every card that it may stand for, the likeliest first. */
export function cardsTyped(text: string): CardChoice[] {
  const plain = text.trim()
  const parted = /^(\d{1,5})[\s,;:/-]+(\d{1,10})$/.exec(plain)
  const found: StoredCard[] = []
  if (parted)
    for (const format of ['wiegand26', 'wiegand34'])
      found.push(numberedCard(format, Number(parted[1]), Number(parted[2])))
  else if (/^\d{1,10}$/.test(plain)) found.push(...fromValue(BigInt(plain)))
  const hex = plain.replace(/[\s:-]/g, '').replace(/^0x/i, '')
  // Eight or fourteen signs are a serial number also where all of them are digits.
  if (/^[0-9A-Fa-f]+$/.test(hex) && !parted) {
    if (hex.length === 8) found.push(serialCard('serial4', hex), serialCard('serial4', bytesTurned(hex)))
    if (hex.length === 14) found.push(serialCard('serial7', hex), serialCard('serial7', bytesTurned(hex)))
    if (hex.length === 6 && !/^\d+$/.test(hex)) found.push(...fromValue(BigInt(`0x${hex}`)))
  }
  return found
    .filter((card, i) => cardFault(card) === null && found.findIndex((c) => sameCard(c, card)) === i)
    .map((card) => ({ card, format: formatName(card.format) }))
}

const bytesTurned = (hex: string): string => (hex.match(/../g) ?? []).reverse().join('')

/** Facility and number written as one decimal number: 24 bits, or 32. */
function fromValue(value: bigint): StoredCard[] {
  const parts = (bits: bigint) => [Number(value >> bits), Number(value & ((1n << bits) - 1n))] as const
  const [facility, number] = parts(16n)
  const cards: StoredCard[] = []
  if (value >= 1n << 16n && value < 1n << 24n) cards.push(numberedCard('wiegand26', facility, number))
  if (value >= 1n << 16n && value < 1n << 32n) {
    cards.push(numberedCard('wiegand34', facility, number))
    cards.push(serialCard('serial4', value.toString(16).padStart(8, '0')))
  }
  return cards
}

/** One more, as wide as it is. @param number digits */
export const numberAfter = (number: string): string => String(Number(number) + 1).padStart(number.length, '0')

/** The next number of a person where numbers are given by themselves: one more than the highest, as wide as the widest. */
export function nextNumber(facts: Facts): string {
  const numbers = all(facts, 'person').flatMap((p) => (/^\d{1,9}$/.test(p.number) ? [p.number] : []))
  const highest = numbers.reduce((most, n) => Math.max(most, Number(n)), 0)
  const wide = numbers.reduce((most, n) => Math.max(most, n.length), numbers.length ? 1 : 3)
  return numberAfter(String(highest).padStart(wide, '0'))
}
