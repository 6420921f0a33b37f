import { all, netOf, boardOf, type Door, type Siting, type SitingInput } from '@rauta/core'
import { siteDoors } from '@rauta/core/siting'
import { cabinetsOf } from '../src'
import { sheets, smallJob, World } from './world'

const hardware = { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' }
let seed = 11
const next = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648

/** A site on a grid: so many doors and cabinets. */
function site(doors: number, cabinets: number, over: (n: number) => Record<string, unknown> = () => ({})): World {
  seed = 11
  const w = new World()
  w.do('job.create', {
    name: 'J',
    client: 'C',
    site: 'S',
    zone: 'UTC',
    network: { address: '10.1.0.0', prefix: 20, gateway: '10.1.0.1', timeServer: '10.1.0.2' },
    publicKey: '',
  })
  w.do('area.put', { id: 'out', code: 'O', name: 'Outside' })
  for (let i = 0; i < cabinets; i++)
    w.put('cabinetPlace', { id: `Riser ${i + 1}`, x: (i % 5) * 60 + 20, y: Math.floor(i / 5) * 40 + 10 })
  for (let i = 0; i < doors; i++)
    w.do('door.add', {
      id: `D-${i}`,
      fields: {
        ref: `D-${i}`,
        name: `Door ${i}`,
        from: 'out',
        to: 'out',
        handle: true,
        hardware,
        at: { x: next() * 300, y: next() * 100 },
        ...over(i),
      },
    })
  return w
}

const input = (w: World, over: Partial<SitingInput> = {}): SitingInput => ({
  doors: all(w.facts, 'door'),
  controllers: all(w.facts, 'controller'),
  cabinets: cabinetsOf(w.facts),
  places: w.facts.cabinetPlace,
  sheets,
  fixed: new Set(),
  anew: false,
  spare: 0,
  allowed: ['controller-2', 'controller-4', 'controller-8', 'controller-radio'],
  makeId: (n) => `new-${n}`,
  ...over,
})
const take = (w: World, s: Siting) =>
  w.do('site.place', {
    controllers: s.controllers,
    doors: s.doors.map(({ door, placement, lengthM }) => ({ door, placement, lengthM })),
  })

/** No terminal over its limit, every lead on a screw of its kind, no port group shared. */
function sound(w: World): void {
  for (const controller of all(w.facts, 'controller')) {
    const board = boardOf(sheets, controller)
    const count = new Map<string, number>()
    const groups = new Set<string>()
    for (const door of all(w.facts, 'door').filter((d) => d.placement?.controller === controller.id)) {
      if (door.placement && door.placement.portGroup !== '*') {
        expect(groups.has(door.placement.portGroup)).toBe(false)
        groups.add(door.placement.portGroup)
      }
      for (const c of netOf(door, board, sheets).conductors)
        count.set(c.terminal.id, (count.get(c.terminal.id) ?? 0) + 1)
    }
    for (const t of board.terminals) expect(count.get(t.id) ?? 0).toBeLessThanOrEqual(t.maxConductors)
  }
}

describe('placing a whole job', () => {
  it('takes the fewest controllers, says how far the cable is over what nothing can go under, and why each door went where', () => {
    const w = site(40, 4)
    const s = siteDoors(input(w))
    expect(s.left).toEqual([])
    expect([s.newControllers, s.bound.controllers]).toEqual([5, 5])
    expect(s.cableM).toBeGreaterThanOrEqual(s.bound.cableM)
    expect(s.doors.every((d) => /nearest/.test(d.why))).toBe(true)
    take(w, s)
    sound(w)
    expect(all(w.facts, 'door').every((d) => d.cables.every((c) => c.lengthM > 0))).toBe(true)
  })
  it('gives the same number of controllers and cable within 1 % in two row orders of 500 doors', () => {
    const w = site(500, 20)
    const doors = all(w.facts, 'door')
    const a = siteDoors(input(w, { doors }))
    const b = siteDoors(input(w, { doors: [...doors].reverse() }))
    expect(a.newControllers).toBe(b.newControllers)
    expect(Math.abs(a.cableM - b.cableM) / a.cableM).toBeLessThan(0.01)
    expect([a.left, b.left]).toEqual([[], []])
  })
  it('with one controller fewer than needed says which doors are left and why', () => {
    const w = site(24, 5)
    const s = siteDoors(input(w, { most: 2 }))
    expect(s.newControllers).toBe(2)
    expect(s.left).toHaveLength(8)
    for (const l of s.left)
      expect(l.says).toBe(
        'Every cabinet in its reach is full with the 2 new controllers allowed. One more controller would take it.',
      )
    expect(new Set([...s.left, ...s.doors].map((x) => x.door)).size).toBe(24)
  })
  it('moves only what must move: what has a place keeps it, pinned and wired doors stay whatever is asked', () => {
    const w = site(12, 2)
    take(w, siteDoors(input(w)))
    const before = new Map(all(w.facts, 'door').map((d) => [d.id, d.placement]))
    w.do('door.add', {
      id: 'late',
      fields: { ref: 'Z-1', name: 'Late', from: 'out', to: 'out', handle: true, hardware, at: { x: 30, y: 20 } },
    })
    const s = siteDoors(input(w))
    expect(s.doors.map((d) => d.door)).toEqual(['late'])
    w.do('door.edit', { id: 'D-3', fields: { pinned: true } })
    const anew = siteDoors(input(w, { anew: true, fixed: new Set(['D-5']) }))
    expect(anew.doors.some((d) => d.door === 'D-3' || d.door === 'D-5')).toBe(false)
    expect(w.door('D-3').placement).toEqual(before.get('D-3'))
  })
  it('says plainly where it knows no length, and invents none', () => {
    const w = site(4, 2, () => ({ at: undefined }))
    for (const d of all(w.facts, 'door')) {
      const { at: _gone, ...rest } = d
      w.put('door', rest as Door)
    }
    const s = siteDoors(input(w))
    expect(s.unknownLength).toHaveLength(4)
    expect([s.cableM, s.bound.cableM]).toEqual([0, 0])
    expect(s.doors.every((d) => d.lengthM === null && d.why.includes('no length is known'))).toBe(true)
  })
  it('keeps readers within what they speak can bear', () => {
    const w = site(3, 1, (n) => ({ at: { x: n === 1 ? 400 : 40, y: 10 } }))
    const s = siteDoors(input(w))
    expect(s.left).toEqual([{ door: 'D-1', says: expect.stringContaining('its readers bear 150 m') }])
  })
  it('puts wireless locks on controllers for radio, as many as their sheet allows', () => {
    const w = site(24, 2, (n) => (n < 22 ? { hardware: { lock: 'wireless-handle' } } : {}))
    const s = siteDoors(input(w))
    expect(s.left).toEqual([])
    const radio = s.controllers.filter((c) => c.sheet === 'controller-radio')
    expect(radio).toHaveLength(2)
    for (const c of radio) expect(s.doors.filter((d) => d.placement.controller === c.id).length).toBeLessThanOrEqual(20)
  })
  it('adds an expander where a port group lacks inputs', () => {
    const many = {
      entryReader: 'reader-bus',
      lock: 'strike-secure',
      contact: 'contact-frame',
      contact2: 'contact-frame',
      boltContact: 'contact-bolt',
      exit: 'button-exit',
      exitSensor: 'sensor-exit',
      deskButton: 'button-desk',
    }
    const w = site(2, 1, () => ({ hardware: many }))
    const s = siteDoors(input(w))
    expect(s.left).toEqual([])
    expect(s.controllers.some((c) => (c.expanders ?? []).length > 0)).toBe(true)
    expect(s.doors.some((d) => d.why.includes('An expander gives it the inputs'))).toBe(true)
    take(w, s)
    sound(w)
  })
  it('leaves port groups free where they are asked for, and fills controllers that are there first', () => {
    const w = site(8, 1, (n) => ({ at: { x: n, y: 10 } }))
    expect(siteDoors(input(w, { spare: 2 })).newControllers).toBe(2)
    w.do('controller.put', {
      id: 'a1',
      ref: 'A1',
      sheet: 'controller-8',
      cabinet: 'Riser 1',
      supply: 'supply-5',
      address: '',
      serial: '',
      mac: '',
    })
    const s = siteDoors(input(w))
    expect([s.newControllers, new Set(s.doors.map((d) => d.placement.controller))]).toEqual([0, new Set(['a1'])])
  })
  it('gives a door that no controller there serves a new one, and does not leave it out', () => {
    // controller-4 has port groups free, but no bus.
    const w = site(3, 1, (n) => ({
      at: { x: n, y: 10 },
      hardware: { ...hardware, entryReader: n === 2 ? 'reader-bus' : 'reader-slim' },
    }))
    w.do('controller.put', {
      id: 'a1',
      ref: 'A1',
      sheet: 'controller-4',
      cabinet: 'Riser 1',
      supply: 'supply-5',
      address: '',
      serial: '',
      mac: '',
    })
    const s = siteDoors(input(w))
    expect(s.left).toEqual([])
    expect([
      s.newControllers,
      s.doors
        .filter((d) => d.placement.controller === 'a1')
        .map((d) => d.door)
        .sort(),
    ]).toEqual([1, ['D-0', 'D-1']])
    take(w, s)
    sound(w)
  })
  it('stopped, hands over the best so far', () => {
    const w = site(100, 8)
    let told = 0
    const s = siteDoors(input(w), () => ++told < 3)
    // Once more for the end.
    expect(told).toBe(4)
    expect(s.doors.length + s.left.length).toBe(100)
    take(w, s)
    sound(w)
  })
  it('is refused as a whole where it does not fit the boards any more', () => {
    const w = smallJob()
    expect(() =>
      w.do('site.place', {
        controllers: [],
        doors: [
          {
            door: 'D-01',
            placement: { controller: 'a1', portGroup: 'A', terminals: { 'R1.d0': '999' } },
            lengthM: null,
          },
        ],
      }),
    ).toThrow('A1 has no terminal 999.')
  })
})

describe('supplies of new controllers', () => {
  it('are the smallest that carry what their controller got', () => {
    const near = (n: number) => ({ at: { x: 25 + n, y: 12 } })
    const light = siteDoors(input(site(2, 1, near), { allowed: ['controller-2'] }))
    const heavy = siteDoors(
      input(
        site(8, 1, (n) => ({ ...near(n), hardware: { ...hardware, lock: 'strike-fast' } })),
        { allowed: ['controller-8'] },
      ),
    )
    const amps = (s: Siting) => sheets[s.controllers[0]?.supply ?? '']?.supply?.amps ?? 0
    expect([light.left, heavy.left]).toEqual([[], []])
    expect(amps(light)).toBeGreaterThan(0)
    expect(amps(heavy)).toBeGreaterThan(amps(light))
  })
})
