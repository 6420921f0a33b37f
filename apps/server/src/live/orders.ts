import {
  heldOfKind,
  modeAfter,
  orderFault,
  orderWords,
  partKey,
  put,
  drop,
  type Change,
  type DoorOrder,
  type Facts,
  type StandingMode,
} from '@rauta/core'
import { Refusal } from '@rauta/contracts'
import { ability } from '@rauta/drivers'
import { v7 } from 'uuid'
import type { Context } from '../context'
import { provenDriver } from '../reach/inService'

/** What somebody tells a door from the screen. */
export interface Order {
  order: DoorOrder
  reason: string
}

/**
 * Tells a door to let go, stand open or locked, or go back to its settings, and records who told it and why. Only what the device has
 * taken is recorded. @throws Refusal for what may not be told; DeviceError where the device does not take it
 */
export async function orderDoor(context: Context, id: string, { order, reason }: Order, by: string): Promise<void> {
  const { facts } = context.log
  const door = facts.door[id]
  const controller = facts.controller[door?.placement?.controller ?? '']
  if (!door) throw new Refusal(`There is no door ${id} in this job.`)
  if (!controller) throw new Refusal(`${door.ref} is on no controller yet.`)
  const fault = orderFault(order, door)
  if (fault) throw new Refusal(fault)
  if (modeAfter(order) && !reason.trim())
    throw new Refusal('Say in a few words why: everybody sees it until the door is back.', 'reason')
  const driver = await provenDriver(context, controller.id, context.ending)
  if (!driver) throw new Refusal(`${controller.ref} is not in service yet. Take it into service under Reach first.`)
  if (!Object.hasOwn(heldOfKind(facts, controller.id, 'door'), partKey('door', id)))
    throw new Refusal(`${controller.ref} does not know this door yet. Load it first.`)
  await ability(driver, 'order')(id, order)
  const why = reason.trim() ? `: ${reason.trim()}` : ''
  const says = `${orderWords[order]} by ${by}${why}`
  await context.log.append(
    'door.order',
    `${door.ref}: ${says}`,
    (now, at) => [
      ...eventOf(now, controller.id, id, order, says, at),
      ...modeChanges(now, id, modeAfter(order), { by, reason: reason.trim(), at }, order),
    ],
    by,
  )
}

/** The server's own note on the tape, stamped in the device's time so that it stands in order with what the device tells. */
function eventOf(facts: Facts, controller: string, door: string, order: DoorOrder, says: string, at: number): Change[] {
  const reach = facts.reach[controller]
  const offsetMs = reach?.clockOffsetMs ?? 0
  return [
    put(facts, 'event', {
      id: `${controller}:order:${v7()}`,
      controller,
      boot: reach?.boot ?? '',
      seq: 0,
      at: Math.round(at + offsetMs),
      received: at,
      offsetMs,
      kind: 'order',
      door,
      reader: '',
      card: '',
      state: order,
      says,
    }),
  ]
}

function modeChanges(
  facts: Facts,
  id: string,
  mode: StandingMode | null,
  who: { by: string; reason: string; at: number },
  order: DoorOrder,
): Change[] {
  if (mode) return [put(facts, 'doorMode', { id, mode, ...who })]
  return order === 'normal' ? drop(facts, 'doorMode', id) : []
}

/** What a device tells of its doors' standing modes is what counts: one that was told elsewhere is shown, one that ended is taken off. */
export async function rememberModes(
  context: Context,
  modes: readonly { door: string; mode: StandingMode | null }[],
): Promise<void> {
  const other = (facts: Facts) =>
    modes.filter(({ door, mode }) => facts.door[door] && (facts.doorMode[door]?.mode ?? null) !== mode)
  if (other(context.log.facts).length === 0) return
  await context.log.append('door.mode', 'A door’s standing mode was told by its controller', (facts, at) =>
    other(facts).flatMap(({ door, mode }) =>
      mode ? [put(facts, 'doorMode', { id: door, mode, by: '', reason: '', at })] : drop(facts, 'doorMode', door),
    ),
  )
}
