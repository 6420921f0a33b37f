import { existsSync, mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { dataFolder } from './places'
import { backedUpWords, BackupError, layReady, restoredWords, takeNext, writeBackup } from './store/backup'
import { inUseBy, takeFolder } from './store/lock'
import { openStore } from './store/open'
import { StartError } from './store/startError'

/** `backup FILE` and `restore FILE`: by the running server where there is one, else here. */
const [what, named] = process.argv.slice(2)
const file = resolve(process.env['INIT_CWD'] ?? '.', named ?? '')

async function byServer(port: number, token: string): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/v1/keep/${what}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
    body: JSON.stringify({ file }),
  })
  const { says } = (await answer.json()) as { says: string }
  if (!answer.ok) throw new BackupError(says)
  return says
}

async function here(): Promise<string> {
  if (what === 'backup') {
    if (!existsSync(join(dataFolder, 'store')))
      throw new BackupError(`There is no store in ${dataFolder}. Name its folder with RAUTA_DATA.`)
    const store = await openStore(dataFolder)
    try {
      return backedUpWords(file, await writeBackup(store, dataFolder, file))
    } finally {
      await store.close()
    }
  }
  process.umask(0o077)
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
  const hold = takeFolder(dataFolder)
  try {
    const manifest = await layReady(dataFolder, file)
    takeNext(dataFolder)
    return restoredWords(manifest)
  } finally {
    hold.release()
  }
}

try {
  if (!named || (what !== 'backup' && what !== 'restore')) {
    console.error('rauta backup FILE\nrauta restore FILE')
    process.exit(2)
  }
  const owner = inUseBy(dataFolder)
  if (owner && (!owner.port || !owner.token))
    throw new BackupError(`The server (process ${owner.pid}) is starting or ending. Try again in a moment.`)
  console.log(owner?.port && owner.token ? await byServer(owner.port, owner.token) : await here())
} catch (error) {
  console.error(error instanceof BackupError || error instanceof StartError ? error.message : error)
  process.exit(1)
}
