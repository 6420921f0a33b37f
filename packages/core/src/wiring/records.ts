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
