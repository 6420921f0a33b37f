import { createHash } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { openStore } from '../src/store/open'

const root = resolve(fileURLToPath(new URL('../../..', import.meta.url)))
const cache = join(root, 'node_modules/.cache')

/** An empty store with its tables, made once for these migrations: setting up a database takes longer than most tests. */
export async function freshStore(folder: string): Promise<void> {
  if (existsSync(folder)) return
  const what = [
    join(root, 'apps/server/migrations/meta/_journal.json'),
    join(root, 'node_modules/@electric-sql/pglite/package.json'),
  ]
    .map((f) => readFileSync(f, 'utf8'))
    .join()
  const made = join(cache, `rauta-store-${createHash('sha256').update(what).digest('hex').slice(0, 16)}`)
  if (!existsSync(made)) await make(made)
  mkdirSync(dirname(folder), { recursive: true })
  cpSync(made, folder, { recursive: true })
}

async function make(made: string): Promise<void> {
  mkdirSync(cache, { recursive: true })
  const at = mkdtempSync(`${made}-`)
  const store = await openStore(at)
  await store.close()
  // Another worker may have been quicker: then its store is as good.
  try {
    renameSync(join(at, 'store'), made)
  } catch {
    /* it is there */
  }
  rmSync(at, { recursive: true, force: true })
}
