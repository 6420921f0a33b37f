import fc from 'fast-check'
import {
  addressPlan,
  layoutDoor,
  marksOf,
  netOf,
  networkFed,
  ownDevices,
  partRoles,
  planFindings,
  roleFacts,
  scriptFor,
  sheetFaults,
  sheetOf,
  toldPoints,
  type DeviceSheet,
  type Door,
} from '@rauta/core'
import { atHandList } from '@rauta/core/lists'
import { siteDoors } from '@rauta/core/siting'
import type { World } from './world'
import { sheets, smallJob, strikeHardware } from './world'

const station = { ...strikeHardware, entryReader: 'station-one', exit: 'button-exit' }
const unitSheets = Object.values(sheets).filter((s) => s.controller?.ownReader !== undefined)

/** A door with a door station, on no controller yet. */
function standing(hardware: Record<string, string> = station, over: Record<string, unknown> = {}): World {
  const w = smallJob({}, { handle: true, ...over })
  w.do('door.edit', { id: 'D-01', fields: { hardware } })
  return w
}
const onUnit = (hardware?: Record<string, string>, over?: Record<string, unknown>): World => {
  const w = standing(hardware, over)
  w.do('door.placeOnUnit', { door: 'D-01', controller: 's1', ref: 'S1' })
  return w
}
const stops = (w: World, door = w.door()) =>
  planFindings(door, w.facts.controller, sheets, Object.values(w.facts.door))
    .filter((f) => f.grade === 'stop')
    .map((f) => f.rule)

describe('a door station or wall unit that drives the lock of its own door', () => {
  it('there are two such types, and none contradicts itself', () => {
    expect(unitSheets.map((s) => s.id).sort()).toEqual(['reader-face', 'station-one'])
    for (const s of unitSheets) expect(sheetFaults(s)).toEqual([])
  })

  it('is placed on itself: its reader is told on the port that the device gives it, lock, contact and button on its screws', () => {
    const w = onUnit()
    expect(w.facts.controller['s1']).toMatchObject({ ref: 'S1', sheet: 'station-one', cabinet: 'D-01 wall' })
    const { terminals } = w.door().placement ?? { terminals: {} }
    expect(Object.keys(terminals).filter((k) => k.startsWith('R1'))).toEqual([])
    expect(w.wanted('s1')['terminals/D-01']).toMatchObject({
      'R1.entryReader': { part: 'R1', port: 'reader 1', function: 'entryReader' },
      'K1.lock': { port: 'relay 1' },
      'C1.contact': { port: 'input 1' },
      'X1.exitButton': { port: 'input 2' },
    })
    expect(stops(w)).toEqual([])
    const script = scriptFor(w.facts, w.door(), sheets)
    for (const point of toldPoints(w.door(), sheetOf(sheets, 'station-one'), sheets))
      expect(script.some((t) => t.proves.includes(point.key))).toBe(true)
  })

  it('is one device: one address, one network port, one thing to order, one that is reached', () => {
    const w = standing()
    w.do('unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Riser', address: '' })
    w.do('unitFeed.put', { id: 'part/D-01/R1', unit: 'n1', port: '2', lengthM: 40 })
    w.do('addresses.put', { controllers: [], units: [], parts: [{ door: 'D-01', part: 'R1', ip: '10.1.1.40' }] })
    const before = atHandList(w.facts, sheets).find((i) => i.id === 'device-station-one')?.count
    w.do('door.placeOnUnit', { door: 'D-01', controller: 's1', ref: 'S1' })
    expect(w.facts.controller['s1']?.address).toBe('10.1.1.40')
    expect(w.door().parts.find((p) => p.id === 'R1')).not.toHaveProperty('ip')
    expect(Object.values(w.facts.unitFeed)).toEqual([{ id: 'controller/s1', unit: 'n1', port: '2', lengthM: 40 }])
    expect(
      addressPlan(w.facts, sheets)
        .lines.filter((l) => l.what === 'Door station, one piece')
        .map((l) => l.ref),
    ).toEqual(['S1'])
    expect(networkFed(w.facts, sheets).map((f) => f.id)).toEqual(['controller/s1'])
    expect([before, atHandList(w.facts, sheets).find((i) => i.id === 'device-station-one')?.count]).toEqual([1, 1])
    expect(ownDevices(w.door(), w.facts, sheets).map((d) => d.id)).toEqual(['s1'])
    w.reached('s1', { address: '10.1.1.40' })
    expect(marksOf(w.facts, w.door(), sheets).reach.sign).toBe('given')
  })

  it('gives its address to a unit that was planned before, where that has none', () => {
    for (const [address, then] of [
      ['', '10.1.1.40'],
      ['10.1.1.50', '10.1.1.50'],
    ]) {
      const w = standing()
      w.controller('s1', 'station-one', { address })
      w.do('addresses.put', { controllers: [], units: [], parts: [{ door: 'D-01', part: 'R1', ip: '10.1.1.40' }] })
      w.do('door.placeProposed', { id: 'D-01', controller: 's1' })
      expect(w.facts.controller['s1']?.address).toBe(then)
    }
  })

  it('takes no other door, and stands on no other controller', () => {
    const w = onUnit()
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware: strikeHardware },
    })
    expect(() => w.do('door.placeProposed', { id: 'D-02', controller: 's1' })).toThrow(
      'S1 has a reader of its own and serves the door that it reads for. Choose Door station, one piece as a reader of D-02, or place the door elsewhere.',
    )
    w.do('door.edit', { id: 'D-02', fields: { hardware: station } })
    expect(() => w.do('door.placeProposed', { id: 'D-02', controller: 's1' })).toThrow('already serves another door')
    expect(() => w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })).toThrow(
      'R1 Door station, one piece drives its own lock and hands nothing to A1. Place the door on R1 itself.',
    )
  })

  it('a door that was placed otherwise before is stopped, and so is one whose station was exchanged for another reader', () => {
    /** As it stands in a store that was written before, or after parts were exchanged under a placement. */
    const held = (w: World, parts: Door['parts']) => {
      w.put('door', { ...w.door(), parts })
      return stops(w)
    }
    const wired = smallJob({ ...strikeHardware, exit: 'button-exit' }, { handle: true })
    const withStation = wired.door().parts.map((p) => (p.id === 'R1' ? { ...p, sheet: 'station-one' } : p))
    expect([stops(wired), held(wired, withStation)]).toEqual([[], ['untold']])
    const on = onUnit()
    const { parts } = on.door()
    expect(
      held(
        on,
        parts.filter((p) => p.id !== 'R1'),
      ),
    ).toContain('untold')
    expect(held(onUnit(), [...parts, { id: 'R2', role: 'exitReader', sheet: 'reader-face' }])).toEqual(['untold'])
  })

  it('says that the lock hangs on what anybody outside can take off the wall; as an exit reader it does not', () => {
    const amber = (w: World) =>
      planFindings(w.door(), w.facts.controller, sheets, [w.door()]).some((f) => f.rule === 'lock-outside')
    expect(amber(onUnit())).toBe(true)
    const { entryReader: _outside, ...rest } = station
    const inside = onUnit({ ...rest, exitReader: 'reader-face' })
    expect([amber(inside), inside.wanted('s1')['terminals/D-01']]).toEqual([
      false,
      expect.objectContaining({ 'R2.exitReader': expect.objectContaining({ port: 'reader 1' }) as object }) as object,
    ])
  })

  it('refuses a door without such a reader, a reference that is used, and one that is planned already', () => {
    const w = standing(strikeHardware)
    expect(() => w.do('door.placeOnUnit', { door: 'D-01', controller: 's1', ref: 'S1' })).toThrow(
      'No reader of D-01 drives a lock by itself.',
    )
    const s = standing()
    expect(() => s.do('door.placeOnUnit', { door: 'D-01', controller: 's1', ref: 'A1' })).toThrow('A1 is already used.')
    expect(() => s.do('door.placeOnUnit', { door: 'D-01', controller: 'a1', ref: 'S1' })).toThrow('planned already')
  })

  it('siting gives each such door its own unit, a planned one first, and offers it to no other door', () => {
    const w = standing()
    const [door] = Object.values(w.facts.door) as [Door]
    const plain = { ...door, id: 'D-09', ref: 'D-09', parts: door.parts.filter((p) => p.role !== 'entryReader') }
    const input = {
      doors: [door, plain],
      controllers: [] as (typeof w.facts.controller)[string][],
      cabinets: ['Riser'],
      places: {},
      sheets,
      fixed: new Set<string>(),
      anew: false,
      spare: 0,
      allowed: ['controller-2', 'station-one'],
      makeId: (n: number) => `new${n}`,
    }
    const sited = siteDoors(input)
    const sheetFor = (id: string) => {
      const at = sited.doors.find((d) => d.door === id)?.placement.controller
      return sited.controllers.find((c) => c.id === at)?.sheet
    }
    expect([sheetFor('D-01'), sheetFor('D-09'), sited.left]).toEqual(['station-one', 'controller-2', []])
    expect([sited.newControllers, sited.bound.controllers]).toEqual([2, 2])
    const planned = { id: 's9', ref: 'S9', sheet: 'station-one', cabinet: 'D-01 wall', supply: 'supply-5' }
    const again = siteDoors({ ...input, controllers: [{ ...planned, address: '', serial: '', mac: '' }] })
    expect(again.doors.find((d) => d.door === 'D-01')?.placement.controller).toBe('s9')
    const noNew = siteDoors({ ...input, controllers: [{ ...planned, address: '', serial: '', mac: '' }], most: 0 })
    expect(noNew.doors.map((d) => d.door)).toEqual(['D-01'])
    const free = siteDoors({
      ...input,
      doors: [plain],
      controllers: [{ ...planned, cabinet: 'Riser', address: '', serial: '', mac: '' }],
      most: 1,
    })
    expect([free.newControllers, free.bound.controllers, free.left]).toEqual([1, 1, []])
    expect(siteDoors({ ...input, most: 0 }).left.map((l) => l.door)).toEqual(['D-01', 'D-09'])
    expect(siteDoors({ ...input, cabinets: [] }).left.map((l) => l.door)).toEqual(['D-09'])
  })

  it('siting plans no such unit for doors that have none, though no one type serves them all', () => {
    const eight = sheetOf(sheets, 'controller-8')
    const onBusesOnly: DeviceSheet = {
      ...eight,
      id: 'bus-2',
      terminals: eight.terminals.filter((t) => 'AB'.includes(t.group) && !['d0', 'd1', 'led'].includes(t.kind)),
      controller: {
        ...(eight.controller as object),
        doors: 2,
        portGroups: eight.controller?.portGroups.slice(0, 2),
      } as never,
    }
    const [door] = Object.values(standing(strikeHardware).facts.door) as [Door]
    const like = (id: string, reader: string): Door => ({
      ...door,
      id,
      ref: id,
      parts: door.parts.map((p) => (p.id === 'R1' ? { ...p, sheet: reader } : p)),
    })
    const sited = siteDoors({
      doors: [like('D-1', 'reader-slim'), like('D-2', 'reader-slim'), like('D-3', 'reader-bus')],
      controllers: [],
      cabinets: ['Riser'],
      places: {},
      sheets: { ...sheets, 'bus-2': onBusesOnly },
      fixed: new Set(),
      anew: false,
      spare: 0,
      allowed: ['controller-2', 'bus-2', 'station-one', 'reader-face'],
      makeId: (n) => `new${n}`,
    })
    expect(new Set(sited.controllers.map((c) => c.sheet))).toEqual(new Set(['bus-2', 'controller-2']))
    expect(sited.left).toEqual([])
  })

  it('is drawn under its own screws, as wide as they are', () => {
    const w = onUnit()
    const board = sheetOf(sheets, 'station-one')
    const layout = layoutDoor(w.door(), netOf(w.door(), board, sheets), 360, { unit: 'R1' })
    const unit = layout.parts.find((p) => p.part.id === 'R1')
    const right = Math.max(...layout.terminals.map((t) => t.x + t.w))
    expect([unit?.x, (unit?.x ?? 0) + (unit?.w ?? 0)]).toEqual([Math.min(...layout.terminals.map((t) => t.x)), right])
    expect(unit?.y).toBeGreaterThan(Math.max(...layout.terminals.map((t) => t.y)))
    expect(layout.height).toBeGreaterThan((unit?.y ?? 0) + (unit?.h ?? 0))
  })

  it('a sheet of one’s own with a reader of its own is refused where it contradicts itself', () => {
    const good = sheetOf(sheets, 'station-one')
    const faults = (change: Partial<DeviceSheet>, facts: Partial<NonNullable<DeviceSheet['controller']>> = {}) =>
      sheetFaults({ ...good, ...change, controller: { ...(good.controller as object), ...facts } as never }).map(
        (f) => f.at,
      )
    expect(faults({})).toEqual([])
    expect(faults({}, { doors: 2 })).toEqual(['controller.ownReader'])
    expect(faults({}, { ownReader: 'relay 1' })).toEqual(['controller.ownReader'])
    expect(faults({ also: ['controller'] })).toEqual(['controller.ownReader'])
    expect(faults({ reading: { by: 'wiegand', technologies: [], keypad: false, reachM: 1 } })).toEqual([
      'controller.ownReader',
    ])
  })

  it('whatever hangs on such a unit is told to it on its port and proved, or it stops the door', () => {
    const roles = partRoles.filter((r) => r !== 'entryReader' && r !== 'exitReader')
    const fitting = (kind: string) =>
      Object.values(sheets)
        .filter((s) => s.kind === kind || s.also?.includes(kind as never))
        .map((s) => s.id)
    const others = fc
      .subarray(roles, { minLength: 1, maxLength: 4 })
      .chain((some) =>
        fc.record(
          Object.fromEntries(some.map((r) => [r, fc.constantFrom(...fitting(roleFacts[r].kind))])) as Record<
            string,
            fc.Arbitrary<string>
          >,
        ),
      )
    let placed = 0
    fc.assert(
      fc.property(others, fc.constantFrom(...unitSheets.map((s) => s.id)), (hardware, unit) => {
        const w = standing({ ...hardware, entryReader: unit })
        try {
          w.do('door.placeOnUnit', { door: 'D-01', controller: 's1', ref: 'S1' })
        } catch {
          return
        }
        placed += 1
        const stopped = new Set(
          planFindings(w.door(), w.facts.controller, sheets, [w.door()])
            .filter((f) => f.grade === 'stop')
            .map((f) => f.at),
        )
        const told = w.wanted('s1')['terminals/D-01'] as Record<string, { part: string; port: string }>
        const script = scriptFor(w.facts, w.door(), sheets)
        for (const part of w.door().parts) {
          if (stopped.has(part.id)) continue
          const wired = part.sheet === unit || sheetOf(sheets, part.sheet).leads.length > 0
          if (!wired || part.role === 'breakGlass') continue
          expect([part.id, Object.values(told).some((p) => p.part === part.id)]).toEqual([part.id, true])
          expect([part.id, script.some((t) => t.proves.some((k) => k.startsWith(`${part.id}.`)))]).toEqual([
            part.id,
            true,
          ])
        }
      }),
      { numRuns: 300 },
    )
    expect(placed).toBeGreaterThan(15)
  })
})
