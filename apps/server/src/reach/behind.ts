import { put, type Reach, type Sheets } from '@rauta/core'
import { acceptedElsewhere, sheetsFor, type TakenDevice } from '@rauta/contracts'
import type { Context } from '../context'
import { done, waits, type StepResult } from './step'

/** What a device behind a controller says of itself. */
type Answered = Pick<Reach, 'address' | 'serial' | 'firmware' | 'onBus' | 'byRadio'>

/** A device behind a controller was taken as far as its firmware: what is known of it is kept, and somebody accepts the firmware once for a type. */
export async function answersBehind(
  context: Context,
  device: TakenDevice & { ref: string },
  says: string,
  answered: Answered,
  typeOf: (sheets: Sheets, reach: string) => string | undefined,
): Promise<StepResult> {
  const { log } = context
  const { firmware } = answered
  await log.append('reach.fact', says, (facts, now) => {
    const before = facts.reach[device.id]
    const kept = before?.firmware === firmware ? before.firmwareAccepted : null
    return [
      put(facts, 'reach', {
        ...answered,
        id: device.id,
        mac: '',
        firmwareAccepted: kept ?? acceptedElsewhere(facts, device, firmware, (id) => typeOf(sheetsFor(facts), id)),
        owned: false,
        erasedAt: now,
        clockOffsetMs: 0,
        clockCheckedAt: now,
        zoneHeld: '',
        boot: '',
        lastAnswerAt: now,
        silentMs: 0,
        says: '',
      }),
    ]
  })
  const accepted = log.facts.reach[device.id]?.firmwareAccepted
  return accepted
    ? done(`${firmware}, accepted by ${accepted.by}`)
    : waits(`Firmware ${firmware}. Accept it, or update it first.`)
}

export async function inService(context: Context, { id, ref }: { id: string; ref: string }): Promise<StepResult> {
  await context.log.patch('reach', id, `${ref} is in service`, (r) => ({ ...r, owned: true }))
  return done('In service.')
}
