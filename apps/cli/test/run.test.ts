import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { firstPrevious, publicKeyOf, sealFile, sealRecord, type ChainRecord } from '@rauta/core/chain'
import { run } from '../src/run'

const files = (content: Record<string, unknown>) => (name: string) => {
  const value = content[name]
  if (value === undefined) throw new Error('no such file')
  return typeof value === 'string' ? value : JSON.stringify(value)
}
const secret = '33'.repeat(32)
const first = sealRecord(
  {
    id: 'D#1',
    door: 'D',
    n: 1,
    previous: firstPrevious,
    kind: 'plan',
    at: 1,
    by: 'v',
    body: { ref: 'D-01', name: 'Front' },
  },
  secret,
)
const second = sealRecord(
  { id: 'D#2', door: 'D', n: 2, previous: first.hash, kind: 'tick', at: 2, by: 'v', body: { cable: 'W1', done: true } },
  secret,
)
const record = {
  format: 'rauta-record/2' as const,
  job: { name: 'J', client: '', site: '', zone: 'UTC' },
  door: { id: 'D', ref: 'D-01', name: 'Front' },
  publicKey: publicKeyOf(secret),
}
const sealed = (chain: readonly ChainRecord[], over: object = {}) =>
  sealFile(
    { ...record, chain: [...chain], count: chain.length, head: chain.at(-1)?.hash ?? '0'.repeat(64), ...over },
    secret,
  )

describe('rauta verify', () => {
  const at = (file: object, ...rest: string[]) =>
    run(
      ['verify', 'r.json', ...rest],
      files({
        'r.json': file,
        'key.txt': `Public key ${record.publicKey}\n`,
        'other.txt': publicKeyOf('44'.repeat(32)),
        'empty.txt': 'nothing',
        'long.txt': 'a'.repeat(128),
      }),
    )
  const whole = sealed([first, second])
  it('pictures are held against the record: one that was altered, or is of another door, is named', () => {
    const picture = 'the bytes of a picture'
    const sha256 = createHash('sha256').update(picture).digest('hex')
    const photo = sealRecord(
      { id: 'D#1', door: 'D', n: 1, previous: firstPrevious, kind: 'photo', at: 1, by: 'v', body: { id: 'p', sha256 } },
      secret,
    )
    const look = (...rest: string[]) =>
      run(
        ['verify', 'r.json', ...rest],
        files({ 'r.json': sealed([photo]), 'p.jpg': picture, 'q.jpg': `${picture} `, 'none.txt': '' }),
      )
    expect(look('--picture', 'p.jpg')).toMatchObject({ code: 0 })
    expect(look('--picture', 'p.jpg').out).toContain('1 of 1 recorded pictures looked at')
    expect(look('--picture', 'p.jpg', '--picture', 'q.jpg')).toMatchObject({ code: 1 })
    expect(look('--picture', 'p.jpg', '--picture', 'q.jpg').out).toMatch(/ q\.jpg: not a picture that was recorded/)
    expect(look('--picture', 'gone.jpg')).toMatchObject({
      code: 2,
      out: expect.stringContaining('gone.jpg cannot be read.') as string,
    })
    expect(look('--picture', '').code).toBe(2)
  })
  it('says whether a record is unbroken and of this job', () => {
    const good = { code: 0, out: 'J, D-01 Front: 2 records, unbroken, and of this job.' }
    expect(at(whole, '--key', 'key.txt')).toEqual(good)
    expect(at(whole, '--key=key.txt')).toEqual(good)
    expect(at(whole, '--head', second.hash)).toEqual(good)
    expect(at(whole, '--head', `2:${second.hash.toUpperCase()}`, '--key', 'key.txt')).toEqual(good)
    expect(at(whole).out).toContain('origin not checked')
  })
  it('names the first bad record', () => {
    expect(at({ ...whole, chain: [{ ...first, body: { a: 2 } }, second] }, '--key', 'key.txt')).toEqual({
      code: 1,
      out: 'J, D-01 Front: Record 1 (plan, D#1) was edited: its hash does not match its content.',
    })
    expect(at(whole, '--key', 'other.txt').out).toContain('not signed with this job’s key')
    expect(at(whole, '--head', '0'.repeat(64)).code).toBe(1)
  })
  it('refuses an empty chain, a tail cut off, another door’s records, another name, another job', () => {
    const key = ['--key', 'key.txt']
    expect(at(sealed([]), ...key)).toMatchObject({ code: 1, out: expect.stringContaining('empty') as string })
    expect(at({ ...whole, chain: [first] }, ...key).out).toContain('2 records up to')
    // With the rest of the file made to fit: the seal is the job's.
    expect(at({ ...whole, chain: [first], count: 1, head: first.hash }, ...key).out).toContain('not sealed')
    // An earlier file is whole in itself; what was printed tells it.
    expect(at(sealed([first]), ...key).code).toBe(0)
    expect(at(sealed([first]), '--head', `2:${second.hash}`).code).toBe(1)
    expect(at(sealed([first]), '--head', `2:${first.hash}`).out).toContain('2 records are printed, the file has 1')
    expect(at(sealed([first, second], { door: { ...record.door, id: 'E' } }), ...key).out).toContain('of another door')
    const posing = sealRecord({ ...first, door: 'E' }, secret)
    expect(at(sealed([posing]), ...key).out).toContain('Record 1 is of another door')
    expect(at(sealed([first, second], { door: { ...record.door, ref: 'D-09' } }), ...key).out).toContain(
      'called D-09 Front; its records are of D-01 Front',
    )
    expect(at({ ...whole, job: { ...whole.job, client: 'X' } }, ...key).out).toContain('not sealed')
    expect(at({ ...whole, job: { ...whole.job, client: 'X' } }, '--head', second.hash).code).toBe(1)
  })
  it('says what is wrong with what it was given, with code 2', () => {
    for (const rest of [
      ['--key', 'empty.txt'],
      ['--key', 'long.txt'],
      ['--key', 'none.txt'],
      ['--key', ''],
      ['--key'],
      ['--head', ''],
      ['--head', 'abc'],
      ['--keys', 'key.txt'],
      ['--Head', second.hash],
      ['key.txt'],
      ['--key', 'key.txt', 'more'],
    ]) {
      const { code, out } = at(whole, ...rest)
      expect([rest.join(' '), code]).toEqual([rest.join(' '), 2])
      expect(out.length).toBeGreaterThan(10)
    }
    expect(run(['verify', 'none.json'], files({})).out).toContain('none.json cannot be read.')
    expect(run(['verify', 'x.json'], files({ 'x.json': '%PDF-1.7' })).out).toContain('is not JSON')
    expect(run(['verify', 'x.json'], files({ 'x.json': { format: 'other' } })).code).toBe(2)
    expect(at({ ...whole, more: 1 }).code).toBe(2)
    expect(run([], files({})).out).toContain('rauta verify')
  })
  it('passes none of 2,000 random alterations, with the key, with the head, or with neither', () => {
    const text = JSON.stringify(whole)
    fc.assert(
      fc.property(fc.nat(), fc.nat(), fc.constantFrom(0, 1, 2), (at_, sign, how) => {
        const altered = alter(JSON.parse(text) as Json, at_, sign)
        if (altered === text) return
        const rest = [['--key', 'key.txt'], ['--head', `2:${second.hash}`], []][how] ?? []
        expect([altered, at(JSON.parse(altered) as object, ...rest).code]).not.toEqual([altered, 0])
      }),
      { numRuns: 2000, seed: 4 },
    )
  })
})

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
/** One value somewhere in a file made another, taken out, or doubled. */
function alter(file: Json, at: number, how: number): string {
  const places: { in: Record<string, Json>; key: string }[] = []
  const walk = (value: Json) => {
    if (value === null || typeof value !== 'object') return
    for (const key of Object.keys(value)) {
      places.push({ in: value as Record<string, Json>, key })
      walk((value as Record<string, Json>)[key] as Json)
    }
  }
  walk(file)
  const place = places[at % places.length]
  if (!place) return JSON.stringify(file)
  const value = place.in[place.key] as Json
  const flipped = (text: string) => {
    const n = how % Math.max(1, text.length)
    return text.slice(0, n) + (text[n] === '0' ? '1' : '0') + text.slice(n + 1)
  }
  const ways: (() => void)[] = [
    () => {
      place.in[place.key] = typeof value === 'string' ? flipped(value) : typeof value === 'number' ? value + 1 : null
    },
    () => {
      if (Array.isArray(place.in)) place.in.splice(Number(place.key), 1)
      else Reflect.deleteProperty(place.in, place.key)
    },
    () => {
      if (Array.isArray(place.in)) place.in.splice(Number(place.key), 0, value)
      else place.in[`${place.key}2`] = value
    },
    () => {
      if (Array.isArray(place.in)) place.in.reverse()
      else place.in[place.key] = [value]
    },
  ]
  ways[how % ways.length]?.()
  return JSON.stringify(file)
}

describe('rauta volts', () => {
  // 50 m of 1.0 mm² class 2 (18.1 ohm/km) to a 12 V 0.5 A lock from 13.6 V: worked by hand 12.646 V.
  const input = {
    sourceV: 13.6,
    cable: { kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 },
    lengthM: 50,
    lock: { nominalV: 12, amps: 0.5, leastV: 10.8 },
  }
  it('works out the volts', () => {
    const { code, out } = run(['volts', 'v.json'], files({ 'v.json': input }))
    expect([code, JSON.parse(out)]).toMatchObject([
      0,
      { cable: '2 × 1 mm², class 2', ohmPerKm: 18.1, loopOhm: 1.81, volts: 12.646, enough: true, longestM: 171 },
    ])
    expect(run(['volts', 'v.json'], files({ 'v.json': { ...input, lengthM: 400 } })).code).toBe(1)
    expect(run(['volts', 'v.json'], files({ 'v.json': { ...input, lengthM: -1 } })).out).toContain(
      'lengthM must be 0 or more',
    )
  })
})

describe('rauta why', () => {
  const input = {
    zone: 'Europe/Helsinki',
    at: '2026-11-23T10:00:00+02:00',
    door: 'Q-01',
    person: { name: 'A', cards: [{ facility: 1, number: 1, state: 'in use' }], groups: ['g'] },
    rules: [{ id: 'r', group: 'g', doors: ['Q-01'], schedule: 's' }],
    schedules: [{ id: 's', name: 'Day', periods: [{ days: [1], from: '08:00', to: '17:00' }] }],
    groups: [{ id: 'g', name: 'Crew' }],
  }
  it('says which rule decides', () => {
    expect(JSON.parse(run(['why', 'w.json'], files({ 'w.json': input })).out)).toMatchObject({
      passes: true,
      rule: 'r',
      says: 'Passes: group Crew on schedule Day.',
    })
    expect(JSON.parse(run(['why', 'w.json'], files({ 'w.json': { ...input, rules: [] } })).out)).toMatchObject({
      passes: false,
      reason: 'no rule',
    })
    expect(run(['why', 'w.json'], files({ 'w.json': { ...input, at: 'soon' } })).out).toContain('not a moment')
  })
})
