import fc from 'fast-check'
import { addressFault, ipv4, ipv4Text, maskOf, sameSubnet, type SiteNetwork } from '../src'

const network: SiteNetwork = { address: '10.61.8.0', prefix: 24, gateway: '10.61.8.1', timeServer: '10.61.8.2' }
const none = new Map<string, string>()

describe('addresses', () => {
  it('are numbers and text of the same thing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 32 - 1 }), (n) => {
        expect(ipv4(ipv4Text(n))).toBe(n)
      }),
    )
  })
  it.each(['', '1.2.3', '1.2.3.4.5', '256.1.1.1', 'a.b.c.d', '1.2.3.-4', '1..2.3'])('%j is none', (text) => {
    expect(ipv4(text)).toBeNull()
  })
  // RFC 4632: /8 is 255.0.0.0, /24 is 255.255.255.0, /30 is 255.255.255.252.
  it.each([
    [8, '255.0.0.0'],
    [24, '255.255.255.0'],
    [30, '255.255.255.252'],
  ])('/%d has the mask %s', (prefix, mask) => {
    expect(maskOf(prefix)).toBe(mask)
  })
  it('share a subnet when their first bits agree', () => {
    expect([
      sameSubnet('10.61.8.1', '10.61.8.254', 24),
      sameSubnet('10.61.8.1', '10.61.9.1', 24),
      sameSubnet('10.61.8.1', '10.61.9.1', 23),
      sameSubnet('x', '10.0.0.1', 8),
    ]).toEqual([true, false, true, false])
  })
  it('of a site are good but for network, broadcast, gateway and those that are taken', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 255 }), (last) => {
        const fault = addressFault(`10.61.8.${last}`, network, none)
        expect(fault === null).toBe(![0, 1, 2, 255].includes(last))
      }),
    )
    expect(addressFault('10.61.8.9', network, new Map([['10.61.8.9', 'A1']]))).toBe(
      '10.61.8.9 is already planned for A1.',
    )
    expect(addressFault('', network, none)).toContain('An empty address is not an IPv4 address')
  })
  // RFC 1918's three private ranges hold addresses that a site may well have; none of them is special to the check.
  it.each(['10.1.1.0', '172.16.5.0', '192.168.4.0'])('of the private range %s are as good as any', (address) => {
    expect(
      addressFault(address.replace(/0$/, '7'), { ...network, address, gateway: address.replace(/0$/, '1') }, none),
    ).toBeNull()
  })
})
