import { spawn } from 'node:child_process'
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { create } from 'tar'
import { v7 } from 'uuid'
import { makeClock } from '@rauta/protocols'
import { JobLog } from '../src/changes/log'
import { layReady, takeNext, writeBackup } from '../src/store/backup'
import { openStore } from '../src/store/open'
import { backUpByItself, newestOwnBackup, ownBackups, tooOld } from '../src/store/ownBackups'
import { freshStore } from './fresh'
import { littleRoom, Site } from './site'

const root = resolve(fileURLToPath(new URL('../../..', import.meta.url)))
const folders: string[] = []
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'rauta-backup-'))
  folders.push(made)
  return made
}
afterAll(() => {
  for (const f of folders) rmSync(f, { recursive: true, force: true })
})

async function opened(at: string) {
  await freshStore(join(at, 'store'))
  const store = await openStore(at, littleRoom)
  return { store, log: await JobLog.open(store, 'job-1', makeClock(1), '11'.repeat(32)) }
}
const group = (log: JobLog, id: string) =>
  log.run({ id: v7(), name: 'group.put', payload: { id, name: id }, seen: 0 }, { name: 'vesa', role: 'lead' })
const groups = (log: JobLog) => Object.keys(log.facts.group)

describe('a backup', () => {
  it('is made while commands come in, opens, and brings the store back as it was then', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    for (let i = 0; i < 10; i++) await group(log, `g${i}`)
    const file = join(folder(), 'b.tar.gz')
    const under = Promise.all(Array.from({ length: 40 }, (_, i) => group(log, `h${i}`)))
    const manifest = await writeBackup(store, at, file)
    await under
    expect(manifest.rev).toBeGreaterThanOrEqual(10)
    expect(statSync(file).mode & 0o077).toBe(0)
    await group(log, 'late')
    const now = groups(log)
    await layReady(at, file)
    // Until the next start nothing is altered.
    await group(log, 'later')
    await store.close()
    const back = await opened(at)
    expect(back.log.facts.rev).toBe(manifest.rev)
    expect(groups(back.log)).toEqual(now.slice(0, manifest.rev))
    expect(back.log.aside).toEqual([])
    await back.store.close()
    expect(readdirSync(at).filter((n) => n.startsWith('store-before-'))).toHaveLength(1)
    // It goes into an empty folder as well: another laptop.
    const other = folder()
    await layReady(other, file)
    const there = await opened(other).catch(async () => null)
    expect(there?.log.facts.rev).toBe(manifest.rev)
    await there?.store.close()
  }, 150_000)

  it('that is cut short, altered, or is none, is refused with its name, and nothing is touched', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    await group(log, 'g')
    const good = join(folder(), 'good.tar.gz')
    await writeBackup(store, at, good)
    const bad = join(folder(), 'bad.tar.gz')
    const half = () => {
      copyFileSync(good, bad)
      truncateSync(bad, Math.floor(statSync(good).size / 2))
    }
    const text = () => writeFileSync(bad, 'not a backup')
    const others = async () => {
      const work = folder()
      writeFileSync(join(work, 'x'), 'x')
      await create({ gzip: true, file: bad, cwd: work }, ['x'])
    }
    const otherStore = async () => {
      const work = folder()
      mkdirSync(join(work, 'store'))
      writeFileSync(join(work, 'store', 'PG_VERSION'), '1')
      writeFileSync(join(work, 'backup.json'), JSON.stringify({ format: 'rauta-backup-1', rev: 1, changes: 1 }))
      await create({ gzip: true, file: bad, cwd: work }, ['backup.json', 'store'])
    }
    for (const make of [half, text, others, otherStore]) {
      await make()
      await expect(layReady(at, bad)).rejects.toThrow(/bad\.tar\.gz/)
    }
    await expect(writeBackup(store, at, '/proc/no/b.tar.gz')).rejects.toThrow('There is no folder /proc/no.')
    await expect(writeBackup(store, at, '/proc/b.tar.gz')).rejects.toThrow(/cannot be made/)
    expect(readdirSync(at).sort()).toEqual(['in-use', 'reserve', 'store'])
    await store.close()
  }, 150_000)

  it('restored and cut short anywhere leaves the old state or the new one', async () => {
    const at = folder()
    const first = await opened(at)
    await group(first.log, 'old')
    const file = join(folder(), 'b.tar.gz')
    await writeBackup(first.store, at, file)
    await group(first.log, 'since')
    await first.store.close()
    // While it is unfolded.
    mkdirSync(join(at, 'store-incoming', 'store'), { recursive: true })
    takeNext(at)
    const second = await opened(at)
    expect(groups(second.log)).toEqual(['old', 'since'])
    await second.store.close()
    // Between the two renames.
    await layReady(at, file)
    renameSync(join(at, 'store'), join(at, 'store-before-x'))
    const third = await opened(at)
    expect(groups(third.log)).toEqual(['old'])
    await third.store.close()
  }, 150_000)

  it('made by itself is kept by number and age: the newest four, and the newest of each of fourteen days', async () => {
    const name = (day: number, hour: number, rev: number) =>
      `rauta-2027-03-${String(day).padStart(2, '0')}T${String(hour).padStart(2, '0')}0000Z-${rev}.tar.gz`
    const names = Array.from({ length: 20 }, (_, d) => [0, 6, 12, 18].map((h) => name(d + 1, h, d * 4 + h))).flat()
    const gone = new Set(tooOld([...names, 'mine.tar.gz']))
    const kept = names.filter((n) => !gone.has(n))
    expect(gone.has('mine.tar.gz')).toBe(false)
    expect(kept).toHaveLength(4 + 13)
    expect(kept.slice(-4)).toEqual([0, 6, 12, 18].map((h) => name(20, h, 76 + h)))
    expect(kept.slice(0, -4)).toEqual(Array.from({ length: 13 }, (_, i) => name(i + 7, 18, (i + 6) * 4 + 18)))
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.integer({ min: 1, max: 28 }), fc.integer({ min: 0, max: 23 })), {
          selector: String,
        }),
        (times) => {
          const all = times.map(([d, h]) => name(d, h, 1))
          const old = tooOld(all)
          // None is taken away that is newer than one of its day that is kept, and the newest never is.
          const newest = ownBackups(all)[0]?.name
          expect(old).not.toContain(newest)
          expect(all.length - old.length).toBeLessThanOrEqual(18)
          expect(all.length - old.length).toBeGreaterThanOrEqual(Math.min(4, all.length))
        },
      ),
    )
    const at = folder()
    const { store, log } = await opened(at)
    await group(log, 'g')
    mkdirSync(join(at, 'backups'))
    writeFileSync(join(at, 'backups', 'new.part'), 'half')
    await backUpByItself(store, at)
    expect(await newestOwnBackup(at)).toMatchObject({ rev: 1 })
    expect(readdirSync(join(at, 'backups'))).toHaveLength(1)
    await store.close()
  }, 150_000)
})

/** The command line, as a process of its own. */
function rauta(args: string[], data: string): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'apps/cli/src/main.ts'), ...args], {
    cwd: root,
    env: { ...process.env, NODE_OPTIONS: '', RAUTA_DATA: data, INIT_CWD: root },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => (said += d.toString()))
  return new Promise((done) => child.once('exit', (code) => done({ code, said: said.trim() })))
}

describe('rauta backup and restore', () => {
  it('speak to the running server, and to the folder where none runs', async () => {
    const site = await new Site({ devices: [], doors: [], cards: {} }).start({ rig: false })
    await site.plan()
    const data = join(site.folder, 'data')
    const file = join(folder(), 'job.tar.gz')
    const { rev } = site.facts
    expect(await rauta(['backup', file], data)).toEqual({
      code: 0,
      said: `Backed up to ${file}, change ${rev}. It opens.`,
    })
    await site.command('group.put', { id: 'late', name: 'Late' })
    // Nobody else may ask for it, however well signed in.
    const other = await site.ask('POST', '/keep/restore', { file })
    expect(other.status).toBe(403)
    const restored = await rauta(['restore', file], data)
    expect(restored).toMatchObject({ code: 0, said: expect.stringContaining(`change ${rev}`) as string })
    await site.server.close()
    await site.startServer()
    expect(site.facts.rev).toBe(rev)
    expect(site.facts.group['late']).toBeUndefined()
    await site.server.close()
    expect(await rauta(['restore', join(data, 'none.tar.gz')], data)).toMatchObject({
      code: 1,
      said: expect.stringContaining('none.tar.gz') as string,
    })
    expect((await rauta(['backup', file], data)).code).toBe(0)
    expect((await rauta(['restore', file], data)).code).toBe(0)
    expect((await rauta(['backup'], data)).code).toBe(2)
    await site.startServer()
    expect(site.facts.rev).toBe(rev)
    expect(existsSync(join(data, 'in-use'))).toBe(true)
    expect(readFileSync(join(data, 'in-use'), 'utf8')).toContain('token')
    await site.stop()
  }, 120_000)
})
