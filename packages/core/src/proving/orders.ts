import { keepsNobodyIn, type Door } from '../doors/door'
import { recordKind } from '../job/kind'

/** What a door may be told from the screen: let go once, stand open, stand locked, or go back to its settings. */
export const doorOrders = ['release', 'holdOpen', 'lock', 'normal'] as const
export type DoorOrder = (typeof doorOrders)[number]

/** How a door stands otherwise than its settings say. */
export type StandingMode = 'heldOpen' | 'lockedDown'

/** A door that stands otherwise than its settings say, until it is told to go back. Its id is the door's. */
export interface DoorMode {
  id: string
  mode: StandingMode
  /** Who told it; empty where the controller was told by somebody else. */
  by: string
  reason: string
  at: number
}

export const orderWords: Readonly<Record<DoorOrder, string>> = {
  release: 'Released from the screen',
  holdOpen: 'Held open from the screen',
  lock: 'Locked from the screen',
  normal: 'Back to its settings',
}
export const modeWords: Readonly<Record<StandingMode, string>> = { heldOpen: 'held open', lockedDown: 'locked' }

/** What an order leaves the door standing in; null for back to its settings, and for a release, which passes. */
export function modeAfter(order: DoorOrder): StandingMode | null {
  if (order === 'holdOpen') return 'heldOpen'
  return order === 'lock' ? 'lockedDown' : null
}

/** Whether somebody inside gets out with no card: by a device, a handle, another way, or because nobody can be inside. */
const leavesWithoutCard = (door: Door): boolean =>
  door.handle ||
  door.otherWayOut === true ||
  keepsNobodyIn(door) ||
  door.parts.some((p) => p.role === 'exit' || p.role === 'exitSensor')

/**
 * Why a door may not be told this, in words, or null. A door on an escape route is never locked from here: whether its exit still
 * opens it then is the controller's doing, and nobody's to try on people. Nor is one that is left by a reader alone: a door that
 * is locked refuses every card.
 */
export function orderFault(order: DoorOrder, door: Door): string | null {
  if (order !== 'lock') return null
  if (door.escapeRoute)
    return `${door.ref} lies on an escape route: it is not locked from here. Take it off the escape route in its plan first, if that is wrong.`
  return leavesWithoutCard(door)
    ? null
    : `Whoever is inside ${door.ref} gets out by a card alone, and a door that is locked refuses every card: it is not locked from here. Plan an exit device, or say in its plan that there is another way out.`
}

declare module '../job/facts' {
  interface RecordTypes {
    doorMode: DoorMode
  }
}

export const doorModeKind = recordKind('doorMode', {
  fields: { id: 'text', mode: 'text', by: 'text', reason: 'text', at: 'number' },
})
