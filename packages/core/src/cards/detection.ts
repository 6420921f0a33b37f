import { stands, type Printed } from './detective'
import { withoutParity, type BitRun, type Bits, type CardFormat, type CardNumber } from './formats'
import { bitOrders, isOfBytes, lineOrder, readSent, type BitOrder } from './orders'

/** A card that was shown to a reader: what arrived, and what stands on it. */
export interface Shown {
  bits: Bits
  printed: Printed | null
}

/** One way in which the reader may send. */
export interface Sending {
  format: CardFormat
  order: BitOrder
  /**
   * `known`: a format of the job or a shipped one. `cut`: of a known one, part of a longer one or without its parity. `found`: only from
   * where the printed numbers stand. `short`: the reader sends a known format that holds but the end of the card's number.
   */
  by: 'known' | 'cut' | 'found' | 'short'
  /** What each card is by it, in the order they were shown. */
  cards: CardNumber[]
  /** Of `found`: how few bits the number may have; more only where all that is before it is zero. */
  fewest?: number
}

/** What would settle it. */
export type NextStep =
  /** Nobody said what stands on a card. */
  | { ask: 'printed' }
  /** A facility stands in its bits, and nobody said which. */
  | { ask: 'facility' }
  /** Any other card that the ways left read differently. */
  | { ask: 'another' }
  /** A card with a number over this: how wide the number is stays open. */
  | { ask: 'above'; number: bigint }

export type DetectionState =
  /** One way is left, and it reads what is printed; nothing else in the bits would. */
  | 'certain'
  /** The first is the likeliest; what would settle it is said. */
  | 'likely'
  /** Nothing that is known reads it. */
  | 'none'
  /** What arrived has different lengths: the cards are of different kinds, each for itself. */
  | 'mixed'
  /** All but one card agree: that one was read or typed wrong. */
  | 'odd'

export interface Detection {
  state: DetectionState
  /** What is not excluded, the likeliest first. */
  sendings: Sending[]
  next: NextStep | null
  /** Of `odd`: which card does not fit, from 0. */
  odd: number | null
}

/** Bits of what is printed that must be found again, before a place is believed: a smaller number stands in any bits by chance. */
const enoughEvidence = 24
const mostSendings = 12
/** A number that stands in more places than this says nothing by its place. */
const mostPlaces = 8

/** How a reader sends, from a few cards that it read. @param formats that the job knows */
export function detect(shown: readonly Shown[], formats: readonly CardFormat[]): Detection {
  const [first] = shown
  if (!first) return { state: 'none', sendings: [], next: { ask: 'another' }, odd: null }
  if (shown.some((s) => s.bits.length !== first.bits.length))
    return { state: 'mixed', sendings: [], next: null, odd: null }
  const sendings = consistent(shown, formats)
  if (sendings.length > 0) return judged(shown, sendings)
  return oddOne(shown, formats) ?? { state: 'none', sendings: [], next: nextWhere(shown), odd: null }
}

const nextWhere = (shown: readonly Shown[]): NextStep =>
  shown.some((s) => s.printed) ? { ask: 'another' } : { ask: 'printed' }

function judged(shown: readonly Shown[], all: Sending[]): Detection {
  const likely = (next: NextStep): Detection => ({
    state: 'likely',
    sendings: all.slice(0, mostSendings),
    next,
    odd: null,
  })
  const [first, ...others] = all
  if (!first || !shown.some((s) => s.printed)) return likely({ ask: 'printed' })
  const { by, format, fewest = format.number.length } = first
  // Widths that no card has filled yet can't be known; where the number ends is.
  if (by === 'found' && fewest < format.number.length)
    return likely({ ask: 'above', number: (1n << BigInt(fewest)) - 1n })
  if (!shown.some((s) => tellsAll(s, first)))
    return likely(
      format.facility ? { ask: 'facility' } : { ask: 'above', number: (1n << BigInt(format.number.length - 1)) - 1n },
    )
  if (others.length > 0 || by === 'found' || by === 'cut' || evidence(shown, first) < enoughEvidence)
    return likely({ ask: 'another' })
  return { state: 'certain', sendings: [first], next: null, odd: null }
}

/** Whether what is printed speaks for all the bits: it says the facility too, or is one number that fills them. */
const tellsAll = ({ printed }: Shown, { format, by }: Sending): boolean =>
  !!printed && (printed.facility !== null || by === 'short' || bitLength(printed.number) === widthOf(format))

const widthOf = ({ facility, number }: CardFormat): number => (facility?.length ?? 0) + number.length

/** Bits of different printed cards that a way of sending read as they are printed. */
function evidence(shown: readonly Shown[], sending: Sending): number {
  const told = new Map(shown.filter((s) => s.printed).map((s) => [String(s.printed?.number), s]))
  const { facility, number } = sending.format
  const facilityBits = facility?.length ?? 0
  return [...told.values()].reduce((sum, s) => sum + number.length + (tellsAll(s, sending) ? facilityBits : 0), 0)
}

const bitLength = (n: bigint): number => (n === 0n ? 0 : n.toString(2).length)

/** Both read the number up to the same last bit in the same order: they differ in what is checked, or in zeros before it. */
function samePlace(a: Sending, b: Sending): boolean {
  const end = ({ format }: Sending) => format.number.from + format.number.length
  return a.order === b.order && end(a) === end(b) && (a.by === 'short') === (b.by === 'short')
}

/** Without which one all others agree for certain; asked only where enough remain to say so. */
function oddOne(shown: readonly Shown[], formats: readonly CardFormat[]): Detection | null {
  if (shown.length < 3) return null
  for (const odd of shown.keys()) {
    const rest = shown.filter((_, i) => i !== odd)
    const left = consistent(rest, formats)
    if (left.length > 0 && judged(rest, left).state === 'certain')
      return { state: 'odd', sendings: left.slice(0, 1), next: null, odd }
  }
  return null
}

/** Every way that reads all that was shown, the likeliest first. */
function consistent(shown: readonly Shown[], formats: readonly CardFormat[]): Sending[] {
  const lone = shown.some(({ printed }) => printed?.facility === null)
  // One number alone is a format's without a facility before it is the whole of one that has one.
  const inOrder = [...formats].sort((a, b) => (lone ? Number(!!a.facility) - Number(!!b.facility) : 0))
  const known = inOrder.flatMap((format) => bitOrders.flatMap((order) => whole(shown, { format, order, by: 'known' })))
  if (!shown.some((s) => s.printed)) return known
  const count = shown[0]?.bits.length ?? 0
  const cut = formats.flatMap((format) =>
    cutOf(format, count).flatMap((f) => bitOrders.flatMap((order) => whole(shown, { format: f, order, by: 'cut' }))),
  )
  // Whole is likelier than cut short.
  const short = known.length ? [] : formats.flatMap((format) => shortOf(shown, format))
  const found = bitOrders.flatMap((order) => foundIn(shown, order))
  // The same number read from the same place is one way, whoever thought of it first.
  // A found place takes in all the zeros before a number: what would stand there of a foreign card is looked at, where a part leaves it out.
  return [...known, ...short, ...found, ...cut].filter(
    (s, i, all) => !all.some((other, j) => j < i && samePlace(s, other)),
  )
}

/** A format in an order, where it reads every card with sound parity, and each that is printed says what `fits`. */
function reads(
  shown: readonly Shown[],
  sending: Omit<Sending, 'cards'>,
  fits: (card: CardNumber, printed: Printed) => boolean,
): Sending[] {
  const cards: CardNumber[] = []
  for (const { bits, printed } of shown) {
    const read = readSent(sending.format, sending.order, bits)
    if (!read?.parity) return []
    const { parity: _sound, ...card } = read
    if (printed && !fits(card, printed)) return []
    cards.push(card)
  }
  return [{ ...sending, cards }]
}

/** Every card as it is printed. */
const whole = (shown: readonly Shown[], sending: Omit<Sending, 'cards'>): Sending[] =>
  reads(shown, sending, (card, printed) => isPrinted(card, printed, sending.format))

/** A number alone may be the whole of what a card carries, facility before number. */
const isPrinted = (card: CardNumber, printed: Printed, format: CardFormat): boolean =>
  stands(card, printed) ||
  (printed.facility === null && card.facility !== null && valueOf(card, format) === printed.number)
const valueOf = ({ facility, number }: CardNumber, format: CardFormat): bigint =>
  (BigInt(facility ?? 0) << BigInt(format.number.length)) | number

/** The data of a format within bits of another count, as a way of sending of its own; at the end, before the last bit, or all that came. */
function cutOf(format: CardFormat, count: number): CardFormat[] {
  const data = withoutParity(format)
  if (!data || format.bits === count || count < data.bits) return []
  const at = (from: number): CardFormat => ({
    ...data,
    bits: count,
    ...(data.facility ? { facility: moved(data.facility, from) } : {}),
    number: moved(data.number, from),
    keeps: format.keeps ?? format.id,
  })
  const spare = count - data.bits
  return [...new Set([spare - 1, spare].filter((from) => from >= 0))].map(at)
}
const moved = (run: BitRun, by: number): BitRun => ({ from: run.from + by, length: run.length })

/** A format that holds fewer bits than the printed number has: its last bits, or those of its bytes turned round. */
const shortOf = (shown: readonly Shown[], format: CardFormat): Sending[] =>
  format.facility
    ? reads(shown, { format, order: 'asSent', by: 'short' }, (card, printed) =>
        isEndOf(valueOf(card, format), widthOf(format), printed),
      )
    : []
function isEndOf(value: bigint, bits: number, printed: Printed): boolean {
  const long = printed.facility === null ? printed.number : (BigInt(printed.facility) << 16n) | printed.number
  if (bitLength(long) <= bits) return false
  const digits = long.toString(16)
  const even = digits.padStart(digits.length + (digits.length % 2), '0')
  const turned = BigInt(`0x${(even.match(/../g) ?? []).reverse().join('')}`)
  return [long, turned].some((n) => (n & ((1n << BigInt(bits)) - 1n)) === value)
}

interface Place {
  /** After its last bit. */
  end: number
  fewest: number
  most: number
}

/** Where a number stands in every card, in bits that are in their order. */
function places(all: readonly { bits: Bits; value: bigint }[]): Place[] {
  const fewest = Math.max(1, ...all.map(({ value }) => bitLength(value)))
  const count = all[0]?.bits.length ?? 0
  return Array.from({ length: Math.max(0, count - fewest + 1) }, (_, i) => i + fewest).flatMap((end) => {
    const most = Math.min(...all.map(({ bits, value }) => widest(bits, end, value, fewest)))
    return most < fewest ? [] : [{ end, fewest, most }]
  })
}

/** Most bits before `end` that read as this value; 0 where not even the fewest do. */
function widest(bits: Bits, end: number, value: bigint, fewest: number): number {
  for (let i = 0; i < fewest; i++) if (BigInt(bits[end - 1 - i] ?? 0) !== ((value >> BigInt(i)) & 1n)) return 0
  let most = fewest
  while (end - most > 0 && bits[end - 1 - most] === 0) most += 1
  return most
}

/** From what is printed alone: where it stands in what arrived. */
function foundIn(shown: readonly Shown[], order: BitOrder): Sending[] {
  const count = shown[0]?.bits.length ?? 0
  const layouts = isOfBytes(order) ? inBytes(count) : inLine(shown, order, count)
  return layouts.flatMap((found) => whole(shown, { ...found, order, by: 'found' }))
}

interface Layout {
  format: CardFormat
  fewest?: number
}
const layout = (bits: number, facility: BitRun | null, number: BitRun, fewest?: number): Layout => ({
  format: { id: '', name: '', bits, ...(facility ? { facility } : {}), number, parity: [], keeps: 'wide' },
  ...(fewest === undefined ? {} : { fewest }),
})

/** Bytes that are turned round fill all that came, or all between the first and the last bit; the facility may be any first part of them. */
function inBytes(count: number): Layout[] {
  const [from, length] = count % 8 === 2 ? [1, count - 2] : [0, count]
  if (length % 8 !== 0 || length < 16) return []
  const splits = Array.from({ length: length - 1 }, (_, i) =>
    layout(count, { from, length: i + 1 }, { from: from + i + 1, length: length - i - 1 }),
  )
  return [layout(count, null, { from, length }), ...splits]
}

function inLine(shown: readonly Shown[], order: BitOrder, count: number): Layout[] {
  const cards = shown.flatMap(({ bits, printed }) => (printed ? [{ bits: lineOrder(bits, order), printed }] : []))
  const numbers = places(cards.map(({ bits, printed }) => ({ bits, value: printed.number })))
  const facilities = cards.flatMap(({ bits, printed }) =>
    printed.facility === null ? [] : [{ bits, value: BigInt(printed.facility) }],
  )
  if (facilities.length < cards.length || facilities.every((f) => f.value === 0n))
    return numbers
      .slice(0, mostPlaces)
      .map((n) => layout(count, null, { from: n.end - n.most, length: n.most }, n.fewest))
  const ofFacility = places(facilities)
  const apart = (a: Place, b: Place) => Math.abs(a.end - a.fewest - b.end)
  return numbers
    .slice(0, mostPlaces)
    .flatMap((number) => ofFacility.map((facility) => ({ number, facility, apart: apart(number, facility) })))
    .sort((a, b) => a.apart - b.apart)
    .slice(0, mostPlaces * mostPlaces)
    .flatMap(({ number, facility }) => beside(number, facility, count) ?? [])
}

/** Facility and number side by side, each as wide as the zeros before it allow; a first bit that may be a parity bit is left out. */
function beside(number: Place, facility: Place, count: number): Layout | null {
  const room = (place: Place, after: number) => Math.min(place.most, place.end - after)
  const before = facility.end <= number.end
  const [numberBits, facilityBits] = before
    ? [room(number, facility.end), room(facility, 1)]
    : [room(number, 1), room(facility, number.end)]
  if (numberBits < number.fewest || facilityBits < facility.fewest) return null
  const run = (end: number, length: number): BitRun => ({ from: end - length, length })
  // Where it begins right after the facility, its width is known.
  const closed = before && number.end - numberBits === facility.end
  return layout(
    count,
    run(facility.end, facilityBits),
    run(number.end, numberBits),
    closed ? numberBits : number.fewest,
  )
}
