import { sheetOf, type LockFacts, type Sheets } from '../devices/sheet'
import { partOf, type Cable, type Door, type Part } from '../doors/door'
import { solveTree } from '../power/tree'
import { supplyOf, type Controllers } from '../supplies/fed'
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

/** A lock of the door on its supply; null while there is none on a controller, or a cable of its way has no length. @param opened conductors that are cut, by id, within the door @param which part; the lock of the first leaf where it is not said */
export function lockHere(
  door: Door,
  planned: Planned,
  opened: ReadonlySet<string> = new Set(),
  which?: string,
): LockHere | null {
  const part = which === undefined ? partOf(door, 'lock') : door.parts.find((p) => p.id === which)
  const facts = part && sheetOf(planned.sheets, part.sheet).lock
  const cable = part && door.cables.find((c) => c.part === part.id)
  if (!part || !facts || !cable || !planned.controllers[door.placement?.controller ?? '']) return null
  const ways = waysOf(door, planned, opened)
  const node = `${door.id}/${part.id}`
  if (!ways.locks.some((l) => l.node === node)) return null
  return { part, facts, cable, node, ways, pulls: { kind: facts.fail === 'secure' ? 'pull' : 'relock', door: door.id } }
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
