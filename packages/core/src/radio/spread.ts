import type { Controller } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import type { Facts } from '../job/facts'
import { radioHubs, radioLocks, type RadioHub, type RadioLock } from './devices'
import { radioDistanceM } from './findings'

/** Which lock goes to which place of which hub, and the locks for which no place is left. */
export interface RadioSpread {
  placed: { lock: RadioLock; hub: RadioHub; place: number }[]
  left: RadioLock[]
}

/**
 * Gives every wireless lock of a controller that is at no hub of it the nearest hub with a free place; what has a place keeps it. Where
 * distances are not known the hub with the most free places is taken, so that none is full before it must be.
 */
export function spreadLocks(facts: Facts, sheets: Sheets, controller: Controller): RadioSpread {
  const hubs = radioHubs(facts, sheets).filter((h) => h.controller?.id === controller.id)
  const locks = radioLocks(facts, sheets)
  const free = new Map(hubs.map((hub) => [hub.id, placesLeft(hub, locks)]))
  const spread: RadioSpread = { placed: [], left: [] }
  for (const lock of locks) {
    if (lock.controller?.id !== controller.id || lock.hub) continue
    const hub = nearest(facts, lock, hubs, free)
    const place = free.get(hub?.id ?? '')?.shift()
    if (hub && place !== undefined) spread.placed.push({ lock, hub, place })
    else spread.left.push(lock)
  }
  return spread
}

/** Places of a hub that none of these locks has, the lowest first. */
export const placesLeft = (hub: RadioHub, locks: readonly RadioLock[]): number[] => {
  const taken = new Set(locks.flatMap((l) => (l.hub?.id === hub.id ? [l.place] : [])))
  return Array.from({ length: hub.most }, (_, i) => i + 1).filter((place) => !taken.has(place))
}

function nearest(
  facts: Facts,
  lock: RadioLock,
  hubs: readonly RadioHub[],
  free: ReadonlyMap<string, readonly number[]>,
): RadioHub | null {
  const room = (hub: RadioHub) => free.get(hub.id)?.length ?? 0
  const far = (hub: RadioHub) => radioDistanceM(facts, { door: lock.door, hub }) ?? 0
  const [best] = hubs.filter((hub) => room(hub) > 0).sort((a, b) => far(a) - far(b) || room(b) - room(a))
  return best ?? null
}
