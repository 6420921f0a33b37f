import type { Printed } from './detective'

/**
 * What a text from a card may say, the likeliest first: facility and number (`61 04417`), a number alone, a serial number in hexadecimal
 * (`04 A1 B2 C3`). Eight or fourteen digits may be either of the last two. Some cards bear a long number and, after it, facility and number
 * parted by a comma (common practice, no source): the pair is taken.
 * @returns nothing where it is no card number
 */
export function printedIn(text: string): Printed[] {
  const plain = text.trim()
  const pair =
    /^(?:\d{1,20}\s+)?(\d{1,9})\s*,\s*(\d{1,15})$/.exec(plain) ?? /^(\d{1,9})[\s/:.-]+(\d{1,15})$/.exec(plain)
  if (pair) return [{ facility: Number(pair[1]), number: BigInt(pair[2] ?? '0') }]
  const alone: Printed[] = /^\d{1,20}$/.test(plain) ? [{ facility: null, number: BigInt(plain) }] : []
  const pairs = /^[0-9A-Fa-f]{2}([\s:-][0-9A-Fa-f]{2})+$/.test(plain)
  const hex = pairs ? plain.replace(/[\s:-]/g, '') : plain.replace(/^0x/i, '')
  const serial = /^[0-9A-Fa-f]{6,20}$/.test(hex) && (alone.length === 0 || hex.length === 8 || hex.length === 14)
  return serial ? [...alone, { facility: null, number: BigInt(`0x${hex}`) }] : alone
}
