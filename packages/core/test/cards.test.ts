import fc from 'fast-check'
import { card26FromHex, card26Hex, cardFault, cardName, decode26, encode26 } from '../src'

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
        expect(card26FromHex(card26Hex(card))).toEqual(card)
      }),
    )
    expect(card26FromHex('12')).toBeNull()
    expect(cardName({ facility: 61, number: 417 })).toBe('61 00417')
  })
})
