import { heldConfig, jobOf, type Table } from '@rauta/core'
import { peopleHeld } from '@rauta/core/peoplelist'
import { ability, DeviceError } from '@rauta/drivers'
import type { Context } from '../context'
import { open } from './opening'

/**
 * The people that a controller holds, as a list: as it was last read back where it is this job's; asked now where it is being taken
 * into service and waits for somebody to agree that it is erased.
 * @throws DeviceError where it is neither, or does not answer
 */
export async function heldPeople(context: Context, id: string, signal: AbortSignal): Promise<Table> {
  const { facts } = context.log
  const controller = facts.controller[id]
  const zone = jobOf(facts)?.zone ?? 'UTC'
  if (!controller) throw new DeviceError('refused', 'There is no such controller any more.')
  const claim = facts.claim[id]
  const found = claim && facts.found[claim.found]
  const waiting = claim?.steps.find((s) => s.state !== 'done')
  if (claim && found && waiting?.name === 'holds' && waiting.state === 'waits') {
    const opened = await open({ context, controller, claim, found, signal })
    if ('closed' in opened) throw new DeviceError('notAuthorized', opened.closed)
    return peopleHeld(await ability(opened.driver, 'read')(), controller.ref, zone)
  }
  if (facts.reach[id]?.owned && facts.held[id]) return peopleHeld(heldConfig(facts, id), controller.ref, zone)
  throw new DeviceError(
    'refused',
    `${controller.ref} can be asked for its people when it is in service and was read, or while it waits to be erased.`,
  )
}
