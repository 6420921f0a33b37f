/** One value of a device's configuration. Only plain JSON. */
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json }

/** A device's configuration in canonical form: part key (`door/…`, `credential/…`) to value. */
export type Config = Readonly<Record<string, Json>>

/** When a device was last read; its id is the controller's. What it was read to hold lies in its `HeldParts`. */
export interface Held {
  id: string
  readAt: number
  /** Why the last reading could not be understood, empty where it could. */
  fault: string
}

/** A share of what a device was last read to hold, so that one card that changes is one small record. Its id is `controller~share`. */
export interface HeldParts {
  id: string
  controller: string
  parts: Config
}

/** A push of configuration to one device. */
export interface Load {
  id: string
  controller: string
  /** All that differs where it is not said; else the test cards alone, whatever else waits to be loaded. */
  only?: 'testCards'
  /** `atDoors`: all was sent, and some devices take it only while a hand is at them. */
  state: 'queued' | 'running' | 'held' | 'atDoors' | 'differs' | 'waits' | 'failed' | 'stopped'
  total: number
  done: number
  says: string
  by: string
  startedAt: number
  endedAt: number
  /** Digest of the whole wanted configuration that this load pushed. */
  digest: string
}
