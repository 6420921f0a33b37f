import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { sql } from 'drizzle-orm'
import { batchMost, type CommandRequest } from '@rauta/contracts'
import { makeClock } from '@rauta/protocols'
import { v7 } from 'uuid'
import { JobLog } from '../../apps/server/src/changes/log'
import { openStore } from '../../apps/server/src/store/open'
import { Room } from '../../apps/server/src/store/room'
import { syncedEngine } from '../../apps/server/src/store/synced'
import { median, row, time } from './measure'

const lead = { name: 'lead', role: 'lead' as const }
const aSecond = (count: number, ms: number) => `${((count / ms) * 1000).toFixed(0)} a second`
const command = (): CommandRequest => {
  const id = v7()
  return { id, name: 'group.put', payload: { id, name: `Group ${id}` }, seen: 0 }
}

/** Single rows into an engine, each on its own. */
async function rawInserts(engine: PGlite, count: number): Promise<number> {
  await engine.waitReady
  await engine.query('create table t (id text primary key, data jsonb)')
  const took = await time(async () => {
    for (let i = 0; i < count; i++)
      await engine.query('insert into t values ($1, $2)', [`w${i}`, JSON.stringify({ id: `w${i}`, name: `W${i}` })])
  })
  await engine.close()
  return took
}

/** Commands through the log with durability on, beside raw inserts of the same engine with and without it. */
async function writes(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const store = await openStore(join(folder, 'data'))
  const log = await JobLog.open(store, 'job-1', makeClock(1), '11'.repeat(32))
  const count = 300
  const single: number[] = []
  const synced: number[] = []
  const loose: number[] = []
  const batched: number[] = []
  const together: number[] = []
  for (let round = 0; round < 3; round++) {
    single.push(
      await time(async () => {
        for (let i = 0; i < count; i++) await log.run(command(), lead)
      }),
    )
    batched.push(await time(() => log.runAll(Array.from({ length: batchMost }, command), lead)))
    together.push(await time(() => Promise.all(Array.from({ length: batchMost }, () => log.run(command(), lead)))))
    const at = join(folder, `synced${round}`)
    mkdirSync(at)
    synced.push(await rawInserts(syncedEngine(join(at, 'store'), new Room(at)), count))
    loose.push(await rawInserts(new PGlite(join(folder, `loose${round}`)), count))
  }
  await store.close()
  rmSync(folder, { recursive: true, force: true })
  const raw = `raw single-row inserts of the same engine, synced, ${aSecond(count, median(synced))}`
  row(
    `${count} commands through the change log, one after the other, each on the disk before its answer`,
    aSecond(count, median(single)),
    raw,
    (median(synced) / median(single)).toFixed(2),
    '0.3',
  )
  const share = (took: number) => (median(synced) / count / (took / batchMost)).toFixed(2)
  row(`${batchMost} commands in one batch`, aSecond(batchMost, median(batched)), raw, share(median(batched)), '0.3')
  row(
    `${batchMost} commands asked for at once by as many`,
    aSecond(batchMost, median(together)),
    raw,
    share(median(together)),
    '0.3',
  )
  row(
    'what durability costs: a row of its own, synced',
    aSecond(count, median(synced)),
    `the same without syncing ${aSecond(count, median(loose))}`,
    (median(synced) / median(loose)).toFixed(2),
    'reported',
  )
}

/** A job that has gone on for long: how soon it is there, and whether writing to it still takes what it took at first. */
export async function grown(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const data = join(folder, 'data')
  const clock = makeClock(1)
  const open = async () => {
    const store = await openStore(data)
    return { store, log: await JobLog.open(store, 'job-1', clock, '11'.repeat(32)) }
  }
  const opening = async () => {
    const took: number[] = []
    for (let i = 0; i < 3; i++) {
      let close = () => Promise.resolve()
      took.push(
        await time(async () => {
          const { store } = await open()
          close = () => store.close()
        }),
      )
      await close()
    }
    return median(took)
  }
  const commits = async () => {
    const { store, log } = await open()
    const took: number[] = []
    for (let i = 0; i < 200; i++) took.push(await time(() => log.run(again(i), lead)))
    await store.close()
    return median(took)
  }
  // The same few hundred records over and over, as a job has it.
  const again = (i: number): CommandRequest => ({
    id: v7(),
    name: 'group.put',
    payload: { id: `g${i % 400}`, name: `Group ${i % 400}, ${i}` },
    seen: 0,
  })
  await commits()
  const youngOpen = await opening()
  const youngCommit = await commits()
  const { store, log } = await open()
  for (let i = 0; i < longCommands; i += batchMost)
    await log.runAll(
      Array.from({ length: batchMost }, (_, k) => again(i + k)),
      lead,
    )
  const before = sizeOf(data)
  for (let i = 0; i < longEvents; i += 50_000)
    await store.db.execute(
      sql.raw(
        `insert into events (job, id, received, data) select 'job-1', 'a1:b:' || n, 1900000000000 + n, jsonb_build_object('id', 'a1:b:' || n, 'controller', 'a1', 'boot', 'b', 'seq', n, 'at', 1900000000000 + n, 'received', 1900000000000 + n, 'offsetMs', 0, 'kind', 'leaf', 'door', 'D-01', 'reader', '', 'card', '', 'state', 'open', 'says', 'Leaf opened') from generate_series(${i + 1}, ${i + 50_000}) as n`,
      ),
    )
  await store.checkpoint()
  await store.close()
  const eventB = (sizeOf(data) - before) / longEvents
  const oldOpen = await opening()
  const oldCommit = await commits()
  rmSync(folder, { recursive: true, force: true })
  const what = `${longCommands.toLocaleString('en')} commands and ${longEvents.toLocaleString('en')} events`
  row(
    `opening a store with ${what}`,
    `${oldOpen.toFixed(0)} ms`,
    `one with 200 commands ${youngOpen.toFixed(0)} ms`,
    (oldOpen / youngOpen).toFixed(2),
    '3 s',
  )
  row(
    `one command into a store with ${what}`,
    `${oldCommit.toFixed(2)} ms`,
    `into one with 200 commands ${youngCommit.toFixed(2)} ms`,
    (oldCommit / youngCommit).toFixed(2),
    'flat',
  )
  row(
    'size of the store for each event',
    `${eventB.toFixed(0)} bytes`,
    'its own JSON 210 bytes',
    (eventB / 210).toFixed(2),
    'reported',
  )
}
const longCommands = 20_000
const longEvents = 1_000_000

/** Bytes of all files below a folder. */
const sizeOf = (folder: string): number =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((f) => f.isFile())
    .reduce((sum, f) => sum + statSync(join(f.parentPath, f.name)).size, 0)

async function starts(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const env = { ...process.env, RAUTA_DATA: join(folder, 'data'), RAUTA_KEY: join(folder, 'key'), PORT: '0' }
  const once = (file: string, args: string[]) =>
    time(
      () =>
        new Promise<void>((done, fail) => {
          const child = spawn(process.execPath, [...args, file], { env, stdio: ['ignore', 'pipe', 'inherit'] })
          child.stdout.once('data', () => {
            child.once('exit', () => done())
            child.kill('SIGTERM')
          })
          child.once('error', fail)
        }),
    )
  const nothing = join(folder, 'nothing.ts')
  writeFileSync(nothing, "console.log('{}'); setInterval(() => undefined, 1000)")
  await once('apps/server/src/main.ts', ['--import', 'tsx'])
  const ours: number[] = []
  const bare: number[] = []
  for (let i = 0; i < 3; i++) {
    ours.push(await once('apps/server/src/main.ts', ['--import', 'tsx']))
    bare.push(await once(nothing, ['--import', 'tsx']))
  }
  row(
    'start and end of the server on an existing store',
    `${median(ours).toFixed(0)} ms`,
    `a process that only prints a line ${median(bare).toFixed(0)} ms`,
    (median(ours) / median(bare)).toFixed(2),
    'none set',
  )
  rmSync(folder, { recursive: true, force: true })
}

export async function storeBench(): Promise<void> {
  await writes()
  await starts()
  await grown()
}
