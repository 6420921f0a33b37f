import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { numbers } from '../../packages/core/test/trees'

export interface KillsAsked {
  base: string
  kills: number
  /** How many of them end the whole browser; the others the page's process. */ browsers: number
  seed: number
  door: string
  log: (says: string) => void
}
export interface KillsTold {
  kills: number
  browsers: number
  duringSync: number
  shown: number
  arrived: number
  lost: number[]
  twice: number[]
}

/** A browser of our own, in a profile that outlives it. */
class Phone {
  private process: ChildProcess | null = null
  private browser: Browser | null = null
  context: BrowserContext | null = null
  readonly profile = mkdtempSync(join(tmpdir(), 'rauta-phone-'))

  async open(offline: boolean): Promise<BrowserContext> {
    const started = spawn(
      '/usr/bin/chromium',
      [
        '--headless=new',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--window-size=390,844',
        '--remote-debugging-port=0',
        `--user-data-dir=${this.profile}`,
        'about:blank',
      ],
      { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
    )
    this.process = started
    const address = await new Promise<string>((done, fail) => {
      let said = ''
      started.stderr.on('data', (data: Buffer) => {
        said += data.toString()
        const found = /DevTools listening on (ws:\S+)/.exec(said)
        if (found?.[1]) done(found[1])
      })
      started.on('exit', () => fail(new Error(`The browser ended: ${said.slice(-300)}`)))
    })
    this.browser = await chromium.connectOverCDP(address)
    const context = this.browser.contexts()[0]
    if (!context) throw new Error('The browser has no context.')
    this.context = context
    context.setDefaultTimeout(15_000)
    await context.setOffline(offline)
    return context
  }

  /** The whole browser, as when the phone's battery is pulled. */
  async kill(): Promise<void> {
    const { process: child } = this
    if (child?.pid === undefined) return
    const gone = new Promise((done) => child.once('exit', done))
    try {
      process.kill(-child.pid, 'SIGKILL')
    } catch {
      /* it was gone already */
    }
    await gone
    await this.browser?.close().catch(() => undefined)
  }

  async end(): Promise<void> {
    await this.kill()
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 5 })
  }
}

/** Ends the page's process at once, in the middle of whatever it writes. */
async function crash(context: BrowserContext, page: Page): Promise<void> {
  const cdp = await context.newCDPSession(page)
  await Promise.race([cdp.send('Page.crash').catch(() => undefined), new Promise((done) => setTimeout(done, 500))])
  await page.close({ runBeforeUnload: false }).catch(() => undefined)
}

const signIn = (context: BrowserContext, base: string) =>
  context.request.post(`${base}/api/v1/sign-in`, { data: { name: 'inka', password: 'alder-quay-demo' } })
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/**
 * Enters readings without signal, kills the page or the whole browser at random moments (now and then while the records are on their
 * way), and compares what was shown as kept with what the server has at the end.
 */
export async function killRounds({ base, kills, browsers, seed, door, log }: KillsAsked): Promise<KillsTold> {
  const next = numbers(seed)
  const phone = new Phone()
  const shown = new Set<number>()
  let value = 0
  let duringSync = 0
  const wholeBrowser = new Set(Array.from({ length: browsers }, (_, i) => Math.floor(((i + 0.5) * kills) / browsers)))
  try {
    let context = await phone.open(false)
    let page = await context.newPage()
    await signIn(context, base)
    await page.goto(`${base}/waiting`)
    await page.getByText('Rauta is on this phone').waitFor()
    await page.goto(`${base}/doors`)
    await page.getByRole('heading', { name: /doors$/, level: 1 }).waitFor()
    await pause(2500) // the job is written down when the screen stands still
    for (let n = 0; n < kills; n++) {
      await context.setOffline(true)
      await page.goto(`${base}/doors/${door}/wire`)
      const field = page.getByRole('textbox', { name: 'New loop resistance, Ω' }).first()
      await field.waitFor()
      // Some are killed at any moment; the others once something is shown as kept, however busy the machine is.
      const patience = next() < 0.3 ? 0 : 6000
      const spread = 150 + next() * 800
      const deadline = Date.now() + spread + patience
      const sync = next() < 0.3
      let firstShown: () => void = () => undefined
      const isShown = new Promise<void>((done) => (firstShown = done))
      const entering = (async () => {
        while (Date.now() < deadline + 3000) {
          const mine = (value += 1) / 1000
          await field.fill(String(mine).replace('.', ','))
          await page.getByRole('button', { name: 'Save reading' }).first().click({ timeout: 2000 })
          // What the screen shows as kept has to be there ever after.
          await page
            .getByText('Kept on this phone; waits for the server.')
            .and(page.locator(':visible'))
            .first()
            .waitFor({ timeout: 2000 })
          await page.getByText(mine.toFixed(2), { exact: true }).first().waitFor({ timeout: 2000 })
          const waits = await page.evaluate(
            (wanted) =>
              new Promise<boolean>((done) => {
                const open = indexedDB.open('rauta')
                open.onsuccess = () => {
                  const all = open.result.transaction('waiting').objectStore('waiting').getAll()
                  all.onsuccess = () => {
                    done((all.result as { payload: { value?: number } }[]).some((w) => w.payload.value === wanted))
                    open.result.close()
                  }
                }
              }),
            mine,
          )
          if (waits) {
            shown.add(value)
            firstShown()
          }
        }
      })().catch(() => undefined)
      if (patience) await Promise.race([isShown, pause(patience)])
      await pause(spread)
      if (sync) {
        duringSync += 1
        await context.setOffline(false)
        void page
          .evaluate(() => {
            window.dispatchEvent(new Event('online'))
          })
          .catch(() => undefined)
        await pause(next() * 400)
      }
      if (wholeBrowser.has(n)) {
        await phone.kill()
        await entering
        context = await phone.open(true)
        // A browser writes its cookies down late: the same person signs in again, and the records are still there.
        await signIn(context, base)
      } else {
        await crash(context, page)
        await entering
      }
      page = await context.newPage()
      if (n % 10 === 9) log(`${n + 1} of ${kills} kills, ${shown.size} readings shown as kept`)
    }
    await context.setOffline(false)
    await page.goto(`${base}/waiting`)
    await page.getByText('Nothing waits').waitFor({ timeout: 60_000 })
    const facts = (await (await context.request.get(`${base}/api/v1/facts`)).json()) as {
      records: { kind: string; data: { door?: string; by?: string; value?: number; kind?: string } }[]
    }
    const there = facts.records
      .filter((r) => r.kind === 'reading' && r.data.door === door && r.data.by === 'inka')
      .map((r) => Math.round((r.data.value ?? 0) * 1000))
    return {
      kills,
      browsers,
      duringSync,
      shown: shown.size,
      arrived: there.length,
      lost: [...shown].filter((v) => !there.includes(v)),
      twice: there.filter((v, i) => there.indexOf(v) !== i),
    }
  } finally {
    await phone.end()
  }
}
