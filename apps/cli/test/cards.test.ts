import { cardBits } from '@rauta/core'
import { run } from '../src/run'

const ask = (input: unknown) => {
  const { code, out } = run(['cards', 'i.json'], () => JSON.stringify(input))
  return { code, out, answer: out.startsWith('{') ? (JSON.parse(out) as Record<string, unknown>) : {} }
}
const bits = cardBits({ facility: 61, number: 4423 }).join('')

describe('rauta cards', () => {
  it('reads 26 bits, and names what stands on the card', () => {
    expect(ask({ bits })).toMatchObject({
      code: 0,
      answer: { count: 26, likely: { format: 'wiegand26', facility: 61, number: 4423 } },
    })
    const exchanged = [...bits].map((b) => (b === '1' ? '0' : '1')).join('')
    expect(ask({ bits: exchanged, printed: '61 04423' })).toMatchObject({
      code: 0,
      answer: {
        likely: { order: 'linesExchanged', says: expect.stringContaining('two data lines exchanged') as string },
      },
    })
    expect(ask({ bits: exchanged, printed: '61 04424' })).toMatchObject({ code: 1, answer: { likely: null } })
  })
  it('takes hexadecimal text with its length, serial numbers, and a format of one’s own', () => {
    expect(ask({ hex: BigInt(`0b${bits}`).toString(16).padStart(7, '0'), length: 26, printed: '4423' })).toMatchObject({
      code: 0,
      answer: { likely: { number: 4423 } },
    })
    expect(ask({ hex: '04A1B2C3D4E5F6', printed: String(0x04a1b2c3d4e5f6) })).toMatchObject({
      code: 0,
      answer: { likely: { format: 'serial7', facility: null } },
    })
    const own = {
      id: 'own-12',
      name: 'twelve bits',
      bits: 12,
      number: { from: 0, length: 11 },
      parity: [{ at: 11, kind: 'odd', over: { from: 0, length: 11 } }],
    }
    expect(ask({ bits: '000000001010', formats: [own] })).toMatchObject({ code: 1 })
    expect(ask({ bits: '000000001011', formats: [own] })).toMatchObject({
      code: 0,
      answer: { likely: { format: 'own-12', number: 5 } },
    })
  })
  it.each<[string, unknown, RegExp]>([
    ['neither', {}, /either bits or hex/],
    ['both', { bits, hex: 'FF' }, /either bits or hex/],
    ['a length of bits', { bits, length: 26 }, /length goes with hex/],
    ['letters as bits', { bits: '10a' }, /0 and 1/],
    ['no hexadecimal text', { hex: 'XY' }, /no hexadecimal number/],
    ['fewer digits than its length', { hex: 'F', length: 26 }, /no hexadecimal number of 26 bits/],
    ['no card number', { bits, printed: 'sixty-one' }, /no card number/],
    ['a field nobody knows', { bits, colour: 'red' }, /not known here/],
    ['the wrong type', { bits: 5 }, /must be text/],
    ['nothing in it', { bits: '' }, /must not be blank/],
    [
      'a format that is none',
      { bits, formats: [{ id: 'x', name: 'x', bits: 4, number: { from: 0, length: 9 }, parity: [] }] },
      /outside its 4 bits/,
    ],
    [
      'a format that is there',
      { bits, formats: [{ id: 'wiegand26', name: 'x', bits: 4, number: { from: 0, length: 4 }, parity: [] }] },
      /stands twice/,
    ],
    ['too long', { bits: '1'.repeat(300) }, /at most 256/],
  ])('refuses %s, in words', (_what, input, says) => {
    const { code, out } = ask(input)
    expect([code, out]).toEqual([2, expect.stringMatching(says)])
  })

  it('says from several cards how their reader sends, and which card to show next', () => {
    const read = (facility: number, number: number) => {
      const sent = cardBits({ facility, number })
      return { bits: [...sent].reverse().join(''), printed: `${facility} ${number}` }
    }
    expect(ask({ shown: [read(61, 4423), read(61, 52_001)] })).toMatchObject({
      code: 0,
      answer: {
        state: 'certain',
        says: 'The reader sends 26 bits, all bits the other way round.',
        sendings: [
          { by: 'known', format: 'wiegand26', order: 'bitsReversed', cards: [{ number: 4423 }, { number: 52_001 }] },
        ],
        odd: null,
      },
    })
    expect(ask({ shown: [{ bits }] })).toMatchObject({
      code: 1,
      answer: { state: 'likely', says: expect.stringContaining('Type what stands on the card.') as string },
    })
    const exchanged = [...bits].map((b) => (b === '1' ? '0' : '1')).join('')
    expect(ask({ shown: [{ bits: exchanged, printed: '61 04423' }] })).toMatchObject({
      code: 0,
      answer: { sendings: [{ mend: 'Exchange data 0 and data 1 at one end of its cable.' }] },
    })
  })
  it.each([
    [{ shown: [{ bits }], printed: '1' }, 'give either shown or printed'],
    [{ shown: [{ bits }, {}] }, 'shown 2: give either bits or hex'],
    [{ shown: [{ bits, printed: 'blue' }] }, 'shown 1: printed: blue is no card number'],
    [{ shown: [] }, 'shown'],
    [{ shown: [{ bits, colour: 'red' }] }, 'colour'],
  ])('%j is refused', (input, says) => {
    const { code, out } = ask(input)
    expect(code).toBe(2)
    expect(out).toContain(says)
  })
})
