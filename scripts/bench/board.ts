import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import type { Browser } from '@playwright/test'
import { launchBrowser } from '../browser'
import { makeClock } from '@rauta/protocols'
import { v7 } from 'uuid'
import { startServer } from '../../apps/server/src'
import { median, row } from './measure'
import { bigSite } from './site'

/** A server with a job of so many doors, placed by the real commands. */
export async function serverWith(doors: number) {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-board-'))
  const server = await startServer({
    dataFolder: null,
    keyFile: join(folder, 'key'),
    port: 0,
    clock: makeClock(1),
    table: null,
    webFolder: resolve('apps/web/dist'),
    rigPage: null,
    logLevel: 'silent',
  })
  const base = `http://127.0.0.1:${server.port}`
  const signed = await fetch(`${base}/api/v1/first`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'lead',
      password: 'long enough 1',
      job: {
        name: 'J',
        client: '',
        site: '',
        zone: 'UTC',
        network: { address: '10.1.0.0', prefix: 16, gateway: '10.1.0.1', timeServer: '10.1.0.1' },
      },
    }),
  })
  const cookie = signed.headers.get('set-cookie')?.split(';')[0]?.split('=') ?? []
  const { log } = server.context
  const run = (name: string, payload: object) =>
    log.run({ id: v7(), name, payload, seen: log.facts.rev }, { name: 'lead', role: 'lead' })
  await run('area.put', { id: 'a', code: 'A', name: 'All' })
  const site = bigSite(Math.max(doors, 1))
  if (doors) {
    await run('doors.import', {
      file: 'bench',
      meanings: {},
      doors: site.doors.map((d) => ({
        ref: d.ref,
        name: d.name,
        from: 'All',
        to: 'All',
        handle: true,
        lengthM: 30,
        hardware: Object.fromEntries(d.parts.map((p) => [p.role, p.sheet])),
      })),
    })
    const { all } = await import('@rauta/core')
    const { siteDoors } = await import('@rauta/core/siting')
    const siting = siteDoors({
      ...site,
      doors: all(log.facts, 'door').map((d, i) => ({ ...d, at: site.doors[i]?.at ?? { x: 0, y: 0 } })),
    })
    await run('site.place', {
      controllers: siting.controllers,
      doors: siting.doors.map(({ door, placement, lengthM }) => ({ door, placement, lengthM })),
    })
  }
  return {
    base,
    cookie,
    log,
    close: async () => {
      await server.close()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** Long tasks of a first look at the board and a scroll through it, CPU slowed four times. */
async function longTasks(
  browser: Browser,
  at: { base: string; cookie: string[] },
  doors: number,
): Promise<{ tasks: number[]; ready: number }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  await context.addCookies([{ name: at.cookie[0] ?? '', value: at.cookie[1] ?? '', url: at.base }])
  const page = await context.newPage()
  await page.addInitScript(() => {
    const kept: number[] = []
    ;(window as unknown as { longTasks: number[] }).longTasks = kept
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) kept.push(e.duration)
    }).observe({ type: 'longtask', buffered: true })
  })
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  const from = performance.now()
  await page.goto(`${at.base}/doors`)
  await page.getByRole('heading', { level: 1, name: `${doors} doors` }).waitFor()
  // Once all marks are worked out, they are counted.
  await page.waitForFunction(
    (count) => !count || document.querySelector('[aria-label="Doors by marks"] [role="listitem"][aria-label*=" of "]'),
    doors,
    { polling: 100, timeout: 60_000 },
  )
  const ready = performance.now() - from
  await page.waitForTimeout(2500)
  for (let i = 0; i < 8; i++) {
    await page.mouse.move(200, 500)
    await page.mouse.wheel(0, 2500)
    await page.waitForTimeout(120)
  }
  await page.waitForTimeout(800)
  const tasks = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks)
  await context.close()
  return { tasks, ready }
}

export async function boardBench(): Promise<void> {
  const [full, empty] = await Promise.all([serverWith(500), serverWith(0)])
  const browser = await launchBrowser()
  const ours: number[][] = []
  const bare: number[][] = []
  const ready: number[] = []
  for (let i = 0; i < 3; i++) {
    bare.push((await longTasks(browser, empty, 0)).tasks)
    const answer = await longTasks(browser, full, 500)
    ours.push(answer.tasks)
    ready.push(answer.ready)
  }
  const say = (list: number[][]) =>
    `${median(list.map((t) => t.length))} tasks over 50 ms, the longest ${Math.round(median(list.map((t) => Math.max(0, ...t))))} ms`
  row(
    'board of 500 doors, first look and a scroll, CPU slowed 4 times',
    `${say(ours)}; all marks counted after ${(median(ready) / 1000).toFixed(1)} s`,
    `the same board with no door ${say(bare)}`,
    `${(median(ours.map((t) => t.reduce((a, b) => a + b, 0))) / Math.max(1, median(bare.map((t) => t.reduce((a, b) => a + b, 0))))).toFixed(1)} times the time in long tasks`,
    'no long task that the empty board doesn’t have',
  )
  await browser.close()
  await full.close()
  await empty.close()
}
