import {
  parityHolds,
  readAs,
  withParity,
  writeAs,
  type BitRun,
  type Bits,
  type CardFormat,
  type CardNumber,
} from './formats'

/**
 * In which order the bits of a card are sent. The whole of what arrives may be turned round; or the bytes of the number alone, or the bits
 * within each of them: parity bits stand outside the bytes and are made over what is sent.
 */
export const readerOrders = ['asSent', 'bitsReversed', 'bytesReversed', 'bytesMirrored'] as const
export type ReaderOrder = (typeof readerOrders)[number]

/** Also one that no reader or controller can be set to: exchanged data lines are mended at the cable. */
export const bitOrders = [...readerOrders, 'linesExchanged'] as const
export type BitOrder = (typeof bitOrders)[number]

export const isReaderOrder = (order: string): order is ReaderOrder => readerOrders.some((o) => o === order)

/** After a format or a card: `26 bits, its bytes the other way round`. */
export const orderNames: Readonly<Record<BitOrder, string>> = {
  asSent: 'as it is sent',
  bitsReversed: 'all bits the other way round',
  bytesReversed: 'the bytes of the number the other way round',
  bytesMirrored: 'the bits of each byte the other way round',
  linesExchanged: 'data 0 and data 1 exchanged',
}

const mirrored = <T>(items: readonly T[]): T[] => [...items].reverse()

/** The whole of what came turned round, or back: each of these undoes itself. */
export function lineOrder(bits: Bits, order: BitOrder): Bits {
  if (order === 'bitsReversed') return mirrored(bits)
  return order === 'linesExchanged' ? bits.map((b) => (b === 1 ? 0 : 1)) : bits
}

/** From the first bit of facility or number to the last of either. */
function dataRun({ facility, number }: CardFormat): BitRun {
  const from = Math.min(facility?.from ?? number.from, number.from)
  const to = Math.max(facility ? facility.from + facility.length : 0, number.from + number.length)
  return { from, length: to - from }
}

/** Whether an order is one of the bytes of the number alone. */
export const isOfBytes = (order: BitOrder): boolean => order === 'bytesReversed' || order === 'bytesMirrored'

/** Both ways as well. @returns null where the data are no whole bytes, or one alone */
function dataOrder<T>(format: CardFormat, bits: readonly T[], order: BitOrder): readonly T[] | null {
  if (!isOfBytes(order)) return bits
  const { from, length } = dataRun(format)
  if (length % 8 !== 0 || length < 16) return null
  const bytes = Array.from({ length: length / 8 }, (_, i) => bits.slice(from + i * 8, from + i * 8 + 8))
  const turned = order === 'bytesReversed' ? bytes.reverse().flat() : bytes.flatMap(mirrored)
  return [...bits.slice(0, from), ...turned, ...bits.slice(from + length)]
}

/** What a format makes of bits that came in an order, and whether their parity holds; null where they are none of it. */
export function readSent(format: CardFormat, order: BitOrder, bits: Bits): (CardNumber & { parity: boolean }) | null {
  if (bits.length !== format.bits) return null
  const line = lineOrder(bits, order)
  const data = dataOrder(format, line, order)
  const card = data && readAs(format, data)
  return card && { ...card, parity: parityHolds(format, line) }
}

/** The bits that a reader sends for a card in this order. @throws RangeError where the card does not fit, or the order is none for this format */
export function sentAs(format: CardFormat, order: BitOrder, card: CardNumber): Bits {
  const data = dataOrder(format, writeAs(format, card), order)
  if (!data) throw new RangeError(`The number of ${format.name} is no whole bytes.`)
  return lineOrder(withParity(format, data), order)
}

/** What a bit of what came is, by a way of sending. */
export type BitRole = 'facility' | 'number' | 'parity' | 'other'

/** The part of each bit, in the order in which they came. */
export function bitRoles(format: CardFormat, order: BitOrder): BitRole[] {
  const within = (i: number, run: BitRun | undefined) => !!run && i >= run.from && i < run.from + run.length
  const roles = Array.from({ length: format.bits }, (_, i): BitRole => {
    if (within(i, format.facility)) return 'facility'
    if (within(i, format.number)) return 'number'
    return format.parity.some((p) => p.at === i) ? 'parity' : 'other'
  })
  const placed = dataOrder(format, roles, order) ?? roles
  return order === 'bitsReversed' ? mirrored(placed) : [...placed]
}
