import type { Done } from '../devices/records'

/** Progress of one cable. Its id is `door/cable`. */
export interface Tick {
  id: string
  door: string
  cable: string
  pulled: Done | null
  ended: Done | null
  tested: Done | null
}

/** What a meter is asked for. `loop`: far end joined; the volts at the lock's own terminals. */
export type ReadingKind = 'loop' | 'voltsRest' | 'voltsDriven'

/** One meter reading, kept raw and never altered; the newest of its kind counts. */
export interface Reading {
  id: string
  door: string
  cable: string
  kind: ReadingKind
  /** Ohms or volts. */
  value: number
  by: string
  at: number
}
