import { accessSync, constants, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { PGlite } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { takeNext } from './backup'
import { takeFolder } from './lock'
import { Room, type RoomLimits } from './room'
import type { Database, Store } from './store'
import { StartError } from './startError'
import { backUpByItself } from './ownBackups'
import { prepareWriting } from './write'
import { settle, syncedEngine, syncFolder } from './synced'

export type { Database, Store }

const migrationsFolder = resolve(fileURLToPath(new URL('../../migrations', import.meta.url)))

/** Opens the store in a folder, taking it for this process alone; null keeps everything in memory. @throws StartError */
export async function openStore(folder: string | null, limits?: RoomLimits): Promise<Store> {
  if (folder === null) return ready(new PGlite(), null, { tell: () => undefined, release: () => undefined })
  try {
    // What this process makes is its owner's alone, whatever it was started with.
    process.umask(0o077)
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    accessSync(folder, constants.W_OK)
  } catch {
    throw new StartError(`The data folder ${folder} cannot be written. Choose another with RAUTA_DATA.`)
  }
  const hold = takeFolder(folder)
  try {
    const room = new Room(folder, limits)
    room.ready()
    const at = join(folder, 'store')
    takeNext(folder)
    if (!existsSync(at)) await makeStore(at, room)
    settle(folder)
    return await ready(syncedEngine(at, room), room, hold, folder)
  } catch (error) {
    hold.release()
    if (error instanceof StartError) throw error
    throw new StartError(`The store in ${folder} cannot be opened: ${(error as Error).message}`)
  }
}

/** A new store is there when it is whole: one that was cut short is begun anew. */
async function makeStore(at: string, room: Room): Promise<void> {
  const half = `${at}-half`
  rmSync(half, { recursive: true, force: true })
  const engine = syncedEngine(half, room)
  await engine.waitReady
  await engine.close()
  settle(half, true)
  renameSync(half, at)
  syncFolder(dirname(at))
}

async function ready(
  client: PGlite,
  room: Room | null,
  hold: { tell: Store['tell']; release(): void },
  folder: string | null = null,
): Promise<Store> {
  await client.waitReady
  const db = drizzle(client)
  await refuseNewer(client)
  const before = await newestMigration(client)
  const store: Store = {
    db,
    migrated: false,
    room,
    tell: hold.tell,
    quiet: (work) => client.runExclusive(work),
    checkpoint: async () => {
      await client.exec('checkpoint')
    },
    close: async () => {
      await client.close()
      hold.release()
    },
  }
  // What an older version wrote is kept as it was, before it is altered.
  if (folder !== null && before > 0 && before < newestKnown()) await backUpByItself(store, folder)
  await migrate(db, { migrationsFolder })
  await prepareWriting(db)
  return { ...store, migrated: before < (await newestMigration(client)) }
}

/** A store that a later version has migrated further would be damaged by this one. */
async function refuseNewer(client: PGlite): Promise<void> {
  if ((await newestMigration(client)) > newestKnown())
    throw new StartError(
      'This store was written by a newer version of Rauta. Start that version, or choose another folder with RAUTA_DATA.',
    )
}

/** When the newest migration that this version knows was made, ms. */
function newestKnown(): number {
  const journal = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as {
    entries: { when: number }[]
  }
  return Math.max(0, ...journal.entries.map((e) => e.when))
}

/** When the newest migration of this store was made, ms; 0 where it has none yet. */
async function newestMigration(client: PGlite): Promise<number> {
  const table = await client.query<{ t: string | null }>(
    `select to_regclass('drizzle.__drizzle_migrations')::text as t`,
  )
  if (!table.rows[0]?.t) return 0
  const applied = await client.query<{ newest: string | number | null }>(
    'select max(created_at) as newest from drizzle.__drizzle_migrations',
  )
  return Number(applied.rows[0]?.newest ?? 0)
}
