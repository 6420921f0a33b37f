import type { Cable } from '../doors/door'
import { loopOhm } from '../power/run'
import { solveTree, type Tree } from '../power/tree'

/** Whether a lock sees its volts with `ohm` for its own cable, tried in the whole tree. @param own ohms of that cable as planned, inside the node's run */
export function doesWith(tree: Tree, node: string, own: number, ohm: number, leastV: number): boolean {
  const solved = solveTree({
    ...tree,
    nodes: tree.nodes.map((n) => (n.id === node ? { ...n, ohm: n.ohm - own + ohm } : n)),
  })
  return solved.ok && (solved.volts[node] ?? 0) >= leastV
}

/** The longest whole metres of this cable that would do, under its planned length; 0 where none would. */
export function longestThatDoes(
  tree: Tree,
  node: string,
  own: number,
  cable: Cable,
  leastV: number,
  celsius = 20,
): number {
  let low = 0
  let high = Math.ceil(cable.lengthM)
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (doesWith(tree, node, own, loopOhm(cable.type, middle, celsius), leastV)) low = middle
    else high = middle
  }
  return low
}
