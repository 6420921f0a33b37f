import fc from 'fast-check'
import { addressOf, addressRange, addressRanges, switchesFor, type SwitchCoding } from '../src'

const coding = (over: Partial<SwitchCoding> = {}): SwitchCoding => ({
  kind: 'binary',
  positions: 5,
  order: 'leastFirst',
  inverted: false,
  offset: 0,
  factory: [0, 0, 0, 0, 0],
  ...over,
})
const any = fc
  .record({
    kind: fc.constantFrom('binary' as const, 'decade' as const),
    positions: fc.integer({ min: 1, max: 5 }),
    order: fc.constantFrom('leastFirst' as const, 'mostFirst' as const),
    inverted: fc.boolean(),
    offset: fc.integer({ min: 0, max: 9 }),
  })
  .map((c): SwitchCoding => ({ ...c, factory: [] }))

describe('switches that stand for an address', () => {
  // Worked by hand from place values 1 2 4 8 16.
  it.each<[string, SwitchCoding, number, number[], string]>([
    ['switch 1 counts 1', coding(), 5, [1, 0, 1, 0, 0], 'On: 1 3. All others off.'],
    ['switch 1 counts most', coding({ order: 'mostFirst' }), 5, [0, 0, 1, 0, 1], 'On: 3 5. All others off.'],
    [
      'a switch that is on counts nothing',
      coding({ inverted: true }),
      5,
      [0, 1, 0, 1, 1],
      'On: 2 4 5. All others off.',
    ],
    ['nought means address 1', coding({ offset: 1 }), 1, [0, 0, 0, 0, 0], 'All off.'],
    [
      'turning switches, tens first',
      coding({ kind: 'decade', positions: 2, order: 'mostFirst' }),
      42,
      [4, 2],
      'Turn to 4 2',
    ],
  ])('%s', (_what, c, address, switches, words) => {
    expect(switchesFor(c, address)).toEqual({ ok: true, switches, words })
    expect(addressOf(c, switches)).toBe(address)
  })
  it('says which addresses they can stand for', () =>
    expect(switchesFor(coding({ offset: 1 }), 33)).toEqual({
      ok: false,
      says: 'Its switches stand for 1 to 32; 33 is not among them.',
    }))
  it('read back what was set, for every coding and address', () =>
    fc.assert(
      fc.property(any, fc.nat(), (c, n) => {
        const { from, to } = addressRange(c)
        const address = from + (n % (to - from + 1))
        const set = switchesFor(c, address)
        expect(set.ok && addressOf(c, set.switches)).toBe(address)
      }),
    ))
  it('every position means another address', () => {
    const c = coding({ inverted: true, order: 'mostFirst', offset: 3 })
    const all = Array.from({ length: 32 }, (_, n) =>
      addressOf(
        c,
        [0, 1, 2, 3, 4].map((i) => (n >> i) & 1),
      ),
    )
    expect(new Set(all).size).toBe(32)
  })
  it('refuses what cannot be on the device', () => {
    expect(() => addressOf(coding(), [1, 0])).toThrow('5 switches; 2 were given')
    expect(() => addressOf(coding(), [2, 0, 0, 0, 0])).toThrow('cannot stand at 2')
  })
})

describe('addresses that are not ours', () => {
  it('are ranges and single ones', () =>
    expect(addressRanges('10.0.0.1-20, 10.0.0.200 ,10.0.1.0-10.0.1.9').ranges.map((r) => r.to - r.from + 1)).toEqual([
      20, 1, 10,
    ]))
  it.each(['10.0.0', '10.0.0.9-3', 'abc', '10.0.0.1-x'])('%s is told to be none', (text) =>
    expect(addressRanges(text).faults[0]).toContain(`“${text}” is no range`),
  )
})
