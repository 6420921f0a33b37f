import {
  bitsOfText,
  cardFromData,
  formatOf,
  lineOrder,
  sentAs,
  usualFormat,
  type Bits,
  type CardFormat,
  type ReaderOrder,
} from '@rauta/core'

/** How a reader sends what it reads, as its maker, its own settings or its switches have it. */
export interface ReaderSends {
  order?: ReaderOrder
  /** Into which fields it writes the facility and the number of a card; 26 bits where it is not said. */
  format?: CardFormat
}

/** What may be chosen on the rig's page; what a reader of the site file sends otherwise comes first there. */
export const sendsChoices: Readonly<Record<string, ReaderSends>> = {
  '26 bits': {},
  '26 bits, bits turned': { order: 'bitsReversed' },
  '26 bits, bytes turned': { order: 'bytesReversed' },
  '34 bits': withFormat('wiegand34'),
  '34 bits, bytes turned': { ...withFormat('wiegand34'), order: 'bytesReversed' },
}
function withFormat(id: string): ReaderSends {
  const format = formatOf(id)
  return format ? { format } : {}
}

const usual = formatOf() as CardFormat

/**
 * What a reader sends for a card of the hands. The card is six hexadecimal digits, facility and number of 26 bits, which the reader writes
 * in its own way; or bits as they are written (`34/003D1141A`), which go as they are.
 */
export function bitsSent(text: string, { order = 'asSent', format = usual }: ReaderSends = {}): Bits {
  const raw = bitsOfText(text)
  if (raw) return lineOrder(raw, order)
  const card = cardFromData(usualFormat, text)
  if (!card) throw new Error(`${text} is no card: write six hexadecimal digits, or how many bits and their value.`)
  return sentAs(format, order, {
    facility: format.facility ? card.facility : null,
    number: format.facility ? BigInt(card.number) : BigInt((card.facility << 16) + card.number),
  })
}
