import { mkdir, readdir, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { writeBackup, type Manifest } from './backup'
import type { Store } from './store'

const ownBackup = /^rauta-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)Z-(\d+)\.tar\.gz$/
/** The newest so many are kept, and of each of the last days the newest. */
const keptNewest = 4
const keptDays = 14
const everyMs = 6 * 3600_000
const lookMs = 10 * 60_000

/** A backup that was made by itself. */
export interface OwnBackup {
  name: string
  /** Day, as YYYY-MM-DD UTC. */
  day: string
  /** ms since 1970 UTC */
  at: number
  rev: number
}

/** Those among these names, newest first. */
export const ownBackups = (names: readonly string[]): OwnBackup[] =>
  names
    .flatMap((name) => {
      const found = ownBackup.exec(name)
      if (!found) return []
      const [, day = '', h = '', m = '', s = '', rev = ''] = found
      return [{ name, day, at: Date.parse(`${day}T${h}:${m}:${s}Z`), rev: Number(rev) }]
    })
    .sort((a, b) => b.at - a.at || b.rev - a.rev)

/** Which of these are not kept any more. */
export function tooOld(names: readonly string[]): string[] {
  const ours = ownBackups(names)
  const newestOfDay = [...new Map([...ours].reverse().map((b) => [b.day, b.name])).entries()]
    .sort(([a], [b]) => b.localeCompare(a))
    .slice(0, keptDays)
    .map(([, name]) => name)
  const kept = new Set([...ours.slice(0, keptNewest).map((b) => b.name), ...newestOfDay])
  return ours.map((b) => b.name).filter((name) => !kept.has(name))
}

const backupsIn = (folder: string) => join(folder, 'backups')

export async function newestOwnBackup(folder: string): Promise<OwnBackup | null> {
  return ownBackups(await readdir(backupsIn(folder)).catch(() => []))[0] ?? null
}

/** Makes a backup that is looked at, and takes away older ones by number and age. @throws BackupError */
export async function backUpByItself(store: Store, folder: string): Promise<Manifest> {
  const at = backupsIn(folder)
  await mkdir(at, { recursive: true, mode: 0o700 })
  for (const name of await readdir(at)) if (!ownBackup.test(name)) await rm(join(at, name), { force: true })
  const half = join(at, 'new')
  const manifest = await writeBackup(store, folder, half)
  const stamp = manifest.madeAt.replace(/[:]|\.\d+/g, '')
  await rename(half, join(at, `rauta-${stamp}-${manifest.rev}.tar.gz`))
  for (const name of tooOld(await readdir(at))) await rm(join(at, name))
  return manifest
}

/** Backs up every so many hours, where anything was changed since. */
export function keepBackups(
  store: Store,
  folder: string,
  rev: () => number,
  log: (error: unknown) => void,
  ending: AbortSignal,
): void {
  let busy = false
  const look = async () => {
    const last = await newestOwnBackup(folder)
    const due = rev() > 0 && (!last || (rev() !== last.rev && Date.now() - last.at >= everyMs))
    if (due && !ending.aborted) await backUpByItself(store, folder)
  }
  const timer = setInterval(() => {
    if (busy) return
    busy = true
    void look()
      .catch(log)
      .finally(() => {
        busy = false
      })
  }, lookMs)
  ending.addEventListener('abort', () => clearInterval(timer))
}
