import { Ajv } from 'ajv'
import fc from 'fast-check'
import { difference, operationsFor, partKinds, readKey, touching, twoSided, type Config, type Json } from '@rauta/core'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

/** Every kind of part of a configuration, held to what the registry promises of it. */
const ajv = new Ajv({ strict: false })

function job(): World {
  const w = smallJob({ ...magnetHardware, exitReader: 'reader-slim' })
  w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-4' })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  w.do('door.add', {
    id: 'D-02',
    fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware: strikeHardware },
  })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
  w.do('door.edit', {
    id: 'D-02',
    fields: {
      behaviour: {
        ...w.facts.door['D-02']?.behaviour,
        preAlarmS: 5,
        unlockAfterS: 2,
        relockAt: 'opening',
        freeOn: 'day',
        firstPerson: true,
        pairWithinS: 8,
        reentryS: 60,
        passback: 'refuse',
        passbackS: 3600,
      },
    },
  })
  w.do('cardFormat.put', {
    id: 'crew-37',
    name: 'Crew, 37 bits',
    bits: 37,
    facility: { from: 1, length: 8 },
    number: { from: 20, length: 16 },
    parity: [{ at: 0, kind: 'even', over: { from: 1, length: 35 } }],
    keeps: 'wiegand26',
  })
  w.do('part.format', { door: 'D-02', part: 'R1', format: 'crew-37', order: 'bitsReversed' })
  w.do('reaction.put', {
    id: 're',
    door: 'D-02',
    when: 'granted',
    group: 'g',
    twice: true,
    schedule: 'day',
    then: 'release',
    lets: 'D-01',
  })
  w.do('specialDay.put', { id: 'sd', date: '2031-12-24', name: 'shut', periods: [{ from: '08:00', to: '12:00' }] })
  return w
}

/** With a wireless lock at a hub of a second controller. */
function withRadio(w: World): World {
  w.controller('a7', 'controller-radio')
  w.do('unit.put', { id: 'w1', ref: 'W1', sheet: 'hub-radio', cabinet: 'Riser', address: '' })
  w.do('hub.hang', { hub: 'w1', controller: 'a7' })
  const fields = {
    ref: 'D-03',
    name: 'Flat',
    from: 'out',
    to: 'in',
    handle: true,
    hardware: { lock: 'wireless-handle' },
  }
  w.do('door.add', { id: 'D-03', fields })
  w.do('door.placeProposed', { id: 'D-03', controller: 'a7' })
  w.do('radio.spread', { controller: 'a7' })
  w.do('radioPlan.put', { standby: { facility: 88, number: 10_100 } })
  return w
}

describe('the kinds of parts', () => {
  it('have names of their own, and what is wanted of each is as its schema says', () => {
    expect(new Set(partKinds.map((k) => k.name)).size).toBe(partKinds.length)
    const w = withRadio(job())
    const wanted = { ...w.wanted(), ...w.wanted('a7') }
    for (const [key, value] of Object.entries(wanted)) {
      const { kind } = readKey(key)
      const check = ajv.compile(kind?.schema ?? false)
      expect([key, check(value), check.errors]).toEqual([key, true, null])
    }
    expect(new Set(Object.keys(wanted).map((k) => readKey(k).name))).toEqual(
      new Set(partKinds.filter((k) => k.name !== 'specialDays').map((k) => k.name)),
    )
  })

  it('keys come apart as they were put together, whatever stands in a token', () => {
    expect(readKey('test/credential/rauta-lost')).toMatchObject({ name: 'credential', token: 'rauta-lost', test: true })
    expect(readKey('door/a/b')).toMatchObject({ name: 'door', token: 'a/b', test: false })
    for (const odd of ['constructor/x', '__proto__/x', 'door', '', '/'])
      expect([odd, readKey(odd).kind?.name ?? null]).toEqual([odd, odd === 'door' ? 'door' : null])
  })

  it('what others refer to is written before them, and taken away after them', () => {
    const wanted = job().wanted()
    const at = (keys: string[], name: string) =>
      keys.map((k, i) => (readKey(k).name === name ? i : -1)).filter((i) => i >= 0)
    const sets = operationsFor(difference({}, wanted)).map((o) => o.key)
    for (const [first, then] of [
      ['schedule', 'profile'],
      ['door', 'accessPoint'],
      ['accessPoint', 'profile'],
      ['profile', 'credential'],
    ] as const)
      expect([first, then, Math.max(...at(sets, first)) < Math.min(...at(sets, then))]).toEqual([first, then, true])
    expect(
      operationsFor(difference(wanted, {}))
        .map((o) => o.key)
        .reverse()
        .map((k) => readKey(k).name),
    ).toEqual(sets.map((k) => readKey(k).name))
  })

  it('a part that no kind of ours stands for is told as a difference, and about no door', () => {
    const w = job()
    const held = { ...w.wanted(), 'lift/7': { floor: 3 } }
    const differences = difference(held, w.wanted())
    expect(twoSided(differences, w.facts)).toEqual([
      { group: 'Besides', what: 'lift 7', holds: 'floor 3', willHold: 'removed' },
    ])
    expect(touching(differences, 'D-01', held, w.wanted())).toEqual([])
  })

  it('any change of any part is told in words, with both sides, whatever a device holds', () => {
    const w = job()
    const wanted = w.wanted()
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(wanted)), fc.jsonValue() as fc.Arbitrary<Json>, (key, value) => {
        const held: Config = { ...wanted, [key]: value }
        const lines = twoSided(difference(held, wanted), w.facts)
        for (const line of lines) expect(Object.values(line).every((text) => typeof text === 'string')).toBe(true)
        touching(difference(held, wanted), 'D-01', held, wanted)
      }),
      { numRuns: 300 },
    )
  })

  it.each(['valueOf', 'toString', 'toJSON', 'constructor', 'hasOwnProperty', '__proto__'])(
    'a field or a key called %s is a field like any other',
    (name) => {
      const w = job()
      const wanted = w.wanted()
      const odd = (value: string) => JSON.parse(`{"${name}":${value}}`) as { [key: string]: Json }
      for (const key of Object.keys(wanted))
        for (const value of ['""', '7', `{"${name}":{"${name}":""}}`]) {
          const lines = twoSided(difference({ ...wanted, [key]: odd(value) }, wanted), w.facts)
          expect(lines.some((line) => line.what.endsWith(name))).toBe(true)
          expect(lines.flatMap(Object.values).every((text) => typeof text === 'string')).toBe(true)
        }
      expect(difference(odd('7'), {})).toEqual([{ key: name, held: 7, wanted: undefined }])
      expect(difference({}, odd('7'))).toEqual([{ key: name, held: undefined, wanted: 7 }])
    },
  )

  it('a door’s own parts are about it alone; a group, a card and a schedule are about the doors that they pass', () => {
    const w = job()
    const wanted = w.wanted()
    const about = (key: string, value: Json) => {
      const held = { ...wanted, [key]: value }
      return ['D-01', 'D-02'].filter((d) => touching(difference(held, wanted), d, held, wanted).length > 0)
    }
    expect(about('door/D-01', {})).toEqual(['D-01'])
    expect(about('terminals/D-02', {})).toEqual(['D-02'])
    expect(about('accessPoint/D-01.R2', {})).toEqual(['D-01'])
    // D-02 is free on it.
    expect(about('schedule/day', {})).toEqual(['D-01', 'D-02'])
    expect(about('profile/g', { name: 'Staff', policies: [] })).toEqual(['D-01'])
    expect(about('credential/c', {})).toEqual(['D-01'])
    expect(about('test/credential/rauta-good', {})).toEqual(['D-01', 'D-02'])
    expect(sheets['controller-2']).toBeDefined()
  })
})
