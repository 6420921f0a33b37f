import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { buildSync } from 'esbuild'
import { all, applyChanges, headroom, Keeper, put, solveTree, type Door, type Table, type Tree } from '@rauta/core'
import { findHeader, previewRows, readRows } from '@rauta/core/doorlist'
import { siteDoors } from '@rauta/core/siting'
import { shippedSheets } from '@rauta/contracts'
import { readPaper, scheduleXlsx } from '@rauta/papers'
import { spiceVolts } from '../../packages/core/test/spice'
import { numbers, randomTree } from '../../packages/core/test/trees'
import { median, row, time } from './measure'
import { bigSite, placedSite } from './site'

const ms = (n: number) =>
  n < 10 ? `${n.toFixed(2)} ms` : n < 10_000 ? `${n.toFixed(0)} ms` : `${(n / 1000).toFixed(1)} s`

async function solver(): Promise<void> {
  const next = numbers(4)
  const small: Tree[] = []
  while (small.length < 40) {
    const t = randomTree(next, 20, 0.6)
    if (headroom(t, 2) >= 1.05) small.push(t)
  }
  for (const t of small) solveTree(t)
  const ours = await time(() => {
    for (let i = 0; i < 50; i++) for (const t of small) solveTree(t)
  })
  const spice = await time(() => {
    for (const t of small) spiceVolts(t)
  })
  row(
    'solve a supply tree of 20 nodes',
    ms(ours / 50 / small.length),
    `one ngspice run for each ${ms(spice / small.length)}`,
    `${(spice / small.length / (ours / 50 / small.length)).toFixed(0)} times faster`,
    '100 times',
  )
  const large = largeTree(5000)
  solveTree(large)
  const big: number[] = []
  const theirs: number[] = []
  for (let i = 0; i < 5; i++) {
    big.push(await time(() => solveTree(large)))
    theirs.push(await time(() => spiceVolts(large)))
  }
  row(
    'solve a supply tree of 5000 nodes',
    ms(median(big)),
    `one ngspice run ${ms(median(theirs))}`,
    `${(median(theirs) / median(big)).toFixed(0)} times faster`,
    '10 times',
  )
}

/** A wide tree that carries itself. */
function largeTree(n: number): Tree {
  const next = numbers(9)
  const nodes = Array.from({ length: n }, (_, i): Tree['nodes'][number] => ({
    id: `n${i}`,
    parent: i < 50 ? null : `n${Math.floor(next() * i)}`,
    ohm: 0.001 + next() * 0.004,
    consumers: [next() < 0.5 ? { kind: 'current', amps: 0.0005 } : { kind: 'power', watts: 0.005, cutOffV: 5 }],
  }))
  return { sourceV: 27.2, sourceOhm: 0.01, nodes }
}

async function moments(): Promise<void> {
  const { doors, controllers } = placedSite(500)
  const nodes = controllers.reduce(
    (n, c) => n + 1 + doors.filter((d) => d.placement?.controller === c.id).length * 2,
    0,
  )
  const one = largeTree(nodes)
  solveTree(one)
  const single = await time(() => solveTree(one))
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const file = join(folder, 'moments.cjs')
  buildSync({
    entryPoints: ['scripts/bench/moments.worker.ts'],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    outfile: file,
  })
  const worker = new Worker(file, { workerData: { doors, controllers } })
  const told = await new Promise<{ count: number; took: number }>((done, fail) => {
    worker.once('message', done)
    worker.once('error', fail)
  })
  await worker.terminate()
  rmSync(folder, { recursive: true, force: true })
  row(
    `volts and amps of 500 doors in all their ${told.count} moments, in a worker`,
    ms(told.took),
    `one solve of a tree of the same ${nodes} nodes ${ms(single)}`,
    `${(told.took / single).toFixed(0)} for ${told.count} moments`,
    'reported',
  )
}

async function placing(): Promise<void> {
  const input = bigSite(500)
  let first = 0
  const from = performance.now()
  let siting = siteDoors({ ...input, doors: input.doors.slice(0, 20) })
  const took = await time(() => {
    siting = siteDoors(input, () => {
      first ||= performance.now() - from
      return true
    })
  })
  const over = ((siting.cableM - siting.bound.cableM) / siting.bound.cableM) * 100
  row(
    'place 500 doors on 20 cabinets',
    ms(took),
    `first proposal after ${ms(first)}; ${siting.newControllers} controllers, no fewer than ${siting.bound.controllers} can do`,
    `cable ${over.toFixed(2)} % over what nothing can go under`,
    '20 s',
  )
}

async function recompute(): Promise<void> {
  const { facts } = placedSite(500)
  const fresh = () => {
    const k = new Keeper()
    k.take(facts, shippedSheets)
    return k
  }
  const everything = (k: Keeper) => {
    for (const d of all(facts, 'door')) k.marksOf(d)
    for (const c of all(facts, 'controller')) k.reportOf(c)
  }
  everything(fresh())
  const full = median(await Promise.all([1, 2, 3].map(async () => time(() => everything(fresh())))))
  const keeper = fresh()
  everything(keeper)
  let now = facts
  const edits: number[] = []
  for (let i = 0; i < 200; i++) {
    const door = Object.values(now.door)[(i * 37) % 500] as Door
    const edited: Door = { ...door, cables: door.cables.map((c) => ({ ...c, lengthM: 10 + (i % 40) })) }
    now = applyChanges(now, [put(now, 'door', edited)], now.rev + 1)
    edits.push(
      await time(() => {
        keeper.take(now, shippedSheets)
        keeper.marksOf(edited)
        const controller = now.controller[edited.placement?.controller ?? '']
        if (controller) {
          for (const d of all(now, 'door')) if (!keeper.knows(d.id)) keeper.marksOf(d)
          keeper.reportOf(controller)
        }
      }),
    )
  }
  row(
    'marks and supplies after one door was edited (median of 200)',
    ms(median(edits)),
    `all of 500 doors anew ${ms(full)}`,
    `${((median(edits) / full) * 100).toFixed(2)} %`,
    '1 %',
  )
}

/** How much memory looking a list through takes, over that of a process that has looked through a short one. */
function inOwnProcess(bytes: Uint8Array): { rows: number; overMb: number } {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const file = join(folder, 'list.csv')
  writeFileSync(file, bytes)
  const said = execFileSync(process.execPath, ['--import', 'tsx', 'scripts/bench/paperMemory.ts', file])
  rmSync(folder, { recursive: true, force: true })
  return JSON.parse(String(said)) as { rows: number; overMb: number }
}

async function papers(): Promise<void> {
  const { doors } = placedSite(200)
  const text = (n: number) =>
    [
      'Ref;Name;From;To;Escape route;Release time;Cable length;Passages',
      ...Array.from(
        { length: n },
        (_, i) => `R-${i};Door number ${i};Area ${i % 40};Area ${(i * 7) % 40};yes;5 s;${i % 90} m;${i % 400}`,
      ),
    ].join('\n')
  const read = async (bytes: Uint8Array) => {
    const { tables } = await readPaper(bytes, 'list')
    const table = tables[0] as Table
    const head = findHeader(table)
    return previewRows(readRows(table, head.row, head.columns, shippedSheets), doors, [])
  }
  const heapOf = async (work: () => Promise<unknown>) => {
    global.gc?.()
    const before = process.memoryUsage().heapUsed
    const kept = await work()
    const after = process.memoryUsage().heapUsed
    return { kept, mb: (after - before) / 1e6 }
  }
  await read(Buffer.from(text(200)))
  const small = await time(() => read(Buffer.from(text(2000))))
  const bytes = Buffer.from(text(20_000))
  const took = await time(() => read(bytes))
  const { rows, overMb } = inOwnProcess(bytes)
  row(
    `look through a door schedule of ${rows} rows, CSV`,
    ms(took),
    `2,000 rows ${ms(small)}`,
    `${(took / small).toFixed(1)} times for 10 times the rows; ${overMb.toFixed(0)} MB over the start for a file of ${(bytes.length / 1e6).toFixed(1)} MB`,
    '30 MB over the start',
  )
  const book = await scheduleXlsx({
    doors: Array.from({ length: 20_000 }, (_, i) => ({ ...(doors[i % 200] as Door), id: `x${i}`, ref: `X-${i}` })),
    areas: [{ id: 'a', code: 'A', name: 'All' }],
    cabinets: [],
    sheets: shippedSheets,
  })
  const sheet = await time(() => read(book))
  const heldBook = await heapOf(() => read(book))
  row(
    'look through 20,000 rows, XLSX',
    ms(sheet),
    `the same rows as CSV ${ms(took)}`,
    `${(sheet / took).toFixed(1)}; heap ${(heldBook.mb / (book.length / 1e6)).toFixed(0)} times the file of ${(book.length / 1e6).toFixed(1)} MB`,
    'reported',
  )
}

export async function planBench(): Promise<void> {
  await solver()
  await moments()
  await placing()
  await recompute()
  await papers()
}
