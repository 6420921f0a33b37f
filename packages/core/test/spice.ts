import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Tree } from '../src'

/** The same tree in the words of ngspice, a general circuit simulator: nothing of ours works it out. */
export function netlist(tree: Tree): string {
  const lines = ['a supply tree', `Vs src 0 DC ${tree.sourceV}`, `Rs src top ${Math.max(tree.sourceOhm, 1e-9)}`]
  for (const node of tree.nodes) {
    const above = node.parent ?? 'top'
    lines.push(`R_${node.id} ${above} ${node.id} ${Math.max(node.ohm, 1e-9)}`)
    // Volts in series with a resistance are amps beside it (Norton): ngspice loses digits on a floating source after .nodeset.
    if (node.diodeV) lines.push(`Id_${node.id} ${node.id} ${above} DC ${node.diodeV / Math.max(node.ohm, 1e-9)}`)
    node.consumers.forEach((c, i) => {
      if (c.kind === 'current') lines.push(`I_${node.id}_${i} ${node.id} 0 DC ${c.amps}`)
      else if (c.kind === 'resistance') lines.push(`Rc_${node.id}_${i} ${node.id} 0 ${c.ohm}`)
      else lines.push(`B_${node.id}_${i} ${node.id} 0 I=${c.watts / (c.efficiency ?? 1)}/max(V(${node.id}),1)`)
    })
  }
  // A converter has two operating points; the search begins at the supply’s volts, as the site does when it is switched on.
  const starts = tree.nodes.map((n) => `.nodeset V(${n.id})=${tree.sourceV}`)
  return `${[...lines, ...starts].join('\n')}\n.options reltol=1e-7 abstol=1e-12 vntol=1e-9\n.control\nop\nset numdgt=9\nprint all\n.endc\n.end\n`
}

function run(circuit: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'spice-'))
  const file = join(folder, 't.cir')
  writeFileSync(file, circuit)
  const { stdout } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' })
  rmSync(folder, { recursive: true, force: true })
  return stdout
}

/** Volts at some nodes of a circuit that is written out. @param elements lines of a netlist, the first a title */
export function solveSpice(elements: string, nodes: readonly string[]): Record<string, number> {
  needNgspice()
  const stdout = run(`${elements}.options reltol=1e-7\n.control\nop\nset numdgt=9\nprint all\n.endc\n.end\n`)
  return Object.fromEntries(
    [...stdout.matchAll(/^\s*(\w+)\s*=\s*([-+0-9.e]+)\s*$/gim)]
      .filter(([, id]) => nodes.includes(id ?? ''))
      .map(([, id, volts]) => [id ?? '', Number(volts)]),
  )
}

/** Volts by node as ngspice prints them; empty where it finds no answer. */
export function spiceVolts(tree: Tree): Record<string, number> {
  const stdout = run(netlist(tree))
  return Object.fromEntries(
    [...stdout.matchAll(/^\s*(n\d+|top)\s*=\s*([-+0-9.e]+)\s*$/gim)].map(([, id, volts]) => [id ?? '', Number(volts)]),
  )
}

/** @throws Error where the machine has no ngspice: the check is then not made, and says so. */
export function needNgspice(): void {
  try {
    execFileSync('ngspice', ['--version'], { stdio: 'ignore' })
  } catch {
    throw new Error('The supply trees are checked against ngspice: install Debian’s package ngspice, then run again.')
  }
}
