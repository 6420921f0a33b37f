import fs from 'node:fs'
import { join } from 'node:path'
import { NodeFS } from '@electric-sql/pglite/nodefs'
import { PGlite } from '@electric-sql/pglite'
import type { Room } from './room'

/** A stream of Emscripten's file system that lies on the disk. */
interface DiskStream {
  /** File descriptor of Node.js; none for a folder. */
  nfd?: number
  node: unknown
}
interface DiskNode {
  mode: number
}
/** The parts of Emscripten's NODEFS that are altered here. */
interface DiskFs {
  realPath(node: unknown): string
  /** Runs file work and turns a failure into one that the engine understands. */
  tryFSOperation<T>(work: () => T): T
  node_ops: { setattr(node: DiskNode, attr: { mode?: number }): void }
  stream_ops: {
    open(stream: DiskStream): void
    fsync?(stream: DiskStream): number
    write(stream: DiskStream, buffer: Uint8Array, offset: number, length: number, position: number): number
  }
}

const ownerOnly = 0o077

/**
 * The embedded engine's files in a folder, with what its own way to the disk leaves out: what the engine asks to be
 * synced is synced, a full disk takes the reserve before it stops a write, and files are their owner's alone.
 */
export class SyncedFolder extends NodeFS {
  constructor(
    folder: string,
    private readonly room: Room,
  ) {
    super(folder)
  }

  override async init(pg: PGlite, options: Parameters<NodeFS['init']>[1]) {
    const made = await super.init(pg, options)
    const { emscriptenOpts } = made
    const alter = (module: unknown) => {
      this.alter((module as { NODEFS: DiskFs }).NODEFS)
    }
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), alter] } }
  }

  private alter(disk: DiskFs): void {
    disk.stream_ops.fsync = (stream) => {
      disk.tryFSOperation(() => {
        if (stream.nfd === undefined) syncFolder(disk.realPath(stream.node))
        else fs.fsyncSync(stream.nfd)
      })
      return 0
    }
    const { write } = disk.stream_ops
    disk.stream_ops.write = (stream, buffer, offset, length, position) => {
      let done = 0
      while (done < length) {
        const { nfd } = stream
        if (nfd === undefined) return write(stream, buffer, offset, length, position)
        done += disk.tryFSOperation(() =>
          this.withReserve(() => fs.writeSync(nfd, buffer, offset + done, length - done, position + done)),
        )
      }
      return done
    }
    const { setattr } = disk.node_ops
    disk.node_ops.setattr = (node, attr) => {
      setattr(node, attr.mode === undefined ? attr : { ...attr, mode: attr.mode & ~ownerOnly })
    }
  }

  private withReserve<T>(write: () => T): T {
    try {
      return write()
    } catch (error) {
      if ((error as { code?: string }).code === 'ENOSPC' && this.room.release()) return write()
      throw error
    }
  }
}

/** The engine with syncing on; its write-ahead log stays small, since this engine never takes a checkpoint by itself. */
export const syncedEngine = (folder: string, room: Room): PGlite =>
  new PGlite({
    fs: new SyncedFolder(folder, room),
    startParams: [
      ...PGlite.defaultStartParams.filter((p) => p !== '-F'),
      ...['wal_sync_method=fsync', 'min_wal_size=32MB', 'max_wal_size=64MB'].flatMap((setting) => ['-c', setting]),
    ],
  })

/** Syncs the entries of a folder. Some systems cannot and do not need to. */
export function syncFolder(path: string): void {
  let handle: number
  try {
    handle = fs.openSync(path, 'r')
  } catch {
    return
  }
  try {
    fs.fsyncSync(handle)
  } catch (error) {
    if (!['EISDIR', 'EPERM', 'EINVAL', 'EBADF'].includes((error as { code?: string }).code ?? '')) throw error
  } finally {
    fs.closeSync(handle)
  }
}

/** Some file systems keep no modes: what lies there is as open as they are. */
function ownersAlone(path: string, mode: number): void {
  try {
    fs.chmodSync(path, mode)
  } catch (error) {
    if (!['EPERM', 'ENOTSUP', 'ENOSYS'].includes((error as { code?: string }).code ?? '')) throw error
  }
}

/** Makes what lies in a folder its owner's alone, and lasting where it was not or where `all` of it is new: a store of an older version, or one just made. */
export function settle(path: string, all = false): void {
  ownersAlone(path, 0o700)
  for (const entry of fs.readdirSync(path, { withFileTypes: true })) {
    const file = join(path, entry.name)
    if (entry.isDirectory()) settle(file, all)
    if (!entry.isFile() || (!all && (fs.statSync(file).mode & ownerOnly) === 0)) continue
    ownersAlone(file, 0o600)
    const handle = fs.openSync(file, 'r+')
    try {
      fs.fsyncSync(handle)
    } finally {
      fs.closeSync(handle)
    }
  }
  if (all) syncFolder(path)
}
