import fc from 'fast-check'
import Ajv from 'ajv/dist/2020'
import {
  all,
  blindSpots,
  crossings,
  inCurrentOrder,
  layoutDoor,
  lockHere,
  voltsAt,
  netOf,
  plannedOf,
  overlaps,
  planFindings,
  proposePlacement,
  sheetOf,
  wantsOf,
} from '@rauta/core'
import { Refusal, sheetSchema, shippedSheets } from '../src'
import type { World } from './world'
import { magnetHardware, sheets, smallJob, strikeHardware } from './world'

const stops = (w: World, id = 'D-01') =>
  planFindings(w.door(id), w.facts.controller, sheets, all(w.facts, 'door'))
    .filter((f) => f.grade === 'stop')
    .map((f) => f.rule)

describe('device sheets', () => {
  it('ship as data that the schema allows, eight types or more', () => {
    const validate = new Ajv({ strict: false }).compile(sheetSchema)
    expect(Object.keys(shippedSheets).length).toBeGreaterThanOrEqual(8)
    for (const sheet of Object.values(shippedSheets))
      expect([sheet.id, validate(sheet), validate.errors]).toEqual([sheet.id, true, null])
    expect(validate({ ...shippedSheets['magnet-300'], lock: { principle: 'glue' } })).toBe(false)
  })
})

describe('placing a door', () => {
  it('puts every lead on a terminal of its kind in one port group', () => {
    const w = smallJob()
    const door = w.door()
    const terminals = new Map(sheetOf(sheets, 'controller-2').terminals.map((t) => [t.id, t]))
    for (const want of wantsOf(door, sheets)) {
      const terminal = terminals.get(door.placement?.terminals[`${want.part}.${want.lead}`] ?? '')
      expect([want.lead, terminal?.kind, terminal?.group]).toEqual([want.lead, want.kind, 'A'])
    }
    expect(stops(w)).toEqual([])
  })

  it('never puts two doors on one port group, and says so when none is free', () => {
    const w = smallJob()
    for (const id of ['D-02', 'D-03'])
      w.do('door.add', { id, fields: { ref: id, name: id, from: 'out', to: 'in', hardware: strikeHardware } })
    w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
    expect(w.door('D-02').placement?.portGroup).toBe('B')
    expect(() => w.do('door.placeProposed', { id: 'D-03', controller: 'a1' })).toThrow(
      new Refusal('Door port A of A1 already serves another door.'),
    )
  })

  it('never uses a single-use terminal twice, whatever the hardware of the doors', () => {
    const hardware = fc.record({
      entryReader: fc.constantFrom('reader-slim', 'reader-wall'),
      lock: fc.constantFrom('magnet-300', 'strike-secure', 'strike-safe'),
      exitReader: fc.option(fc.constant('reader-slim'), { nil: undefined }),
      contact: fc.option(fc.constant('contact-frame'), { nil: undefined }),
      exit: fc.option(fc.constant('button-exit'), { nil: undefined }),
      breakGlass: fc.option(fc.constant('break-glass'), { nil: undefined }),
    })
    fc.assert(
      fc.property(fc.array(hardware, { minLength: 1, maxLength: 4 }), (list) => {
        const w = smallJob()
        w.controller('a4', 'controller-4', { address: '10.1.1.24' })
        for (const [i, h] of list.entries()) {
          const id = `F-${i}`
          w.do('door.add', {
            id,
            fields: {
              ref: id,
              name: id,
              from: 'out',
              to: 'in',
              hardware: Object.fromEntries(Object.entries(h).filter(([, v]) => v)),
            },
          })
          w.do('door.placeProposed', { id, controller: 'a4' })
        }
        for (const [i] of list.entries())
          expect(
            stops(w, `F-${i}`).filter((r) =>
              ['double-use', 'crowded', 'wrong-kind', 'other-group', 'lead-loose'].includes(r),
            ),
          ).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('proposes again within its group when the hardware changes', () => {
    const w = smallJob()
    w.do('door.edit', { id: 'D-01', fields: { hardware: { ...magnetHardware, exitReader: 'reader-slim' } } })
    expect(w.door().placement?.portGroup).toBe('A')
    expect(w.door().placement?.terminals['R2.d0']).toBe('8')
    expect(w.door().cables.map((c) => c.lengthM)).toEqual([20, 0, 20, 20, 20, 20]) // the cables that were there keep their lengths
  })

  it('says when a controller has no port left for a part', () => {
    const w = smallJob()
    const sheet = sheetOf(sheets, 'controller-2')
    const poor = {
      ...sheets,
      'controller-2': { ...sheet, terminals: sheet.terminals.filter((t) => t.kind !== 'input') },
    }
    const controller = w.facts.controller['a1']
    expect(controller && proposePlacement({ ...w.door(), placement: null }, controller, poor, [])).toEqual({
      ok: false,
      says: 'Door port B of A1 has no free input left for C1.',
    })
  })
})

describe('findings of the plan', () => {
  it('a fail-secure lock on an escape route without a handle stops the plan', () => {
    expect(stops(smallJob(strikeHardware, { escapeRoute: true }))).toEqual(['escape-secure', 'no-way-out'])
    expect(stops(smallJob({ ...strikeHardware, exit: 'button-exit' }, { escapeRoute: true }))).toEqual([
      'escape-secure',
    ])
    expect(stops(smallJob(strikeHardware, { escapeRoute: true, handle: true }))).toEqual([])
  })
  it('a magnetic lock wants a break glass in its feed and an exit device', () => {
    const { breakGlass: _b, exit: _x, ...bare } = magnetHardware
    expect(stops(smallJob(bare))).toEqual(['magnet-break-glass', 'magnet-exit'])
  })
  it('a lock that would see too few volts stops the plan and names the length that would do', () => {
    const w = smallJob()
    w.do('cable.set', { door: 'D-01', cable: 'W2', lengthM: 260 })
    const finding = planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door')).find(
      (f) => f.rule === 'volts',
    )
    // By hand: break glass 20 m is 0.724 ohm, lock 260 m is 9.412 ohm, coil 24 ohm. Board and reader take 0.37 A through the supply's 0.05 ohm:
    // (13.6 − 0.05 × 0.37) ÷ (1 + 0.05 ÷ 34.136) × 24 ÷ 34.136 = 9.53 V. At 10.8 V the lock takes 0.45 A: (13.6 − 0.05 × 0.82 − 10.8) ÷ 0.45 − 0.724 = 5.41 ohm is 149.4 m.
    expect(finding?.says).toMatch(
      /9\.53 V at the lock, needs 10\.8 V \(at rest, supply as set\)\..* would do up to 149 m/,
    )
    expect(finding?.grade).toBe('stop')
  })
  it('two conductors on a terminal that takes one, and one terminal used by two parts', () => {
    const w = smallJob()
    const placement = w.door().placement
    if (!placement) throw new Error('not placed')
    w.do('door.place', {
      id: 'D-01',
      placement: { ...placement, terminals: { ...placement.terminals, 'X1.a': placement.terminals['C1.a'] ?? '' } },
    })
    expect(stops(w)).toEqual(['crowded', 'double-use'])
  })
  it('a lock that is fed past the break glass, by a lead on the feed itself', () => {
    const w = smallJob()
    const placement = w.door().placement
    if (!placement) throw new Error('not placed')
    expect(stops(w)).toEqual([])
    w.do('door.place', {
      id: 'D-01',
      placement: {
        ...placement,
        terminals: {
          ...placement.terminals,
          'K1.plus': placement.terminals['B1.in'] ?? placement.terminals['B1.a'] ?? '11',
        },
      },
    })
    expect(stops(w)).toContain('glass-bypassed')
  })
  it('says what can never be seen without contact or exit signal', () => {
    const w = smallJob({ entryReader: 'reader-slim', lock: 'strike-secure' }, { handle: true })
    expect(blindSpots(w.door()).join(' ')).toMatch(
      /no forced-open alarm, no held-open alarm.*leaving cannot be told from forcing/s,
    )
    expect(blindSpots(smallJob(strikeHardware, { handle: true }).door()).join(' ')).toContain(
      'each leaving raises the forced-open alarm',
    )
  })
})

describe('the net, the table and the drawing', () => {
  it('lists the lock’s circuit in the order in which the current runs', () => {
    const w = smallJob()
    const net = netOf(w.door(), sheetOf(sheets, 'controller-2'), sheets)
    expect(
      inCurrentOrder(net.conductors)
        .slice(0, 4)
        .map((c) => `${c.part} ${c.terminal.label}`),
    ).toEqual(['B1 F+', 'B1 C', 'K1 NC', 'K1 F−'])
  })
  it('closes feed to relay at the strip where there is no break glass', () => {
    const net = netOf(smallJob(strikeHardware).door(), sheetOf(sheets, 'controller-2'), sheets)
    expect(net.links.map((l) => l.says)).toEqual(['Link 11 (F+) to 12 (C)'])
    expect(inCurrentOrder(net.conductors)[0]?.terminal.label).toBe('NO') // driven to release: the contact that is open at rest
  })
  it('counts the break glass cable into the lock’s volts', () => {
    const w = smallJob()
    const pullV = () => {
      const lock = lockHere(w.door(), plannedOf(w.facts, sheets))
      return (lock && voltsAt(lock.ways, lock.node, lock.pulls, 'nominal')) ?? 0
    }
    const before = pullV()
    w.do('cable.set', { door: 'D-01', cable: w.door().cables.find((c) => c.part === 'B1')?.id, lengthM: 60 })
    // By hand: 40 m more of 1.0 mm² class 2, out and back, is 1.448 ohm, and takes that times the lock's amps; its coil is 24 ohm.
    expect(before - pullV()).toBeCloseTo((1.448 * pullV()) / 24, 1)
    expect(pullV()).toBeLessThan(before)
  })
  it('draws every conductor from its part to its terminal without a crossing, at phone width', () => {
    for (const hardware of [magnetHardware, strikeHardware, { ...magnetHardware, exitReader: 'reader-slim' }]) {
      const w = smallJob(hardware)
      const net = netOf(w.door(), sheetOf(sheets, 'controller-2'), sheets)
      const layout = layoutDoor(w.door(), net, 366)
      expect(layout.conductors).toHaveLength(net.conductors.length)
      expect([crossings(layout), overlaps(layout)]).toEqual([0, 0])
      for (const part of layout.parts) {
        expect(part.x).toBeGreaterThanOrEqual(0)
        expect(part.x + part.w).toBeLessThanOrEqual(366.01)
      }
    }
  })
})
