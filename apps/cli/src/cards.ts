import {
  bitsFromHex,
  bitsFromText,
  cardFormats,
  detect,
  detectionWords,
  formatFault,
  likelyReading,
  mendWords,
  printedIn,
  readingsOf,
  sendingWords,
  sentFormats,
  type CardFormat,
  type CardReading,
  type Shown,
} from '@rauta/core'
import type { Outcome } from './outcome'

interface OneRead {
  /** What came, as `0` and `1`; or `hex`. */
  bits?: string
  hex?: string
  /** Bits of `hex`, where they are no multiple of four. */
  length?: number
  /** What stands on the card: `61 04423`, a number alone, `04 A1 B2 C3`. */
  printed?: string
}
interface CardsInput extends OneRead {
  /** Several cards that one reader read; instead of one. */
  shown?: OneRead[]
  /** Formats of one's own, beside those that ship. */
  formats?: CardFormat[]
}

const bad = (says: string): Outcome => ({ code: 2, out: `cards: ${says}` })

/**
 * From what a reader really sent and what stands on the card: every way to read it, the likely one first. From several cards: how the
 * reader sends, or which card to show next; exit code 0 only where that is certain.
 */
export function cards(input: CardsInput): Outcome {
  const own = input.formats ?? []
  const fault = own.map(formatFault).find((f) => f !== null)?.says ?? twin([...cardFormats, ...own])
  if (fault) return bad(`formats: ${fault}`)
  const formats = [...sentFormats, ...own]
  if (input.shown) {
    const single = (['bits', 'hex', 'length', 'printed'] as const).find((field) => input[field] !== undefined)
    if (single) return bad(`give either shown or ${single}.`)
    const reads = input.shown.map(readIn)
    const wrong = reads.findIndex((r) => typeof r === 'string')
    if (wrong >= 0) return bad(`shown ${wrong + 1}: ${String(reads[wrong])}`)
    return detected(reads as Shown[], formats)
  }
  const read = readIn(input)
  if (typeof read === 'string') return bad(read)
  const readings = readingsOf(read.bits, read.printed, formats)
  const likely = likelyReading(readings)
  const answer = {
    bits: read.bits.join(''),
    count: read.bits.length,
    likely: likely ? told(likely) : null,
    readings: readings.map(told),
  }
  return { code: likely ? 0 : 1, out: JSON.stringify(answer) }
}

/** One read, or what is wrong with it. */
function readIn(input: OneRead): Shown | string {
  if ((input.bits === undefined) === (input.hex === undefined)) return 'give either bits or hex.'
  if (input.length !== undefined && input.hex === undefined)
    return 'length goes with hex; bits say themselves how many they are.'
  const bits = input.bits === undefined ? bitsFromHex(input.hex ?? '', input.length) : bitsFromText(input.bits)
  if (!bits)
    return input.bits === undefined
      ? `${input.hex} is no hexadecimal number of ${input.length ?? 'at most 256'} bits.`
      : 'bits are 0 and 1, at most 256 of them.'
  const printed = input.printed === undefined ? null : printedIn(input.printed)[0]
  if (printed === undefined)
    return `printed: ${input.printed} is no card number. Write it as 61 04423, or the number alone.`
  return { bits, printed }
}

function detected(shown: Shown[], formats: readonly CardFormat[]): Outcome {
  const found = detect(shown, formats)
  const answer = {
    state: found.state,
    says: detectionWords(found, 'The reader'),
    sendings: found.sendings.map((s) => ({
      by: s.by,
      format: s.by === 'known' || s.by === 'short' ? s.format.id : fieldsOf(s.format),
      order: s.order,
      says: sendingWords(s),
      cards: s.cards.map(({ facility, number }) => ({ facility, number: plainNumber(number) })),
      ...(mendWords(s) ? { mend: mendWords(s) } : {}),
    })),
    odd: found.odd === null ? null : found.odd + 1,
  }
  return { code: found.state === 'certain' ? 0 : 1, out: JSON.stringify(answer) }
}
const fieldsOf = ({ bits, facility, number }: CardFormat) => ({ bits, ...(facility ? { facility } : {}), number })

const plainNumber = (n: bigint): number | string => (n <= BigInt(Number.MAX_SAFE_INTEGER) ? Number(n) : String(n))

/** Numbers longer than a double holds are written as text. */
const told = ({ number, ...rest }: CardReading) => ({ ...rest, number: plainNumber(number) })

function twin(formats: readonly CardFormat[]): string | null {
  const again = formats.find((f, i) => formats.findIndex((g) => g.id === f.id) !== i)
  return again ? `${again.id} stands twice.` : null
}
