import fs from 'node:fs'
import { jest } from '@jest/globals'
import { dirname, join, relative } from 'node:path'

/**
 * A folder as a disk would have it after the power went: what was synced, and nothing else. A file stands as it was when
 * it was last synced, under the name it had then; names that were given or taken away count once their folder was synced.
 * @param folder watched from now on; what lies there already counts as synced
 */
export class PowerCut {
  /** Content of files when they were last synced, by inode. */
  private readonly kept = new Map<number, Buffer>()
  /** Names in a folder when it was last synced, or when the file was. */
  private readonly names = new Map<string, Map<string, number>>()
  private readonly spy: jest.SpiedFunction<typeof fs.fsyncSync>
  syncs = 0

  constructor(private readonly folder: string) {
    this.keepAll(folder)
    const real = fs.fsyncSync.bind(fs)
    this.spy = jest.spyOn(fs, 'fsyncSync').mockImplementation((handle) => {
      real(handle)
      const path = fs.readlinkSync(`/proc/self/fd/${handle}`)
      if (!path.startsWith(folder)) return
      this.syncs += 1
      if (fs.statSync(path).isDirectory()) this.keepNames(path)
      else this.keepFile(path)
    })
  }

  private keepAll(folder: string): void {
    for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name)
      if (entry.isDirectory()) this.keepAll(path)
      else this.keepFile(path)
    }
    this.keepNames(folder)
  }
  private keepFile(path: string): void {
    const { ino } = fs.statSync(path)
    this.kept.set(ino, fs.readFileSync(path))
    const names = this.names.get(dirname(path)) ?? new Map<string, number>()
    names.set(path, ino)
    this.names.set(dirname(path), names)
  }
  private keepNames(folder: string): void {
    const names = new Map<string, number>()
    for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name)
      if (entry.isDirectory()) {
        if (!this.names.has(path)) this.names.set(path, new Map())
      } else names.set(path, fs.statSync(path).ino)
    }
    this.names.set(folder, names)
  }

  /** Writes down what is left, into another folder; from here on nothing is watched any more. */
  leaves(into: string): void {
    this.spy.mockRestore()
    for (const [folder, names] of this.names) {
      const at = join(into, relative(this.folder, folder))
      fs.mkdirSync(at, { recursive: true, mode: 0o700 })
      for (const [path, ino] of names)
        fs.writeFileSync(join(into, relative(this.folder, path)), this.kept.get(ino) ?? '', { mode: 0o600 })
    }
  }
}
