import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
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
}
