import { mostBits, sentFormats, withoutParity, type Bits, type CardFormat, type CardNumber } from './formats'
import { bitOrders, readSent, type BitOrder } from './orders'

const orderWords: Readonly<Record<BitOrder, string>> = {
  asSent: '',
  bitsReversed: ' with its bits the other way round',
  bytesReversed: ' with its bytes the other way round',
  bytesMirrored: ' with the bits of each byte the other way round',
  linesExchanged: ' with the two data lines exchanged',
}

/** What stands on the card. */
export interface Printed {
  facility: number | null
  number: bigint
}

/** One way to read what a reader sent. */
export interface CardReading extends CardNumber {
  format: string
  order: BitOrder
  /** `data`: the format's bits without its parity. `last`, `middle`: the reader sent more; these are the last of them, or those before the last. */
  cut: 'none' | 'data' | 'last' | 'middle'
  /** Whether its parity bits hold; true for a format without any. */
  parity: boolean
  /** Whether it is what stands on the card; null where nobody said what does. */
  printed: boolean | null
  says: string
}

/** Bits as they are written: `0` and `1`, blanks and underscores between them left out. @returns null for anything else */
export function bitsFromText(text: string): Bits | null {
  const plain = text.replace(/[\s_]/g, '')
  if (!/^[01]+$/.test(plain) || plain.length > mostBits) return null
  return [...plain].map((c) => (c === '1' ? 1 : 0))
}

/** The last `length` bits of a hexadecimal text; four for each digit where no length is said. @returns null where it is none, or has fewer */
export function bitsFromHex(text: string, length?: number): Bits | null {
  const plain = text.replace(/[\s_:-]/g, '').replace(/^0x/i, '')
  if (!/^[0-9A-Fa-f]+$/.test(plain) || plain.length * 4 > mostBits + 3) return null
  const all = [...plain].flatMap((digit): (0 | 1)[] =>
    [8, 4, 2, 1].map((weight) => (parseInt(digit, 16) & weight ? 1 : 0)),
  )
  if (length === undefined) return all
  const spare = all.slice(0, Math.max(0, all.length - length))
  return length < 1 || length > all.length || spare.some((b) => b === 1) ? null : all.slice(all.length - length)
}

interface Candidate {
  format: CardFormat
  /** Where its bits begin in what came. */
  from: number
  cut: CardReading['cut']
}

/** Every format that so many bits may be, whole or as a part of them. */
function candidates(count: number, formats: readonly CardFormat[]): Candidate[] {
  return formats.flatMap((format): Candidate[] => {
    if (format.bits === count) return [{ format, from: 0, cut: 'none' }]
    const data = withoutParity(format)
    if (!data || count < data.bits) return []
    if (count === data.bits) return [{ format: data, from: 0, cut: 'data' }]
    const last: Candidate = { format: data, from: count - data.bits, cut: 'last' }
    const middle: Candidate = { format: data, from: count - 1 - data.bits, cut: 'middle' }
    return count > data.bits + 1 ? [middle, last] : [last]
  })
}

export const readingName = ({ facility, number }: CardNumber): string =>
  facility === null ? String(number) : `${facility} ${String(number).padStart(5, '0')}`

function wordsOf(came: number, { format, cut }: Candidate, order: BitOrder, card: CardNumber, parity: boolean): string {
  const parts: Readonly<Record<CardReading['cut'], string>> = {
    none: format.name === `${came} bits` ? ':' : `: ${format.name},`,
    data: `: ${format.name} without its parity,`,
    last: `; the last ${format.bits} are`,
    middle: `; the ${format.bits} before the last are`,
  }
  return `${came} bits arrived${parts[cut]} card ${readingName(card)}${orderWords[order]}${parity ? '' : ', but its parity is wrong'}.`
}

/**
 * Every way to read what a reader sent, the likeliest first: what stands on the card, then formats whose parity holds, as sent before
 * turned round, whole before cut.
 */
export function readingsOf(
  bits: Bits,
  printed: Printed | null,
  formats: readonly CardFormat[] = sentFormats,
): CardReading[] {
  const found = bitOrders.flatMap((order) =>
    candidates(bits.length, formats).flatMap((candidate): CardReading[] => {
      const { format, from, cut } = candidate
      // Turned round as a whole, a part stands at the other end.
      const at = order === 'bitsReversed' ? bits.length - from - format.bits : from
      const read = readSent(format, order, bits.slice(at, at + format.bits))
      if (!read) return []
      const { parity, ...card } = read
      const says = wordsOf(bits.length, candidate, order, card, parity)
      return [{ ...card, format: format.id, order, cut, parity, printed: printed && stands(card, printed), says }]
    }),
  )
  const rank = (r: CardReading) =>
    (r.printed ? 0 : 100) + (r.parity ? 0 : 40) + cutRank[r.cut] + bitOrders.indexOf(r.order)
  return found.sort((a, b) => rank(a) - rank(b))
}

/** How far a reading is from what a reader should send. */
const cutRank: Readonly<Record<CardReading['cut'], number>> = { none: 0, data: 10, middle: 20, last: 20 }

/** A number without a facility on the card is compared alone. */
export const stands = (card: CardNumber, printed: Printed): boolean =>
  card.number === printed.number &&
  (printed.facility === null || card.facility === null || card.facility === printed.facility)

/**
 * The one reading that can be relied on: what stands on the card, or, where nobody said, the only format as sent whose parity holds.
 * Null where it stays open.
 */
export function likelyReading(readings: readonly CardReading[]): CardReading | null {
  const first = readings[0]
  if (!first) return null
  if (first.printed !== null) return first.printed ? first : null
  const sound = readings.filter((r) => r.order === 'asSent' && r.cut === 'none' && r.parity)
  return sound.length === 1 ? (sound[0] ?? null) : null
}
