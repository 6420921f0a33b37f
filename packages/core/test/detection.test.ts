import fc from 'fast-check'
import {
  bitOrders,
  cardSent,
  detect,
  ownFormatFault,
  printedOn,
  readerOrders,
  readSent,
  sentAs,
  sentFormats,
  storedOf,
  type BitOrder,
  type Bits,
  type CardFormat,
  type CardNumber,
  type Detection,
  type OwnFormat,
  type Printed,
  type Sending,
  type Shown,
  type StoredCard,
} from '../src'
import { encode26 } from './wiegand26'

/** Ways of sending that a job may have of its own. Invented for the test. */
const own: OwnFormat[] = [
  {
    id: 'harbour-37',
    name: 'Harbour, 37 bits',
    bits: 37,
    facility: { from: 1, length: 16 },
    number: { from: 17, length: 19 },
    parity: [
      { at: 0, kind: 'even', over: { from: 1, length: 18 } },
      { at: 36, kind: 'odd', over: { from: 18, length: 18 } },
    ],
    keeps: 'wide',
  },
  {
    id: 'serial-34',
    name: 'Serial in 34 bits',
    bits: 34,
    number: { from: 1, length: 32 },
    parity: [],
    keeps: 'serial4',
  },
  {
    id: 'yard-32',
    name: 'Yard, 32 bits',
    bits: 32,
    facility: { from: 2, length: 10 },
    number: { from: 12, length: 20 },
    parity: [],
    keeps: 'wide',
  },
]
const known: readonly CardFormat[] = [...sentFormats, ...own]

const numberIn = (f: CardFormat) => fc.noBias(fc.bigInt({ min: 0n, max: (1n << BigInt(f.number.length)) - 1n }))
const cardIn = (f: CardFormat): fc.Arbitrary<CardNumber> =>
  fc.record({
    facility: f.facility ? fc.integer({ min: 1, max: 2 ** f.facility.length - 1 }) : fc.constant(null),
    number: numberIn(f),
  })
const canTurn = (f: CardFormat, order: BitOrder) => {
  try {
    return sentAs(f, order, { facility: f.facility ? 0 : null, number: 0n }).length > 0
  } catch {
    return false
  }
}
const printed = (card: CardNumber): Printed => ({ facility: card.facility, number: card.number })
const truthOf = fc.constantFrom(...known).chain((format) =>
  fc.record({
    format: fc.constant(format),
    order: fc.constantFrom(...bitOrders.filter((o) => canTurn(format, o))),
    // More than three: the hand picks among them whatever is asked for.
    cards: fc.array(cardIn(format), { minLength: 12, maxLength: 12 }),
  }),
)
type Truth = { format: CardFormat; order: BitOrder; cards: CardNumber[] }

const shownOf = ({ format, order }: Truth, card: CardNumber): Shown => ({
  bits: sentAs(format, order, card),
  printed: printed(card),
})
const asStored = (card: CardNumber) => ({
  facility: card.facility ?? 0,
  number: card.facility === null ? 0 : Number(card.number),
  ...(card.facility === null ? { serial: card.number.toString(16) } : {}),
})

/** Whether what the reader would send for a card by one way of sending is read as the same number by none of the others. */
function tellsApart(sendings: readonly Sending[], card: StoredCard): boolean {
  const carried = printedOn(card)
  return sendings.every((by) => {
    if (!canTurn(by.format, by.order) || carried.number >= 1n << BigInt(by.format.number.length)) return false
    if (by.format.facility && card.facility >= 2 ** by.format.facility.length) return false
    const bits = sentAs(by.format, by.order, {
      facility: by.format.facility ? card.facility : null,
      number: carried.number,
    })
    return sendings.every((other) => {
      const read = other === by ? null : readSent(other.format, other.order, bits)
      return !read?.parity || read.number !== carried.number
    })
  })
}

/** Shows a card, does what is asked for, at most three times. */
function inThree(truth: Truth): { reads: number; found: Detection } {
  const [first, ...hand] = truth.cards
  const shown = [shownOf(truth, first as CardNumber)]
  let found = detect(shown, known)
  while (found.state !== 'certain' && shown.length < 3) {
    const { next: asked } = found
    const fits = (card: CardNumber) =>
      asked?.ask === 'above' ? card.number > asked.number : tellsApart(found.sendings.slice(0, 2), asStored(card))
    const next = hand.find(fits) ?? hand[0]
    shown.push(shownOf(truth, next as CardNumber))
    hand.splice(hand.indexOf(next as CardNumber), 1)
    found = detect(shown, known)
  }
  return { reads: shown.length, found }
}

/** A way of sending reads what another sends, whatever the card. */
const readsAlike = (claimed: Sending, truth: Truth, cards: readonly CardNumber[]) =>
  cards.every((card) => {
    const read = readSent(claimed.format, claimed.order, sentAs(truth.format, truth.order, card))
    return read?.number === card.number && read.facility === card.facility
  })

describe('how a reader sends, from what it sent and what is printed', () => {
  it('fifty cards of mixed formats in unknown orders are each named from at most three reads', () => {
    const fifty = fc.sample(truthOf, { seed: 20271, numRuns: 50 })
    const seen = new Set(fifty.map((t) => `${t.format.id} ${t.order}`))
    expect(seen.size).toBeGreaterThan(20)
    for (const truth of fifty) {
      const { found } = inThree(truth)
      const [claimed] = found.sendings
      expect([found.state, claimed?.format.id, claimed?.order]).toEqual(['certain', truth.format.id, truth.order])
    }
  })

  it('none is ever named wrongly with certainty, of a format that is known or of one that is not', () => {
    const layout = fc
      .record({
        before: fc.integer({ min: 0, max: 6 }),
        f: fc.integer({ min: 3, max: 16 }),
        gap: fc.integer({ min: 0, max: 4 }),
        n: fc.integer({ min: 6, max: 30 }),
        after: fc.integer({ min: 0, max: 6 }),
        parity: fc.boolean(),
      })
      .map(({ before, f, gap, n, after, parity }): CardFormat => {
        const bits = before + f + gap + n + after
        return {
          id: 'unknown',
          name: 'unknown',
          bits,
          facility: { from: before, length: f },
          number: { from: before + f + gap, length: n },
          parity: parity && before ? [{ at: 0, kind: 'even', over: { from: before, length: f + gap + n } }] : [],
        }
      })
    const unknown: fc.Arbitrary<Truth> = layout.chain((format) =>
      fc.record({
        format: fc.constant(format),
        order: fc.constantFrom<BitOrder>(...bitOrders.filter((o) => canTurn(format, o))),
        cards: fc.array(cardIn(format), { minLength: 12, maxLength: 12 }),
      }),
    )
    let certain = 0
    fc.assert(
      fc.property(fc.oneof(truthOf, unknown), fc.boolean(), fc.integer({ min: 1, max: 3 }), (truth, lone, reads) => {
        const shown = truth.cards.slice(0, reads).map((card) => {
          const s = shownOf(truth, card)
          return lone ? { ...s, printed: { facility: null, number: card.number } } : s
        })
        const found = detect(shown, known)
        if (found.state !== 'certain') return
        certain += 1
        expect(readsAlike(found.sendings[0] as Sending, truth, truth.cards)).toBe(true)
      }),
      { numRuns: 1500 },
    )
    expect(certain).toBeGreaterThan(300)
  })

  it('the place of a number in a format that nobody knows is found, and read on from there', () => {
    const yard = own[2] as OwnFormat
    for (const order of ['asSent', 'bitsReversed', 'linesExchanged'] as const) {
      const truth: Truth = {
        format: yard,
        order,
        cards: [400_123n, 655_360n, 1_000_001n].map((number) => ({ facility: 613, number })),
      }
      const found = detect(
        truth.cards.map((card) => shownOf(truth, card)),
        sentFormats,
      )
      const [first] = found.sendings
      expect([found.state, first?.by, first?.order]).toEqual(['likely', 'found', order])
      expect(first?.format.number).toEqual(yard.number)
      expect(first && readsAlike(first, truth, [{ facility: 613, number: 17n }, ...truth.cards])).toBe(true)
      expect(ownFormatFault({ ...(first as Sending).format, id: 'x', name: 'X' } as OwnFormat)).toBeNull()
    }
  })

  it('what stands before a number is looked at, never left out: a card of another facility is not taken for one of these', () => {
    const wide: CardFormat = {
      id: 'w',
      name: 'W',
      bits: 37,
      facility: { from: 1, length: 16 },
      number: { from: 17, length: 20 },
      parity: [],
    }
    const shown = [700_001n, 1_048_575n].map((number) =>
      shownOf({ format: wide, order: 'asSent', cards: [] }, { facility: 61, number }),
    )
    const [first] = detect(shown, sentFormats).sendings
    const foreign = sentAs(wide, 'asSent', { facility: 256 + 61, number: 700_001n })
    expect(first && readSent(first.format, first.order, foreign)?.facility).toBe(317)
    const small = [4417n, 61_000n].map((number) =>
      shownOf({ format: wide, order: 'asSent', cards: [] }, { facility: 61, number }),
    )
    const [as26] = detect(small, sentFormats).sendings
    const kept = as26 && { ...as26.format, keeps: 'wiegand26' }
    expect(cardSent(kept, 'asSent', sentAs(wide, 'asSent', { facility: 61, number: 4417n }))).toEqual({
      facility: 61,
      number: 4417,
    })
    for (const card of [
      { facility: 256 + 61, number: 4417n },
      { facility: 61, number: 65_536n + 4417n },
    ])
      expect(cardSent(kept, 'asSent', sentAs(wide, 'asSent', card))).toBeNull()
  })

  it('without anything printed nothing is certain, and what is printed is asked for', () => {
    const card = { facility: 61, number: 4417n }
    const bits = sentAs(known[0] as CardFormat, 'asSent', card)
    expect(detect([{ bits, printed: null }], known)).toMatchObject({ state: 'likely', next: { ask: 'printed' } })
    const lone = { facility: null, number: 4417n }
    expect(detect([{ bits, printed: lone }], known)).toMatchObject({ state: 'likely', next: { ask: 'facility' } })
    expect(detect([{ bits, printed: { facility: 61, number: 4417n } }], known).state).toBe('certain')
    // Facility and number as one, as they are printed on some cards: certain only where it fills all its bits.
    const asOne = (facility: number) =>
      detect(
        [
          {
            bits: sentAs(known[0] as CardFormat, 'asSent', { facility, number: 4417n }),
            printed: { facility: null, number: (BigInt(facility) << 16n) | 4417n },
          },
        ],
        known,
      )
    expect(asOne(161).state).toBe('certain')
    expect(asOne(61)).toMatchObject({ state: 'likely', next: { ask: 'facility' } })
  })

  it('a card that reads alike in several orders settles nothing: another is asked for', () => {
    const serial = known.find((f) => f.id === 'serial4') as CardFormat
    const bits = sentAs(serial, 'asSent', { facility: null, number: 0x81818181n })
    const found = detect([{ bits, printed: { facility: null, number: 0x81818181n } }], known)
    expect(found).toMatchObject({ state: 'likely', next: { ask: 'another' } })
    expect(found.sendings.length).toBeGreaterThan(2)
    expect(tellsApart(found.sendings.slice(0, 2), { facility: 0, number: 0, serial: '81818181' })).toBe(false)
  })

  it('bits whose parity is wrong are no card of that format, whatever is printed', () => {
    const format = known[0] as CardFormat
    const card = { facility: 161, number: 44_170n }
    const wrong = sentAs(format, 'asSent', card).map((b, i): 0 | 1 => (i === 25 ? (b === 1 ? 0 : 1) : b))
    expect(detect([{ bits: wrong, printed: card }], known).sendings.some((s) => s.by === 'known')).toBe(false)
    expect(cardSent(format, undefined, wrong)).toBeNull()
    expect(cardSent(format, undefined, sentAs(format, 'asSent', card))).toEqual({ facility: 161, number: 44_170 })
    expect(cardSent(format, 'sideways', sentAs(format, 'asSent', card))).toBeNull()
    expect(cardSent(undefined, undefined, wrong)).toBeNull()
  })

  it('a part of a longer format is never certain: nobody knows what the bits before it say', () => {
    const card = { facility: 161, number: 44_170n }
    const data = sentAs(known[0] as CardFormat, 'bytesReversed', card).slice(1, 25)
    const before: Bits = [1, 0, 1, 1, 0, 0, 1, 0, 1, 1, 1, 0, 1, 0, 0, 1]
    expect(detect([{ bits: [...before, ...data], printed: card }], sentFormats)).toMatchObject({
      state: 'likely',
      sendings: [{ by: 'cut', order: 'bytesReversed', cards: [card] }],
    })
  })

  it('a small number is no evidence: another card is asked for', () => {
    const bits = sentAs(known[0] as CardFormat, 'asSent', { facility: 1, number: 1n })
    const one = detect([{ bits, printed: { facility: 1, number: 1n } }], known)
    expect(one.state === 'certain' || one.next?.ask === 'another').toBe(true)
    const mirrored = encode26({ facility: 129, number: 33153 }) as Bits
    const two = detect([{ bits: mirrored, printed: { facility: null, number: 0n } }], known)
    expect(two.state).not.toBe('certain')
  })

  it('a number that was cut short is named as that: 34 bits sent as 26, a serial number sent as its last bytes', () => {
    const cut34 = sentAs(known[0] as CardFormat, 'asSent', { facility: 300 & 255, number: 5000n })
    expect(detect([{ bits: cut34, printed: { facility: 300, number: 5000n } }], known)).toMatchObject({
      state: 'certain',
      sendings: [{ by: 'short', cards: [{ facility: 44, number: 5000n }] }],
    })
    const serial = 0x04a1b2c3n
    for (const value of [0xa1b2c3, 0xb2a104]) {
      const bits = sentAs(known[0] as CardFormat, 'asSent', { facility: value >> 16, number: BigInt(value & 0xffff) })
      expect(detect([{ bits, printed: { facility: null, number: serial } }], known)).toMatchObject({
        state: 'certain',
        sendings: [{ by: 'short' }],
      })
    }
  })

  it('one card that was typed wrong is named, where three agree', () => {
    const truth: Truth = {
      format: known[1] as CardFormat,
      order: 'bytesReversed',
      cards: [11n, 40_001n, 52_345n, 60_007n].map((number) => ({ facility: 1234, number })),
    }
    const shown = truth.cards.map((card) => shownOf(truth, card))
    shown[2] = { ...(shown[2] as Shown), printed: { facility: 1234, number: 52_354n } }
    expect(detect(shown, known)).toMatchObject({
      state: 'odd',
      odd: 2,
      sendings: [{ format: { id: 'wiegand34' }, order: 'bytesReversed' }],
    })
  })

  it('cards of different lengths are of different kinds', () => {
    const a = sentAs(known[0] as CardFormat, 'asSent', { facility: 1, number: 1n })
    const b = sentAs(known[1] as CardFormat, 'asSent', { facility: 1, number: 1n })
    expect(
      detect(
        [
          { bits: a, printed: null },
          { bits: b, printed: null },
        ],
        known,
      ).state,
    ).toBe('mixed')
    expect(detect([], known).state).toBe('none')
  })

  it('whatever arrives and whatever is printed, it answers, and soon', () => {
    const bit = fc.constantFrom<0 | 1>(0, 1)
    const reads = fc.array(
      fc.record({
        bits: fc.array(bit, { minLength: 1, maxLength: 256 }),
        printed: fc.option(
          fc.record({ facility: fc.option(fc.nat(999_999_999)), number: fc.bigInt({ min: 0n, max: 1n << 80n }) }),
        ),
      }),
      { maxLength: 6 },
    )
    const length = (shown: Shown[]) => shown.map((s) => ({ ...s, bits: s.bits.slice(0, shown[0]?.bits.length) }))
    fc.assert(
      fc.property(reads, (shown) => expect(typeof detect(length(shown), known).state).toBe('string')),
      { numRuns: 60 },
    )
    const zeros = Array.from({ length: 256 }, (): 0 => 0)
    const began = performance.now()
    detect(
      Array.from({ length: 6 }, () => ({ bits: zeros, printed: { facility: 0, number: 0n } })),
      known,
    )
    detect(
      Array.from({ length: 6 }, (_, i) => ({
        bits: zeros.map((_z, k): 0 | 1 => (k % 2 ? 1 : 0)),
        printed: { facility: 1, number: BigInt(i % 2) },
      })),
      known,
    )
    expect(performance.now() - began).toBeLessThan(3000)
  })
})

describe('orders', () => {
  it.each(known.flatMap((f) => bitOrders.filter((o) => canTurn(f, o)).map((o) => [f.id, o, f] as const)))(
    '%s, %s: what is sent is read again as the same card, its parity sound',
    (_id, order, format) => {
      fc.assert(
        fc.property(cardIn(format), (card) => {
          expect(readSent(format, order, sentAs(format, order, card))).toEqual({ ...card, parity: true })
        }),
        { numRuns: 40 },
      )
    },
  )
  it('are these, by hand: 26 bits of 61 04417', () => {
    const format = known[0] as CardFormat
    const text = (order: BitOrder) => sentAs(format, order, { facility: 0x3d, number: 0x1141n }).join('')
    // Even over 0011 1101 0001, six ones: 0. Odd over 0001 0100 0001, three ones: 0.
    expect(text('asSent')).toBe('0' + '001111010001' + '000101000001' + '0')
    expect(text('bytesReversed').slice(1, 25)).toBe('010000010001000100111101')
    expect(text('bytesMirrored').slice(1, 25)).toBe('101111001000100010000010')
    expect(text('bitsReversed')).toBe([...text('asSent')].reverse().join(''))
  })
  it('a reader can be set to all of them but exchanged lines', () => {
    expect(bitOrders.filter((o) => !readerOrders.includes(o as never))).toEqual(['linesExchanged'])
  })
})

describe('a card that was read, as it is kept', () => {
  it('is one of a shipped format, or none where it does not fit', () => {
    const [harbour, serial] = own as [OwnFormat, OwnFormat, OwnFormat]
    expect(storedOf(harbour, { facility: 4000, number: 300_000n })).toEqual({
      format: 'wide',
      facility: 4000,
      number: 300_000,
    })
    expect(storedOf(serial, { facility: null, number: 0xa1b2c3n })).toEqual({
      format: 'serial4',
      facility: 0,
      number: 0,
      serial: '00A1B2C3',
    })
    expect(storedOf({ ...serial, keeps: 'nothing' }, { facility: null, number: 1n })).toBeNull()
    expect(storedOf({ ...harbour, keeps: 'wiegand26' }, { facility: 1, number: 70_000n })).toBeNull()
    expect(storedOf({ ...harbour, keeps: 'wiegand26' }, { facility: 300, number: 7n })).toBeNull()
  })
  it.each([
    [{ name: '26 bits' }, 'name'],
    [{ bits: 3 }, 'bits'],
    [{ bits: 300 }, 'bits'],
    [{ facility: { from: 30, length: 16 } }, 'facility'],
    [{ facility: { from: 10, length: 16 } }, 'number'],
    [{ number: { from: 30, length: 19 } }, 'number'],
    [{ parity: [{ at: 2, kind: 'even', over: { from: 1, length: 18 } }] }, 'parity'],
    [{ parity: [{ at: 40, kind: 'even', over: { from: 1, length: 18 } }] }, 'parity'],
    [{ keeps: 'wiegand99' }, 'keeps'],
    [{ keeps: 'serial4' }, 'keeps'],
    [{ number: { from: 1, length: 31 }, facility: undefined, keeps: 'serial4' }, 'keeps'],
  ] as [Partial<OwnFormat>, string][])('of a format of one’s own %j is refused at %s', (change, field) => {
    expect(ownFormatFault(own[0] as OwnFormat)).toBeNull()
    expect(ownFormatFault({ ...(own[0] as OwnFormat), ...change })?.field).toBe(field)
  })
})
