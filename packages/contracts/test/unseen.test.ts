import {
  boardOf,
  crossings,
  crossingsOf,
  expectedReading,
  inCurrentOrder,
  layoutDoor,
  lockCircuit,
  netOf,
  overlaps,
  partRoles,
  planFindings,
  proposePlacement,
  roleFacts,
  isKind,
  sheetOf,
  solveTree,
  supplyNet,
  supplyReport,
  type CableType,
  type DeviceSheet,
  type Door,
  type PartRole,
  type Sheets,
} from '@rauta/core'
import { sheets } from './world'

const next = (() => {
  let seed = 77
  return () => (seed = (Math.imul(seed, 1103515245) + 12345) >>> 1) / 2147483648
})()
const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T

/** A lock and a reader that no code has ever heard of. */
const unseen: DeviceSheet[] = [
  {
    id: 'x-lock',
    name: 'Shear lock',
    kind: 'lock',
    says: '',
    restA: 0,
    terminals: [],
    atHand: [],
    leads: [
      { id: 'p', name: '+', colour: 'pink', kind: 'lock+' },
      { id: 'm', name: '−', colour: '', kind: 'lock-' },
    ],
    lock: {
      principle: 'motor',
      fail: 'secure',
      nominalV: 12,
      leastV: 9.5,
      pullA: 1.2,
      pullMs: 300,
      holdA: 0.3,
      dropOutV: 4,
      sensing: false,
    },
  },
  {
    id: 'x-reader',
    name: 'Palm reader',
    kind: 'reader',
    says: '',
    restA: 0.31,
    terminals: [],
    atHand: [],
    leads: [
      { id: 'v', name: 'supply', colour: 'red', kind: 'supply+' },
      { id: 'g', name: 'ground', colour: 'blue', kind: 'supply-' },
      { id: 'a', name: 'A', colour: 'white', kind: 'busA' },
      { id: 'b', name: 'B', colour: 'green', kind: 'busB' },
    ],
    reading: { by: 'osdp', technologies: ['palm'], keypad: false, reachM: 0.1, unitLoad: 0.5 },
  },
]
const all: Sheets = { ...sheets, ...Object.fromEntries(unseen.map((s) => [s.id, s])) }
const iec: CableType = { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: 8 }

/** A door of 2 to 12 parts; every fifth has the new devices. */
function randomDoor(n: number): Door {
  const wanted = new Set<PartRole>(['entryReader', 'lock'])
  const most = 2 + Math.floor(next() * 11)
  while (wanted.size < most) wanted.add(pick(partRoles))
  const parts = partRoles
    .filter((r) => wanted.has(r))
    .map((role) => {
      const fits = Object.values(all).filter((s) => isKind(s, roleFacts[role].kind))
      const sheet =
        n % 5 === 0 && role === 'lock' ? 'x-lock' : n % 5 === 0 && role === 'entryReader' ? 'x-reader' : pick(fits).id
      return { id: roleFacts[role].id, role, sheet }
    })
  const cables = parts
    .filter((p) => sheetOf(all, p.sheet).leads.length > 0)
    .map((p, i) => ({ id: `W${i + 1}`, part: p.id, type: iec, lengthM: 5 + Math.round(next() * 60) }))
  return {
    id: `d${n}`,
    ref: `D-${n}`,
    name: 'Any',
    from: 'a',
    to: 'b',
    escapeRoute: next() < 0.3,
    passagesPerDay: 10,
    walk: n,
    handle: next() < 0.5,
    parts,
    cables,
    placement: null,
    behaviour: {
      releaseS: 5,
      heldOpenS: 20,
      relockDelayS: 0,
      contactIdle: 'closed',
      exitIdle: 'open',
      forcedAlarm: true,
    },
    testCardsOff: false,
  }
}

const controllers = ['controller-8', 'controller-4', 'controller-radio', 'controller-1-net'].map((sheet, i) => ({
  id: `c${i}`,
  ref: `A${i}`,
  sheet,
  cabinet: 'Riser',
  supply: 'supply-10',
  address: '',
  serial: '',
  mac: '',
  ...(sheet === 'controller-8'
    ? {
        expanders: [
          { id: 'E1', sheet: 'expander-io' },
          { id: 'E2', sheet: 'expander-io' },
        ],
      }
    : {}),
}))
const doors = Array.from({ length: 100 }, (_, n) => randomDoor(n))
const tried = doors.map((door) => {
  const proposals = controllers.map((controller) => ({
    controller,
    proposal: proposePlacement(door, controller, all, []),
  }))
  const good = proposals.find((p) => p.proposal.ok)
  return {
    door: good?.proposal.ok ? { ...door, placement: good.proposal.placement } : door,
    controller: good?.controller,
    why: proposals.map((p) => (p.proposal.ok ? '' : p.proposal.says)),
  }
})
const placed = tried.flatMap((t) =>
  t.controller ? [{ door: t.door, controller: t.controller, board: boardOf(all, t.controller) }] : [],
)

describe('100 random doors of 2 to 12 parts, some with devices that no code has heard of', () => {
  it('span two to twelve parts', () =>
    expect([Math.min(...doors.map((d) => d.parts.length)), Math.max(...doors.map((d) => d.parts.length))]).toEqual([
      2, 12,
    ]))
  it('are each placed, or say of every controller why not', () => {
    for (const t of tried) if (!t.controller) for (const says of t.why) expect(says.length).toBeGreaterThan(15)
    expect(placed.length).toBeGreaterThan(60)
  })
  it('have a conductor table: each lead once, to a screw of its kind', () => {
    for (const { door, board } of placed) {
      const table = inCurrentOrder(netOf(door, board, all).conductors)
      expect(table.map((c) => c.id).sort()).toEqual(
        door.parts.flatMap((p) => sheetOf(all, p.sheet).leads.map((l) => `${p.id}.${l.id}`)).sort(),
      )
      expect(
        planFindings(door, Object.fromEntries(controllers.map((c) => [c.id, c])), all, [door]).filter((f) =>
          ['lead-loose', 'wrong-kind', 'other-group', 'crowded', 'double-use'].includes(f.rule),
        ),
      ).toEqual([])
    }
  })
  it('have a drawing in which no two conductors lie on each other', () => {
    for (const { door, board } of placed) {
      const layout = layoutDoor(door, netOf(door, board, all), 366)
      expect(layout.parts).toHaveLength(door.parts.length)
      expect(overlaps(layout)).toBe(0)
      for (const p of layout.parts) expect(p.x >= 0 && p.x + p.w <= 366.5).toBe(true)
    }
  })
  it('have no crossing that another way of the lines would spare, and screws that can be read, however many parts', () => {
    for (const { door, board } of placed) {
      const layout = layoutDoor(door, netOf(door, board, all), 366)
      const rows = [...new Set(layout.parts.map((p) => p.y))]
      const unavoidable = rows.reduce((sum, y) => {
        const ends = (part: string) =>
          layout.conductors.filter((c) => c.conductor.part === part).map((c) => c.points.at(-1)?.x ?? 0)
        return (
          sum +
          crossingsOf(
            layout.parts
              .filter((p) => p.y === y)
              .sort((a, b) => a.x - b.x)
              .map((p) => ends(p.part.id)),
          )
        )
      }, 0)
      expect(crossings(layout)).toBeLessThanOrEqual(unavoidable)
      for (const t of layout.terminals) expect(t.w).toBeGreaterThanOrEqual(24)
      expect(layout.conductors).toHaveLength(netOf(door, board, all).conductors.length)
    }
  })
  it('have solved volts, or the words that the line collapses; never a number that is not there', () => {
    for (const { door, controller } of placed) {
      const report = supplyReport(controller, [door], all)
      for (const m of report.moments) {
        if (m.solved.ok) for (const v of Object.values(m.solved.volts)) expect(Number.isFinite(v) && v > 0).toBe(true)
        else expect(m.amps).toBeNull()
      }
      expect(report.locks.length + report.unknown.length).toBeGreaterThanOrEqual(
        door.parts.some((p) => {
          const s = sheetOf(all, p.sheet)
          return !!s.lock && s.leads.length > 0
        })
          ? 1
          : 0,
      )
    }
  })
})

describe('one netlist: a core that is opened is gone from all three', () => {
  const withLock = placed.filter(({ door }) =>
    door.parts.some((p) => p.role === 'lock' && sheetOf(all, p.sheet).leads.length > 0),
  )
  it('drawing, conductor table, solver and expected reading', () => {
    expect(withLock.length).toBeGreaterThan(40)
    for (const { door, controller, board } of withLock) {
      const lock = door.parts.find((p) => p.role === 'lock')
      const facts = sheetOf(all, lock?.sheet ?? '').lock
      const core = `K1.${sheetOf(all, lock?.sheet ?? '').leads[0]?.id}`
      const cut = new Set([core])
      const net = netOf(door, board, all, cut)
      expect(net.conductors.some((c) => c.id === core)).toBe(false)
      expect(layoutDoor(door, net, 366).conductors.some((c) => c.conductor.id === core)).toBe(false)
      expect(lockCircuit(door, board, all, 'K1', 20, cut).missing).toEqual([core])
      const site = { controllers: { [controller.id]: controller }, doors: [door], sheets: all }
      const cable = door.cables.find((c) => c.part === 'K1')?.id ?? ''
      expect(expectedReading(door, cable, 'loop', site, false, cut)?.value).toBe(Infinity)
      expect(expectedReading(door, cable, 'loop', site)?.value).toBeLessThan(100)
      const fed = expectedReading(door, cable, 'polarity', site)
      if (fed) expect(expectedReading(door, cable, 'polarity', site, false, cut)?.value).toBe(0)
      const moment =
        facts?.fail === 'safe' ? ({ kind: 'powerReturn' } as const) : ({ kind: 'pull', door: door.id } as const)
      const whole = solveTree(supplyNet(controller, [door], all, moment).tree)
      const opened = supplyNet(controller, [door], all, moment, 'nominal', 20, new Set([`${door.id}/${core}`]))
      const after = solveTree(opened.tree)
      expect(opened.open).toEqual([{ door: door.id, conductor: core }])
      if (whole.ok && after.ok) expect(after.amps[`${door.id}/K1`]).toBe(0)
      if (whole.ok) expect(whole.amps[`${door.id}/K1`]).toBeGreaterThan(0)
    }
  })
})
