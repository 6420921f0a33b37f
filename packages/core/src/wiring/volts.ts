import { sheetOf, type LockFacts, type Sheets } from '../devices/sheet'
import { partOf, type Cable, type Door, type Part } from '../doors/door'
import { loopOhm } from '../power/run'
import { solveTree } from '../power/tree'
import { supplyOf, type Controllers } from '../supplies/fed'
import { longestThatDoes } from '../supplies/mend'
import { netAt, supplyWays, type Moment, type SourceState, type SupplyWays } from '../supplies/net'

/** What a door stands in: all that hangs on the same supply, with the sheets. */
export interface Planned {
  controllers: Controllers
  doors: readonly Door[]
  sheets: Sheets
}

/** Volts at a consumer in a moment: 0 where it draws nothing, null where the line collapses. */
export function voltsAt(ways: SupplyWays, node: string, moment: Moment, state: SourceState): number | null {
  const solved = solveTree(netAt(ways, moment, state).tree)
  if (!solved.ok) return null
  return (solved.amps[node] ?? 0) > 0 ? (solved.volts[node] ?? 0) : 0
}

/** Volts at a place of the tree, whether anything draws there or not; null where the line collapses. */
export function voltsOn(ways: SupplyWays, node: string, moment: Moment, state: SourceState): number | null {
  const solved = solveTree(netAt(ways, moment, state).tree)
  return solved.ok ? (solved.volts[node] ?? null) : null
}

/** A lock among what hangs on its supply. */
interface LockHere {
  part: Part
  facts: LockFacts
  cable: Cable
  node: string
  ways: SupplyWays
  /** The moment in which it pulls in, the rest of the supply at rest. */ pulls: Moment
}

/** The door's lock on its supply; null while there is none on a controller, or a cable of its way has no length. @param opened conductors that are cut, by id, within the door */
export function lockHere(door: Door, planned: Planned, opened: ReadonlySet<string> = new Set()): LockHere | null {
  const part = partOf(door, 'lock')
  const facts = part && sheetOf(planned.sheets, part.sheet).lock
  const cable = part && door.cables.find((c) => c.part === part.id)
  if (!part || !facts || !cable || !planned.controllers[door.placement?.controller ?? '']) return null
  const ways = waysOf(door, planned, opened)
  const node = `${door.id}/${part.id}`
  if (!ways.locks.some((l) => l.node === node)) return null
  return { part, facts, cable, node, ways, pulls: { kind: facts.fail === 'secure' ? 'pull' : 'relock', door: door.id } }
}

export interface LockVolts {
  /** Volts while it pulls in; null where the line collapses, 0 where its circuit is open. */
  pullV: number | null
  /** Amps while it pulls in. */
  amps: number
  leastV: number
  /** Where a lock with this cable type would still see its least volts, whole metres. */
  longestM: number
  enough: boolean
}

/** Whether the door's lock sees its volts, from the tree of its supply: board, readers and every other lock on it counted. */
export function lockVolts(door: Door, planned: Planned, opened: ReadonlySet<string> = new Set()): LockVolts | null {
  const lock = lockHere(door, planned, opened)
  if (!lock) return null
  const {
    facts: { leastV },
    cable,
    node,
  } = lock
  const { tree } = netAt(lock.ways, lock.pulls, 'nominal')
  const solved = solveTree(tree)
  const amps = solved.ok ? (solved.amps[node] ?? 0) : 0
  const fedV = solved.ok && amps > 0 ? (solved.volts[node] ?? 0) : 0
  const pullV = solved.ok ? fedV : null
  const enough = pullV !== null && pullV >= leastV
  return {
    pullV,
    amps,
    leastV,
    enough,
    longestM: enough ? cable.lengthM : longestThatDoes(tree, node, loopOhm(cable.type, cable.lengthM), cable, leastV),
  }
}

const kept = new WeakMap<readonly Door[], Map<string, { planned: Planned; ways: SupplyWays }>>()

/** The ways of a supply, kept for as long as the same list of doors is asked about: a door's findings ask once for each door on it. */
export function waysOf(door: Door, planned: Planned, opened: ReadonlySet<string>): SupplyWays {
  const first = supplyOf(
    planned.controllers[door.placement?.controller ?? ''] as NonNullable<Controllers[string]>,
    planned.controllers,
  )
  const doors = planned.doors.some((d) => d === door)
    ? planned.doors
    : [...planned.doors.filter((d) => d.id !== door.id), door]
  if (opened.size > 0)
    return supplyWays(
      first,
      doors,
      planned.sheets,
      20,
      new Set([...opened].map((id) => `${door.id}/${id}`)),
      planned.controllers,
    )
  const bySupply = kept.get(doors) ?? new Map<string, { planned: Planned; ways: SupplyWays }>()
  kept.set(doors, bySupply)
  const before = bySupply.get(first.id)
  if (before && before.planned.controllers === planned.controllers && before.planned.sheets === planned.sheets)
    return before.ways
  const ways = supplyWays(first, doors, planned.sheets, 20, new Set(), planned.controllers)
  bySupply.set(first.id, { planned, ways })
  return ways
}
