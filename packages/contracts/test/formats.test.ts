import fc from 'fast-check'
import {
  cardBits,
  cardData,
  cardName,
  holderOf,
  marksOf,
  sentFormats,
  strangeCardWords,
  strangeReadWords,
  type Bits,
  type StoredCard,
  formatLimitFindings,
  readerOrders,
  scriptFor,
  isSetTo,
  printedOn,
  testDigest,
  type DeviceSheet,
  type OwnFormat,
  cardSent,
  detect,
  formatId,
  keptBest,
  keptChoices,
  mendWords,
  printedIn,
  readsAt,
  sendingOf,
  sendings,
  settingFor,
  type Printed,
  type Sending,
  vouchedFor,
} from '@rauta/core'
import { Refusal } from '../src'
import { event, sheets, smallJob, type World } from './world'

const known: StoredCard = { facility: 61, number: 4423 }
/** The same number in every format that has a facility, and serial numbers beside them. */
const inFormat = (format: string): StoredCard =>
  format === 'serial4'
    ? { format, facility: 0, number: 0, serial: '04A1B2C3' }
    : format === 'serial7'
      ? { format, facility: 0, number: 0, serial: '04A1B2C3D4E5F6' }
      : { ...(format === 'wiegand26' ? {} : { format }), ...known }
const formats = sentFormats.map((f) => f.id)

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
    const says = strangeReadWords(bits, { format: set }, sentFormats, whose)
    expect(says).toContain(`${bits.length} bits arrived`)
    expect(says).toContain('That is the card of Vera.')
    expect(strangeCardWords(bits, cardData(inFormat(sent)))).toContain('That is the card awaited.')
  })
  it('34 bits at a reader of 26 are told with the number that stands in them', () => {
    const bits = cardBits(inFormat('wiegand34'))
    expect(
      strangeReadWords(bits, { format: 'wiegand26' }, sentFormats, (r) => (r.cut === 'none' ? null : whose(r))),
    ).toContain('card 61 04423')
    expect(strangeReadWords(bits, { format: 'wiegand26' }, sentFormats, () => null)).toBe(
      '34 bits arrived, the reader is set to 26 bits; they read as card 61 04423.',
    )
  })
  it('noise is told as such, and a good read that is only unknown is not explained away', () => {
    expect(strangeReadWords([0, 1, 1], { format: 'wiegand26' }, sentFormats, whose)).toBe(
      '3 bits arrived, the reader is set to 26 bits.',
    )
    const bad = cardBits(known).map((b, i) => (i === 0 ? ((1 - b) as 0 | 1) : b))
    expect(strangeReadWords(bad, { format: 'wiegand26' }, sentFormats, () => null)).toMatch(
      /^26 bits arrived, and their parity is wrong\./,
    )
    expect(
      strangeReadWords(turned(cardBits(known), 'linesExchanged'), { format: 'wiegand26' }, sentFormats, () => null),
    ).toContain('card 61 04423 with the two data lines exchanged. Exchange data 0 and data 1')
    expect(
      strangeReadWords(cardBits({ facility: 1, number: 1 }), { format: 'wiegand26' }, sentFormats, () => null),
    ).toBe('')
  })
  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<0 | 1>(0, 1), { minLength: 1, maxLength: 256 }), (bits) => {
        expect(typeof strangeReadWords(bits, { format: 'wiegand26' }, sentFormats, whose)).toBe('string')
        expect(strangeCardWords(bits, 'ABCDEF').length).toBeGreaterThan(10)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a format that the controller’s type cannot read', () => {
  it('stops the door, whichever it is', () => {
    for (const { id } of sentFormats) {
      const w = smallJob()
      const reads = sheets['controller-2']?.controller?.cardFormats.includes(id)
      w.do('part.format', { door: 'D-01', part: 'R1', format: id })
      const stops = marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.grade === 'stop')
      expect([id, stops.map((f) => [f.rule, f.at])]).toEqual([id, reads ? [] : [['untold', 'R1']]])
    }
    expect(sheets['controller-2']?.controller?.cardFormats).not.toContain('serial4')
  })
})

const refused = (w: World, name: string, payload: unknown): Refusal => {
  try {
    w.do(name, payload)
  } catch (error) {
    if (error instanceof Refusal) return error
    throw error
  }
  throw new Error(`${name} was not refused`)
}
/** The same small job, its controller of another type with the same screws. */
function jobOn(type: string): World {
  const w = smallJob()
  const a1 = w.facts.controller['a1']
  if (!a1) throw new Error('no controller')
  w.put('controller', { ...a1, sheet: type })
  return w
}

/** A way of sending of the job's own. Invented for the test. */
const crew: OwnFormat = {
  id: 'crew-37',
  name: 'Crew, 37 bits',
  bits: 37,
  facility: { from: 1, length: 8 },
  number: { from: 20, length: 16 },
  parity: [{ at: 0, kind: 'even', over: { from: 1, length: 35 } }],
  keeps: 'wiegand26',
}
const wantedPoint = (w: ReturnType<typeof smallJob>) =>
  (w.wanted()['terminals/D-01'] as Record<string, object>)['R1.entryReader']

describe('a format of the job’s own', () => {
  it('is told to the controllers whose readers send so, with the card kept as another, and to no other', () => {
    const w = jobOn('controller-4')
    w.do('cardFormat.put', crew)
    expect(w.wanted()['cardFormat/crew-37']).toBeUndefined()
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'crew-37' })
    const { id: _id, ...value } = crew
    expect(w.wanted()['cardFormat/crew-37']).toEqual(value)
    expect(wantedPoint(w)).toMatchObject({ format: 'crew-37' })
    // Its cards are kept as those of 26 bits: the test cards fit, nothing is said.
    expect(marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.rule === 'kit-format')).toEqual([])
  })

  it('changed, makes stale exactly the proofs whose readers send so', () => {
    const w = jobOn('controller-4')
    w.do('cardFormat.put', crew)
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'crew-37' })
    const digests = () =>
      Object.fromEntries(
        scriptFor(w.facts, w.door(), sheets).map((t) => [t.id, testDigest(w.facts, w.door(), t, w.wanted())]),
      )
    const before = digests()
    w.do('cardFormat.put', { ...crew, parity: [] })
    const after = digests()
    const stale = Object.keys(after).filter((id) => before[id] !== after[id])
    const through = scriptFor(w.facts, w.door(), sheets)
      .filter((t) => t.depends.includes('terminals.R1.entryReader'))
      .map((t) => t.id)
    expect(through.length).toBeGreaterThan(3)
    expect(stale).toEqual(through)
    expect(Object.keys(after).length).toBeGreaterThan(through.length)
  })

  it('stops a door whose controller can’t be told of it, and one whose format is gone', () => {
    const w = smallJob()
    const stops = () => marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.grade === 'stop')
    w.do('cardFormat.put', crew)
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'crew-37' })
    const own = sheets['controller-2']?.controller?.ownFormats ?? 0
    expect(own).toBe(0)
    expect(stops().map((f) => [f.rule, f.at])).toEqual([['untold', 'R1']])
    expect(w.wanted()['cardFormat/crew-37']).toBeUndefined()
    const gone = { ...w.facts, cardFormat: {} }
    expect(
      marksOf(gone, w.door(), sheets)
        .plan.findings.filter((f) => f.grade === 'stop')
        .map((f) => f.says)[0],
    ).toContain('no such card format any more')
  })

  it('more of them than a controller holds stop its doors', () => {
    const board = { ...(sheets['controller-4'] as DeviceSheet) }
    const most = board.controller?.ownFormats ?? 0
    const parts = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`cardFormat/f${i}`, {}]))
    expect(formatLimitFindings('A1', board, parts(most))).toEqual([])
    expect(formatLimitFindings('A1', board, parts(most + 1)).map((f) => [f.rule, f.grade])).toEqual([
      ['formats-full', 'stop'],
    ])
  })

  it.each([
    [{ name: '26 bits' }, 'name'],
    [{ id: 'other', name: 'CREW, 37 bits ' }, 'name'],
    [{ number: { from: 30, length: 16 } }, 'number'],
    [{ keeps: 'serial4' }, 'keeps'],
  ])('%j is refused at its field', (change, field) => {
    const w = smallJob()
    w.do('cardFormat.put', crew)
    expect(refused(w, 'cardFormat.put', { ...crew, ...change })).toMatchObject({ field })
  })

  it('stays while a reader is set to it', () => {
    const w = smallJob()
    w.do('cardFormat.put', crew)
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'crew-37' })
    expect(refused(w, 'cardFormat.remove', { id: 'crew-37' }).says).toContain('R1 of D-01')
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'wiegand26' })
    w.do('cardFormat.remove', { id: 'crew-37' })
    expect(w.facts.cardFormat).toEqual({})
  })
})

describe('the order of a reader’s bits', () => {
  it.each(readerOrders)('%s is told to the controller, or stops the door where its type can’t', (order) => {
    for (const type of ['controller-2', 'controller-4']) {
      const w = jobOn(type)
      w.do('part.format', { door: 'D-01', part: 'R1', format: 'wiegand26', order })
      expect(wantedPoint(w)).toEqual(
        expect.objectContaining(order === 'asSent' ? { format: 'wiegand26' } : { format: 'wiegand26', order }),
      )
      expect(w.door().parts.find((p) => p.id === 'R1')?.order).toBe(order === 'asSent' ? undefined : order)
      const can = order === 'asSent' || sheets[type]?.controller?.bitOrders?.includes(order)
      const stops = marksOf(w.facts, w.door(), sheets).plan.findings.filter((f) => f.grade === 'stop')
      expect([type, stops.map((f) => [f.rule, f.at])]).toEqual([type, can ? [] : [['untold', 'R1']]])
    }
  })
  it('several readers are set at once, with the format that was found, and taken back at once', () => {
    const w = jobOn('controller-4')
    const one = { door: 'D-01', part: 'R1' }
    w.do('readers.set', { readers: [one], format: 'crew-37', order: 'bitsReversed', own: crew })
    expect(w.facts.cardFormat['crew-37']).toEqual(crew)
    expect(w.door().parts.find((p) => p.id === 'R1')).toMatchObject({ format: 'crew-37', order: 'bitsReversed' })
    expect(refused(w, 'readers.set', { readers: [{ door: 'D-01', part: 'K1' }], format: 'wiegand26' }).says).toContain(
      'reads no cards',
    )
    expect(refused(w, 'readers.set', { readers: [one], format: 'wiegand34', own: crew })).toMatchObject({
      field: 'format',
    })
    expect(
      refused(w, 'readers.set', { readers: [one], format: 'bad', own: { ...crew, id: 'bad', bits: 20 } }).field,
    ).toMatch(/^own\./)
  })
  it('a read that comes in another order names the setting that would mend it', () => {
    const w = jobOn('controller-4')
    const settingOf = (bits: Bits) => {
      const [sending] = detect([{ bits, printed: printedOn(known) }], sentFormats).sendings
      return sending ? settingFor(w.facts, sending, 'X', keptBest(w.facts, sending)) : undefined
    }
    const setting = settingOf(turned(cardBits(known), 'bitsReversed'))
    expect(setting).toEqual({ format: 'wiegand26', order: 'bitsReversed' })
    expect(setting && isSetTo({ order: 'bitsReversed' }, setting)).toBe(true)
    expect(setting && isSetTo({}, setting)).toBe(false)
    expect(settingOf(turned(cardBits(known), 'linesExchanged'))).toBeNull()
  })
})

describe('from what was found out to a setting', () => {
  const w = jobOn('controller-4')
  const place = { door: w.door(), part: 'R1' }
  const bitsOf34 = cardBits({ format: 'wiegand34', facility: 5, number: 77 })
  const found = (facts: World['facts']) =>
    detect([{ bits: bitsOf34, printed: { facility: 5, number: 77n } }], sendings(facts)).sendings[0] as Sending

  it('cards that somebody carries stay what they are kept as', () => {
    const holder = w.facts.person['p']
    const card = holder?.cards[0]
    if (!holder || !card) throw new Error('nobody')
    w.do('person.put', { ...holder, cards: [{ ...card, facility: 5, number: 77 }], knew: [card.id] })
    expect(keptChoices(found(w.facts))).toEqual(['wiegand26', 'wiegand34', 'wide'])
    expect(keptBest(w.facts, found(w.facts))).toBe('wiegand26')
    const setting = settingFor(w.facts, found(w.facts), 'Front, 34 bits', 'wiegand26')
    expect(setting).toMatchObject({ format: 'front-34-bits', order: 'asSent', own: { bits: 34, keeps: 'wiegand26' } })
    w.do('readers.set', { readers: [{ door: 'D-01', part: 'R1' }], ...setting })
    const reader = w.door().parts.find((p) => p.id === 'R1')
    expect(cardSent(sendingOf(w.facts, reader?.format), reader?.order, bitsOf34)).toEqual({ facility: 5, number: 77 })
  })
  it('a card that was only heard there forbids nothing; one that somebody carries or speaks for does', () => {
    // A facility of 300 does not fit 26 bits.
    const other = cardBits({ format: 'wiegand34', facility: 300, number: 78 })
    const both = (printed: Printed | null) => {
      const shown = [
        { bits: other, printed },
        { bits: bitsOf34, printed: { facility: 5, number: 77n } },
      ]
      return vouchedFor(w.facts, detect(shown, sendings(w.facts)).sendings[0] as Sending, shown)
    }
    expect(keptChoices(both(null))).toContain('wiegand26')
    expect(keptBest(w.facts, both(null))).toBe('wiegand26')
    expect(keptChoices(both({ facility: 300, number: 78n }))).not.toContain('wiegand26')
    const holder = w.facts.person['p']
    const [card] = holder?.cards ?? []
    if (!holder || !card) throw new Error('nobody')
    const carried = {
      ...holder,
      cards: [...holder.cards, { ...card, id: 'second', format: 'wiegand34', facility: 300, number: 78 }],
    }
    w.do('person.put', { ...carried, knew: holder.cards.map((c) => c.id) })
    expect(keptChoices(both(null))).not.toContain('wiegand26')
    w.do('person.put', { ...holder, knew: carried.cards.map((c) => c.id) })
  })
  it('a format that is made already is not made again, and one that nobody’s cards speak for is taken as it is', () => {
    expect(settingFor(w.facts, found(w.facts), 'Any name', 'wiegand26')).toEqual({
      format: 'front-34-bits',
      order: 'asSent',
    })
    expect(settingFor(w.facts, found(w.facts), 'Any name', 'wiegand34')).toEqual({
      format: 'wiegand34',
      order: 'asSent',
    })
    const nobodys = jobOn('controller-4')
    nobodys.do('person.remove', { id: 'p' })
    expect(keptBest(nobodys.facts, found(nobodys.facts))).toBe('wiegand34')
  })
  it('what no setting mends is none: exchanged lines, and a number that the reader cuts', () => {
    const sending = found(w.facts)
    expect(settingFor(w.facts, { ...sending, order: 'linesExchanged' }, 'X', 'wiegand34')).toBeNull()
    expect(settingFor(w.facts, { ...sending, by: 'short' }, 'X', 'wiegand34')).toBeNull()
    expect(mendWords({ ...sending, order: 'linesExchanged' })).toContain('Exchange data 0 and data 1')
    expect(mendWords({ ...sending, by: 'short' })).toContain('5 00077')
    expect(mendWords(sending)).toBe('')
  })
  it('an id that is taken gets a number', () => {
    expect(formatId(w.facts, 'Front, 34 bits')).toBe('front-34-bits-2')
    expect(formatId(w.facts, '—')).toBe('format')
    expect(formatId(w.facts, 'wiegand26')).toBe('wiegand26-2')
  })
  it('each read stands once, in the order shown, from this reader alone and since then', () => {
    const read = (id: string, bits: string, over: object = {}) =>
      w.put('event', event(0, 1, 'refused', 'unknown', { id, bits, received: 10, ...over }))
    read('e1', '26/0000001', { received: 5 })
    read('e2', '26/0000003')
    read('e3', '26/0000003', { received: 12, kind: 'granted', state: '' })
    read('e4', '34/000000005', { received: 11 })
    read('e5', '26/0000007', { reader: 'R2' })
    expect(readsAt(w.facts, place, 5).map((r) => [r.id, r.bits.length, r.strange])).toEqual([
      ['e3', 26, false],
      ['e4', 34, true],
    ])
  })
})

describe('what stands on a card', () => {
  it.each([
    ['61 04417', [[61, 4417n]]],
    ['61,04417', [[61, 4417n]]],
    ['0004001809 061,04113', [[61, 4113n]]],
    ['4417', [[null, 4417n]]],
    ['04 A1 B2 C3', [[null, 0x04a1b2c3n]]],
    ['04:a1:b2:c3:d4:e5:f6', [[null, 0x04a1b2c3d4e5f6n]]],
    [
      '04112233',
      [
        [null, 4112233n],
        [null, 0x04112233n],
      ],
    ],
    ['blue', []],
    ['', []],
    ['61 04417 3', []],
  ] as [string, [number | null, bigint][]][])('%j', (text, expected) => {
    expect(printedIn(text).map((p) => [p.facility, p.number])).toEqual(expected)
  })
})
