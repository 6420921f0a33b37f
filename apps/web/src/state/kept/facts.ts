import { applyChanges, factsOf, Keeper, snapshotOf, type Facts, type Snapshot } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { keptDb, type LogEntry } from './db'

const keeper = new Keeper()
const wantsOf = (facts: Facts) => {
  keeper.take(facts, sheetsFor(facts))
  return (controller: string) => keeper.configs(controller).wanted
}

/** The facts of a snapshot, and which shares of what devices hold have to be asked for. */
export const factsFrom = (snapshot: Snapshot): { facts: Facts; missing: string[] } => factsOf(snapshot, wantsOf)

/** Entries after which the snapshot is written anew. */
const mostEntries = 200

/** The job as this phone last saw it, or null where it saw none yet. */
export async function loadKept(): Promise<{ job: string; facts: Facts; missing: string[] } | null> {
  const db = await keptDb()
  if (!db) return null
  const tx = db.transaction(['snapshot', 'entries'])
  const snapshot = await tx.objectStore('snapshot').get('facts')
  if (!snapshot) return null
  const entries = await tx.objectStore('entries').getAll(IDBKeyRange.lowerBound(snapshot.rev, true))
  const first = factsFrom(JSON.parse(snapshot.text) as Snapshot)
  const facts = entries.reduce((so, e) => (e.rev === so.rev + 1 ? applyChanges(so, e.changes, e.rev) : so), first.facts)
  if (entries.length > mostEntries) void saveSnapshot(snapshot.job, facts)
  return { job: snapshot.job, facts, missing: first.missing }
}

/** Writes the whole job down in place of what was kept. */
export async function saveSnapshot(job: string, facts: Facts): Promise<void> {
  const db = await keptDb()
  if (!db) return
  const text = JSON.stringify(snapshotOf(facts, wantsOf(facts)))
  const tx = db.transaction(['snapshot', 'entries'], 'readwrite')
  await Promise.all([
    tx.objectStore('snapshot').put({ id: 'facts', job, rev: facts.rev, text }),
    tx.objectStore('entries').delete(IDBKeyRange.upperBound(facts.rev)),
    tx.done,
  ])
}

/** Writes down what came since. */
export async function saveEntries(entries: readonly LogEntry[]): Promise<void> {
  const db = await keptDb()
  if (!db || entries.length === 0) return
  const tx = db.transaction('entries', 'readwrite')
  await Promise.all([...entries.map((e) => tx.store.put(e)), tx.done])
}

/** Forgets the job, when somebody signs out; what waits stays. */
export async function forgetKept(): Promise<void> {
  const db = await keptDb()
  if (!db) return
  const tx = db.transaction(['snapshot', 'entries'], 'readwrite')
  await Promise.all([tx.objectStore('snapshot').clear(), tx.objectStore('entries').clear(), tx.done])
}
