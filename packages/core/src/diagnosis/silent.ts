import { partOfDeviceId } from '../doors/door'
import { all, type Facts } from '../job/facts'
import type { Reach } from '../devices/records'
import { noNames } from './causes'
import type { Failure } from './diagnose'
import type { KnownId } from './looks'

/** Failures of devices are kept by the device’s own id behind this. */
const prefix = 'device/'
const failureId = (device: string): string => `${prefix}${device}`

/** What is heard of a device makes no sense, or nothing is. */
const isMute = ({ onBus, silentMs }: Reach): boolean =>
  silentMs > 0 || onBus?.state === 'silent' || onBus?.state === 'garbled'

/** One answer where all the others beside it are mute too, another where some are not; none where it is alone. */
function beside<K extends KnownId>(
  look: K,
  others: readonly Reach[],
  [all, some]: readonly [string, string],
): Partial<Record<K, string>> {
  return others.length ? ({ [look]: others.every(isMute) ? all : some } as Record<K, string>) : {}
}
const othersInService = (facts: Facts, of: Reach): Reach[] =>
  all(facts, 'reach').filter((r) => r.id !== of.id && r.owned)

/** A device in service that does not answer, or not so that it makes sense; null for one that does, and for one by radio. */
export function silentDevice(facts: Facts, id: string): Failure | null {
  const reach = Object.hasOwn(facts.reach, id) ? facts.reach[id] : undefined
  if (!reach?.owned || reach.byRadio) return null
  if (!isMute(reach)) return null
  return reach.onBus ? busSilent(facts, reach) : deviceSilent(facts, reach)
}

function deviceSilent(facts: Facts, reach: Reach): Failure {
  const others = othersInService(facts, reach).filter((r) => !r.onBus && !r.byRadio)
  const heard = all(facts, 'found').find(
    (f) => f.serial === reach.serial && f.address !== reach.address && f.seenAt > reach.lastAnswerAt,
  )
  return {
    id: failureId(reach.id),
    subject: 'deviceSilent',
    since: reach.lastAnswerAt,
    known: { ...beside('neighbours', others, ['silent', 'answer']), greeting: heard ? 'elsewhere' : 'none' },
    names: {
      ...noNames,
      device: facts.controller[reach.id]?.ref ?? partOfDeviceId(reach.id)?.part ?? noNames.device,
      address: reach.address,
      elsewhere: heard?.address ?? '',
    },
  }
}

function busSilent(facts: Facts, reach: Reach): Failure {
  const { onBus } = reach
  const others = othersInService(facts, reach).filter(
    (r) => r.onBus?.controller === onBus?.controller && r.onBus?.port === onBus?.port,
  )
  const device = partOfDeviceId(reach.id)?.part ?? noNames.device
  return {
    id: failureId(reach.id),
    subject: 'busSilent',
    since: reach.lastAnswerAt,
    known: {
      busState: onBus?.state === 'garbled' ? 'garbled' : 'silent',
      ...beside('busOthers', others, ['allSilent', 'someAnswer']),
    },
    names: {
      ...noNames,
      device,
      reader: device,
      controller: facts.controller[onBus?.controller ?? '']?.ref ?? noNames.controller,
      port: onBus?.port ?? noNames.port,
      address: String(onBus?.address ?? noNames.address),
      speed: 'the speed of its bus',
    },
  }
}

/** The device of such a failure’s id; null for another’s. */
export const deviceOfFailure = (failure: string): string | null =>
  failure.startsWith(prefix) ? failure.slice(prefix.length) : null
