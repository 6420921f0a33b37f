import { ofItsDoor, recordKind } from '../job/kind'
import type { Done } from '../devices/records'

/** Progress of one cable. Its id is `door/cable`. */
export interface Tick {
  id: string
  door: string
  cable: string
  pulled: Done | null
  ended: Done | null
  tested: Done | null
  /** Conductors that were ended one by one, by their ids. */
  cores?: Record<string, Done>
}

/** Who put a conductor under its screw and when: ticked by itself, or with its cable. */
export const endedBy = (tick: Tick | undefined, core: string): Done | null => tick?.cores?.[core] ?? tick?.ended ?? null

declare module '../job/facts' {
  interface RecordTypes {
    tick: Tick
  }
}

export const tickKind = recordKind('tick', {
  fields: {
    id: 'text',
    door: 'text',
    cable: 'text',
    pulled: 'object or none',
    ended: 'object or none',
    tested: 'object or none',
    cores: 'object?',
  },
  ...ofItsDoor('tick'),
})
