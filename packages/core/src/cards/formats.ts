/** A run of bits, counted from the first that is sent. */
export interface BitRun {
  from: number
  length: number
}

/** How a card’s number is written into bits, as data: nothing but this knows a format. */
export interface CardFormat {
  id: string
  name: string
  /** Bits in all. */
  bits: number
  /** Absent where the format has none. */
  facility?: BitRun
  number: BitRun
  /** Parity bits: where each stands, and over which other bits. */
  parity: readonly { at: number; kind: 'even' | 'odd'; over: BitRun }[]
  /** Of a job's own way of sending: id of the shipped format that its cards are kept as. */
  keeps?: string
}

/** What a format makes of a card: `facility` is null where the format has none. */
export interface CardNumber {
  facility: number | null
  number: bigint
}

/**
 * Formats that ship with Rauta. 26 bits: SIA AC-01, even parity over the first twelve data bits and odd over the last twelve. 34 bits:
 * the same with sixteen and sixteen (common practice, no source). Serial numbers of 4 and 7 bytes: ISO/IEC 14443-3 single and double
 * size (from memory), sent bare, first byte first.
 */
export const cardFormats: readonly CardFormat[] = [
  {
    id: 'wiegand26',
    name: '26 bits',
    bits: 26,
    facility: { from: 1, length: 8 },
    number: { from: 9, length: 16 },
    parity: [
      { at: 0, kind: 'even', over: { from: 1, length: 12 } },
      { at: 25, kind: 'odd', over: { from: 13, length: 12 } },
    ],
  },
  {
    id: 'wiegand34',
    name: '34 bits',
    bits: 34,
    facility: { from: 1, length: 16 },
    number: { from: 17, length: 16 },
    parity: [
      { at: 0, kind: 'even', over: { from: 1, length: 16 } },
      { at: 33, kind: 'odd', over: { from: 17, length: 16 } },
    ],
  },
  { id: 'serial4', name: 'serial number, 4 bytes', bits: 32, number: { from: 0, length: 32 }, parity: [] },
  { id: 'serial7', name: 'serial number, 7 bytes', bits: 56, number: { from: 0, length: 56 }, parity: [] },
  // What cards of longer formats are kept as; no reader sends it so.
  {
    id: 'wide',
    name: 'wide number',
    bits: 80,
    facility: { from: 0, length: 32 },
    number: { from: 32, length: 48 },
    parity: [],
  },
]

/** Formats that a reader can send as they are. */
export const sentFormats: readonly CardFormat[] = cardFormats.filter((f) => f.id !== 'wide')

/** Most bits that a format may have, and that a reader is believed to send. */
export const mostBits = 256

const inside = (run: BitRun, bits: number): boolean =>
  Number.isInteger(run.from) &&
  Number.isInteger(run.length) &&
  run.from >= 0 &&
  run.length > 0 &&
  run.from + run.length <= bits

/** What contradicts itself in a format, in words, with the field that it stands in; or null. */
export function formatFault(format: CardFormat): { field: string; says: string } | null {
  const { bits, facility, number, parity, name } = format
  const at = (field: string, says: string) => ({ field, says })
  if (!Number.isInteger(bits) || bits < 1 || bits > mostBits)
    return at('bits', `${name} has ${bits} bits; 1 to ${mostBits} can be read.`)
  if (facility && !inside(facility, bits))
    return at('facility', `The facility of ${name} lies outside its ${bits} bits.`)
  if (!inside(number, bits)) return at('number', `The number of ${name} lies outside its ${bits} bits.`)
  const overlap =
    facility && facility.from < number.from + number.length && number.from < facility.from + facility.length
  if (overlap) return at('number', `Facility and number of ${name} share bits.`)
  for (const p of parity) {
    if (!Number.isInteger(p.at) || p.at < 0 || p.at >= bits || !inside(p.over, bits))
      return at('parity', `A parity bit of ${name} lies outside its ${bits} bits.`)
    if (p.at >= p.over.from && p.at < p.over.from + p.over.length)
      return at('parity', `Parity bit ${p.at + 1} of ${name} is counted over itself.`)
  }
  return null
}

export type Bits = readonly (0 | 1)[]

const valueOf = (bits: Bits, run: BitRun): bigint =>
  BigInt(`0b${bits.slice(run.from, run.from + run.length).join('') || '0'}`)

/** Whether each parity bit is as it must be. */
export const parityHolds = (format: CardFormat, bits: Bits): boolean =>
  format.parity.every(({ at, kind, over }) => {
    const ones = bits.slice(over.from, over.from + over.length).filter((b) => b === 1).length + (bits[at] ?? 0)
    return ones % 2 === (kind === 'even' ? 0 : 1)
  })

/** Facility and number as a format reads them, parity or not; null where the count of bits is another. */
export function readAs(format: CardFormat, bits: Bits): CardNumber | null {
  if (bits.length !== format.bits) return null
  return {
    facility: format.facility ? Number(valueOf(bits, format.facility)) : null,
    number: valueOf(bits, format.number),
  }
}

/** The bits that a reader of this format sends for a card. @throws RangeError where facility or number do not fit */
export function writeAs(format: CardFormat, card: CardNumber): Bits {
  const bits: (0 | 1)[] = Array.from({ length: format.bits }, () => 0)
  const put = (run: BitRun, value: bigint, what: string) => {
    if (value < 0n || value >= 1n << BigInt(run.length))
      throw new RangeError(`${what} ${value} does not fit ${run.length} bits.`)
    for (let i = 0; i < run.length; i++) bits[run.from + i] = (value >> BigInt(run.length - 1 - i)) & 1n ? 1 : 0
  }
  if (format.facility) put(format.facility, BigInt(card.facility ?? 0), 'Facility')
  put(format.number, card.number, 'Number')
  return withParity(format, bits)
}

/** The same bits with their parity bits as they must be. */
export function withParity(format: CardFormat, bits: Bits): Bits {
  const made = [...bits]
  for (const { at, kind, over } of format.parity) {
    const ones = made.slice(over.from, over.from + over.length).filter((b) => b === 1).length
    made[at] = ones % 2 === (kind === 'even' ? 0 : 1) ? 0 : 1
  }
  return made
}

/** The data bits of a format without its parity bits, as a format of its own: what is left when a number is cut out of a longer one. */
export function withoutParity(format: CardFormat): CardFormat | null {
  if (format.parity.length === 0 || !format.facility) return null
  const from = format.facility.from
  const number = { from: format.number.from - from, length: format.number.length }
  return {
    ...format,
    bits: number.from + number.length,
    facility: { from: 0, length: format.facility.length },
    number,
    parity: [],
  }
}
