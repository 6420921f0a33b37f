/** SIA AC-01 written out once more, as plainly as can be: what the formats as data are held to. */
export interface Card26 {
  facility: number
  number: number
}

const bitsOf = (value: number, width: number): number[] =>
  Array.from({ length: width }, (_, i) => Math.floor(value / 2 ** (width - 1 - i)) % 2)
const ones = (bits: readonly number[]) => bits.reduce((sum, bit) => sum + bit, 0)

/**
 * The 26 bits a reader sends: even parity over the first 12 data bits, facility, number, odd parity over the last 12
 * (SIA AC-01). @throws RangeError where the card does not fit
 */
export function encode26(card: Card26): number[] {
  if (card.facility > 255 || card.number > 65535) throw new RangeError('It does not fit.')
  const data = [...bitsOf(card.facility, 8), ...bitsOf(card.number, 16)]
  const even = ones(data.slice(0, 12)) % 2
  const odd = 1 - (ones(data.slice(12)) % 2)
  return [even, ...data, odd]
}

/** Reads 26 bits, or says why they are not a card. */
export function decode26(bits: readonly number[]): { card: Card26 } | { fault: string } {
  if (bits.length !== 26) return { fault: `${bits.length} bits came, 26 were expected.` }
  const data = bits.slice(1, 25)
  if (ones(bits.slice(0, 13)) % 2 !== 0) return { fault: 'The first parity bit is wrong.' }
  if (ones(bits.slice(13)) % 2 !== 1) return { fault: 'The last parity bit is wrong.' }
  const value = (part: readonly number[]) => part.reduce((sum, bit) => sum * 2 + bit, 0)
  return { card: { facility: value(data.slice(0, 8)), number: value(data.slice(8)) } }
}
