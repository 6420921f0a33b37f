import fc from 'fast-check'
import { addressesIn, addressRanges, ipv4, ipv4Text, mostSwept } from '../src'

describe('ranges of addresses', () => {
  it.each([
    ['10.1.1.20', ['10.1.1.20']],
    ['10.1.1.254-10.1.2.1', ['10.1.1.254', '10.1.1.255', '10.1.2.0', '10.1.2.1']],
    ['10.1.1.5-7', ['10.1.1.5', '10.1.1.6', '10.1.1.7']],
    // RFC 4632: a /30 has two addresses for devices; RFC 3021: a /31 gives both.
    ['10.1.1.0/30', ['10.1.1.1', '10.1.1.2']],
    ['10.1.1.0/31', ['10.1.1.0', '10.1.1.1']],
    ['10.1.1.9/32', ['10.1.1.9']],
    [' 10.1.1.6 , 10.1.1.5-6', ['10.1.1.5', '10.1.1.6']],
  ])('%j are %j', (text, addresses) => expect(addressesIn(text)).toEqual({ addresses, fault: null }))
  it.each([
    '',
    ' , ',
    'x',
    '10.1.1',
    '10.1.1.9-3',
    '10.1.1.1-300',
    '10.1.1.1-2-3',
    '10.1.1.5/24',
    '10.0.0.0/7',
    '10.1.1.0/33',
    '10.1.1.0/',
    '10.1.1.0/24/24',
    '10.1.1.1; 10.1.1.2',
    '10.1.1.0/20.5',
  ])('%j is refused with what to write instead', (text) => {
    const { addresses, fault } = addressesIn(text)
    expect([addresses, fault]).toEqual([[], expect.stringMatching(/Write .*10\.1\.1/)])
  })
  it('more than a search takes is refused, and nothing is unfolded for it', () => {
    expect(addressesIn('10.1.0.0/20').addresses.length).toBe(mostSwept - 2)
    expect(addressesIn(`10.1.0.0-10.1.15.255`).addresses.length).toBe(mostSwept)
    for (const text of [
      '10.0.0.0/8',
      '0.0.0.0-255.255.255.255',
      '10.1.0.0-10.1.16.0',
      Array(5).fill('10.1.0.0/22').join(),
    ])
      expect(addressesIn(text).fault).toMatch(/at most 4096/)
  })
  it('hold every address from the first to the last, whatever they are, once and in order', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 32 - 600 }), fc.integer({ min: 0, max: 500 }), (from, more) => {
        const range = `${ipv4Text(from)}-${ipv4Text(from + more)}`
        const { addresses } = addressesIn(`${range},${range}`)
        expect(addresses.map(ipv4)).toEqual(Array.from({ length: more + 1 }, (_, i) => from + i))
        expect(addressRanges(range).ranges).toEqual([{ from, to: from + more }])
      }),
    )
  })
})
