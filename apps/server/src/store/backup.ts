import { spawn } from 'node:child_process'
import fs from 'node:fs'
import { cp, mkdir, mkdtemp, readFile, rename, rm, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { sql } from 'drizzle-orm'
import { create, extract } from 'tar'
import type { Store } from './store'
import { settle, syncFolder } from './synced'

/** What a backup says of itself. */
export interface Manifest {
  format: 'rauta-backup-1'
  /** ISO 8601, UTC. */
  madeAt: string
  /** Newest change of the job, and how many its log has. */
  rev: number
  changes: number
}

export const backedUpWords = (file: string, { rev }: Manifest): string =>
  `Backed up to ${file}, change ${rev}. It opens.`
export const restoredWords = ({ rev, madeAt }: Manifest): string =>
  `Restored as of ${madeAt}, change ${rev}. What was there lies beside it.`

/** A backup cannot be made or taken, in words. */
export class BackupError extends Error {}

const manifestName = 'backup.json'
/** Files of the engine that speak of a running process. */
const passing = ['postmaster.pid', 'postmaster.opts']
const incoming = 'store-incoming'
/** Whole and looked at: takes the store's place at the next start. */
export const nextStore = 'store-next'
const beforeStore = 'store-before-'
/** Largest that a backup may unfold to, bytes. */
const mostB = 64 * 2 ** 30

/** Takes a folder away, also one that something still writes to for a moment. */
const away = (path: string) => rm(path, { recursive: true, force: true, maxRetries: 10, retryDelay: 100 })

/** Copies the store while it is open: the engine waits as long as the copying takes; what is copied is what a power cut would leave, which it opens from. */
async function copyQuietly(store: Store, from: string, to: string): Promise<{ rev: number; changes: number }> {
  const found = await store.db.execute<{ rev: number; changes: number }>(
    sql`select count(*)::int as changes, coalesce(max(rev), 0)::int as rev from changes`,
  )
  await store.quiet(() =>
    cp(from, to, { recursive: true, filter: (path) => !passing.includes(path.slice(dirname(path).length + 1)) }),
  )
  return found.rows[0] ?? { rev: 0, changes: 0 }
}

/** Makes a backup and looks whether it opens; it is there whole, or not at all. @throws BackupError */
export async function writeBackup(store: Store, folder: string, file: string): Promise<Manifest> {
  if (!fs.existsSync(dirname(file))) throw new BackupError(`There is no folder ${dirname(file)}.`)
  const work = await mkdtemp(join(folder, 'backup-'))
  const part = `${file}.part`
  try {
    const counts = await copyQuietly(store, join(folder, 'store'), join(work, 'store'))
    const manifest: Manifest = { format: 'rauta-backup-1', madeAt: new Date().toISOString(), ...counts }
    await writeFile(join(work, manifestName), JSON.stringify(manifest))
    await create({ gzip: true, file: part, cwd: work, portable: true, mode: 0o600 }, [manifestName, 'store'])
    fs.chmodSync(part, 0o600)
    syncFile(part)
    // From the file, not from the copy: what is looked at is what will be there.
    await rm(join(work, 'store'), { recursive: true })
    const seen = join(work, 'seen')
    await unfold(part, seen)
    await rename(part, file)
    syncFolder(dirname(file))
    return manifest
  } catch (error) {
    await rm(part, { force: true })
    if (error instanceof BackupError) throw error
    throw new BackupError(`The backup ${file} cannot be made: ${(error as Error).message}`)
  } finally {
    await away(work)
  }
}

/** Unfolds a backup into a new folder and looks whether its store opens and has what it says. @throws BackupError */
async function unfold(file: string, into: string): Promise<Manifest> {
  await mkdir(into, { recursive: true, mode: 0o700 })
  let bytes = 0
  try {
    await extract({
      file,
      cwd: into,
      strict: true,
      preserveOwner: false,
      filter(path, entry) {
        bytes += entry.size ?? 0
        if (bytes > mostB) throw new Error('it is too large')
        const plain = 'type' in entry && (entry.type === 'File' || entry.type === 'Directory')
        return plain && (path === manifestName || path === 'store' || path.startsWith('store/'))
      },
    })
  } catch (error) {
    throw new BackupError(`${file} is no backup of Rauta, or is cut short: ${(error as Error).message}`)
  }
  const manifest = manifestIn(await readFile(join(into, manifestName), 'utf8').catch(() => ''))
  if (!manifest) throw new BackupError(`${file} is no backup of Rauta: it does not say what it holds.`)
  const found = await lookInto(join(into, 'store'))
  if (!found) throw new BackupError(`The store in ${file} does not open.`)
  if (found.rev !== manifest.rev || found.changes !== manifest.changes)
    throw new BackupError(
      `The store in ${file} has ${found.changes} changes up to ${found.rev}; it should have ${manifest.changes} up to ${manifest.rev}.`,
    )
  return manifest
}

function manifestIn(text: string): Manifest | null {
  try {
    const manifest = JSON.parse(text) as Manifest
    return manifest.format === 'rauta-backup-1' && Number.isInteger(manifest.rev) ? manifest : null
  } catch {
    return null
  }
}

/** What the log of a store comes to, or null where it does not open. */
function lookInto(store: string): Promise<{ rev: number; changes: number } | null> {
  const look = fileURLToPath(new URL('./look.ts', import.meta.url))
  return new Promise((done) => {
    const child = spawn(process.execPath, ['--import', 'tsx', look, store], {
      cwd: dirname(look),
      env: { ...process.env, NODE_OPTIONS: '' },
      stdio: ['ignore', 'pipe', 'ignore'],
    })
    let said = ''
    child.stdout.on('data', (data: Buffer) => {
      said += data.toString()
    })
    child.once('error', () => done(null))
    child.once('exit', (code) => {
      done(code === 0 ? (JSON.parse(said) as { rev: number; changes: number }) : null)
    })
  })
}

/** Lays a backup ready beside the store: whole, synced and looked at. It takes the store's place at the next start; until then all stays as it is. @throws BackupError */
export async function layReady(folder: string, file: string): Promise<Manifest> {
  const at = join(folder, incoming)
  await away(at)
  try {
    const manifest = await unfold(file, at)
    settle(join(at, 'store'), true)
    await away(join(folder, nextStore))
    await rename(join(at, 'store'), join(folder, nextStore))
    syncFolder(folder)
    return manifest
  } finally {
    await away(at)
  }
}

/** Puts a store that was laid ready in its place; the one before stays beside it. Cut short anywhere, the next start goes on with it. */
export function takeNext(folder: string): void {
  fs.rmSync(join(folder, incoming), { recursive: true, force: true })
  const next = join(folder, nextStore)
  if (!fs.existsSync(next)) return
  const store = join(folder, 'store')
  if (fs.existsSync(store)) {
    for (const name of fs.readdirSync(folder).filter((n) => n.startsWith(beforeStore)))
      fs.rmSync(join(folder, name), { recursive: true, force: true })
    fs.renameSync(store, join(folder, beforeStore + new Date().toISOString().replaceAll(':', '')))
  }
  fs.renameSync(next, store)
  syncFolder(folder)
}

function syncFile(path: string): void {
  const handle = fs.openSync(path, 'r+')
  try {
    fs.fsyncSync(handle)
  } finally {
    fs.closeSync(handle)
  }
}
