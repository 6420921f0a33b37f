import { all, boardsOn, Keeper, loopOhm, supplyOf, supplyReport, type CableType, type Controller } from '@rauta/core'
import { sheets, smallJob, strikeHardware, type World } from './world'

const type: CableType = { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: 2 }
const c = (w: World, id: string) => w.facts.controller[id] as Controller
/** A1 with a door, and A2 with another, fed on from A1 over 12 m. */
function shared(): World {
  const w = smallJob(strikeHardware, { handle: true })
  w.do('controller.put', {
    id: 'a2',
    ref: 'A2',
    sheet: 'controller-2',
    cabinet: 'Loft',
    supply: '',
    address: '10.1.1.22',
    serial: '',
    mac: '',
    fedFrom: { controller: 'a1', lengthM: 12, type },
  })
  w.do('door.add', {
    id: 'D-02',
    fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware: strikeHardware },
  })
  w.do('door.placeProposed', { id: 'D-02', controller: 'a2' })
  for (const cable of w.door('D-02').cables) w.do('cable.set', { door: 'D-02', cable: cable.id, lengthM: 20 })
  return w
}
const report = (w: World, id = 'a1') =>
  supplyReport(c(w, id), all(w.facts, 'door'), sheets, undefined, w.facts.controller)

describe('one supply for several boards', () => {
  it('counts what hangs on the board that is fed on, over the run to it', () => {
    const w = shared()
    const rest = report(w).moments.find((m) => m.state === 'nominal' && m.moment.kind === 'rest')
    // By hand: two boards of 0.25 A, two readers of what their sheet says; the far board over 12 m of 1.5 mm², 12.1 ohm/km: 0.2904 ohm.
    const readerA = sheets['reader-slim']?.restA ?? 0
    expect(loopOhm(type, 12)).toBeCloseTo(0.2904, 6)
    expect(rest?.amps).toBeCloseTo(2 * (0.25 + readerA), 6)
    if (!rest?.solved.ok) throw new Error('collapsed')
    expect((rest.solved.volts['board'] ?? 0) - (rest.solved.volts['board/a2'] ?? 0)).toBeCloseTo(
      0.2904 * (0.25 + readerA),
      6,
    )
    expect(
      report(w)
        .locks.map((l) => l.door)
        .sort(),
    ).toEqual(['D-01', 'D-02'])
    expect(report(w).notes.join(' ')).toContain('It feeds A2 too, in Loft')
  })
  it('a lock on the far board sees fewer volts than one on the near board', () => {
    const locks = report(shared()).locks
    expect(locks.find((l) => l.door === 'D-02')?.volts ?? 99).toBeLessThan(
      locks.find((l) => l.door === 'D-01')?.volts ?? 0,
    )
  })
  it('a board that would see too few volts is a fault with how to mend it', () => {
    const w = shared()
    w.do('controller.put', {
      ...c(w, 'a2'),
      sheet: 'controller-8',
      fedFrom: { controller: 'a1', lengthM: 400, type: { ...type, mm2: 0.5 } },
    })
    expect(report(w).faults.join(' ')).toMatch(/A2 sees \d+\.\d V .* works from 11 V\. Shorten its run/)
  })
  it('refuses a circle, itself, one that is not there, and what is fed from the network', () => {
    const w = shared()
    const feed =
      (id: string, controller: string, sheet = 'controller-2') =>
      () =>
        w.do('controller.put', { ...c(w, id), sheet, fedFrom: { controller, lengthM: 5, type } })
    expect(feed('a1', 'a2')).toThrow('in a circle')
    expect(feed('a1', 'a1')).toThrow('feed itself')
    expect(feed('a2', 'nobody')).toThrow('not planned')
    expect(feed('a2', 'a1', 'controller-1-net')).toThrow('from the network')
  })
  it('the chain is followed to its first board, and a circle in old data ends', () => {
    const w = shared()
    expect(supplyOf(c(w, 'a2'), w.facts.controller).id).toBe('a1')
    const circle = {
      x: { ...c(w, 'a1'), id: 'x', fedFrom: { controller: 'y', lengthM: 1, type } },
      y: { ...c(w, 'a1'), id: 'y', fedFrom: { controller: 'x', lengthM: 1, type } },
    }
    expect(supplyOf(circle.x, circle).id).toBe('x')
    expect(boardsOn(circle.x, circle).map((b) => b.controller.id)).toEqual(['x', 'y'])
  })
  it('is kept from one state to the next, and worked out anew when the far board’s door changes', () => {
    const w = shared()
    const keeper = new Keeper()
    keeper.take(w.facts, sheets)
    const before = keeper.reportOf(c(w, 'a2'))
    expect(keeper.reportOf(c(w, 'a1'))).toBe(before)
    const near = keeper.marksOf(w.door())
    w.do('cable.set', { door: 'D-02', cable: 'W2', lengthM: 90 })
    keeper.take(w.facts, sheets)
    expect(keeper.reportOf(c(w, 'a1'))).not.toBe(before)
    expect(keeper.marksOf(w.door())).not.toBe(near)
    w.do('controller.put', { ...c(w, 'a2'), supply: 'supply-5', fedFrom: undefined })
    keeper.take(w.facts, sheets)
    expect(keeper.reportOf(c(w, 'a2')).locks.map((l) => l.door)).toEqual(['D-02'])
  })
})
