import type { Sheets } from '../devices/sheet'
import { sheetOf } from '../devices/sheet'
import { partOf, type Door } from '../doors/door'
import { loopOhm } from '../power/run'
import { solveTree } from '../power/tree'
import { supplyOf, type Controllers } from '../supplies/fed'
import { longestThatDoes } from '../supplies/mend'
import { netAt, supplyWays, type Moment, type SourceState, type SupplyWays } from '../supplies/net'

/** What a door stands in: all that hangs on the same supply, with the sheets. */
export interface Planned { controllers: Controllers; doors: readonly Door[]; sheets: Sheets }

export interface LockVolts {
  /** Volts at the lock while nobody passes; 0 for one that is not fed then. Null where the line collapses. */
  restV: number | null
  /** The same with the supply on charge, which is what a meter meets on most days. */
  restFloatV: number | null
  /** Volts while it pulls in, the rest of the supply at rest. */
  pullV: number | null
  pullFloatV: number | null
  /** Amps while it pulls in. */
  amps: number
  leastV: number
  /** Where a lock with this cable type would still see its least volts, whole metres. */
  longestM: number
  enough: boolean
}

/**
 * Volts at the door's lock from the tree of its supply: board, readers and every other lock on it counted. Null while
 * there is no lock on a controller, or a cable of the way has no length. A circuit that is open gives 0 V.
 * @param opened conductors that are cut, by id, within the door
 */
export function lockVolts(door: Door, planned: Planned, opened: ReadonlySet<string> = new Set()): LockVolts | null {
  const lock = partOf(door, 'lock')
  const facts = lock && sheetOf(planned.sheets, lock.sheet).lock
  const controller = planned.controllers[door.placement?.controller ?? '']
  const own = lock && door.cables.find((c) => c.part === lock.id)
  if (!lock || !facts || !controller || !own) return null
  const ways = waysOf(door, planned, opened)
  const node = `${door.id}/${lock.id}`
  if (!ways.locks.some((l) => l.node === node)) return null
  const pulls: Moment = { kind: facts.fail === 'secure' ? 'pull' : 'relock', door: door.id }
  const at = (moment: Moment, state: SourceState): number | null => {
    const solved = solveTree(netAt(ways, moment, state).tree)
    return !solved.ok ? null : (solved.amps[node] ?? 0) > 0 ? (solved.volts[node] ?? 0) : 0
  }
  const pullV = at(pulls, 'nominal')
  const pulled = solveTree(netAt(ways, pulls, 'nominal').tree)
  return {
    restV: at({ kind: 'rest' }, 'nominal'), restFloatV: at({ kind: 'rest' }, 'floating'), pullV, pullFloatV: at(pulls, 'floating'), amps: pulled.ok ? (pulled.amps[node] ?? 0) : 0,
    leastV: facts.leastV, enough: pullV !== null && pullV >= facts.leastV,
    longestM: pullV !== null && pullV >= facts.leastV ? own.lengthM : longestThatDoes(netAt(ways, pulls, 'nominal').tree, node, loopOhm(own.type, own.lengthM), own, facts.leastV),
  }
}

const kept = new WeakMap<readonly Door[], Map<string, { planned: Planned; ways: SupplyWays }>>()

/** The ways of a supply, kept for as long as the same list of doors is asked about: a door's findings ask once for each door on it. */
export function waysOf(door: Door, planned: Planned, opened: ReadonlySet<string>): SupplyWays {
  const first = supplyOf(planned.controllers[door.placement?.controller ?? ''] as NonNullable<Controllers[string]>, planned.controllers)
  const doors = planned.doors.some((d) => d === door) ? planned.doors : [...planned.doors.filter((d) => d.id !== door.id), door]
  if (opened.size > 0) return supplyWays(first, doors, planned.sheets, 20, new Set([...opened].map((id) => `${door.id}/${id}`)), planned.controllers)
  const bySupply = kept.get(doors) ?? new Map<string, { planned: Planned; ways: SupplyWays }>()
  kept.set(doors, bySupply)
  const before = bySupply.get(first.id)
  if (before && before.planned.controllers === planned.controllers && before.planned.sheets === planned.sheets) return before.ways
  const ways = supplyWays(first, doors, planned.sheets, 20, new Set(), planned.controllers)
  bySupply.set(first.id, { planned, ways })
  return ways
}
