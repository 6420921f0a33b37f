import { bitsFromHex } from './detective'
import { cardFormats, readAs, withoutParity, writeAs, type BitRun, type Bits, type CardFormat } from './formats'

/** A card as it is kept: its format, and its number as that format writes it. */
export interface StoredCard {
  /** Id of its format; 26 bits where it is not said. */
  format?: string
  facility: number
  number: number
  /** Hexadecimal, first byte first, of a format that is a bare serial number; `facility` and `number` are 0 then. */
  serial?: string
}

/** What readers and cards have where nobody said otherwise: SIA AC-01. */
export const usualFormat = 'wiegand26'

export const formatOf = (id: string = usualFormat): CardFormat | undefined => cardFormats.find((f) => f.id === id)

/** A format in words, or as it was told where there is none of that name. */
export const formatName = (id: string = usualFormat): string => formatOf(id)?.name ?? id

const most = (run: BitRun): number => 2 ** run.length - 1
const spaced = (n: number): string => String(n).replace(/\B(?=(\d{3})+$)/g, ' ')
const fits = (value: number, run: BitRun): boolean => Number.isInteger(value) && value >= 0 && value <= most(run)

const ofFormat = (format: string) => (format === usualFormat ? {} : { format })

/** A card with a facility and a number; the usual format is not named. */
export const numberedCard = (format: string, facility: number, number: number): StoredCard => ({
  ...ofFormat(format),
  facility,
  number,
})

/** A card of a bare serial number, as it is printed: blanks, colons and dashes between the digits are left out. */
export const serialCard = (format: string, printed: string): StoredCard => ({
  ...ofFormat(format),
  facility: 0,
  number: 0,
  serial: printed.replace(/[\s:-]/g, '').toUpperCase(),
})

/** Whether cards of a format are told by a serial number alone. */
export const isSerial = (format: string): boolean => !formatOf(format)?.facility

/** What is wrong with a card's number, or null. */
export function cardFault(card: StoredCard): string | null {
  const format = formatOf(card.format)
  if (!format) return `There is no card format ${card.format}.`
  if (!format.facility) {
    const digits = format.bits / 4
    return new RegExp(`^[0-9A-Fa-f]{${digits}}$`).test(card.serial ?? '')
      ? null
      : `A ${format.name} has ${digits} digits, 0 to 9 and A to F, as printed: ${'04A1B2C3D4E5F6'.slice(0, digits)}.`
  }
  if (card.serial !== undefined) return `Cards of ${format.name} have a facility and a number, no serial number.`
  if (!fits(card.facility, format.facility))
    return `Facility ${card.facility} does not fit: cards of ${format.name} have 0 to ${spaced(most(format.facility))}.`
  if (!fits(card.number, format.number))
    return `Number ${card.number} does not fit: cards of ${format.name} have 0 to ${spaced(most(format.number))}.`
  return null
}

const hexOf = (bits: Bits): string => {
  const padded = [...Array.from({ length: (4 - (bits.length % 4)) % 4 }, () => 0), ...bits]
  return Array.from({ length: padded.length / 4 }, (_, i) =>
    parseInt(padded.slice(i * 4, i * 4 + 4).join(''), 2)
      .toString(16)
      .toUpperCase(),
  ).join('')
}

/** What a controller compares of the bits that came, hexadecimal: facility and number without parity. */
export function dataOf(format: CardFormat, bits: Bits): string {
  const part = (run: BitRun | undefined) => (run ? bits.slice(run.from, run.from + run.length) : [])
  return hexOf([...part(format.facility), ...part(format.number)])
}

/** The bits that a reader sends for a card. @throws RangeError where the card does not fit its format */
export function cardBits(card: StoredCard): Bits {
  const format = formatOf(card.format)
  const fault = cardFault(card)
  if (!format || fault) throw new RangeError(fault ?? 'There is no such card format.')
  return format.facility
    ? writeAs(format, { facility: card.facility, number: BigInt(card.number) })
    : writeAs(format, { facility: null, number: BigInt(`0x${card.serial}`) })
}

/** A card's number as a credential identifier carries it, hexadecimal: `3D1141`. @throws RangeError */
export function cardData(card: StoredCard): string {
  const format = formatOf(card.format) as CardFormat
  return dataOf(format, cardBits(card))
}

/** The card that such an identifier stands for, or null where it is none of that format. */
export function cardFromData(formatId: string, hex: string): StoredCard | null {
  const format = formatOf(formatId)
  if (!format) return null
  if (!format.facility) {
    const card = serialCard(formatId, hex)
    return cardFault({ ...card, serial: hex }) ? null : card
  }
  const data = withoutParity(format) ?? format
  const bits = hex.length * 4 === data.bits ? bitsFromHex(hex) : null
  const read = bits && readAs(data, bits)
  return read && numberedCard(formatId, read.facility ?? 0, Number(read.number))
}

/** As printed and read aloud: `61 04417`, `04 A1 B2 C3`. */
export function cardName(card: StoredCard): string {
  return card.serial === undefined
    ? `${card.facility} ${String(card.number).padStart(5, '0')}`
    : (card.serial.match(/../g) ?? []).join(' ')
}

/** Two cards with the same one are the same card. */
export const cardKey = (c: StoredCard): string =>
  `${c.format ?? usualFormat}/${c.facility}/${c.number}/${(c.serial ?? '').toUpperCase()}`

export const sameCard = (a: StoredCard, b: StoredCard): boolean => cardKey(a) === cardKey(b)

/** Bits as an event carries them: how many, and their value: `34/003D1141A`. */
export const bitsText = (bits: Bits): string => `${bits.length}/${hexOf(bits)}`

/** Null for what is no such text. */
export function bitsOfText(text: string): Bits | null {
  const match = /^(\d{1,3})\/([0-9A-Fa-f]+)$/.exec(text)
  return match ? bitsFromHex(match[2] ?? '', Number(match[1])) : null
}
