import {
  bitsFromHex,
  bitsFromText,
  cardFormats,
  formatFault,
  likelyReading,
  printedIn,
  readingsOf,
  type CardFormat,
  type CardReading,
} from '@rauta/core'
import type { Outcome } from './outcome'

interface CardsInput {
  /** What came, as `0` and `1`; or `hex`. */
  bits?: string
  hex?: string
  /** Bits of `hex`, where they are no multiple of four. */
  length?: number
  /** What stands on the card: `61 04423`, or the number alone. */
  printed?: string
  /** Formats of one's own, beside those that ship. */
  formats?: CardFormat[]
}

const bad = (says: string): Outcome => ({ code: 2, out: `cards: ${says}` })

/** From what a reader really sent and what stands on the card: every way to read it, the likely one first. */
export function cards(input: CardsInput): Outcome {
  if ((input.bits === undefined) === (input.hex === undefined)) return bad('give either bits or hex.')
  if (input.length !== undefined && input.hex === undefined)
    return bad('length goes with hex; bits say themselves how many they are.')
  const bits = input.bits === undefined ? bitsFromHex(input.hex ?? '', input.length) : bitsFromText(input.bits)
  if (!bits)
    return bad(
      input.bits === undefined
        ? `${input.hex} is no hexadecimal number of ${input.length ?? 'at most 256'} bits.`
        : 'bits are 0 and 1, at most 256 of them.',
    )
  const printed = input.printed === undefined ? null : printedIn(input.printed)[0]
  if (printed === undefined)
    return bad(`printed: ${input.printed} is no card number. Write it as 61 04423, or the number alone.`)
  const own = input.formats ?? []
  const fault = own.map(formatFault).find((f) => f !== null)?.says ?? twin([...cardFormats, ...own])
  if (fault) return bad(`formats: ${fault}`)
  const readings = readingsOf(bits, printed, [...cardFormats, ...own])
  const likely = likelyReading(readings)
  const answer = {
    bits: bits.join(''),
    count: bits.length,
    likely: likely ? told(likely) : null,
    readings: readings.map(told),
  }
  return { code: likely ? 0 : 1, out: JSON.stringify(answer) }
}

/** Numbers longer than a double holds are written as text. */
const told = ({ number, ...rest }: CardReading) => ({
  ...rest,
  number: number <= BigInt(Number.MAX_SAFE_INTEGER) ? Number(number) : String(number),
})

function twin(formats: readonly CardFormat[]): string | null {
  const again = formats.find((f, i) => formats.findIndex((g) => g.id === f.id) !== i)
  return again ? `${again.id} stands twice.` : null
}
