import fc from 'fast-check'
import {
  bitsFromHex,
  bitsFromText,
  bitOrders,
  cardFormats,
  sentFormats,
  formatFault,
  likelyReading,
  parityHolds,
  readAs,
  readingsOf,
  writeAs,
  type Bits,
  type BitOrder,
  type CardFormat,
} from '../src'
import { decode26, encode26 } from './wiegand26'

const format = (id: string) => cardFormats.find((f) => f.id === id) as CardFormat
/** A card that a format can carry. */
const cardOf = (f: CardFormat) =>
  fc.record({
    facility: f.facility ? fc.integer({ min: 0, max: 2 ** f.facility.length - 1 }) : fc.constant(null),
    number: fc.bigInt({ min: 0n, max: (1n << BigInt(f.number.length)) - 1n }),
  })
/** What arrives when a reader sends so. */
const sent = (bits: Bits, order: BitOrder): Bits => {
  if (order === 'bitsReversed') return [...bits].reverse()
  if (order === 'linesExchanged') return bits.map((b) => (b === 1 ? 0 : 1))
  if (order === 'bytesMirrored')
    return Array.from({ length: bits.length / 8 }, (_, i) => bits.slice(i * 8, i * 8 + 8).reverse()).flat()
  if (order === 'bytesReversed')
    return Array.from({ length: bits.length / 8 }, (_, i) => bits.slice(i * 8, i * 8 + 8))
      .reverse()
      .flat()
  return bits
}

describe('formats as data', () => {
  it('contradict themselves in nothing, and one that does is told', () => {
    for (const f of cardFormats) expect([f.id, formatFault(f)]).toEqual([f.id, null])
    const f26 = format('wiegand26')
    expect(formatFault({ ...f26, bits: 0 })?.says).toContain('has 0 bits')
    expect(formatFault({ ...f26, number: { from: 20, length: 16 } })?.says).toContain('outside its 26 bits')
    expect(formatFault({ ...f26, facility: { from: 2, length: 8 } })?.says).toContain('share bits')
    expect(formatFault({ ...f26, parity: [{ at: 3, kind: 'odd', over: { from: 1, length: 12 } }] })?.says).toContain(
      'counted over itself',
    )
    expect(formatFault({ ...f26, parity: [{ at: 26, kind: 'odd', over: { from: 1, length: 12 } }] })?.says).toContain(
      'parity bit',
    )
  })
  it('26 bits are those of SIA AC-01: the same bits, the same card, the same verdict on parity', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 255 }),
        fc.integer({ min: 0, max: 65535 }),
        fc.nat(25),
        (facility, number, flip) => {
          const bits = writeAs(format('wiegand26'), { facility, number: BigInt(number) })
          expect(bits).toEqual(encode26({ facility, number }))
          const turned = bits.map((b, i) => (i === flip ? ((1 - b) as 0 | 1) : b))
          expect('fault' in decode26(turned)).toBe(!parityHolds(format('wiegand26'), turned))
        },
      ),
    )
  })
  it.each(cardFormats.map((f) => [f.id, f] as const))(
    '%s is read as it was written, and any single wrong bit under parity is seen',
    (_id, f) => {
      fc.assert(
        fc.property(cardOf(f), fc.nat(f.bits - 1), (card, flip) => {
          const bits = writeAs(f, card)
          expect(readAs(f, bits)).toEqual(card)
          expect(parityHolds(f, bits)).toBe(true)
          const wrong = bits.map((b, i) => (i === flip ? ((1 - b) as 0 | 1) : b))
          if (f.parity.length) expect(parityHolds(f, wrong)).toBe(false)
          expect(readAs(f, bits.slice(1))).toBeNull()
        }),
      )
      expect(() =>
        writeAs(f, { facility: f.facility ? 2 ** f.facility.length : null, number: 1n << BigInt(f.number.length) }),
      ).toThrow(RangeError)
    },
  )
})

describe('what a card really sent', () => {
  it.each(
    sentFormats.flatMap((f) =>
      bitOrders.filter((o) => !o.startsWith('bytes') || f.bits % 8 === 0).map((o) => [f.id, o, f] as const),
    ),
  )('%s, %s: the printed number is found, and by nothing else before it', (_id, order, f) => {
    fc.assert(
      fc.property(cardOf(f), (card) => {
        const readings = readingsOf(sent(writeAs(f, card), order), card)
        expect(readings.some((r) => r.format === f.id && r.order === order && r.cut === 'none' && r.printed)).toBe(true)
        const likely = likelyReading(readings)
        expect(likely && [likely.number, likely.facility]).toEqual([
          card.number,
          likely?.facility === null ? null : card.facility,
        ])
      }),
    )
  })
  it('a number that was cut out of more bits is found and told', () => {
    const long = writeAs(format('wiegand34'), { facility: 0x003d, number: 4423n })
    const likely = likelyReading(readingsOf(long.slice(0, 33).concat(long[33] ?? 0), { facility: 61, number: 4423n }))
    expect(likely).toMatchObject({
      format: 'wiegand34',
      facility: 61,
      number: 4423n,
      says: '34 bits arrived: card 61 04423.',
    })
    const bare: Bits = [
      ...Array.from({ length: 10 }, (): 0 => 0),
      ...encode26({ facility: 61, number: 4423 }).slice(1, 25),
    ] as Bits
    expect(likelyReading(readingsOf(bare, { facility: 61, number: 4423n }))).toMatchObject({
      cut: 'last',
      says: '34 bits arrived; the last 24 are card 61 04423.',
    })
  })
  it('where nobody said what stands on the card, only a sound format as sent is relied on', () => {
    const good = encode26({ facility: 61, number: 4423 }) as Bits
    expect(likelyReading(readingsOf(good, null))).toMatchObject({ format: 'wiegand26', facility: 61, number: 4423n })
    const wrong = good.map((b, i) => (i === 5 ? ((1 - b) as 0 | 1) : b))
    expect(likelyReading(readingsOf(wrong, null))).toBeNull()
    expect(readingsOf(wrong, null)[0]?.says).toContain('parity is wrong')
    expect(likelyReading([])).toBeNull()
    expect(readingsOf([1], null)).toEqual([])
  })
  it('a card that is another is never taken for the printed one', () => {
    fc.assert(
      fc.property(cardOf(format('wiegand26')), fc.bigInt({ min: 70_000n, max: 1n << 40n }), (card, number) => {
        expect(likelyReading(readingsOf(writeAs(format('wiegand26'), card), { facility: 300, number }))).toBeNull()
      }),
    )
  })
  it('bits and hexadecimal text are taken as written, and what is neither is refused', () => {
    expect(bitsFromText('1010 0101_1')).toEqual([1, 0, 1, 0, 0, 1, 0, 1, 1])
    for (const odd of ['', '10201', 'bits', '1'.repeat(257)])
      expect([odd.slice(0, 9), bitsFromText(odd)]).toEqual([odd.slice(0, 9), null])
    expect(bitsFromHex('3D-11:47')).toHaveLength(24)
    expect(bitsFromHex('0x5', 3)).toEqual([1, 0, 1])
    for (const [text, length] of [
      ['', 4],
      ['XYZ', 4],
      ['FF', 3],
      ['F', 9],
      ['F', 0],
      ['F'.repeat(70), undefined],
    ] as const)
      expect([text.slice(0, 4), bitsFromHex(text, length)]).toEqual([text.slice(0, 4), null])
  })
})
