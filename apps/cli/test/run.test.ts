import { firstPrevious, publicKeyOf, sealRecord } from '@rauta/core/chain'
import { run } from '../src/run'

const files = (content: Record<string, unknown>) => (name: string) => {
  const value = content[name]
  if (value === undefined) throw new Error('no such file')
  return typeof value === 'string' ? value : JSON.stringify(value)
}
const secret = '33'.repeat(32)
const first = sealRecord(
  { id: 'D#1', door: 'D', n: 1, previous: firstPrevious, kind: 'plan', at: 1, by: 'v', body: { a: 1 } },
  secret,
)
const record = {
  format: 'rauta-record/1',
  job: { name: 'J' },
  door: { ref: 'D-01', name: 'Front' },
  head: first.hash,
  publicKey: publicKeyOf(secret),
  chain: [first],
}

describe('rauta verify', () => {
  const at = (chain: object[], ...rest: string[]) =>
    run(
      ['verify', 'r.json', ...rest],
      files({
        'r.json': { ...record, chain },
        'key.txt': `Public key ${record.publicKey}\n`,
        'other.txt': publicKeyOf('44'.repeat(32)),
        'empty.txt': 'nothing',
      }),
    )
  it('says whether a record is unbroken and of this job', () => {
    expect(at([first], '--key', 'key.txt')).toEqual({
      code: 0,
      out: 'D-01 Front: 1 record, unbroken, and of this job.',
    })
    expect(at([first], '--head', first.hash).code).toBe(0)
    expect(at([first]).out).toContain('origin not checked')
  })
  it('names the first bad record', () => {
    expect(at([{ ...first, body: { a: 2 } }], '--key', 'key.txt')).toEqual({
      code: 1,
      out: 'D-01 Front: Record 1 (plan, D#1) was edited: its hash does not match its content.',
    })
    expect(at([first], '--key', 'other.txt').out).toContain('not signed with this job’s key')
    expect(at([first], '--head', '0'.repeat(64)).code).toBe(1)
  })
  it('says what is wrong with what it was given', () => {
    expect(at([first], '--key', 'empty.txt').out).toContain('holds no key')
    expect(run(['verify', 'none.json'], files({})).out).toBe('none.json cannot be read.')
    expect(run(['verify', 'x.json'], files({ 'x.json': '%PDF-1.7' })).out).toContain('is not JSON')
    expect(run(['verify', 'x.json'], files({ 'x.json': { format: 'other' } })).code).toBe(2)
    expect(run([], files({})).out).toContain('rauta verify')
  })
})

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
      '/lengthM must be >= 0',
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
