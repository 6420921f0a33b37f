import fc from 'fast-check'
import {
  bitsOfText,
  bitsText,
  cardBits,
  cardData,
  cardFault,
  cardFormats,
  cardFromData,
  cardName,
  dataOf,
  parityHolds,
  sameCard,
  type Bits,
  type StoredCard,
} from '../src'
import { decode26, encode26 } from './wiegand26'

const cards = fc.record({ facility: fc.integer({ min: 0, max: 255 }), number: fc.integer({ min: 0, max: 65535 }) })

describe('26-bit Wiegand, SIA AC-01', () => {
  // Worked by hand from the standard's layout: P FFFFFFFF NNNNNNNNNNNNNNNN P, even over the first 12 data bits, odd over the last 12.
  it.each([
    // 159 = 10011111, 12345 = 0011000000111001: the first 12 data bits hold 8 ones (even parity 0), the last 12 hold 4 (odd parity 1)
    [{ facility: 159, number: 12345 }, '0' + '10011111' + '0011000000111001' + '1'],
    // 1 = 00000001, 1 = 0000000000000001: one 1 in the first half (even parity 1), one in the last (odd parity 0)
    [{ facility: 1, number: 1 }, '1' + '00000001' + '0000000000000001' + '0'],
    [{ facility: 0, number: 0 }, '0' + '00000000' + '0000000000000000' + '1'],
  ])('%j is sent as worked by hand', (card, bits) => {
    expect(encode26(card).join('')).toBe(bits)
  })

  it('is read back as it was sent, for every card', () => {
    fc.assert(
      fc.property(cards, (card) => {
        expect(decode26(encode26(card))).toEqual({ card })
      }),
    )
  })

  it('notices any one bit turned over', () => {
    fc.assert(
      fc.property(cards, fc.integer({ min: 0, max: 25 }), (card, at) => {
        const bits = encode26(card)
        bits[at] = 1 - (bits[at] ?? 0)
        expect(decode26(bits)).toHaveProperty('fault')
      }),
    )
  })

  it('says how many bits came where they are not 26', () => {
    expect(decode26([0, 1, 0])).toEqual({ fault: '3 bits came, 26 were expected.' })
  })

  it('refuses what does not fit, in words', () => {
    expect(cardFault({ facility: 256, number: 1 })).toContain('0 to 255')
    expect(cardFault({ facility: 1, number: 65536 })).toContain('65 535')
    expect(() => encode26({ facility: 1, number: 70000 })).toThrow(RangeError)
  })

  it('keeps a card through its hexadecimal form', () => {
    fc.assert(
      fc.property(cards, (card) => {
        expect(cardFromData('wiegand26', cardData(card))).toEqual(card)
      }),
    )
    expect(cardFromData('wiegand26', '12')).toBeNull()
    expect(cardName({ facility: 61, number: 417 })).toBe('61 00417')
  })
})

const ofEveryFormat: fc.Arbitrary<StoredCard> = fc.oneof(
  cards,
  fc.record({
    format: fc.constant('wiegand34'),
    facility: fc.integer({ min: 0, max: 65535 }),
    number: fc.integer({ min: 0, max: 65535 }),
  }),
  ...[
    ['serial4', 4],
    ['serial7', 7],
  ].map(([format, bytes]) =>
    fc
      .uint8Array({ minLength: Number(bytes), maxLength: Number(bytes) })
      .map((b) => ({
        format: String(format),
        facility: 0,
        number: 0,
        serial: Buffer.from(b).toString('hex').toUpperCase(),
      })),
  ),
)

describe('a card of any format', () => {
  it('comes out as it went in: through its bits, through what a controller compares, through the text of an event', () => {
    fc.assert(
      fc.property(ofEveryFormat, (card) => {
        const format = cardFormats.find((f) => f.id === (card.format ?? 'wiegand26'))
        if (!format) throw new Error('no format')
        const bits = cardBits(card)
        expect(bits.length).toBe(format.bits)
        expect(parityHolds(format, bits)).toBe(true)
        expect(dataOf(format, bits)).toBe(cardData(card))
        expect(cardFromData(format.id, cardData(card))).toEqual(card)
        expect(bitsOfText(bitsText(bits))).toEqual(bits)
      }),
    )
  })
  it('26 bits are those of the standard written out by hand', () => {
    fc.assert(fc.property(cards, (card) => expect(cardBits(card)).toEqual(encode26(card) as Bits)))
  })
  it.each([
    [{ format: 'wiegand34', facility: 65536, number: 1 }, '0 to 65 535'],
    [{ format: 'wiegand34', facility: 1, number: 1.5 }, 'Number 1.5 does not fit'],
    [{ format: 'serial4', facility: 0, number: 0, serial: '04A1' }, 'has 8 digits'],
    [{ format: 'serial7', facility: 0, number: 0 }, 'has 14 digits'],
    [{ format: 'wiegand26', facility: 1, number: 1, serial: 'AA' }, 'no serial number'],
    [{ format: 'constructor', facility: 1, number: 1 }, 'no card format constructor'],
  ])('%j is refused: %s', (card, says) => {
    expect(cardFault(card)).toContain(says)
    expect(() => cardData(card)).toThrow(RangeError)
  })
  it('is the same as another only in the same format', () => {
    expect(sameCard({ facility: 1, number: 2 }, { format: 'wiegand26', facility: 1, number: 2 })).toBe(true)
    expect(sameCard({ facility: 1, number: 2 }, { format: 'wiegand34', facility: 1, number: 2 })).toBe(false)
    const serial = { format: 'serial4', facility: 0, number: 0 }
    expect(sameCard({ ...serial, serial: '04a1b2c3' }, { ...serial, serial: '04A1B2C3' })).toBe(true)
    expect(cardName({ ...serial, serial: '04A1B2C3' })).toBe('04 A1 B2 C3')
  })
  it.each(['', '26', '26/', 'x/FF', '2/FF', '999/FF', '26/GG'])('%j is no text of bits', (text) => {
    expect(bitsOfText(text)).toBeNull()
  })
})
