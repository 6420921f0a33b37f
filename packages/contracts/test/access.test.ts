import { decide, type Person } from '@rauta/core'
import { smallJob, type World } from './world'

const person = (w: World): Person => {
  const p = w.facts.person['p']
  if (!p) throw new Error('nobody')
  return p
}
const monday = Date.parse('2026-11-23T10:00:00+02:00')
const sunday = Date.parse('2026-11-22T10:00:00+02:00')

describe('who passes, and why', () => {
  it('names the rule that lets somebody pass', () => {
    const w = smallJob()
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({
      passes: true,
      rule: 'r',
      says: 'Passes: group Staff on schedule Day.',
    })
  })
  it('no rule means refused, and says so', () => {
    const w = smallJob()
    w.do('rule.remove', { id: 'r' })
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({
      passes: false,
      reason: 'no rule',
      says: expect.stringContaining('No rule means refused') as string,
    })
  })
  it('out of hours names the rule that came nearest', () => {
    const w = smallJob()
    expect(decide(w.facts, person(w), w.door(), sunday)).toMatchObject({
      passes: false,
      reason: 'out of hours',
      rule: 'r',
    })
  })
  it('a lost card is refused before any rule is asked', () => {
    const w = smallJob()
    w.do('person.put', { ...person(w), cards: [{ id: 'c', facility: 5, number: 77, state: 'lost' }] })
    expect(decide(w.facts, person(w), w.door(), monday)).toMatchObject({ passes: false, reason: 'card lost' })
  })
  it('somebody without a card is refused', () => {
    const w = smallJob()
    w.do('person.put', { ...person(w), cards: [] })
    expect(decide(w.facts, person(w), w.door(), monday).reason).toBe('no card')
  })
  it('follows a special day', () => {
    const w = smallJob()
    w.do('specialDay.put', { id: 's', date: '2026-11-23', name: 'shut', periods: [] })
    expect(decide(w.facts, person(w), w.door(), monday).reason).toBe('out of hours')
  })
})

describe('bad input is refused in words, with the field', () => {
  const refused = (name: string, payload: unknown, says: RegExp, field?: string) => {
    const w = smallJob()
    const before = w.facts
    let caught: unknown
    try {
      w.do(name, payload)
    } catch (error) {
      caught = error
    }
    expect(caught).toMatchObject({ says: expect.stringMatching(says) as string, ...(field ? { field } : {}) })
    expect(w.facts).toBe(before)
  }
  it('a reference used twice', () => {
    refused(
      'door.add',
      { id: 'D-09', fields: { ref: 'd-01', name: 'Again', from: 'out', to: 'in' } },
      /already used by Front/,
      'ref',
    )
  })
  it('a door that leads nowhere', () => {
    refused(
      'door.add',
      { id: 'D-09', fields: { ref: 'D-09', name: 'x', from: 'out', to: 'nowhere' } },
      /leads to/,
      'to',
    )
  })
  it('hardware of the wrong kind', () => {
    refused(
      'door.edit',
      { id: 'D-01', fields: { hardware: { lock: 'reader-slim' } } },
      /is not a lock/,
      'hardware.lock',
    )
  })
  it('a card too large for its format', () => {
    refused(
      'person.put',
      { id: 'q', number: '2', name: 'B', cards: [{ id: 'd', facility: 300, number: 1, state: 'in use' }], groups: [] },
      /0 to 255/,
      'cards.0',
    )
  })
  it('two people with one card', () => {
    refused(
      'person.put',
      { id: 'q', number: '2', name: 'B', cards: [{ id: 'd', facility: 5, number: 77, state: 'in use' }], groups: [] },
      /belongs to Somebody/,
      'cards.0',
    )
  })
  it('a person with a test card', () => {
    refused(
      'person.put',
      { id: 'q', number: '2', name: 'B', cards: [{ id: 'd', facility: 9, number: 1, state: 'in use' }], groups: [] },
      /test cards/,
      'cards.0',
    )
  })
  it('a schedule with an empty period', () => {
    refused(
      'schedule.put',
      { id: 's2', name: 'S', periods: [{ days: [1], from: '08:00', to: '08:00' }] },
      /empty/,
      'periods.0',
    )
  })
  it('an id that does not exist', () => {
    refused('door.edit', { id: 'X-99', fields: { name: 'x' } }, /no door X-99/)
  })
  const controller = (address: string) => ({
    id: 'a9',
    ref: 'A9',
    sheet: 'controller-2',
    cabinet: 'c',
    supply: 'supply-5',
    address,
    serial: '',
    mac: '',
  })
  it.each([
    ['10.2.1.30', /outside 10.1.1.0\/24/],
    ['10.1.1.0', /network address/],
    ['10.1.1.255', /broadcast/],
    ['10.1.1.1', /gateway/],
    ['10.1.1.21', /already planned for A1/],
    ['10.1.1', /not an IPv4 address/],
  ])('the address %s', (address, says) => {
    refused('controller.put', controller(address), says, 'address')
  })
})
