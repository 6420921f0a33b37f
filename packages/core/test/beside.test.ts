import fc from 'fast-check'
import {
  addressBeside,
  applyChanges,
  emptyFacts,
  ipv4,
  ipv4Text,
  isLinkLocal,
  outOfReachWords,
  put,
  sameSubnet,
  type Facts,
} from '../src'

const site = { address: '10.1.0.0', prefix: 22 }
const addresses = fc.oneof(
  fc.integer({ min: 0x01000000, max: 0xdfffffff }).map((n) => ipv4Text(n)),
  fc.integer({ min: 0xa9fe0000, max: 0xa9feffff }).map((n) => ipv4Text(n)),
  fc.integer({ min: 0x0a010001, max: 0x0a0103fe }).map((n) => ipv4Text(n)),
)

describe('an address for this computer beside a device', () => {
  it('lies in the device’s subnet, is nobody’s, and neither the network’s nor the broadcast address', () => {
    fc.assert(
      fc.property(addresses, fc.array(fc.nat(300), { maxLength: 300 }), (device, below) => {
        const last = ipv4(device) ?? 0
        const taken = new Set(below.map((n) => ipv4Text(Math.max(0, last - (last % 256) + 255 - n))))
        const beside = addressBeside(device, taken, site)
        if (!beside) return
        const value = ipv4(beside.address) ?? -1
        const size = 2 ** (32 - beside.prefix)
        expect(sameSubnet(device, beside.address, beside.prefix)).toBe(true)
        expect(beside.address).not.toBe(device)
        expect(taken.has(beside.address)).toBe(false)
        expect(value % size).not.toBe(0)
        expect(value % size).not.toBe(size - 1)
      }),
    )
  })
  it('takes the site’s own mask in the site, and the usual one elsewhere', () => {
    expect(addressBeside('10.1.2.40', new Set(), site)).toEqual({ address: '10.1.3.254', prefix: 22 })
    expect(addressBeside('10.1.4.40', new Set(), site)).toEqual({ address: '10.1.4.254', prefix: 24 })
    expect(addressBeside('192.168.90.10', new Set(['192.168.90.254', '192.168.90.253']))).toEqual({
      address: '192.168.90.252',
      prefix: 24,
    })
  })
  // RFC 3927, section 2.1: 169.254.1.0 to 169.254.254.255; the first and last 256 addresses are reserved.
  it('among link-local ones keeps out of the two ranges that are reserved', () => {
    expect(addressBeside('169.254.7.9', new Set())).toEqual({ address: '169.254.254.255', prefix: 16 })
    fc.assert(
      fc.property(fc.integer({ min: 0xa9fe0000, max: 0xa9feffff }), (n) => {
        const value = ipv4(addressBeside(ipv4Text(n), new Set())?.address ?? '') ?? 0
        expect(value).toBeGreaterThanOrEqual(0xa9fe0100)
        expect(value).toBeLessThanOrEqual(0xa9fefeff)
      }),
    )
    expect([isLinkLocal('169.254.0.1'), isLinkLocal('169.253.255.255'), isLinkLocal('169.255.0.0')]).toEqual([
      true,
      false,
      false,
    ])
  })
  it('is none where every one is taken, or the device has none', () => {
    const all = new Set(Array.from({ length: 256 }, (_, n) => `10.9.9.${n}`))
    expect(addressBeside('10.9.9.7', all)).toBeNull()
    expect(addressBeside('', new Set())).toBeNull()
    expect(addressBeside('10.9.9', new Set())).toBeNull()
  })
})

describe('words for a device out of reach', () => {
  const facts = [
    put(emptyFacts(), 'job', {
      id: 'job',
      network: { address: '10.1.0.0', prefix: 22, gateway: '10.1.0.1', timeServer: '10.1.0.2' },
    } as never),
    put(emptyFacts(), 'found', { id: 'f', address: '192.168.90.254' } as never),
    put(emptyFacts(), 'controller', { id: 'a1', ref: 'A1', address: '192.168.90.253' } as never),
  ].reduce((f: Facts, change) => applyChanges(f, [change], f.rev + 1), emptyFacts())

  it('say which address to give this computer, past those that are heard or planned, and for how long', () => {
    expect(outOfReachWords(facts, '192.168.90.10', { ref: 'A1', address: '10.1.0.20' })).toBe(
      'This computer has no address in the subnet of 192.168.90.10. Give its network adapter 192.168.90.252, mask 255.255.255.0, beside its own, until A1 stands at 10.1.0.20; then search again.',
    )
    expect(outOfReachWords(facts, '192.168.90.10')).toMatch(/until the device has its own; then/)
  })
  it('know an address that the device gave itself', () => {
    expect(outOfReachWords(facts, '169.254.3.4')).toMatch(
      /^This computer .* 169\.254\.3\.4, which it gave itself .*\(RFC 3927\)\. Give .* mask 255\.255\.0\.0/,
    )
  })
  it('of the site’s own subnet name no end: it is needed as long as somebody works there', () => {
    expect(outOfReachWords(facts, '10.1.2.9')).toMatch(/10\.1\.3\.254, mask 255\.255\.252\.0, beside its own; then/)
  })
})
