import {
  cardFormats,
  mostBits,
  parityHolds,
  readAs,
  withoutParity,
  type Bits,
  type CardFormat,
  type CardNumber,
} from './formats'

/** In which order the bits that came are read. */
export const bitOrders = ['asSent', 'bitsReversed', 'bytesReversed', 'linesExchanged'] as const
export type BitOrder = (typeof bitOrders)[number]

const orderWords: Readonly<Record<BitOrder, string>> = {
  asSent: '',
  bitsReversed: ' with its bits the other way round',
  bytesReversed: ' with its bytes the other way round',
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

function inOrder(bits: Bits, order: BitOrder): Bits | null {
  switch (order) {
    case 'asSent':
      return bits
    case 'bitsReversed':
      return [...bits].reverse()
    case 'linesExchanged':
      return bits.map((b) => (b === 1 ? 0 : 1))
    case 'bytesReversed': {
      // Only whole bytes can stand the other way round; parity bits about them are none.
      if (bits.length % 8 !== 0 || bits.length < 16) return null
      const bytes = Array.from({ length: bits.length / 8 }, (_, i) => bits.slice(i * 8, i * 8 + 8))
      return bytes.reverse().flat()
    }
  }
}

interface Candidate {
  format: CardFormat
  bits: Bits
  cut: CardReading['cut']
}

/** Every format that the bits may be, whole or as a part of them. */
function candidates(bits: Bits, formats: readonly CardFormat[]): Candidate[] {
  return formats.flatMap((format): Candidate[] => {
    if (format.bits === bits.length) return [{ format, bits, cut: 'none' }]
    const data = withoutParity(format)
    if (!data || bits.length < data.bits) return []
    if (bits.length === data.bits) return [{ format: data, bits, cut: 'data' }]
    const last: Candidate = { format: data, bits: bits.slice(bits.length - data.bits), cut: 'last' }
    const middle: Candidate = {
      format: data,
      bits: bits.slice(bits.length - 1 - data.bits, bits.length - 1),
      cut: 'middle',
    }
    return bits.length > data.bits + 1 ? [middle, last] : [last]
  })
}

export const readingName = ({ facility, number }: CardNumber): string =>
  facility === null ? String(number) : `${facility} ${String(number).padStart(5, '0')}`

function wordsOf(
  came: number,
  { format, bits, cut }: Candidate,
  order: BitOrder,
  card: CardNumber,
  parity: boolean,
): string {
  const parts: Readonly<Record<CardReading['cut'], string>> = {
    none: format.name === `${came} bits` ? ':' : `: ${format.name},`,
    data: `: ${format.name} without its parity,`,
    last: `; the last ${bits.length} are`,
    middle: `; the ${bits.length} before the last are`,
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
  formats: readonly CardFormat[] = cardFormats,
): CardReading[] {
  const found = bitOrders.flatMap((order) => {
    const turned = inOrder(bits, order)
    return (turned ? candidates(turned, formats) : []).flatMap((candidate): CardReading[] => {
      const card = readAs(candidate.format, candidate.bits)
      if (!card) return []
      const parity = parityHolds(candidate.format, candidate.bits)
      return [
        {
          ...card,
          format: candidate.format.id,
          order,
          cut: candidate.cut,
          parity,
          printed: printed && stands(card, printed),
          says: wordsOf(bits.length, candidate, order, card, parity),
        },
      ]
    })
  })
  const rank = (r: CardReading) =>
    (r.printed ? 0 : 100) + (r.parity ? 0 : 40) + cutRank[r.cut] + bitOrders.indexOf(r.order)
  return found.sort((a, b) => rank(a) - rank(b))
}

/** How far a reading is from what a reader should send. */
const cutRank: Readonly<Record<CardReading['cut'], number>> = { none: 0, data: 10, middle: 20, last: 20 }

/** A number without a facility on the card is compared alone. */
const stands = (card: CardNumber, printed: Printed): boolean =>
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
