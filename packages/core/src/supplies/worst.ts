import type { Door } from '../doors/door'
import type { PowerPlan } from '../power/records'
import type { Planned } from '../wiring/volts'
import { supplyOf } from './fed'
import { supplyReport, type LockAnswer } from './report'

interface Kept {
  planned: Planned
  plan: PowerPlan | undefined
  locks: readonly LockAnswer[]
}
const kept = new WeakMap<readonly Door[], Map<string, Kept>>()

/** The worst case of each lock of a door, over all moments and states of its supply: one answer for door and supply. Empty while the door has no place. */
export function worstAtLocks(
  door: Door,
  planned: Planned,
  plans: Readonly<Record<string, PowerPlan>>,
): readonly LockAnswer[] {
  const controller = planned.controllers[door.placement?.controller ?? '']
  if (!controller) return []
  const first = supplyOf(controller, planned.controllers)
  const same = planned.doors.some((d) => d === door)
  const doors = same ? planned.doors : [...planned.doors.filter((d) => d.id !== door.id), door]
  return answersOf(first.id, { ...planned, doors }, plans[first.id]).filter((a) => a.door === door.id)
}

/** Kept for as long as the same list of doors is asked about: a door's findings ask once for each door on its supply. */
function answersOf(supply: string, planned: Planned, plan: PowerPlan | undefined): readonly LockAnswer[] {
  const bySupply = kept.get(planned.doors) ?? new Map<string, Kept>()
  kept.set(planned.doors, bySupply)
  const before = bySupply.get(supply)
  if (
    before &&
    before.plan === plan &&
    before.planned.controllers === planned.controllers &&
    before.planned.sheets === planned.sheets
  )
    return before.locks
  const first = planned.controllers[supply] as NonNullable<Planned['controllers'][string]>
  const { locks } = supplyReport(first, planned.doors, planned.sheets, plan, planned.controllers)
  bySupply.set(supply, { planned, plan, locks })
  return locks
}
