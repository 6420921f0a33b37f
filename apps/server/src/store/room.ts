import fs from 'node:fs'
import { join } from 'node:path'
import { randomBytes } from 'node:crypto'

/** The disk has no room for what was to be written: nothing of it was, and nothing that was written before is lost. */
export class StoreFullError extends Error {
  constructor(readonly freeB: number) {
    super(`The disk is full: ${freeB} bytes are free.`)
  }
}

export interface RoomLimits {
  /** Kept back for what is under way when the disk fills up, bytes: two segments of the write-ahead log and their pages. */
  reserveB: number
  /** Free besides, before anything new is begun, bytes. */
  leastB: number
}
export const usualRoom: RoomLimits = { reserveB: 48 << 20, leastB: 24 << 20 }

/**
 * Room on the disk of the store. A file of the reserve's size lies beside it: whatever is being written when somebody
 * else fills the disk is finished in its place, since the embedded engine does not outlive a log that it cannot extend.
 */
export class Room {
  private readonly file: string
  private held = false
  constructor(
    private readonly folder: string,
    private readonly limits: RoomLimits = usualRoom,
  ) {
    this.file = join(folder, 'reserve')
    this.held = sizeOf(this.file) >= limits.reserveB
  }

  /** Bytes that may be written by this user. */
  freeB(): number {
    const { bavail, bsize } = fs.statfsSync(this.folder)
    return bavail * bsize
  }

  /** Whether something new may be begun; makes the reserve anew when there is room for it again. */
  ready(): boolean {
    const free = this.freeB()
    if (this.held) return free >= this.limits.leastB
    if (free < this.limits.leastB + this.limits.reserveB) return false
    return this.hold()
  }

  /** @throws StoreFullError */
  check(): void {
    if (!this.ready()) throw new StoreFullError(this.freeB())
  }

  /** Gives the reserve up for what is being written. False where it is gone already. */
  release(): boolean {
    if (!this.held) return false
    this.held = false
    fs.rmSync(this.file, { force: true })
    return true
  }

  private hold(): boolean {
    try {
      const handle = fs.openSync(this.file, 'w', 0o600)
      try {
        // Not zeros: some file systems store those as nothing at all.
        const block = randomBytes(1 << 20)
        for (let at = 0; at < this.limits.reserveB; at += block.length)
          writeWhole(handle, block.subarray(0, this.limits.reserveB - at))
        fs.fsyncSync(handle)
      } finally {
        fs.closeSync(handle)
      }
      this.held = true
    } catch (error) {
      fs.rmSync(this.file, { force: true })
      if ((error as { code?: string }).code !== 'ENOSPC') throw error
    }
    return this.held
  }
}

function writeWhole(handle: number, bytes: Uint8Array): void {
  for (let at = 0; at < bytes.length;) at += fs.writeSync(handle, bytes, at)
}

function sizeOf(file: string): number {
  try {
    return fs.statSync(file).size
  } catch {
    return 0
  }
}
