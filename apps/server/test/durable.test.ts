import { spawnSync } from 'node:child_process'
import fs, {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { jest } from '@jest/globals'
import fc from 'fast-check'
import { v7 } from 'uuid'
import { makeClock } from '@rauta/protocols'
import { all } from '@rauta/core'
import { JobLog } from '../src/changes/log'
import { inUseBy, startOf } from '../src/store/lock'
import { openStore, type Store } from '../src/store/open'
import { StoreFullError } from '../src/store/room'
import { Totals } from '../src/store/totals'
import { freshStore } from './fresh'
import { PowerCut } from './powercut'
import { littleRoom, Site } from './site'

const job = 'job-1'
const chainKey = '11'.repeat(32)
const lead = { name: 'vesa', role: 'lead' as const }
const clock = makeClock(1)

const folders: string[] = []
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'rauta-durable-'))
  folders.push(made)
  return made
}
afterEach(() => jest.restoreAllMocks())
afterAll(() => {
  for (const f of folders) rmSync(f, { recursive: true, force: true })
})

async function opened(at: string): Promise<{ store: Store; log: JobLog }> {
  await freshStore(join(at, 'store'))
  const store = await openStore(at, littleRoom)
  return { store, log: await JobLog.open(store, job, clock, chainKey) }
}
const group = (log: JobLog, id: string, name = id) =>
  log.run({ id: v7(), name: 'group.put', payload: { id, name }, seen: log.facts.rev }, lead)
const begun = (log: JobLog) =>
  log.run(
    {
      id: v7(),
      name: 'job.create',
      seen: 0,
      payload: {
        name: 'J',
        client: '',
        site: '',
        zone: 'UTC',
        network: { address: '10.7.1.0', prefix: 24, gateway: '10.7.1.1', timeServer: '10.7.1.1' },
        publicKey: '',
      },
    },
    lead,
  )
const door = (log: JobLog, id: string) =>
  log.run(
    {
      id: v7(),
      name: 'door.add',
      seen: log.facts.rev,
      payload: { id, fields: { ref: id, name: `Door ${id}`, from: 'a', to: 'a', handle: true } },
    },
    lead,
  )

describe('acknowledged means on the disk', () => {
  it('the power goes after any command: what was acknowledged is there when the laptop starts again', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    await begun(log)
    const cut = new PowerCut(at)
    for (let i = 0; i < 40; i++) await group(log, `g${i}`)
    // Written to its places in between, as happens in a long day.
    await store.checkpoint()
    const last = await Promise.all([group(log, 'g40'), group(log, 'g41'), group(log, 'g42')])
    const after = join(folder(), 'data')
    cut.leaves(after)
    await store.close()
    rmSync(join(after, 'in-use'), { force: true })
    const again = await opened(after)
    expect(again.log.facts.rev).toBe(last[2].rev)
    expect(all(again.log.facts, 'group')).toHaveLength(43)
    expect(again.log.aside).toEqual([])
    await again.store.close()
  })

  it('every command on its own waits for the disk; those that wait together share one way there', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    const cut = new PowerCut(at)
    for (let i = 0; i < 20; i++) {
      const { syncs } = cut
      await group(log, `g${i}`)
      expect(cut.syncs).toBeGreaterThan(syncs)
    }
    const { syncs } = cut
    const answers = await Promise.all(Array.from({ length: 60 }, (_, i) => group(log, `h${i}`)))
    expect(new Set(answers.map((a) => a.rev)).size).toBe(60)
    expect(cut.syncs - syncs).toBeLessThan(10)
    await store.close()
  })

  it('one that is refused, or asked for twice, holds up nothing that waits beside it', async () => {
    const { store, log } = await opened(folder())
    const id = v7()
    const twice = () => log.run({ id, name: 'group.put', payload: { id: 'g', name: 'G' }, seen: 0 }, lead)
    const [first, wrong, second, other] = await Promise.allSettled([
      twice(),
      log.run({ id: v7(), name: 'group.put', payload: { id: '', name: '' }, seen: 0 }, lead),
      twice(),
      group(log, 'h'),
    ])
    expect(first).toMatchObject({ status: 'fulfilled', value: { rev: 1, repeated: false } })
    expect(wrong.status).toBe('rejected')
    expect(second).toMatchObject({ status: 'fulfilled', value: { rev: 1, repeated: true } })
    expect(other).toMatchObject({ status: 'fulfilled', value: { rev: 2 } })
    await store.close()
  })

  it('its files are their owner’s alone, whatever the umask and whoever made them before', async () => {
    const at = folder()
    const before = process.umask(0)
    await freshStore(join(at, 'store'))
    chmodSync(join(at, 'store', 'PG_VERSION'), 0o666)
    const { store, log } = await opened(at)
    await group(log, 'g')
    await store.checkpoint()
    const open: string[] = []
    const look = (path: string) => {
      if ((statSync(path).mode & 0o077) !== 0) open.push(path)
      if (statSync(path).isDirectory()) for (const name of readdirSync(path)) look(join(path, name))
    }
    look(at)
    expect(open).toEqual([])
    await store.close()
    process.umask(before)
  })
})

describe('a disk that is full', () => {
  /** As if so many bytes were free. */
  const free = (bytes: () => number) => {
    const real = fs.statfsSync.bind(fs)
    jest
      .spyOn(fs, 'statfsSync')
      .mockImplementation(((path: string) =>
        Object.assign(real(path), { bavail: Math.floor(bytes() / 4096), bsize: 4096 })) as typeof fs.statfsSync)
  }

  it('is said in words, reads go on, and writing goes on by itself when there is room', async () => {
    const site = await new Site({ devices: [], doors: [], cards: {} }).start({ rig: false })
    await site.plan()
    let bytes = 1e12
    free(() => bytes)
    await site.command('group.put', { id: 'g', name: 'Staff' })
    bytes = 0
    const refused = await site.ask('POST', '/commands', {
      id: v7(),
      name: 'group.put',
      payload: { id: 'h', name: 'Night' },
      seen: 0,
    })
    expect(refused.status).toBe(507)
    expect(refused.body['says']).toMatch(/disk is full: 0 MB are free/)
    expect((await site.ask('GET', '/facts')).status).toBe(200)
    expect((await site.ask('GET', '/health')).body).toMatchObject({ ready: true, full: true, freeB: 0 })
    expect((await site.ask('GET', '/changes?after=0')).status).toBe(200)
    await expect(site.server.context.log.append('x', 'x', () => [])).resolves.toBeDefined()
    bytes = 1e12
    await site.command('group.put', { id: 'h', name: 'Night' })
    expect(site.facts.group['h']).toMatchObject({ name: 'Night' })
    expect((await site.ask('GET', '/health')).body).toMatchObject({ full: false })
    await site.stop()
  })

  it('that fills up in the middle of a write takes the reserve: the write is finished, the next one is refused', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    const reserve = join(at, 'reserve')
    expect(statSync(reserve).size).toBe(littleRoom.reserveB)
    const real = fs.writeSync.bind(fs) as (...args: unknown[]) => number
    let full = true
    jest.spyOn(fs, 'writeSync').mockImplementation(((...args: unknown[]) => {
      const path = fs.readlinkSync(`/proc/self/fd/${String(args[0])}`)
      if (full && path.includes('pg_wal') && existsSync(reserve))
        throw Object.assign(new Error('ENOSPC: no space left on device'), { code: 'ENOSPC' })
      return real(...args)
    }) as typeof fs.writeSync)
    await group(log, 'g')
    expect(existsSync(reserve)).toBe(false)
    free(() => littleRoom.leastB + littleRoom.reserveB - 4096)
    await expect(group(log, 'h')).rejects.toThrow(StoreFullError)
    jest.restoreAllMocks()
    full = false
    await group(log, 'h')
    expect(statSync(reserve).size).toBe(littleRoom.reserveB)
    await store.close()
    const again = await opened(at)
    expect(Object.keys(again.log.facts.group)).toEqual(['g', 'h'])
    await again.store.close()
  })

  // Needs the right to mount, which a container does not always give.
  const small = folder()
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=160m', 'tmpfs', small]).status === 0
  afterAll(() => {
    if (mounted) spawnSync('umount', [small])
  })
  ;(mounted ? it : it.skip)('of its own, filled to the brim and freed again, loses nothing', async () => {
    const at = join(small, 'data')
    const { store, log } = await opened(at)
    await group(log, 'before')
    const filler = join(small, 'filler')
    const handle = fs.openSync(filler, 'w')
    expect(() => {
      for (;;) fs.writeSync(handle, Buffer.alloc(1 << 16))
    }).toThrow(/ENOSPC/)
    for (let i = 0; i < 50; i++) await expect(group(log, `full${i}`)).rejects.toThrow(StoreFullError)
    expect(Object.keys(log.facts.group)).toEqual(['before'])
    fs.closeSync(handle)
    rmSync(filler)
    await group(log, 'after')
    await store.close()
    const again = await opened(at)
    expect(Object.keys(again.log.facts.group)).toEqual(['before', 'after'])
    expect(again.log.aside).toEqual([])
    await again.store.close()
  })
})

describe('a store that lost a part', () => {
  const saysOf = (log: JobLog) => log.aside.map((a) => a.says)

  it('gets its records back from the log, half of them gone, some altered, some risen again', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    await begun(log)
    await log.run({ id: v7(), name: 'area.put', payload: { id: 'a', code: 'A', name: 'All' }, seen: 0 }, lead)
    for (let i = 0; i < 12; i++) await door(log, `D-${i}`)
    for (let i = 0; i < 6; i++) await group(log, `g${i}`)
    await log.run({ id: v7(), name: 'group.remove', payload: { id: 'g5' }, seen: log.facts.rev }, lead)
    const before = log.facts
    await store.db.execute(`delete from records where kind = 'door' and id in ('D-1', 'D-5', 'D-11')`)
    await store.db.execute(`update records set data = data || '{"name": "Another"}' where id = 'g2'`)
    await store.db.execute(`insert into records values ('${job}', 'group', 'g5', 1, '{"id": "g5", "name": "g5"}')`)
    await store.close()
    const again = await opened(at)
    expect(saysOf(again.log)).toEqual(['The store had lost or altered 5 records: made anew from the log of changes.'])
    expect(again.log.facts).toEqual(before)
    await group(again.log, 'g9')
    await again.store.close()
    const third = await opened(at)
    expect(saysOf(third.log)).toEqual([])
    expect(Object.keys(third.log.facts.door)).toHaveLength(12)
    await third.store.close()
  })

  it('whose log lacks changes names them and what may be lost, and goes on counting after them', async () => {
    const at = folder()
    const { store, log } = await opened(at)
    for (let i = 0; i < 6; i++) await group(log, `g${i}`)
    await store.db.execute(`delete from changes where rev in (3, 6)`)
    await store.db.execute(`delete from records where id = 'g1'`)
    await store.close()
    const again = await opened(at)
    expect(saysOf(again.log)).toEqual([
      'The job’s log lacks change 3.',
      'The job’s log lacks change 6.',
      'The group g1 is as change 2 left it; a later one may be lost.',
      'The store had lost or altered 1 record: made anew from the log of changes.',
    ])
    expect(Object.keys(again.log.facts.group).sort()).toEqual(['g0', 'g1', 'g2', 'g3', 'g4', 'g5'])
    expect((await group(again.log, 'g6')).rev).toBe(7)
    await again.store.close()
  })

  it('whose chain lost a record, or whose log was altered, says so', async () => {
    const site = await new Site({ devices: [], doors: [], cards: {} }).start({ rig: false })
    await site.plan()
    const { log } = site.server.context
    const [of] = all(log.facts, 'head')
    expect(of?.n).toBeGreaterThan(0)
    await site.server.close()
    const store = await openStore(join(site.folder, 'data'), littleRoom)
    await store.db.execute(`delete from chain_records where door = '${of?.id}' and n = 1`)
    await store.db.execute(`update changes set says = 'Something else' where rev = 2`)
    await store.close()
    await site.startServer()
    const { notices } = site.server.context
    expect(notices.map((n) => n.says)).toContain(
      `The record of door ${of?.id} has ${(of?.n ?? 0) - 1} of ${of?.n} entries.`,
    )
    await site.until('the log looked through', () =>
      notices.some((n) => n.says === 'Change 2 of the job’s log is not what was written then.'),
    )
    await site.stop()
  })
})

it('totals that went along with every change are those of the records as they stand; what is not taken alters nothing', () => {
  const change = fc.record({
    kind: fc.constantFrom('door', 'group'),
    id: fc.constantFrom('a', 'b', 'c'),
    after: fc.oneof(fc.constant(null), fc.record({ name: fc.string() })),
    taken: fc.boolean(),
  })
  fc.assert(
    fc.property(fc.array(change), (changes) => {
      const along = new Totals()
      const standing = new Map<string, (typeof changes)[number]>()
      for (const one of changes) {
        const weighed = along.weigh([one])
        if (!one.taken) continue
        weighed.take()
        standing.set(`${one.kind}/${one.id}`, one)
        expect([along.records, along.weight]).toEqual([weighed.records, weighed.weight])
      }
      const fresh = new Totals()
      for (const { kind, id, after } of standing.values()) fresh.set(kind, id, after)
      expect([along.records, along.weight]).toEqual([fresh.records, fresh.weight])
    }),
  )
})

describe('who has a data folder', () => {
  it('a process number that was given to another process since counts as nobody', async () => {
    const at = folder()
    mkdirSync(join(at, 'x'))
    writeFileSync(join(at, 'in-use'), JSON.stringify({ pid: process.ppid, started: startOf(process.ppid) }))
    expect(inUseBy(at)).toMatchObject({ pid: process.ppid })
    await expect(openStore(at)).rejects.toThrow(new RegExp(`in use by another server \\(process ${process.ppid}\\)`))
    writeFileSync(join(at, 'in-use'), JSON.stringify({ pid: process.ppid, started: 'another start' }))
    expect(inUseBy(at)).toBeNull()
    const { store } = await opened(at)
    expect(inUseBy(at)).toMatchObject({ pid: process.pid })
    await store.close()
    expect(inUseBy(at)).toBeNull()
  })
  it('a store whose making was cut short is made anew', async () => {
    const at = folder()
    mkdirSync(join(at, 'store-half'))
    writeFileSync(join(at, 'store-half', 'PG_VERSION'), '')
    const store = await openStore(at, littleRoom)
    expect(readdirSync(at).sort()).toEqual(['in-use', 'reserve', 'store'])
    await store.close()
  })
})

describe('a key file that is gone', () => {
  it('closes what is sealed and nothing else, and none is made in its place', async () => {
    const site = await new Site({ devices: [], doors: [], cards: {} }).start({ rig: false })
    await site.plan()
    const key = join(site.folder, 'key')
    const kept = fs.readFileSync(key)
    await site.server.close()
    for (const damage of [() => rmSync(key), () => writeFileSync(key, 'ab'.repeat(32))]) {
      damage()
      await site.startServer()
      expect(Object.keys(site.facts.door).length).toBeGreaterThan(0)
      expect(site.server.context.notices.map((n) => n.kind)).toEqual(['key'])
      const said = await site.ask('GET', '/facts')
      expect(JSON.stringify(said.body['aside'])).toContain('Put it back')
      // What needs no seal goes on; what belongs into a door's record does not.
      await site.command('group.put', { id: `g${v7()}`, name: `Night ${v7().slice(-6)}` })
      const [of] = all(site.facts, 'door')
      const refused = await site.ask('POST', '/commands', {
        id: v7(),
        name: 'door.edit',
        payload: { id: of?.id, fields: { name: 'Another' } },
        seen: site.facts.rev,
      })
      expect(refused).toMatchObject({ status: 409, body: { says: expect.stringMatching(/key file/) as string } })
      await site.server.close()
    }
    writeFileSync(key, kept)
    await site.startServer()
    expect(site.server.context.notices).toEqual([])
    await site.stop()
  })
})
