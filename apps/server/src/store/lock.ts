import { execFileSync } from 'node:child_process'
import { linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { StartError } from './startError'

/** Who has a data folder, and how those who may read the folder can speak to it. */
export interface InUse {
  pid: number
  /** When that process started, as its system tells it; empty where it does not. */
  started: string
  /** Loopback port, once it answers. */
  port?: number
  /** Lets whoever can read this file do what the owner of the folder may. */
  token?: string
}

const fileOf = (folder: string) => join(folder, 'in-use')

/** Who has this folder now, or null: a note that a dead process left behind counts as nobody. */
export function inUseBy(folder: string): InUse | null {
  let text: string
  try {
    text = readFileSync(fileOf(folder), 'utf8')
  } catch {
    return null
  }
  const owner = ownerIn(text)
  return owner && isRunning(owner) ? owner : null
}

/** Takes a folder for this process alone. @throws StartError where another has it */
export function takeFolder(folder: string): { tell(more: Pick<InUse, 'port' | 'token'>): void; release(): void } {
  const file = fileOf(folder)
  const me: InUse = { pid: process.pid, started: startOf(process.pid) }
  // Whole or not at all: nobody reads a note that is half written.
  const note = join(folder, `in-use.${process.pid}`)
  const write = (owner: InUse) => {
    writeFileSync(note, JSON.stringify(owner), { mode: 0o600 })
  }
  for (let attempt = 0; attempt < 2; attempt++) {
    write(me)
    try {
      linkOrWrite(note, file)
      return {
        tell(more) {
          write({ ...me, ...more })
          renameSync(note, file)
        },
        release() {
          rmSync(file, { force: true })
        },
      }
    } catch (error) {
      if ((error as { code?: string }).code !== 'EEXIST') throw error
      const owner = inUseBy(folder)
      if (owner && owner.pid !== process.pid)
        throw new StartError(
          `The data folder ${folder} is in use by another server (process ${owner.pid}). Stop it, or choose another with RAUTA_DATA.`,
        )
      putAway(file, folder)
    } finally {
      rmSync(note, { force: true })
    }
  }
  throw new StartError(`The data folder ${folder} could not be taken.`)
}

/** Puts a note in its place, where none is. Some file systems have no links: there it may be read half written, for a moment. */
function linkOrWrite(note: string, file: string): void {
  try {
    linkSync(note, file)
  } catch (error) {
    if ((error as { code?: string }).code === 'EEXIST') throw error
    writeFileSync(file, readFileSync(note), { flag: 'wx', mode: 0o600 })
  }
}

/** Takes a dead process's note away; one that somebody else wrote meanwhile is put back. */
function putAway(file: string, folder: string): void {
  const aside = join(folder, `in-use.${process.pid}.old`)
  try {
    renameSync(file, aside)
  } catch {
    return
  }
  const owner = ownerIn(readFileSync(aside, 'utf8'))
  if (owner && owner.pid !== process.pid && isRunning(owner)) linkOrWrite(aside, file)
  rmSync(aside, { force: true })
}

function ownerIn(text: string): InUse | null {
  try {
    const owner = JSON.parse(text) as InUse | number
    // Older versions wrote the number alone.
    return typeof owner === 'number' ? { pid: owner, started: '' } : owner
  } catch {
    return null
  }
}

/** Whether it is still the same process: numbers are given out again. */
function isRunning({ pid, started }: InUse): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
  } catch (error) {
    if ((error as { code?: string }).code !== 'EPERM') return false
  }
  const now = startOf(pid)
  return !started || !now || now === started
}

/** Field 22 of proc(5)'s stat counts from the start of the machine: the boot's own id goes with it. */
export function startOf(pid: number): string {
  try {
    if (process.platform === 'linux') {
      const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
      const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
      return `${readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()}/${fields[19] ?? ''}`
    }
    if (process.platform === 'darwin')
      return execFileSync('/bin/ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).trim()
  } catch {
    return ''
  }
  return ''
}
