import type { BatchResult } from '@rauta/contracts'
import { keptDb, strictly, type Waiting } from './db'

/** This phone keeps nothing: a private window, or a browser without a store. What was entered must not be shown as kept. */
export class NotKeptError extends Error {
  readonly says =
    'The server is out of reach, and this browser keeps nothing. Write it down, or stay here until the server is back.'
}

/** Keeps a record; resolves only when it is on the disk. @throws NotKeptError */
export async function keepWaiting(record: Omit<Waiting, 'seq'>): Promise<Waiting> {
  const db = await keptDb()
  if (!db) throw new NotKeptError()
  try {
    const tx = db.transaction('waiting', 'readwrite', strictly)
    const [seq] = await Promise.all([tx.store.add(record as Waiting), tx.done])
    return { ...record, seq }
  } catch {
    throw new NotKeptError()
  }
}

/** Everything that waits, in the order in which it was made. */
export async function allWaiting(): Promise<Waiting[]> {
  return (await keptDb())?.getAll('waiting') ?? []
}

/** Takes away what the server has, and notes what it refused: in one write. */
export async function settleWaiting(results: readonly BatchResult[]): Promise<void> {
  const db = await keptDb()
  if (!db) return
  const tx = db.transaction('waiting', 'readwrite', strictly)
  for (const result of results) {
    const key = await tx.store.index('id').getKey(result.id)
    const record = key === undefined ? undefined : await tx.store.get(key)
    if (key === undefined || !record) continue
    if (result.ok) await tx.store.delete(key)
    else await tx.store.put({ ...record, refused: result.says })
  }
  await tx.done
}

/** Lets refused records be tried again. */
export async function retryRefused(): Promise<void> {
  const db = await keptDb()
  if (!db) return
  const tx = db.transaction('waiting', 'readwrite', strictly)
  for (const { refused: _why, ...record } of await tx.store.getAll()) await tx.store.put(record)
  await tx.done
}

/** Throws a record away: only ever because somebody said so. */
export async function discardWaiting(id: string): Promise<void> {
  const db = await keptDb()
  const key = await db?.getKeyFromIndex('waiting', 'id', id)
  if (db && key !== undefined) {
    const tx = db.transaction('waiting', 'readwrite', strictly)
    await tx.store.delete(key)
    await tx.done
  }
}
