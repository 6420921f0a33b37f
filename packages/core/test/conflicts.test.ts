import fc from 'fast-check'
import { foundConflicts, type Found } from '../src'

const found = (id: string, more: Partial<Found>): Found => ({
  id,
  address: '10.1.1.20',
  port: 80,
  name: '',
  model: 'controller-4',
  serial: id,
  mac: `02:00:00:00:00:0${id}`,
  routable: true,
  ownership: 'unknown',
  holds: null,
  seenAt: 1_000_000,
  controller: null,
  ...more,
})

describe('devices in each other’s way', () => {
  it('two that answer at one address are named, with what to do', () => {
    expect(foundConflicts([found('1', {}), found('2', { seenAt: 1_060_000 })])).toMatchObject([
      {
        kind: 'oneAddress',
        shared: '10.1.1.20',
        found: ['1', '2'],
        says: expect.stringMatching(/^1 and 2 answer/) as string,
      },
    ])
  })
  it('one MAC at two addresses is named, however it is written', () => {
    const mac = '02:6a:00:00:00:01'
    const list = [
      found('1', { mac, address: '10.1.1.20' }),
      found('2', { mac: '02-6A-00-00-00-01', address: '10.1.1.21' }),
    ]
    expect(foundConflicts(list)).toMatchObject([
      {
        kind: 'oneMac',
        shared: '02:6A:00:00:00:01',
        found: ['1', '2'],
        says: expect.stringContaining('10.1.1.20 and 10.1.1.21') as string,
      },
    ])
  })
  it('two that greet under names of their own are two, though one answers for both', () => {
    const both = [found('1', {}), found('2', { serial: '1', mac: '02:00:00:00:00:01' })]
    expect(foundConflicts(both)).toMatchObject([
      {
        kind: 'oneAddress',
        says: expect.stringMatching(/^2 devices answer, 1 for all of them, at one address/) as string,
      },
    ])
  })
  it('one put in the other’s place is no conflict, nor is one device heard twice', () => {
    expect(foundConflicts([found('1', {}), found('2', { seenAt: 1_060_001 })])).toEqual([])
    expect(foundConflicts([found('1', {}), found('at-10.1.1.20', { serial: '1', mac: '02:00:00:00:00:01' })])).toEqual(
      [],
    )
    expect(foundConflicts([found('1', { mac: '' }), found('2', { mac: '', address: '10.1.1.21' })])).toEqual([])
  })
  it('whatever is heard: each conflict is of two or more that share what it names, and none is named with itself', () => {
    const one = fc.record({
      address: fc.constantFrom('10.1.1.1', '10.1.1.2'),
      mac: fc.constantFrom('', '02:00:00:00:00:01', '02:00:00:00:00:02'),
      serial: fc.constantFrom('', 'a', 'b'),
      seenAt: fc.integer({ min: 0, max: 200_000 }),
    })
    fc.assert(
      fc.property(fc.array(one, { maxLength: 6 }), (list) => {
        const all = list.map((more, i) => found(String(i), more))
        for (const c of foundConflicts(all)) {
          const those = all.filter((f) => c.found.includes(f.id))
          expect(those.length).toBeGreaterThan(1)
          expect(new Set(those.map((f) => (c.kind === 'oneMac' ? f.mac : f.address)))).toEqual(new Set([c.shared]))
          if (c.kind === 'oneMac') expect(new Set(those.map((f) => f.address)).size).toBeGreaterThan(1)
          const times = those.map((f) => f.seenAt)
          expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(60_000)
        }
      }),
    )
  })
})
