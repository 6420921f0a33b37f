import { accessSync, closeSync, constants, mkdirSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { PGlite } from '@electric-sql/pglite'
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'

export type Database = PgliteDatabase

/** Something that keeps the server from starting, told in one line. */
export class StartError extends Error {}

export interface Store {
  db: Database
  close(): Promise<void>
}

const migrationsFolder = resolve(fileURLToPath(new URL('../../migrations', import.meta.url)))

/** Opens the store in a folder, taking it for this process alone; null keeps everything in memory. @throws StartError */
export async function openStore(folder: string | null): Promise<Store> {
  if (folder === null) return ready(new PGlite(), () => undefined)
  try {
    mkdirSync(folder, { recursive: true })
    accessSync(folder, constants.W_OK)
  } catch {
    throw new StartError(`The data folder ${folder} cannot be written. Choose another with RAUTA_DATA.`)
  }
  const release = takeFolder(folder)
  try {
    return await ready(new PGlite(join(folder, 'store')), release)
  } catch (error) {
    release()
    if (error instanceof StartError) throw error
    throw new StartError(`The store in ${folder} cannot be opened: ${(error as Error).message}`)
  }
}

async function ready(client: PGlite, release: () => void): Promise<Store> {
  await client.waitReady
  const db = drizzle(client)
  await refuseNewer(client)
  await migrate(db, { migrationsFolder })
  return {
    db,
    close: async () => {
      await client.close()
      release()
    },
  }
}

/** A store that a later version has migrated further would be damaged by this one. */
async function refuseNewer(client: PGlite): Promise<void> {
  const journal = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as {
    entries: { when: number }[]
  }
  const newest = Math.max(0, ...journal.entries.map((e) => e.when))
  const table = await client.query<{ t: string | null }>(
    `select to_regclass('drizzle.__drizzle_migrations')::text as t`,
  )
  if (!table.rows[0]?.t) return
  const applied = await client.query<{ newest: string | number | null }>(
    'select max(created_at) as newest from drizzle.__drizzle_migrations',
  )
  if (Number(applied.rows[0]?.newest ?? 0) > newest)
    throw new StartError(
      'This store was written by a newer version of Rauta. Start that version, or choose another folder with RAUTA_DATA.',
    )
}

/** PGlite does not lock its folder: two servers would open one store. */
function takeFolder(folder: string): () => void {
  const file = join(folder, 'in-use')
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      const handle = openSync(file, 'wx')
      writeSync(handle, String(process.pid))
      closeSync(handle)
      return () => rmSync(file, { force: true })
    } catch {
      const owner = Number(readFileSync(file, 'utf8'))
      if (owner !== process.pid && isRunning(owner))
        throw new StartError(
          `The data folder ${folder} is in use by another server (process ${owner}). Stop it, or choose another with RAUTA_DATA.`,
        )
      rmSync(file, { force: true })
    }
  }
  throw new StartError(`The data folder ${folder} could not be taken.`)
}

function isRunning(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as { code?: string }).code === 'EPERM'
  }
}
