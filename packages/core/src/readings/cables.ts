import type { DeviceSheet } from '../devices/sheet'
import type { Cable, Door } from '../doors/door'
import type { Facts } from '../job/facts'
import type { Planned } from '../wiring/volts'
import { readingsFor } from './asked'
import { judgeReading } from './judge'
import { newestOf } from './newest'

/** How far a cable is: `failing` where a reading is out of tolerance, `done` where it is ticked and each reading that is asked for is in. */
export type CableStanding = 'open' | 'failing' | 'done'

/** Stands by ticks and readings together: a tick alone proves nothing. */
export function cableStanding(
  facts: Facts,
  door: Door,
  cable: Cable,
  planned: Planned,
  board: DeviceSheet | null,
): CableStanding {
  const tick = facts.tick[`${door.id}/${cable.id}`]
  const newest = newestOf(facts, door.id, cable.id)
  const verdicts = newest.map((r) => ({ kind: r.kind, verdict: judgeReading(r, door, planned, newest) }))
  if (verdicts.some((v) => v.verdict?.in === false)) return 'failing'
  const asked = readingsFor(door, cable.id, planned.sheets, board)
  const measured = asked.every((kind) => verdicts.some((v) => v.kind === kind && v.verdict?.in))
  return tick?.pulled && tick.ended && tick.tested && measured ? 'done' : 'open'
}

/** The cable to take in hand: one that fails first, then the next that is open behind `after`, in their order; null where all are done. */
export function nextCable(door: Door, standingOf: (cable: Cable) => CableStanding, after = ''): Cable | null {
  const at = door.cables.findIndex((c) => c.id === after)
  const others = [...door.cables.slice(at + 1), ...door.cables.slice(0, Math.max(0, at))]
  const list = after === '' ? door.cables : others
  return list.find((c) => standingOf(c) === 'failing') ?? list.find((c) => standingOf(c) === 'open') ?? null
}
