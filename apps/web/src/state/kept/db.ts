import type { Change } from '@rauta/core'
import type { CommandRequest } from '@rauta/contracts'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/** A record that waits for the server: what was recorded, by whom, for which job, and when by this phone's clock. */
export interface Waiting extends CommandRequest {
  /** Place in the order; given by the store. */
  seq: number
  by: string
  /** Public key of the job. */
  job: string
  madeAt: number
  /** Why the server would not take it; it stays until somebody says what shall become of it. */
  refused?: string
}
export interface LogEntry {
  rev: number
  at: number
  by: string
  name: string
  says: string
  changes: Change[]
}
/** The job as this phone last saw it: its snapshot as text, which is read faster than it is cloned. */
export interface KeptSnapshot {
  id: 'facts'
  job: string
  rev: number
  text: string
}
/** A picture that was taken without signal, until the server has it. */
export interface KeptPhoto {
  id: string
  door: string
  type: string
  bytes: ArrayBuffer
  sent: boolean
}

interface Shape extends DBSchema {
  waiting: { key: number; value: Waiting; indexes: { id: string } }
  snapshot: { key: string; value: KeptSnapshot }
  entries: { key: number; value: LogEntry }
  photos: { key: string; value: KeptPhoto }
}
export type KeptDb = IDBPDatabase<Shape>

let opened: Promise<KeptDb | null> | null = null

/** This phone's own store; null where the browser has none (then nothing is kept, and it says so). */
export function keptDb(): Promise<KeptDb | null> {
  opened ??=
    typeof indexedDB === 'undefined'
      ? Promise.resolve(null)
      : openDB<Shape>('rauta', 2, {
          async upgrade(db, from, _to, tx) {
            // What waits and the pictures stay; the job as an older version kept it is fetched anew.
            if (from === 1) {
              await Promise.all([tx.objectStore('snapshot').clear(), tx.objectStore('entries').clear()])
              return
            }
            db.createObjectStore('waiting', { keyPath: 'seq', autoIncrement: true }).createIndex('id', 'id', {
              unique: true,
            })
            db.createObjectStore('snapshot', { keyPath: 'id' })
            db.createObjectStore('entries', { keyPath: 'rev' })
            db.createObjectStore('photos', { keyPath: 'id' })
          },
          // Another tab with a newer build wants to alter the store: let it.
          blocking(_now, _wanted, event) {
            ;(event.target as unknown as { close(): void }).close()
            opened = null
          },
        }).catch(() => null)
  return opened
}

/** Written through to the disk before it counts: browsers call a write done earlier than that unless they are told. */
export const strictly = { durability: 'strict' } as const
