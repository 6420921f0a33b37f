/** One value of a device's configuration. Only plain JSON. */
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json }

/** A device's configuration in canonical form: part key (`door/…`, `credential/…`) to value. */
export type Config = Readonly<Record<string, Json>>

/** What a device was last read to hold; its id is the controller's. */
export interface Held {
  id: string
  config: Config
  readAt: number
  /** Why the last reading could not be understood, empty where it could. */
  fault: string
}

/** A push of configuration to one device. */
export interface Load {
  id: string
  controller: string
  state: 'queued' | 'running' | 'held' | 'differs' | 'waits' | 'failed' | 'stopped'
  total: number
  done: number
  says: string
  by: string
  startedAt: number
  endedAt: number
  /** Digest of the whole wanted configuration that this load pushed. */
  digest: string
}
