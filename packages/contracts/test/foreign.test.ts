import fc from 'fast-check'
import { marksOf, type Config, type Json } from '@rauta/core'
import { sheets, smallJob, type World } from './world'

/** A door whose controller holds just what the job wants; D-02 stands on the same one. */
function loaded(): World {
  const w = smallJob()
  w.do('door.add', {
    id: 'D-02',
    fields: {
      ref: 'D-02',
      name: 'Back',
      from: 'out',
      to: 'in',
      hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
    },
  })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
  w.do('rule.put', { id: 'r', group: 'g', doors: ['D-01', 'D-02'], schedule: 'day' })
  w.reached()
  w.loaded()
  return w
}
const load = (w: World, door = 'D-01') => marksOf(w.facts, w.door(door), sheets).load.sign
const withPart = (w: World, key: string, value: Json): Config => ({ ...w.held(), [key]: value })
const card = (profiles: string[], more: Record<string, Json> = {}): Json => ({
  holder: 'Somebody else',
  format: 'wiegand26',
  card: '0A0000',
  enabled: true,
  profiles,
  ...more,
})
const profile = (...at: string[]): Json => ({ name: 'X', policies: at.map((a) => ({ at: a, schedule: 'day' })) })
const lockPort = (w: World) => (w.held()['terminals/D-01'] as Record<string, { port: string }>)['K1.lock']?.port ?? ''

describe('what a device holds beyond what is wanted takes the Load mark of every door that it can pass', () => {
  const foreign: [string, (w: World) => Config][] = [
    ['a card under a name of its own', (w) => withPart(w, 'credential/x', card(['g']))],
    [
      'a card that passes between two days',
      (w) => withPart(w, 'credential/x', card([], { limited: [{ profile: 'g', until: '2031-01-01T00:00:00Z' }] })),
    ],
    ['a card under the test cards’ names', (w) => withPart(w, 'test/credential/rauta-x', card(['g']))],
    [
      'a card that passes by the test cards’ group',
      (w) => withPart(w, 'test/credential/rauta-x', card(['rauta-good'])),
    ],
    [
      'a test card with another number',
      (w) => {
        const key = 'test/credential/rauta-good'
        return withPart(w, key, { ...(w.held()[key] as object), card: '0B0B0B' } as Json)
      },
    ],
    [
      'the lost test card, in use',
      (w) => {
        const key = 'test/credential/rauta-lost'
        return withPart(w, key, { ...(w.held()[key] as object), enabled: true } as Json)
      },
    ],
    ['a group that passes the door', (w) => withPart(w, 'profile/x', profile('D-01.R1'))],
    ['a group under the test cards’ names', (w) => withPart(w, 'test/profile/rauta-x', profile('D-01.R1'))],
    [
      'the test cards’ group, at all hours where it may at none',
      (w) =>
        withPart(w, 'test/profile/rauta-hours', {
          name: 'rauta-never',
          policies: [{ at: 'D-01.R1', schedule: 'rauta-always' }],
        }),
    ],
    [
      'the test cards’ schedule, wider than given',
      (w) => {
        const key = 'test/schedule/rauta-never'
        return withPart(w, key, { ...(w.held()[key] as object), periods: ['1234567 00:00-24:00'] } as Json)
      },
    ],
    [
      'a reader of another door that names this one',
      (w) => withPart(w, 'accessPoint/x.R9', { door: 'D-01', name: 'X', from: 'out', to: 'in' }),
    ],
    [
      'a group at a reader of another door that names this one',
      (w) => ({
        ...withPart(w, 'accessPoint/x.R9', { door: 'D-01', name: 'X', from: 'out', to: 'in' }),
        'profile/x': profile('x.R9'),
      }),
    ],
    [
      'a door nobody knows on this door’s lock',
      (w) => withPart(w, 'terminals/x', { 'K1.lock': { part: 'K1', function: 'lock', port: lockPort(w) } }),
    ],
  ]
  it.each(foreign)('%s', (_what, held) => {
    const w = loaded()
    expect(load(w)).toBe('given')
    w.holds(held(w))
    expect(load(w)).toBe('stale')
  })

  it('but not of a door that it cannot pass', () => {
    const w = loaded()
    w.holds(withPart(w, 'profile/x', profile('D-01.R1')))
    expect(load(w, 'D-02')).toBe('given')
    w.holds({ ...w.wanted(), 'terminals/x': { 'K1.lock': { part: 'K1', function: 'lock', port: lockPort(w) } } })
    expect(load(w)).toBe('stale')
    expect(load(w, 'D-02')).toBe('given')
  })

  it('and the test cards themselves, as this job gave them, take none: on, off, or on for another door', () => {
    const w = loaded()
    w.facts = { ...w.facts, door: { ...w.facts.door, 'D-01': { ...w.door(), testCardsOff: true } } }
    expect(load(w)).toBe('given')
    w.facts = { ...w.facts, door: { ...w.facts.door, 'D-02': { ...w.door('D-02'), testCardsOff: true } } }
    expect(load(w)).toBe('given')
    expect(load(w, 'D-02')).toBe('given')
  })

  it('any part of any kind at all that names the door, whatever it is called', () => {
    const name = fc.constantFrom('x', 'rauta-x', 'rauta-good-2', 'zz', 'D-99', 'toString')
    const part = fc.oneof(
      name.map((n): [string, Json] => [`credential/${n}`, card(['g'])]),
      name.map((n): [string, Json] => [`test/credential/${n}`, card(['g'])]),
      name.map((n): [string, Json] => [`profile/${n}`, profile('D-01.R1')]),
      name.map((n): [string, Json] => [`test/profile/${n}`, profile('D-01.R1')]),
      name.map((n): [string, Json] => [`accessPoint/${n}.R1`, { door: 'D-01', name: n, from: 'out', to: 'in' }]),
      name.map((n): [string, Json] => [`accessPoint/D-01.${n}`, { door: 'D-01', name: n, from: 'out', to: 'in' }]),
    )
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 3 }), (parts) => {
        const w = loaded()
        w.holds({ ...w.held(), ...Object.fromEntries(parts) })
        expect(load(w)).toBe('stale')
      }),
      { numRuns: 60 },
    )
  })
})
