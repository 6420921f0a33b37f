import { partOfDeviceId } from '../doors/door'
import { all, type Facts } from '../job/facts'
import type { Reach } from '../devices/records'
import { noNames } from './causes'
import type { Failure } from './diagnose'

/** Failures of devices are kept by the device’s own id behind this. */
const prefix = 'device/'
export const deviceFailureId = (device: string): string => `${prefix}${device}`

/** Others of the kind, and whether each is silent. */
const silences = (facts: Facts, of: Reach, beside: (r: Reach) => boolean): boolean[] =>
  all(facts, 'reach')
    .filter((r) => r.id !== of.id && r.owned && beside(r))
    .map((r) => (r.onBus ? muffled(r) : r.silentMs > 0))

const muffled = ({ onBus, silentMs }: Reach): boolean =>
  silentMs > 0 || onBus?.state === 'silent' || onBus?.state === 'garbled'

/** A device in service that does not answer, or not so that it makes sense; null for one that does, and for one by radio. */
export function silentDevice(facts: Facts, id: string): Failure | null {
  const reach = Object.hasOwn(facts.reach, id) ? facts.reach[id] : undefined
  if (!reach?.owned || reach.byRadio) return null
  if (reach.onBus) return muffled(reach) ? busSilent(facts, reach) : null
  return reach.silentMs > 0 ? deviceSilent(facts, reach) : null
}

function deviceSilent(facts: Facts, reach: Reach): Failure {
  const others = silences(facts, reach, (r) => !r.onBus && !r.byRadio)
  const heard = all(facts, 'found').find(
    (f) => f.serial === reach.serial && f.address !== reach.address && f.seenAt > reach.lastAnswerAt,
  )
  return {
    id: deviceFailureId(reach.id),
    subject: 'deviceSilent',
    since: reach.lastAnswerAt,
    known: {
      ...(others.length ? { neighbours: others.every((silent) => silent) ? 'silent' : 'answer' } : {}),
      greeting: heard ? 'elsewhere' : 'none',
    },
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
  const others = silences(
    facts,
    reach,
    (r) => r.onBus?.controller === onBus?.controller && r.onBus?.port === onBus?.port,
  )
  const device = partOfDeviceId(reach.id)?.part ?? noNames.device
  return {
    id: deviceFailureId(reach.id),
    subject: 'busSilent',
    since: reach.lastAnswerAt,
    known: {
      busState: onBus?.state === 'garbled' ? 'garbled' : 'silent',
      ...(others.length ? { busOthers: others.every((silent) => silent) ? 'allSilent' : 'someAnswer' } : {}),
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
