import type { Consumer, Tree, TreeNode } from '../src'

/** A run of numbers that is the same each time. */
export function numbers(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

/** A random supply tree: a few to many runs, all kinds of consumers, here and there a diode. */
export function randomTree(
  next: () => number,
  nodes = 2 + Math.floor(next() * 19),
  load = 0.2 + next() * (next() < 0.4 ? 9 : 1.6),
): Tree {
  const sourceV = next() < 0.5 ? 13.6 : 27.2
  const list: TreeNode[] = []
  for (let i = 0; i < nodes; i++) {
    const parent = i === 0 || next() < 0.2 ? null : (list[Math.floor(next() * list.length)]?.id ?? null)
    list.push({
      id: `n${i}`,
      parent,
      ohm: 0.05 + next() * 2,
      consumers: [consumer(next, (load * 6) / nodes, sourceV)],
      ...(next() < 0.15 ? { diodeV: 0.7 } : {}),
    })
  }
  return { sourceV, sourceOhm: 0.02 + next() * 0.2, nodes: list }
}

function consumer(next: () => number, scale: number, sourceV: number): Consumer {
  const kind = next()
  const amps = 0.02 + next() * scale * 0.4
  if (kind < 0.35) return { kind: 'current', amps }
  if (kind < 0.7) return { kind: 'resistance', ohm: sourceV / amps }
  return { kind: 'power', watts: amps * sourceV * 0.8, efficiency: 0.7 + next() * 0.29, cutOffV: sourceV * 0.4 }
}
