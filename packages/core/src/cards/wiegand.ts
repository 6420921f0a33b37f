/** A 26-bit card: facility 0 to 255, number 0 to 65535. */
export interface Card26 {
  facility: number
  number: number
}

const bitsOf = (value: number, width: number): number[] =>
  Array.from({ length: width }, (_, i) => Math.floor(value / 2 ** (width - 1 - i)) % 2)
const ones = (bits: readonly number[]) => bits.reduce((sum, bit) => sum + bit, 0)

/** What is wrong with a card number, or null. */
export function cardFault(card: Card26): string | null {
  if (!Number.isInteger(card.facility) || card.facility < 0 || card.facility > 255)
    return `Facility ${card.facility} does not fit: 26-bit cards have 0 to 255.`
  if (!Number.isInteger(card.number) || card.number < 0 || card.number > 65535)
    return `Number ${card.number} does not fit: 26-bit cards have 0 to 65 535.`
  return null
}

/**
 * The 26 bits a reader sends: even parity over the first 12 data bits, facility, number, odd parity over the last 12
 * (SIA AC-01). @throws RangeError where the card does not fit
 */
export function encode26(card: Card26): number[] {
  const fault = cardFault(card)
  if (fault) throw new RangeError(fault)
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

/** The 24 data bits as six hexadecimal digits, as a credential identifier carries them. */
export function card26Hex(card: Card26): string {
  return (card.facility * 65536 + card.number).toString(16).toUpperCase().padStart(6, '0')
}

export function card26FromHex(hex: string): Card26 | null {
  if (!/^[0-9A-Fa-f]{6}$/.test(hex)) return null
  const value = parseInt(hex, 16)
  return { facility: Math.floor(value / 65536), number: value % 65536 }
}

/** As printed and read aloud: `61 04417`. */
export function cardName(card: Card26): string {
  return `${card.facility} ${String(card.number).padStart(5, '0')}`
}
