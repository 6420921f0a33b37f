import fc from 'fast-check'
import { FreeAddresses, ipv4, sameSubnet, type SiteNetwork } from '../src'

const network: SiteNetwork = {
  address: '10.9.0.0',
  prefix: 29,
  gateway: '10.9.0.1',
  timeServer: '10.9.0.2',
  reserved: '10.9.0.3',
}

describe('addresses that are free', () => {
  it('leave out gateway, time server, what is not ours and what is taken, and come to an end', () => {
    const free = new FreeAddresses(network, ['10.9.0.5'])
    expect(free.count()).toBe(2)
    expect([free.take(), free.take(), free.take()]).toEqual(['10.9.0.4', '10.9.0.6', ''])
    expect(free.count()).toBe(0)
  })
  it('begin at .21 where the subnet is large enough', () =>
    expect(new FreeAddresses({ ...network, prefix: 24 }, []).take()).toBe('10.9.0.21'))
  it('are each given once, in the subnet, until all are given', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 25, max: 30 }),
        fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 20 }),
        (prefix, taken) => {
          const of = { ...network, prefix }
          const free = new FreeAddresses(
            of,
            taken.map((n) => `10.9.0.${n}`),
          )
          const count = free.count()
          const given = Array.from({ length: count }, () => free.take())
          expect(new Set(given).size).toBe(count)
          for (const a of given)
            expect(
              ipv4(a) !== null && sameSubnet(a, of.address, prefix) && !taken.includes(Number(a.split('.')[3])),
            ).toBe(true)
          expect(free.take()).toBe('')
        },
      ),
    ))
})
