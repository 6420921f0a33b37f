import {
  all,
  put,
  stepsToDo,
  type Change,
  type Claim,
  type ClaimStepName,
  type DeviceSheet,
  type Facts,
  type Reach,
} from '@rauta/core'
import { Refusal } from './command'

/** A device that is reached through its controller: on a bus, or by radio. */
export interface TakenDevice {
  id: string
  sheet: DeviceSheet
}

/** Begins its taking, or goes on with one that is under way: what is done stays done. */
export function takeOrGoOn(
  facts: Facts,
  { id }: { id: string },
  steps: readonly ClaimStepName[],
  { by, at }: { by: string; at: number },
): Change {
  const earlier = facts.claim[id]
  const goesOn = earlier?.steps.some((s) => s.state !== 'done') ? earlier : undefined
  const claim: Claim = goesOn
    ? { ...goesOn, steps: goesOn.steps.map((s) => (s.state === 'done' ? s : { ...s, state: 'todo', says: '' })) }
    : { id, found: '', steps: stepsToDo(steps, at), eraseAgreed: null, resetStep: -1, startedBy: by }
  return put(facts, 'claim', claim)
}

/** @throws Refusal */
export function acceptFirmware(
  facts: Facts,
  { id, ref }: { id: string; ref: string },
  { by, at }: { by: string; at: number },
): Change {
  const reach = facts.reach[id]
  if (!reach) throw new Refusal(`The firmware of ${ref} has not been read yet.`)
  return put(facts, 'reach', { ...reach, firmwareAccepted: { by, at, on: reach.firmware } })
}

/** Who accepted a firmware for another device of the same type: a door with it is as good as the next. @param typeOf sheet of such a device, by the id of its status record */
export function acceptedElsewhere(
  facts: Facts,
  { sheet }: TakenDevice,
  firmware: string,
  typeOf: (reach: string) => string | undefined,
): Reach['firmwareAccepted'] {
  const same = (reach: Reach) => reach.firmware === firmware && typeOf(reach.id) === sheet.id
  return all(facts, 'reach').find((reach) => reach.firmwareAccepted && same(reach))?.firmwareAccepted ?? null
}
