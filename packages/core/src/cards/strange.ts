import { cardFromData, usualFormat, type StoredCard } from './card'
import { likelyReading, readingName, readingsOf, type CardReading, type Printed } from './detective'
import { cardFormats, type Bits, type CardFormat } from './formats'
import { readSent, type BitOrder } from './orders'
import type { Reads } from './sending'

/** What to do about a number that comes in another order than it is printed in. */
const mends: Readonly<Record<BitOrder, string>> = {
  asSent: '',
  bitsReversed: 'Turn the bit order round, at the reader or at the controller.',
  bytesReversed: 'Turn the byte order round, at the reader or at the controller.',
  bytesMirrored: 'Turn the bits of each byte round, at the reader or at the controller.',
  linesExchanged: 'Exchange data 0 and data 1 at one end of its cable.',
}

/** Also where the number is right and the reader is set to another format than was sent. */
const mendOf = (reading: CardReading, set?: string): string =>
  mends[reading.order] ||
  (reading.cut === 'none' && (set === undefined || reading.format === set)
    ? ''
    : 'Set the reader to the format that it sends, or have the card sent in the one that is set.')

/** What stands on a card, for the detective. */
export const printedOn = (card: StoredCard): Printed =>
  card.serial === undefined
    ? { facility: card.facility, number: BigInt(card.number) }
    : { facility: null, number: BigInt(`0x${card.serial}`) }

/** Cards that may be meant by what a controller compares: the digits alone do not say which format they are of. */
const meantBy = (hex: string): StoredCard[] => cardFormats.flatMap((f) => cardFromData(f.id, hex) ?? [])

/** The reading of what came that is the awaited card, in whatever order, format or cut; null where none is. @param awaited what the controller compares, hexadecimal */
export function awaitedReading(bits: Bits, awaited: string): CardReading | null {
  for (const card of meantBy(awaited)) {
    const likely = likelyReading(readingsOf(bits, printedOn(card)))
    if (likely) return likely
  }
  return null
}

/**
 * What came instead of an awaited card, told for a fitter: which number it is, and, where it is the awaited one in another order, in
 * another format or with its data lines exchanged, that. @param awaited what the controller compares, hexadecimal
 */
export function strangeCardWords(bits: Bits, awaited: string): string {
  const likely = awaitedReading(bits, awaited)
  if (likely) return `${likely.says} That is the card awaited. ${mendOf(likely)}`.trim()
  const plain = readingsOf(bits, null).find((r) => r.order === 'asSent')
  const came = plain ? readingName(plain) : `${bits.length} bits that no format reads`
  return `A card nobody knows came: ${came}. It is not the card awaited, however it is read.`
}

/**
 * What a read that the controller could not place is, told for a fitter; empty where nothing is to be said beyond that it is unknown.
 * @param reads what the reader is set to
 * @param formats that the job knows
 * @param whose who has a card that such a reading names: `Somebody’s card`
 */
export function strangeReadWords(
  bits: Bits,
  reads: Reads,
  formats: readonly CardFormat[],
  whose: (reading: CardReading) => string | null,
): string {
  const format = reads.format ?? usualFormat
  const readings = readingsOf(bits, null, formats)
  for (const reading of readings) {
    const owner = whose(reading)
    // As it is set, whole and known, it would not have been strange.
    if (owner) return `${reading.says} That is ${owner}. ${mendOf(reading, format)}`.trim()
  }
  const expected = formats.find((f) => f.id === format)
  const sound = readings.find((r) => r.order === 'asSent' && r.cut === 'none' && r.parity)
  if (expected && bits.length !== expected.bits)
    return `${bits.length} bits arrived, the reader is set to ${expected.name}${sound ? `; they read as card ${readingName(sound)}` : ''}.`
  if (!expected || readSent(expected, reads.order ?? 'asSent', bits)?.parity) return ''
  const sounds = (order: BitOrder) =>
    readings.find((r) => r.cut === 'none' && r.parity && r.format === expected.id && r.order === order)
  // Exchanged leads are the commoner fault.
  const turned = sounds('linesExchanged') ?? sounds('bitsReversed')
  const otherwise = turned ? ` Otherwise: ${turned.says} ${mends[turned.order]}` : ''
  return `${bits.length} bits arrived, and their parity is wrong.${otherwise}`
}
