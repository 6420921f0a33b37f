import type { PgliteDatabase } from 'drizzle-orm/pglite'
import type { InUse } from './lock'
import type { Room } from './room'

export type Database = PgliteDatabase

export interface Store {
  db: Database
  /** Whether this version has just altered its tables. */
  migrated: boolean
  /** Room on its disk; null for one in memory. */
  room: Room | null
  /** Notes how this process is spoken to, for whoever can read the folder. */
  tell(more: Pick<InUse, 'port' | 'token'>): void
  /** Runs while the engine does nothing. */
  quiet<T>(work: () => Promise<T>): Promise<T>
  /** Writes what the log holds to its places, so that the log can begin anew. */
  checkpoint(): Promise<void>
  close(): Promise<void>
}
