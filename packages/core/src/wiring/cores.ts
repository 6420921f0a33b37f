import { inNameOrder } from '../job/order'
import type { Cable } from '../doors/door'
import type { Conductor } from './conductors'

/** Which cores of a cable carry what, counted from 1 as they are numbered or lie in the sheath. */
export interface CoreUse {
  /** Cores of each conductor, by its id; several where they lie side by side. */ of: Readonly<
    Record<string, readonly number[]>
  >
  spare: readonly number[]
  /** Conductors for which there is no core left. */ short: readonly string[]
}

/** Cores in the order of the screws, the spare ones last. @param conductors of the door; those of other cables are left out */
export function coresOf(cable: Cable, conductors: readonly Conductor[]): CoreUse {
  const each = cable.type.perConductor ?? 1
  const mine = conductors.filter((c) => c.cable === cable.id).sort((a, b) => inNameOrder(a.terminal.id, b.terminal.id))
  const of: Record<string, number[]> = {}
  const short: string[] = []
  let next = 1
  for (const c of mine) {
    if (next + each - 1 > cable.type.cores) {
      short.push(c.id)
      continue
    }
    of[c.id] = Array.from({ length: each }, (_, i) => next + i)
    next += each
  }
  return { of, spare: Array.from({ length: Math.max(0, cable.type.cores - next + 1) }, (_, i) => next + i), short }
}

/** `core 3`, `cores 3 and 4`, `no core`. */
export function coreWords(cores: readonly number[] | undefined): string {
  if (!cores?.length) return 'no core'
  return cores.length === 1 ? `core ${cores[0]}` : `cores ${cores.slice(0, -1).join(', ')} and ${cores.at(-1)}`
}
