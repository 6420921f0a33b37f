import { execFileSync } from 'node:child_process'
import { X509Certificate, createHash } from 'node:crypto'
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test'
import { v7 } from 'uuid'
import { killRounds } from '../kills/kills'
import { launch, root, type Launched } from '../launch'
import { anotherPage, plate, signIn } from './helpers'

/** On this phone, and the job written down. */
async function installed(page: Page): Promise<void> {
  await page.goto(new URL('/waiting', page.url()).href)
  await expect(page.getByText('Rauta is on this phone and opens without the server.')).toBeVisible()
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise((done) => {
            const open = indexedDB.open('rauta')
            open.onsuccess = () => {
              const get = open.result.transaction('snapshot').objectStore('snapshot').count()
              get.onsuccess = () => {
                done(get.result)
                open.result.close()
              }
            }
          }),
      ),
    )
    .toBe(1)
}
const reading = (page: Page) => page.getByRole('textbox', { name: 'New loop resistance, Ω' }).first()
async function enter(page: Page, value: string): Promise<void> {
  await reading(page).fill(value)
  await page.getByRole('button', { name: 'Save reading' }).first().click()
}

test('a door is wired without signal, the page is opened anew, and the records arrive once when the server is back', async ({
  page,
  context,
  browser,
}) => {
  await signIn(page, 'inka')
  await installed(page)
  await context.setOffline(true)
  await page.goto('/doors/V-06/wire')
  await page.getByRole('checkbox', { name: 'pulled', exact: true }).click()
  await expect(page.getByRole('checkbox', { name: 'pulled, waits for the server' })).toBeChecked()
  await enter(page, '99')
  await expect(page.getByText('Kept on this phone; waits for the server.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Likely causes' })).toBeVisible() // judged here, by the core in the browser
  await page.getByLabel('Picture to keep with the door').setInputFiles(plate)
  await expect(page.getByRole('img', { name: 'termination of W1, by inka' })).toBeVisible()
  await page.getByRole('button', { name: 'Wire sheet as PDF' }).click()
  await expect(page.getByText('Files are made by the server, and it is out of reach.')).toBeVisible()
  await page.goto('/waiting')
  await expect(page.getByRole('heading', { name: '3 wait for the server' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save them to a file' }).click(),
  ])
  expect(JSON.parse(readFileSync(await download.path(), 'utf8'))).toMatchObject({
    by: 'inka',
    records: [{ name: 'tick.set' }, { name: 'reading.add' }, { name: 'photo.add' }],
  })
  // Meanwhile somebody else ticks the same cable: both agree afterwards.
  const other = await anotherPage(browser, 'vesa')
  await other.goto('/doors/V-06/wire')
  await other.getByRole('checkbox', { name: 'pulled', exact: true }).click()
  await expect(other.getByRole('checkbox', { name: 'pulled', exact: true })).toBeChecked()
  await context.setOffline(false)
  await expect(page.getByText('Nothing waits.')).toBeVisible({ timeout: 20_000 })
  await expect(other.getByText('99.00')).toBeVisible()
  await expect(other.getByRole('img', { name: 'termination of W1, by inka' })).toBeVisible()
  const id =
    (await page.evaluate(
      async () =>
        (
          (await (await fetch('/api/v1/facts')).json()) as { records: { kind: string; data: { id: string } }[] }
        ).records.find((r) => r.kind === 'photo')?.data.id,
    )) ?? ''
  expect((await page.request.get(`/api/v1/photos/${id}`)).headers()['content-type']).toBe('image/jpeg')
  // The file brings nothing twice.
  await other.goto('/waiting')
  await other.getByLabel('File with waiting records').setInputFiles(await download.path())
  await expect(other.getByText('0 records of inka brought in, 3 were here already.')).toBeVisible()
  await other.context().close()
})

test('twenty kills while readings are entered without signal lose nothing that was shown as kept', async ({
  baseURL,
}) => {
  test.setTimeout(240_000)
  const seed = Number(process.env['SEED'] ?? Date.now() % 1e9)
  console.log(`kills: seed ${seed}`)
  const told = await killRounds({
    base: baseURL ?? '',
    kills: 20,
    browsers: 2,
    seed,
    door: 'V-03',
    log: () => undefined,
  })
  expect(told).toMatchObject({ lost: [], twice: [] })
  expect(told.shown).toBeGreaterThan(15)
})

test.describe('a laptop on the local network', () => {
  const data = mkdtempSync(join(tmpdir(), 'rauta-lan-'))
  const web = join(data, 'web')
  let rauta: Launched
  const start = async () => {
    rauta = await launch(['start', '--lan', '127.0.0.1'], {
      PORT: '4398',
      LAN_PORT: '4443',
      LAN_TRUST_PORT: '4388',
      LAN_NAME: 'off',
      RAUTA_WEB: web,
      RAUTA_DATA: join(data, 'store'),
      RAUTA_KEY: join(data, 'key'),
    })
  }
  test.beforeAll(async () => {
    cpSync(join(root, 'apps/web/dist'), web, { recursive: true })
    await start()
  })
  test.afterAll(async () => {
    await rauta.stop()
    rmSync(data, { recursive: true, force: true })
  })

  test('without a secure context it says that it can’t work offline; with the job’s authority trusted it does, and a new build meanwhile strands nothing', async () => {
    test.setTimeout(240_000)
    const origin = /https:\/\/\S+:4443/.exec(rauta.said)?.[0] ?? ''
    const host = new URL(origin).hostname
    const code = /needs this code: (\d{4} \d{4})/.exec(rauta.said)?.[1] ?? ''
    const authority = new X509Certificate(await (await fetch('http://127.0.0.1:4388/trust/authority.crt')).text())
    const spki = createHash('sha256')
      .update(authority.publicKey.export({ type: 'spki', format: 'der' }))
      .digest('base64')
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        `--host-resolver-rules=MAP ${host} 127.0.0.1,MAP rauta.test 127.0.0.1`,
        `--ignore-certificate-errors-spki-list=${spki}`,
      ],
    })
    const phone: BrowserContext = await browser.newContext({ viewport: { width: 390, height: 844 } })
    const page = await phone.newPage()
    try {
      await page.goto(origin)
      await page.getByRole('textbox', { name: 'Your name' }).fill('helmi')
      await page.getByLabel('Password, 10 characters or more').fill('long enough 1')
      await page.getByRole('textbox', { name: 'Job', exact: true }).fill('North pier')
      await page.getByRole('textbox', { name: 'Code from the terminal' }).fill('0000')
      await page.getByRole('button', { name: 'Begin the job' }).click()
      await expect(page.getByText('Write the eight digits that stand in the terminal').first()).toBeVisible()
      await page.getByRole('textbox', { name: 'Code from the terminal' }).fill(code)
      await page.getByRole('button', { name: 'Begin the job' }).click()
      await expect(page.getByRole('heading', { level: 1, name: '0 doors' })).toBeVisible()
      const commands: [string, unknown][] = [
        ['area.put', { id: 'out', code: 'O', name: 'Out' }],
        ['area.put', { id: 'in', code: 'I', name: 'In' }],
        [
          'controller.put',
          {
            id: 'a1',
            ref: 'A1',
            sheet: 'controller-2',
            cabinet: 'Riser',
            supply: 'supply-5',
            address: '',
            serial: '',
            mac: '',
          },
        ],
        [
          'door.add',
          {
            id: 'D-01',
            fields: {
              ref: 'D-01',
              name: 'Gate',
              from: 'out',
              to: 'in',
              handle: true,
              hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
            },
          },
        ],
        ['door.placeProposed', { id: 'D-01', controller: 'a1' }],
        ['cable.set', { door: 'D-01', cable: 'W1', lengthM: 20 }],
      ]
      const results = (await page.evaluate(
        async (records) =>
          (
            await fetch('/api/v1/commands/batch', {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ records }),
            })
          ).json(),
        commands.map(([name, payload]) => ({ id: v7(), name, payload, seen: 0 })),
      )) as { results: { ok: boolean }[] }
      expect(results.results.map((r) => r.ok)).toEqual(commands.map(() => true))
      await page.goto(`${origin}/doors`)
      await expect(
        page
          .getByRole('heading', { level: 1, name: '1 doors' })
          .or(page.getByRole('heading', { level: 1, name: '1 door' })),
      ).toBeVisible()
      await installed(page)
      await page.goto(`${origin}/team`)
      await expect(page.getByRole('img', { name: /^Code that opens http:\/\/127\.0\.0\.1:4388\/trust/ })).toBeVisible()

      // Under a made-up name it gives nothing; in a context that is not secure it says so.
      const plain = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
      expect((await plain.goto('http://rauta.test:4398/'))?.status()).toBe(421)
      await plain.addInitScript(() => Object.defineProperty(window, 'isSecureContext', { value: false }))
      await plain.goto('http://127.0.0.1:4398/')
      await plain.getByRole('textbox', { name: 'Name' }).fill('helmi')
      await plain.getByLabel('Password').fill('long enough 1')
      await plain.getByRole('button', { name: 'Sign in' }).click()
      await expect(plain.getByRole('heading', { level: 1, name: /1 doors?/ })).toBeVisible()
      await plain.goto('http://127.0.0.1:4398/waiting')
      await expect(plain.getByText('This page can’t work offline')).toBeVisible()
      await plain.context().close()

      // The server ends, the phone goes on, and a new build is served when it is back.
      await page.goto(`${origin}/doors/D-01/wire`)
      await reading(page).waitFor()
      await rauta.stop()
      await enter(page, '1,37')
      await expect(page.getByText('Kept on this phone; waits for the server.')).toBeVisible()
      writeFileSync(
        join(web, 'index.html'),
        readFileSync(join(web, 'index.html'), 'utf8').replace('<head>', '<head><meta name="build" content="next">'),
      )
      execFileSync(process.execPath, [join(root, 'scripts/service-worker.mjs')], {
        cwd: root,
        env: { ...process.env, WEB_DIST: web },
        stdio: 'ignore',
      })
      await page.goto(`${origin}/doors/D-01/wire`)
      await expect(page.getByText('Kept on this phone; waits for the server.')).toBeVisible()
      await start()
      await expect(page.getByText('Kept on this phone; waits for the server.')).toBeHidden({ timeout: 30_000 })
      await expect(page.getByText('1.37')).toBeVisible()
      const there = await page.evaluate(
        async () =>
          ((await (await fetch('/api/v1/facts')).json()) as { records: { kind: string }[] }).records.filter(
            (r) => r.kind === 'reading',
          ).length,
      )
      expect(there).toBe(1)
      await page.goto(`${origin}/waiting`)
      await page.getByRole('button', { name: 'A newer Rauta is ready: take it' }).click({ timeout: 30_000 })
      await expect
        .poll(
          () =>
            page
              .evaluate(() => document.querySelector('meta[name=build]')?.getAttribute('content') ?? '')
              .catch(() => ''),
          { timeout: 20_000 },
        )
        .toBe('next')
    } finally {
      await browser.close()
    }
  })
})
