import type { Facts } from '../job/facts'
import { heldOfKind } from './held'
import { readKey } from './parts'
import { asObject } from './parts/kind'

/** A door whose controller asks a server who may come in. */
export interface AskingDoor {
  door: string
  /** When nothing was heard of the server for so long it is out of reach there, s. */
  reachS: number
}

/** Doors of a controller that ask the server, as it was last read to hold them. */
export const askingDoors = (facts: Facts, controller: string): AskingDoor[] =>
  Object.entries(heldOfKind(facts, controller, 'behaviour')).flatMap(([key, value]) => {
    const { decidedBy, reachFor } = asObject(value)
    return decidedBy === 'server' ? [{ door: readKey(key).token, reachS: Number(reachFor) || 0 }] : []
  })
