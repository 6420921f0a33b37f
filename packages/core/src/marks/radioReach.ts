import type { Facts } from '../job/facts'
import type { Reach } from '../devices/records'
import type { RadioDevice } from '../radio/devices'
import type { DeviceStanding } from './state'

const stale = (says: string): DeviceStanding => ({ sign: 'stale', share: 1, says })

/** Where a hub or a lock sits, in words: the hub’s address behind its controller, and the lock’s place there. */
const placeWords = (controller: string, hub: number | null, place: number | null | undefined): string =>
  `${place == null ? 'address' : `place ${place} of hub`} ${hub ?? 'none'} behind ${controller || 'no controller'}`

/** What stands in the way of a hub or a wireless lock that was taken into service; null where nothing of the radio does. */
export function radioStanding(ref: string, device: RadioDevice, reach: Reach, facts: Facts): DeviceStanding | null {
  const seen = reach.byRadio
  if (!reach.owned) return null
  if (!seen) return stale(`${ref} was never seen behind its controller. Take it into service again.`)
  const planned =
    device.kind === 'hub'
      ? { controller: device.controller?.id ?? '', hub: device.address, place: null }
      : { controller: device.controller?.id ?? '', hub: device.hub?.address ?? null, place: device.place }
  const at = ({ controller, hub, place }: { controller: string; hub: number | null; place?: number | null }) =>
    placeWords(facts.controller[controller]?.ref ?? '', hub, place)
  if (
    seen.controller !== planned.controller ||
    seen.hub !== planned.hub ||
    (seen.place ?? null) !== (planned.place ?? null)
  )
    return stale(
      `${ref} was taken into service at ${at(seen)}, and is planned at ${at(planned)} now. Take it into service again.`,
    )
  if (seen.serial !== reach.serial)
    return stale(
      `${ref}: another device (${seen.serial}) is in its place instead of ${reach.serial}. If it was replaced, take the new one into service.`,
    )
  if (seen.state === 'noKey') return stale(`${ref} has lost the radio key of this job. Take it into service again.`)
  if (seen.state === 'otherKey')
    return stale(`${ref} has another radio key than this job’s. Take it into service again.`)
  if (seen.batteryLow) return stale(`The battery of ${ref} is low. Put new cells in.`)
  const least = device.kind === 'lock' ? device.hub?.sheet.radio?.leastDbm : undefined
  if (least !== undefined && seen.signal !== undefined && seen.signal < least)
    return { sign: 'underWay', share: 0.9, says: weakWords(ref, seen.signal, least) }
  return null
}

const weakWords = (ref: string, signal: number, least: number): string =>
  `${ref} reaches its hub with ${signal} dBm; it needs ${least} dBm. Move the hub nearer, or give it another.`
