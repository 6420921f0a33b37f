import fc from 'fast-check'
import {
  headroom,
  loopOhm,
  solveTree,
  throughLine,
  TreeFault,
  type Consumer,
  type Solved,
  type Tree,
  type TreeNode,
} from '../src'
import { needNgspice, spiceVolts } from './spice'
import { numbers, randomTree } from './trees'

const node = (id: string, parent: string | null, ohm: number, ...consumers: Consumer[]): TreeNode => ({
  id,
  parent,
  ohm,
  consumers,
})
const tree = (...nodes: TreeNode[]): Tree => ({ sourceV: 12, sourceOhm: 0, nodes })
const answer = (solved: Solved) => {
  if (!solved.ok) throw new Error(solved.says)
  return solved
}

describe('volts on a single run, against closed forms', () => {
  it('a constant current drops amps times ohms', () => {
    const a = answer(solveTree({ ...tree(node('a', null, 2, { kind: 'current', amps: 1.5 })), sourceOhm: 0.5 }))
    expect(a.volts['a']).toBeCloseTo(12 - 1.5 * 2.5, 9)
    expect(a.terminalV).toBeCloseTo(12 - 0.75, 9)
    expect(a.sourceA).toBeCloseTo(1.5, 9)
  })
  it('a resistance divides the volts', () =>
    expect(answer(solveTree(tree(node('a', null, 4, { kind: 'resistance', ohm: 20 })))).volts['a']).toBeCloseTo(10, 9))
  it('a converter takes the upper root of V² − E V + P R = 0', () => {
    const [watts, ohm] = [10, 3]
    const root = (12 + Math.sqrt(144 - 4 * watts * ohm)) / 2
    expect(answer(solveTree(tree(node('a', null, ohm, { kind: 'power', watts, cutOffV: 1 })))).volts['a']).toBeCloseTo(
      root,
      8,
    )
    expect(throughLine(12, ohm, watts)?.deviceV).toBeCloseTo(root, 9)
  })
  it('just within E² / 4R it delivers, just past it the line collapses', () => {
    const limit = 144 / (4 * 3)
    expect(solveTree(tree(node('a', null, 3, { kind: 'power', watts: limit * 0.999, cutOffV: 1 }))).ok).toBe(true)
    expect(solveTree(tree(node('a', null, 3, { kind: 'power', watts: limit * 1.001, cutOffV: 1 }))).ok).toBe(false)
    expect(throughLine(12, 3, limit * 1.001)).toBeNull()
  })
  it('a converter that would fall under its cut-off collapses the line, and no volts are told', () => {
    const solved = solveTree(tree(node('a', null, 3, { kind: 'power', watts: 11, cutOffV: 9 })))
    expect(solved).toEqual({ ok: false, at: 'a', says: expect.stringContaining('collapses at a') })
  })
  it('efficiency makes a converter draw more', () => {
    const full = answer(solveTree(tree(node('a', null, 1, { kind: 'power', watts: 8, efficiency: 0.8, cutOffV: 3 }))))
    const ten = answer(solveTree(tree(node('a', null, 1, { kind: 'power', watts: 10, cutOffV: 3 }))))
    expect(full.volts['a']).toBeCloseTo(ten.volts['a'] ?? 0, 9)
  })
  it('a diode takes its volts while current flows, and none otherwise', () => {
    const diode = { ...node('a', null, 1, { kind: 'current', amps: 1 } as Consumer), diodeV: 0.7 }
    expect(answer(solveTree(tree(diode))).volts['a']).toBeCloseTo(10.3, 9)
    expect(answer(solveTree(tree({ ...diode, consumers: [] }))).volts['a']).toBeCloseTo(12, 9)
  })
  it('a run of no ohms is no trouble', () =>
    expect(
      answer(
        solveTree(
          tree(node('a', null, 0, { kind: 'current', amps: 1 }), node('b', 'a', 0, { kind: 'resistance', ohm: 6 })),
        ),
      ).volts['b'],
    ).toBeCloseTo(12, 9))
  it('is out and back: 50 m of 1 mm² have 1.81 Ω', () =>
    expect(loopOhm({ kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }, 50)).toBeCloseTo(1.81, 9))
})

describe('a tree that makes no sense is refused with its place', () => {
  it.each<[string, TreeNode[], string]>([
    ['a circle', [node('a', 'b', 1), node('b', 'a', 1)], 'fed in a circle'],
    ['a parent that is not there', [node('a', 'x', 1)], 'fed from x, which is not there'],
    ['a name that is there twice', [node('a', null, 1), node('a', null, 1)], 'twice'],
    ['a run below nought', [node('a', null, -1)], '0 or more'],
    ['a short', [node('a', null, 1, { kind: 'resistance', ohm: 0 })], 'that is a short'],
    [
      'a converter without a cut-off',
      [node('a', null, 1, { kind: 'power', watts: 5, cutOffV: 0 })],
      'cut-off above 0 V',
    ],
  ])('%s', (_what, nodes, says) => {
    expect(() => solveTree(tree(...nodes))).toThrow(TreeFault)
    try {
      solveTree(tree(...nodes))
    } catch (error) {
      expect((error as TreeFault).says).toContain(says)
    }
  })
})

describe('every answer obeys Kirchhoff', () => {
  const trees = fc.integer({ min: 1, max: 1e9 }).map((seed) => randomTree(numbers(seed)))
  it('current into a node leaves it, and each run drops amps times ohms', () =>
    fc.assert(
      fc.property(trees, (t) => {
        const solved = solveTree(t)
        if (!solved.ok) return
        const drawn = (n: TreeNode) =>
          n.consumers.reduce((sum, c) => {
            const v = solved.volts[n.id] ?? 0
            return (
              sum +
              (c.kind === 'current' ? c.amps : c.kind === 'resistance' ? v / c.ohm : c.watts / (c.efficiency ?? 1) / v)
            )
          }, 0)
        for (const n of t.nodes) {
          const through = solved.amps[n.id] ?? 0
          const on = t.nodes.filter((x) => x.parent === n.id).reduce((sum, x) => sum + (solved.amps[x.id] ?? 0), 0)
          expect(Math.abs(through - on - drawn(n))).toBeLessThan(1e-6 * (1 + through))
          const above = n.parent === null ? solved.terminalV : (solved.volts[n.parent] ?? 0)
          expect(above - through * n.ohm - (through > 0 ? (n.diodeV ?? 0) : 0)).toBeCloseTo(solved.volts[n.id] ?? 0, 6)
        }
      }),
      { numRuns: 300 },
    ))
  it('a longer run never gives more volts at its end', () =>
    fc.assert(
      fc.property(trees, fc.nat(), (t, pick) => {
        const solved = solveTree(t)
        const at = t.nodes[pick % t.nodes.length]
        if (!solved.ok || !at) return
        const longer = solveTree({ ...t, nodes: t.nodes.map((n) => (n === at ? { ...n, ohm: n.ohm * 1.5 } : n)) })
        if (longer.ok) expect(longer.volts[at.id] ?? 0).toBeLessThanOrEqual((solved.volts[at.id] ?? 0) + 1e-9)
      }),
      { numRuns: 200 },
    ))
})

// ngspice is a general circuit simulator (Debian package, tests only).
describe('200 random trees against ngspice', () => {
  beforeAll(needNgspice)
  const next = numbers(20261125)
  const list = Array.from({ length: 200 }, () => randomTree(next)).map((t) => ({ t, left: headroom(t, 3) }))
  const within = (t: Tree, ours: Readonly<Record<string, number>>): number => {
    const theirs = spiceVolts(t)
    return Math.max(
      ...t.nodes.map((n) => Math.abs((ours[n.id] ?? 0) - (theirs[n.id] ?? NaN)) / Math.abs(theirs[n.id] ?? NaN)),
    )
  }

  it('with 5 % of load left to the limit, every volt agrees within 0.1 %', () => {
    const sound = list.filter((x) => x.left >= 1.05)
    expect(sound.length).toBeGreaterThan(100)
    for (const { t } of sound) expect(within(t, answer(solveTree(t)).volts)).toBeLessThan(0.001)
  })
  it('past the limit both collapse: ngspice finds nothing, or volts that no converter works at', () => {
    const past = list.filter((x) => x.left < 0.99)
    expect(past.length).toBeGreaterThan(10)
    for (const { t } of past) {
      expect(solveTree(t).ok).toBe(false)
      const theirs = spiceVolts(t)
      const cutOff = (n: TreeNode) => Math.max(0, ...n.consumers.map((c) => (c.kind === 'power' ? c.cutOffV : 0)))
      expect(t.nodes.some((n) => !((theirs[n.id] ?? NaN) > cutOff(n)) || (theirs[n.id] ?? 0) <= 0)).toBe(true)
    }
  })
  it('an answer that is wrong by one cable is caught', () => {
    const caught = list
      .filter((x) => x.left >= 1.5)
      .slice(0, 20)
      .map(({ t }) => {
        // The cable that carries most is entered twice as long.
        const amps = answer(solveTree(t)).amps
        const worst = t.nodes.reduce((a, b) => ((amps[b.id] ?? 0) * b.ohm > (amps[a.id] ?? 0) * a.ohm ? b : a))
        const wrong = solveTree({ ...t, nodes: t.nodes.map((n) => (n === worst ? { ...n, ohm: n.ohm * 2 } : n)) })
        return !wrong.ok || within(t, wrong.volts) > 0.001
      })
    expect(caught.length).toBeGreaterThan(10)
    expect(caught.every(Boolean)).toBe(true)
  })
})
