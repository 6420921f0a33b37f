import { boardOf, netOf, type Facts } from '@rauta/core'
import { insideOf, layoutCabinet, type CabinetLayout } from '@rauta/core/inside'
import fc from 'fast-check'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

const run = { lengthM: 12, type: { kind: 'iec' as const, conductorClass: 2 as const, mm2: 1.5 as const, cores: 2 } }
const controller = (w: World, n: number, over: Record<string, unknown> = {}) =>
  w.do('controller.put', {
    id: `b${n}`,
    ref: `B${n}`,
    sheet: 'controller-4',
    cabinet: 'Loft',
    supply: 'supply-10',
    address: '',
    serial: '',
    mac: '',
    ...over,
  })
const addDoor = (w: World, id: string, on: string, hardware: Record<string, string>) => {
  w.do('door.add', { id, fields: { ref: id, name: id, from: 'out', to: 'in', handle: true, hardware } })
  w.do('door.placeProposed', { id, controller: on })
}
const screws = (facts: Facts, name: string) =>
  new Map(
    insideOf(name, facts, sheets).fitted.flatMap((f) =>
      f.groups.flatMap((g) => g.screws.map((s) => [`${f.ref} ${s.id}`, s.on] as const)),
    ),
  )

describe('the inside of a cabinet', () => {
  it('holds supply, batteries, boards and expanders in the order of the power, and says what joins them', () => {
    const w = smallJob()
    w.do('powerPlan.put', {
      id: 'a1',
      batteryAh: 7,
      batteryCount: 2,
      wiring: 'parallel',
      hours: 2,
      celsius: 20,
      movements: 20,
      fireRelay: false,
    })
    w.do('controller.put', {
      id: 'a0',
      ref: 'A0',
      sheet: 'controller-8',
      cabinet: 'Riser',
      supply: '',
      address: '',
      serial: '',
      mac: '',
      fedFrom: { controller: 'a1', ...run },
      expanders: [
        { id: 'E1', sheet: 'expander-io' },
        { id: 'E2', sheet: 'expander-io' },
      ],
    })
    const { fitted, links } = insideOf('Riser', w.facts, sheets)
    expect(fitted.map((f) => f.ref)).toEqual(['Supply of A1', '2 batteries in parallel', 'A1', 'A0', 'E1', 'E2'])
    expect(fitted[1]?.says).toBe('12 V, 14 Ah')
    expect(links.map((l) => l.says)).toEqual([
      '13.6 V to A1, fuses: board 2 A, locks 4 A',
      'Battery to supply of A1, 12 V',
      'A0 to E1',
      'E1 to E2',
      'A1 feeds A0: 12 m of 2 × 1.5 mm², class 2',
    ])
  })
  it('shows on each screw what the net has there, links at the strip too, and nothing once the door is taken off', () => {
    const w = smallJob(strikeHardware)
    const board = boardOf(sheets, w.facts.controller['a1'] ?? { sheet: '' })
    const net = netOf(w.door(), board, sheets)
    const before = screws(w.facts, 'Riser')
    for (const c of net.conductors)
      expect(before.get(`A1 ${c.terminal.id}`)).toContain(`D-01 ${c.part} ${c.leadName}, ${c.colour}, ${c.cable}`)
    for (const l of net.links) {
      expect(before.get(`A1 ${l.from.id}`)).toContain(`link to ${l.to.id}`)
      expect(before.get(`A1 ${l.to.id}`)).toContain(`link to ${l.from.id}`)
    }
    expect([...before.values()].flat()).toHaveLength(net.conductors.length + 2 * net.links.length)
    w.do('door.place', { id: 'D-01', placement: null })
    expect([...screws(w.facts, 'Riser').values()].flat()).toEqual([])
  })
  it('a run or a network cable that leaves the cabinet has one end outside and says where it goes', () => {
    const w = smallJob()
    controller(w, 1, { fedFrom: { controller: 'a1', ...run } })
    w.do('unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Loft', address: '' })
    controller(w, 2, { sheet: 'controller-1-net', cabinet: 'Riser' })
    w.do('unitFeed.put', { id: 'controller/b2', unit: 'n1', port: '1', lengthM: 30 })
    const loft = insideOf('Loft', w.facts, sheets).links
    expect(loft).toEqual([
      { from: null, to: 'b1', kind: 'power', says: 'A1 in Riser feeds B1: 12 m of 2 × 1.5 mm², class 2' },
      { from: 'n1', to: null, kind: 'network', says: 'N1 port 1 to B2 in Riser, 30 m' },
    ])
    const riser = insideOf('Riser', w.facts, sheets).links.filter((l) => l.from === null || l.to === null)
    expect(riser.map((l) => [l.from, l.to])).toEqual([
      ['a1', null],
      [null, 'b2'],
    ])
    expect(
      layoutCabinet(insideOf('Riser', w.facts, sheets), 360)
        .links.map((l) => l.mark)
        .filter(Boolean),
    ).toEqual(['a', 'b'])
  })
  it('an empty cabinet is an empty picture', () => {
    expect(layoutCabinet(insideOf('Nowhere', smallJob().facts, sheets), 360)).toMatchObject({
      height: 0,
      fitted: [],
      links: [],
    })
  })
  it('of whatever hangs there: no two boxes on each other, screws inside their box, no two links on one line, feeders above what they feed', () => {
    const sheetIds = ['controller-2', 'controller-4', 'controller-8'] as const
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            sheet: fc.constantFrom(...sheetIds),
            fedFrom: fc.option(fc.integer({ min: -1, max: 4 }), { nil: null }),
            expanders: fc.nat(2),
            doors: fc.nat(2),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        fc.array(fc.boolean(), { maxLength: 8 }),
        fc.integer({ min: 300, max: 900 }),
        (boards, fedByNetwork, width) => {
          const w = smallJob(magnetHardware)
          boards.forEach((b, n) => {
            const most = sheets[b.sheet]?.carries?.find((c) => c.kind === 'expander')?.most ?? 0
            const from =
              b.fedFrom !== null && b.fedFrom < n
                ? { fedFrom: { controller: b.fedFrom < 0 ? 'a1' : `b${b.fedFrom}`, ...run }, supply: '' }
                : {}
            controller(w, n, {
              sheet: b.sheet,
              ...from,
              expanders: Array.from({ length: Math.min(most, b.expanders) }, (_, i) => ({
                id: `E${i + 1}`,
                sheet: 'expander-io',
              })),
            })
            for (let d = 0; d < b.doors; d++) addDoor(w, `X-${n}${d}`, `b${n}`, d % 2 ? magnetHardware : strikeHardware)
          })
          w.do('unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Loft', address: '' })
          fedByNetwork.forEach((here, n) => {
            controller(w, 10 + n, { sheet: 'controller-1-net', cabinet: here ? 'Loft' : 'Elsewhere' })
            w.do('unitFeed.put', { id: `controller/b${10 + n}`, unit: 'n1', port: String(n + 1), lengthM: 20 })
          })
          const layout = layoutCabinet(insideOf('Loft', w.facts, sheets), width)
          checkLayout(layout, width)
          const row = new Map(layout.fitted.map((f, i) => [f.fitted.id, i]))
          for (const { link } of layout.links)
            if (link.kind !== 'network' && link.from !== null && link.to !== null && !link.from.startsWith('battery/'))
              expect(row.get(link.from) ?? 0).toBeLessThan(row.get(link.to) ?? 0)
        },
      ),
      { numRuns: 40 },
    )
  })
})

const shareBox = (layout: CabinetLayout, a: number, b: number): boolean => {
  const ends = (n: number) => [layout.links[n]?.link.from, layout.links[n]?.link.to].filter((id) => id != null)
  return ends(a).some((id) => ends(b).includes(id))
}
function checkLayout(layout: CabinetLayout, width: number): void {
  layout.fitted.forEach((f, i) => {
    expect(f.x).toBeGreaterThanOrEqual(0)
    expect(f.x + f.w).toBeLessThanOrEqual(width)
    const below = layout.fitted[i + 1]
    if (below) expect(f.y + f.h).toBeLessThan(below.y)
    const seen = new Set<string>()
    for (const s of f.groups.flatMap((g) => g.screws)) {
      expect(s.x).toBeGreaterThanOrEqual(f.x)
      expect(s.x + s.w).toBeLessThanOrEqual(f.x + f.w + 0.001)
      expect(s.y + s.h).toBeLessThanOrEqual(f.y + f.h)
      seen.add(`${s.x.toFixed(2)} ${s.y}`)
    }
    expect(seen.size).toBe(f.groups.flatMap((g) => g.screws).length)
  })
  const lanes = layout.links.flatMap(({ points }) =>
    points.slice(1).flatMap((p, i) => {
      const q = points[i]
      return q && q.x === p.x ? [{ x: p.x, from: Math.min(p.y, q.y), to: Math.max(p.y, q.y) }] : []
    }),
  )
  lanes.forEach((a, i) =>
    lanes.forEach((b, j) => {
      if (j > i && a.x === b.x) expect(a.from < b.to && b.from < a.to).toBe(false)
    }),
  )
  const flat = layout.links.flatMap(({ points }, link) =>
    points.slice(1).flatMap((p, i) => {
      const q = points[i]
      return q && q.y === p.y ? [{ link, y: p.y, from: Math.min(p.x, q.x), to: Math.max(p.x, q.x) }] : []
    }),
  )
  const upright = layout.links.flatMap(({ points }, link) =>
    points.slice(1).flatMap((p, i) => {
      const q = points[i]
      return q && q.x === p.x ? [{ link, x: p.x, from: Math.min(p.y, q.y), to: Math.max(p.y, q.y) }] : []
    }),
  )
  // Links of one box leave it in an order in which they don't cross there; none lies on another.
  for (const a of flat)
    for (const b of flat) if (a.link !== b.link && a.y === b.y) expect(a.from < b.to && b.from < a.to).toBe(false)
  const atBoxes = flat.filter((a) =>
    upright.some(
      (v) =>
        v.link !== a.link &&
        v.x > a.from &&
        v.x < a.to &&
        v.from < a.y &&
        v.to > a.y &&
        shareBox(layout, a.link, v.link),
    ),
  )
  expect(atBoxes).toEqual([])
  for (const { points } of layout.links)
    for (const p of points) {
      expect(p.x).toBeGreaterThanOrEqual(0)
      expect(p.x).toBeLessThanOrEqual(width)
    }
}
