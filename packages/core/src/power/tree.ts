// Typed arrays are indexed inside their own length throughout.
/* eslint-disable @typescript-eslint/no-non-null-assertion */
/** Something that draws current where it hangs. */
export type Consumer =
  | { kind: 'current'; amps: number }
  | { kind: 'resistance'; ohm: number }
  /** A converter: draws what its load needs however low the volts, down to its cut-off. `efficiency` 0 to 1. */
  | { kind: 'power'; watts: number; efficiency?: number; cutOffV: number }

/** A point of the supply's tree and the run that leads to it. */
export interface TreeNode {
  id: string
  /** Null: at the supply's own terminals. */
  parent: string | null
  /** Ohms out and back of the run from the parent. */
  ohm: number
  /** Volts that a diode in the run takes while current flows. */
  diodeV?: number
  consumers: Consumer[]
}
export interface Tree {
  sourceV: number
  /** Inside resistance of the supply. */
  sourceOhm: number
  nodes: TreeNode[]
}
export type Solved =
  | {
      ok: true
      terminalV: number
      sourceA: number
      volts: Readonly<Record<string, number>>
      amps: Readonly<Record<string, number>>
    }
  /** The tree cannot deliver; there are no volts to tell. `at` is where it gives way first. */
  | { ok: false; at: string; says: string }

/** A tree that makes no sense; `says` names the node and how to mend it. */
export class TreeFault extends Error {
  constructor(
    readonly says: string,
    readonly at: string,
  ) {
    super(says)
  }
}

/** Nodes with each parent before its children, as numbers; -1 is the supply. @throws TreeFault */
function inOrder(tree: Tree): { nodes: TreeNode[]; parents: Int32Array } {
  if (!(tree.sourceV > 0)) throw new TreeFault('The supply needs volts above 0.', '')
  if (!(tree.sourceOhm >= 0)) throw new TreeFault('The inside resistance of the supply is 0 ohm or more.', '')
  const children = new Map<string | null, TreeNode[]>()
  const known = new Set<string>()
  for (const node of tree.nodes) {
    if (known.has(node.id)) throw new TreeFault(`${node.id} is in the tree twice.`, node.id)
    known.add(node.id)
    checkNode(node)
    const list = children.get(node.parent)
    if (list) list.push(node)
    else children.set(node.parent, [node])
  }
  const nodes: TreeNode[] = []
  const parents: number[] = []
  const at = new Map<string | null, number>([[null, -1]])
  const open: (string | null)[] = [null]
  for (let parent = open.pop(); parent !== undefined; parent = open.pop()) {
    for (const node of children.get(parent) ?? []) {
      at.set(node.id, nodes.length)
      nodes.push(node)
      parents.push(at.get(parent) ?? -1)
      open.push(node.id)
    }
  }
  const lost = tree.nodes.find((n) => !at.has(n.id))
  if (lost)
    throw new TreeFault(
      known.has(lost.parent ?? '')
        ? `${lost.id} is fed in a circle: following its feed never comes to the supply.`
        : `${lost.id} is fed from ${lost.parent}, which is not there.`,
      lost.id,
    )
  return { nodes, parents: Int32Array.from(parents) }
}

function checkNode(node: TreeNode): void {
  if (!(node.ohm >= 0)) throw new TreeFault(`The run to ${node.id} has ${node.ohm} ohm; it is 0 or more.`, node.id)
  for (const c of node.consumers) {
    if (c.kind === 'current' && !(c.amps >= 0))
      throw new TreeFault(`${node.id} draws ${c.amps} A; it is 0 or more.`, node.id)
    if (c.kind === 'resistance' && !(c.ohm > 0))
      throw new TreeFault(`${node.id} has a consumer of ${c.ohm} ohm: that is a short.`, node.id)
    if (c.kind === 'power' && !(c.watts >= 0 && c.cutOffV > 0 && (c.efficiency ?? 1) > 0 && (c.efficiency ?? 1) <= 1))
      throw new TreeFault(
        `The converter at ${node.id} needs watts of 0 or more, a cut-off above 0 V and an efficiency of more than 0 and at most 1.`,
        node.id,
      )
  }
}

const iterations = 80
/** Newton stops when no node moves by more than this share of the supply's volts. */
const settled = 1e-11

/**
 * Volts at every node of a radial direct-current tree (Kirchhoff; each subtree folded into amps = a + g volts, so a run of 0 ohm is no trouble).
 * Constant-power consumers are taken by their tangent, starting from above: the steps then fall steadily towards the upper
 * solution where there is one, and where there is none a fold loses its footing or a converter falls under its cut-off.
 * @throws TreeFault for a circle, an unknown parent, a negative resistance
 */
export function solveTree(tree: Tree): Solved {
  const { nodes, parents } = inOrder(tree)
  const n = nodes.length
  const fixedA = new Float64Array(n)
  const fixedG = new Float64Array(n)
  const watts = new Float64Array(n)
  const cutOff = new Float64Array(n)
  nodes.forEach((node, i) => {
    for (const c of node.consumers) {
      if (c.kind === 'current') fixedA[i]! += c.amps
      else if (c.kind === 'resistance') fixedG[i]! += 1 / c.ohm
      else {
        watts[i]! += c.watts / (c.efficiency ?? 1)
        if (c.watts > 0) cutOff[i] = Math.max(cutOff[i]!, c.cutOffV)
      }
    }
  })
  const volts = new Float64Array(n).fill(tree.sourceV)
  const runA = new Float64Array(n)
  const runG = new Float64Array(n)
  const a = new Float64Array(n)
  const g = new Float64Array(n)
  for (let round = 0; round < iterations; round++) {
    let topA = 0
    let topG = 0
    for (let i = 0; i < n; i++) {
      const v = volts[i]!
      a[i] = fixedA[i]! + (2 * watts[i]!) / v
      g[i] = fixedG[i]! - watts[i]! / (v * v)
    }
    for (let i = n - 1; i >= 0; i--) {
      const node = nodes[i]!
      const footing = 1 + g[i]! * node.ohm
      if (!(footing > 0)) return collapse(node.id)
      const idle = a[i] === 0 && g[i] === 0
      runG[i] = g[i]! / footing
      runA[i] = idle ? 0 : (a[i]! - g[i]! * (node.diodeV ?? 0)) / footing
      const parent = parents[i]!
      if (parent < 0) {
        topA += runA[i]!
        topG += runG[i]!
      } else {
        a[parent]! += runA[i]!
        g[parent]! += runG[i]!
      }
    }
    const footing = 1 + topG * tree.sourceOhm
    if (!(footing > 0)) return collapse(nodes[0]?.id ?? '')
    const sourceA = (topA + topG * tree.sourceV) / footing
    const terminalV = tree.sourceV - sourceA * tree.sourceOhm
    let moved = 0
    for (let i = 0; i < n; i++) {
      const node = nodes[i]!
      const above = parents[i]! < 0 ? terminalV : volts[parents[i]!]!
      const amps = runA[i]! + runG[i]! * above
      const v = above - (amps > 0 ? (node.diodeV ?? 0) : 0) - amps * node.ohm
      // From here there is no way back up: the steps only fall.
      if (!(v > cutOff[i]!) || v <= 0) return collapse(node.id)
      moved = Math.max(moved, Math.abs(v - volts[i]!))
      volts[i] = v
    }
    if (moved <= settled * tree.sourceV) {
      return {
        ok: true,
        terminalV,
        sourceA,
        volts: Object.fromEntries(nodes.map((node, i) => [node.id, volts[i]!])),
        amps: Object.fromEntries(
          nodes.map((node, i) => [node.id, runA[i]! + runG[i]! * (parents[i]! < 0 ? terminalV : volts[parents[i]!]!)]),
        ),
      }
    }
  }
  return collapse(nodes[0]?.id ?? '')
}

const collapse = (at: string): Solved => ({
  ok: false,
  at,
  says: `The line collapses at ${at}: it cannot deliver what hangs on it.`,
})

/**
 * How far every consumer could be scaled up before the tree collapses; 1 is where it stands. Bisection, to a thousandth.
 * @returns 0 where it collapses even with next to nothing, `most` where it never does up to there
 */
export function headroom(tree: Tree, most = 100): number {
  const holds = (factor: number) =>
    solveTree({
      ...tree,
      nodes: tree.nodes.map((n) => ({ ...n, consumers: n.consumers.map((c) => scaled(c, factor)) })),
    }).ok
  if (holds(most)) return most
  let low = 0
  let high = most
  while (high - low > 0.001 * Math.max(1, low)) {
    const middle = (low + high) / 2
    if (holds(middle)) low = middle
    else high = middle
  }
  return low
}

function scaled(c: Consumer, factor: number): Consumer {
  if (c.kind === 'current') return { ...c, amps: c.amps * factor }
  if (c.kind === 'power') return { ...c, watts: c.watts * factor }
  return { ...c, ohm: c.ohm / Math.max(factor, 1e-9) }
}
