import fc from 'fast-check'
import {
  cardBits,
  cardData,
  cardFormats,
  cardName,
  holderOf,
  marksOf,
  strangeCardWords,
  strangeReadWords,
  type Bits,
  type StoredCard,
} from '@rauta/core'
import { sheets, smallJob } from './world'

const known: StoredCard = { facility: 61, number: 4423 }
/** The same number in every format that has a facility, and serial numbers beside them. */
const inFormat = (format: string): StoredCard =>
  format === 'serial4'
    ? { format, facility: 0, number: 0, serial: '04A1B2C3' }
    : format === 'serial7'
      ? { format, facility: 0, number: 0, serial: '04A1B2C3D4E5F6' }
      : { ...(format === 'wiegand26' ? {} : { format }), ...known }
const formats = cardFormats.map((f) => f.id)

describe('a person’s card of any format', () => {
  it.each(formats)('%s: is kept, told to the device in its format, and named in words', (format) => {
    const w = smallJob()
    const card = { id: 'k', ...inFormat(format), state: 'in use' as const }
    w.do('person.put', { id: 'q', number: '7', name: 'Vera', cards: [card], groups: ['g'] })
    expect(w.wanted()['credential/k']).toEqual({
      holder: '7 Vera',
      format,
      card: cardData(card),
      enabled: true,
      profiles: ['g'],
    })
    expect(() =>
      w.do('person.put', { id: 'z', number: '8', name: 'Twin', cards: [{ ...card, id: 'k2' }], groups: [] }),
    ).toThrow(`Card ${cardName(card)} already belongs to Vera.`)
  })
  it.each([
    [{ format: 'wiegand99', facility: 1, number: 1 }, 'There is no card format wiegand99'],
    [{ format: 'serial4', facility: 0, number: 0, serial: 'XYZ' }, 'has 8 digits'],
    [{ format: 'wiegand34', facility: 70000, number: 1 }, '0 to 65 535'],
    [{ facility: 1, number: 1, serial: '04A1B2C3' }, 'no serial number'],
  ])('%j is refused in words', (card, says) => {
    const w = smallJob()
    const cards = [{ id: 'k', ...card, state: 'in use' }]
    expect(() => w.do('person.put', { id: 'q', number: '7', name: 'Vera', cards, groups: [] })).toThrow(says)
  })
})

describe('the format of a reader', () => {
  it('is told to the controller, and a test card of another format is said before anybody stands there', () => {
    const w = smallJob()
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'wiegand34' })
    expect(w.wanted()['terminals/D-01']).toMatchObject({ 'R1.entryReader': { format: 'wiegand34' } })
    const plan = () => marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.rule === 'kit-format')
    expect(plan()).toMatchObject([{ at: 'R1', grade: 'warn' }])
    const kit = (number: number) => ({ format: 'wiegand34', facility: 9, number })
    w.do('testCards.put', { id: 'kit', good: kit(1), lost: kit(2), outOfHours: kit(3), unknown: kit(4) })
    expect(plan()).toEqual([])
    expect(w.wanted()['test/credential/rauta-good']).toMatchObject({ format: 'wiegand34', card: cardData(kit(1)) })
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'wiegand26' })
    expect(w.door().parts.find((p) => p.id === 'R1')).not.toHaveProperty('format')
  })
  it.each([
    [{ part: 'K1', format: 'wiegand34' }, 'K1 reads no cards'],
    [{ part: 'R9', format: 'wiegand34' }, 'R9'],
    [{ part: 'R1', format: 'toString' }, 'There is no card format toString'],
  ])('%j is refused', (p, says) => {
    const w = smallJob()
    expect(() => w.do('part.format', { door: 'D-01', ...p })).toThrow(says)
  })
})

const turned = (bits: Bits, how: string): Bits =>
  how === 'linesExchanged' ? bits.map((b) => (b === 1 ? 0 : 1)) : how === 'bitsReversed' ? [...bits].reverse() : bits

describe('a read that the controller could not place', () => {
  const w = smallJob()
  w.do('person.put', {
    id: 'q',
    number: '7',
    name: 'Vera',
    cards: formats.map((f) => ({ id: f, ...inFormat(f), state: 'in use' })),
    groups: ['g'],
  })
  const whose = (reading: Parameters<typeof holderOf>[1]) => holderOf(w.facts, reading)
  const cases = formats.flatMap((sent) =>
    formats.flatMap((set) =>
      ['asSent', 'bitsReversed', 'linesExchanged']
        .filter((order) => sent !== set || order !== 'asSent')
        .map((order) => [sent, set, order] as const),
    ),
  )
  it.each(cases)('%s at a reader set to %s, %s: says how many bits came and whose card it is', (sent, set, order) => {
    const bits = turned(cardBits(inFormat(sent)), order)
    const says = strangeReadWords(bits, set, whose)
    expect(says).toContain(`${bits.length} bits arrived`)
    expect(says).toContain('That is the card of Vera.')
    expect(strangeCardWords(bits, cardData(inFormat(sent)))).toContain('That is the card awaited.')
  })
  it('34 bits at a reader of 26 are told with the number that stands in them', () => {
    const bits = cardBits(inFormat('wiegand34'))
    expect(strangeReadWords(bits, 'wiegand26', (r) => (r.cut === 'none' ? null : whose(r)))).toContain('card 61 04423')
    expect(strangeReadWords(bits, 'wiegand26', () => null)).toBe(
      '34 bits arrived, the reader is set to 26 bits; they read as card 61 04423.',
    )
  })
  it('noise is told as such, and a good read that is only unknown is not explained away', () => {
    expect(strangeReadWords([0, 1, 1], 'wiegand26', whose)).toBe('3 bits arrived, the reader is set to 26 bits.')
    const bad = cardBits(known).map((b, i) => (i === 0 ? ((1 - b) as 0 | 1) : b))
    expect(strangeReadWords(bad, 'wiegand26', () => null)).toMatch(/^26 bits arrived, and their parity is wrong\./)
    expect(strangeReadWords(turned(cardBits(known), 'linesExchanged'), 'wiegand26', () => null)).toContain(
      'card 61 04423 with the two data lines exchanged. Exchange data 0 and data 1',
    )
    expect(strangeReadWords(cardBits({ facility: 1, number: 1 }), 'wiegand26', () => null)).toBe('')
  })
  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<0 | 1>(0, 1), { minLength: 1, maxLength: 256 }), (bits) => {
        expect(typeof strangeReadWords(bits, 'wiegand26', whose)).toBe('string')
        expect(strangeCardWords(bits, 'ABCDEF').length).toBeGreaterThan(10)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a format that the controller’s type cannot read', () => {
  it('stops the door, whichever it is', () => {
    for (const { id } of cardFormats) {
      const w = smallJob()
      const reads = sheets['controller-2']?.controller?.cardFormats.includes(id)
      w.do('part.format', { door: 'D-01', part: 'R1', format: id })
      const stops = marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.grade === 'stop')
      expect([id, stops.map((f) => [f.rule, f.at])]).toEqual([id, reads ? [] : [['untold', 'R1']]])
    }
    expect(sheets['controller-2']?.controller?.cardFormats).not.toContain('serial4')
  })
})
