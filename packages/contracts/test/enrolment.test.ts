import fc from 'fast-check'
import {
  arrivalsOf,
  bitsText,
  cardBits,
  cardData,
  sentFormats,
  enrolmentPlaces,
  holdingOf,
  isSerial,
  numberedCard,
  peopleNotArrived,
  readIn,
  sameCard,
  serialCard,
  whoCannotPass,
  workedConfigs,
  type DeviceEvent,
  type StoredCard,
} from '@rauta/core'
import { event, sheets, smallJob, type World } from './world'

const base = Date.parse('2026-11-24T09:00:00Z')
const place = (w: World) => ({ door: w.door(), part: 'R1' })
/** What a controller tells of a card at a reader that is set to a format. */
const told = (card: StoredCard, format = 'wiegand26', over: Partial<DeviceEvent> = {}): DeviceEvent => {
  const bits = cardBits(card)
  const own = (card.format ?? 'wiegand26') === format
  return event(base, 1, 'refused', 'unknown', { card: own ? cardData(card) : '', bits: bitsText(bits), ...over })
}
const hear = (w: World, ...events: DeviceEvent[]) => events.forEach((e) => w.put('event', e))

const anyCard = fc
  .constantFrom(...sentFormats)
  .chain((format) =>
    isSerial(format.id)
      ? fc.stringMatching(new RegExp(`^[0-9A-F]{${format.bits / 4}}$`)).map((serial) => serialCard(format.id, serial))
      : fc
          .tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 65535 }))
          .map(([facility, number]) => numberedCard(format.id, facility, number)),
  )

describe('readers at which cards are read in', () => {
  it('are those that somebody marked, of those that read cards', () => {
    const w = smallJob()
    expect(enrolmentPlaces(w.facts, sheets)).toEqual([])
    w.do('part.enrols', { door: 'D-01', part: 'R1', may: true })
    expect(enrolmentPlaces(w.facts, sheets).map((p) => p.part)).toEqual(['R1'])
    expect(() => w.do('part.enrols', { door: 'D-01', part: 'C1', may: true })).toThrow(/reads no cards/)
    w.do('part.enrols', { door: 'D-01', part: 'R1', may: false })
    expect(w.door().parts.find((p) => p.id === 'R1')).not.toHaveProperty('enrols')
  })
  it('marking one changes nothing that its controller holds', () => {
    const w = smallJob()
    const before = w.wanted()
    w.do('part.enrols', { door: 'D-01', part: 'R1', may: true })
    expect(w.wanted()).toEqual(before)
  })
})

describe('what a reader sent', () => {
  it('every card of every format is taken as what it is where the reader is set to it', () => {
    fc.assert(
      fc.property(anyCard, (card) => {
        const w = smallJob()
        w.do('part.format', { door: 'D-01', part: 'R1', format: card.format ?? 'wiegand26' })
        hear(w, told(card, card.format ?? 'wiegand26'))
        const [read] = readIn(w.facts, place(w), 0)
        expect(read?.card && sameCard(read.card, card)).toBe(true)
        expect(read).toMatchObject({ choices: [], says: '' })
      }),
      { numRuns: 60 },
    )
  })
  it('a card of another format is offered as what it may be, never taken', () => {
    fc.assert(
      fc.property(anyCard, (card) => {
        fc.pre((card.format ?? 'wiegand26') !== 'wiegand26')
        const w = smallJob()
        hear(w, told(card))
        const [read] = readIn(w.facts, place(w), 0)
        expect(read?.card).toBeNull()
        expect(read?.choices.some((c) => sameCard(c.card, card))).toBe(true)
        expect(read?.says).not.toBe('')
      }),
      { numRuns: 60 },
    )
  })
  it('only at that reader, only since then, the newest first', () => {
    const w = smallJob()
    const card = (number: number) => ({ facility: 5, number })
    hear(
      w,
      told(card(1), undefined, { received: base }),
      told(card(2), undefined, { received: base + 10 }),
      told(card(3), undefined, { received: base + 20, kind: 'granted' }),
      told(card(4), undefined, { received: base + 30, reader: 'R2' }),
      told(card(5), undefined, { received: base + 40, door: 'D-02' }),
      event(base, 9, 'exit', 'active', { received: base + 50, reader: 'R1' }),
    )
    expect(readIn(w.facts, place(w), base).map((r) => r.card?.number)).toEqual([3, 2])
  })
  it('names whose it is', () => {
    const w = smallJob()
    expect(holdingOf(w.facts, { facility: 5, number: 77 })).toMatchObject({ of: 'person', person: { id: 'p' } })
    expect(holdingOf(w.facts, { facility: 9, number: 4 })).toEqual({ of: 'test' })
    expect(holdingOf(w.facts, { facility: 5, number: 78 })).toEqual({ of: 'nobody' })
    expect(holdingOf(w.facts, { format: 'wiegand34', facility: 5, number: 77 })).toEqual({ of: 'nobody' })
  })
})

describe('whether rights have arrived', () => {
  const at = (w: World) => {
    const [p] = Object.values(w.facts.person)
    return p ? arrivalsOf(w.facts, p, sheets, workedConfigs(w.facts, sheets), w.now) : []
  }
  const codes = (w: World) => at(w).map((a) => `${a.door.ref} ${a.code}`)
  const late = (w: World) => [...peopleNotArrived(w.facts, workedConfigs(w.facts, sheets))]

  it('is told door by door, from the plan to the read-back', () => {
    const w = smallJob()
    expect(codes(w)).toEqual(['D-01 notLoaded'])
    w.holds(w.wanted())
    expect(codes(w)).toEqual(['D-01 arrived'])
    expect(late(w)).toEqual([])
    w.do('card.give', { person: 'p', card: { id: 'c2', facility: 5, number: 90 } })
    expect(codes(w)).toEqual(['D-01 notSent'])
    expect(late(w)).toEqual([['p', ['a1']]])
    w.holds(w.wanted())
    w.do('card.state', { person: 'p', card: 'c2', state: 'lost' })
    expect(codes(w)).toEqual(['D-01 changed'])
    w.do('door.place', { id: 'D-01', placement: null })
    expect(codes(w)).toEqual(['D-01 notPlaced'])
  })
  it('a reader of another format, and a door that nobody can enter with such a card', () => {
    const w = smallJob()
    w.holds(w.wanted())
    w.do('part.format', { door: 'D-01', part: 'R1', format: 'wiegand34' })
    expect(codes(w)).toEqual(['D-01 cannotRead'])
  })
  it('whatever a device holds otherwise of somebody’s card is named as theirs, and theirs alone', () => {
    const w = smallJob()
    w.do('person.put', {
      id: 'q',
      number: '2',
      name: 'Another',
      cards: [{ id: 'd', facility: 6, number: 1, state: 'in use' }],
      groups: ['g'],
    })
    const wanted = w.wanted()
    const value = wanted['credential/d'] as Record<string, never>
    const alterations: Record<string, unknown>[] = [
      { enabled: false },
      { profiles: [] },
      { card: '000001' },
      { until: '2020-01-01T00:00:00Z' },
      { longer: true },
      { holder: 'somebody else' },
    ]
    for (const over of alterations) {
      w.holds({ ...wanted, 'credential/d': { ...value, ...over } } as never)
      expect([over, late(w)]).toEqual([over, [['q', ['a1']]]])
    }
    const { 'credential/d': _gone, ...without } = wanted
    w.holds(without)
    expect(late(w)).toEqual([['q', ['a1']]])
  })
  it('a group that a device holds otherwise is everybody’s who passes by it', () => {
    const w = smallJob()
    w.do('group.put', { id: 'n', name: 'Night', parent: 'g' })
    w.do('person.put', { id: 'q', number: '2', name: 'Q', cards: [], groups: ['n'] })
    w.holds({ ...w.wanted(), 'profile/g': { name: 'Staff', policies: [] } })
    expect(late(w)).toEqual([
      ['p', ['a1']],
      ['q', ['a1']],
    ])
  })
  it('who does not pass yet is told with the first reason; a device that was never loaded is its door’s matter', () => {
    const w = smallJob()
    const why = () => whoCannotPass(w.facts, workedConfigs(w.facts, sheets), base).get('p')?.code ?? null
    expect(why()).toBe('unloaded')
    w.holds(w.wanted())
    expect(why()).toBeNull()
    w.controller('a2', 'controller-2', { address: '10.1.1.22' })
    w.do('door.add', { id: 'D-02', fields: { ref: 'D-02', name: 'Side', from: 'out', to: 'in', handle: true } })
    w.do('rule.put', { id: 'r2', group: 'g', doors: ['D-02'], schedule: 'day' })
    expect(why()).toBeNull()
    w.do('card.give', { person: 'p', card: { id: 'c9', facility: 5, number: 99 } })
    expect(why()).toBe('late')
    w.do('person.put', { id: 'p', number: '1', name: 'Somebody', cards: [], groups: ['g'] })
    expect(why()).toBe('noCard')
  })
  it('a controller that does not answer is told apart', () => {
    const w = smallJob()
    w.holds(w.wanted())
    w.reached('a1')
    w.do('card.state', { person: 'p', card: 'c', state: 'lost' })
    expect(codes(w)).toEqual(['D-01 changed'])
    const reach = w.facts.reach['a1']
    w.put('reach', { ...reach, silentMs: 5000 } as never)
    expect(codes(w)).toEqual(['D-01 away'])
  })
})
