import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { launchBrowser } from './browser'

/** Refreshes docs/screenshots/ from a running demo: `npm run demo` in one terminal, `npm run shots` in another. */
const base = process.env['RAUTA_URL'] ?? 'http://127.0.0.1:4380'
const out = process.env['SHOTS_OUT'] ?? 'docs/screenshots'
const phone = { width: 390, height: 844 }
const wide = { width: 1280, height: 800 }

interface View {
  name: string
  path: string
  size: typeof phone
  dark?: boolean
  /** What is done before the picture is taken; nothing that changes the job. */ before?: (page: Page) => Promise<void>
}

/** A list as an office might send it, with two rows to mend. */
const list = [
  'Tower block, issue B',
  '',
  'Door no;Name;From;To;Escape route;Length to Riser 1;Reader',
  'X-01;Stair, first floor;Crew side;Crew side / Tower;yes;24 m;Card reader, slim',
  'X-02;Store;Crew side / Tower;Crew side / Tower;no;far;Card reader, slim',
  'X-03;Roof;Crew side / Tower;Crew side / Tower;perhaps;31,5;none',
  'C-07;Mess store, renamed;;;;;',
  'C-06;Crew stair, first floor;;;;;',
].join('\n')

const bringList = async (page: Page) => {
  await page
    .getByLabel('File with the door schedule')
    .setInputFiles({ name: 'tower.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  await page.getByRole('list', { name: 'Rows' }).waitFor()
}
const search = async (page: Page) => {
  await page.getByRole('button', { name: /^Work out where every door goes/ }).click()
  await page.getByRole('heading', { name: 'Worked out' }).waitFor()
}

/** A card that nobody has is held at the reader. */
const cardAtHand = async (page: Page) => {
  const rig = base.replace(/:(\d+)$/, (_all, port: string) => `:${Number(port) + 1}`)
  await page.request.post(`${rig}/rig/hands`, {
    data: { hands: [{ do: 'card', door: 'T-01', reader: 'R1', card: 'new card 61 04430' }] },
  })
  await page.getByRole('status', { name: 'Card 61 04430' }).waitFor()
}

/** A reader that sends in a way of its own, found out from a card. */
const cardShown = async (page: Page) => {
  const rig = base.replace(/:(\d+)$/, (_all, port: string) => `:${Number(port) + 1}`)
  await page.request.post(`${rig}/rig/hands`, {
    data: {
      hands: [
        { do: 'sends', door: 'T-01', reader: 'R1', choice: '34 bits, bytes turned' },
        { do: 'card', door: 'T-01', reader: 'R1', card: 'test card, good' },
        { do: 'sends', door: 'T-01', reader: 'R1', choice: null },
      ],
    },
  })
  // Cards read here earlier are listed too: the new one is the first of 34 bits.
  await page.getByRole('heading', { name: 'Card 1: 34 bits' }).waitFor()
  await page.getByRole('textbox', { name: 'What stands on card 1' }).fill('88 10001')
  await page.getByText(/the other way round\.$/).waitFor()
}

/** A tick and a reading without signal, and what waits. Nothing reaches the job: the context is thrown away. */
const withoutSignal = async (page: Page) => {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.context().setOffline(true)
  await page.getByRole('checkbox', { name: 'pulled', exact: true }).click()
  await page.getByRole('textbox', { name: 'New loop resistance, Ω' }).first().fill('3,9')
  await page.getByRole('button', { name: 'Save reading' }).first().click()
  await page.getByText('Kept on this phone; waits for the server.').waitFor()
  await page
    .getByText(/2 wait/)
    .first()
    .click()
  await page.getByRole('heading', { name: '2 wait for the server' }).waitFor()
}

const views: View[] = [
  { name: 'doors', path: '/doors', size: phone },
  { name: 'door', path: '/doors/C-02', size: phone },
  { name: 'plan', path: '/doors/Q-01/plan', size: phone },
  { name: 'schedule', path: '/schedule', size: phone, before: bringList },
  { name: 'enrol', path: '/people/enrol', size: phone, before: cardAtHand },
  { name: 'reads', path: '/doors/T-01/reads', size: phone, before: cardShown },
  { name: 'siting', path: '/siting', size: phone, before: search },
  { name: 'supply', path: '/supplies/a6', size: phone, dark: true },
  { name: 'addresses', path: '/addresses', size: phone },
  { name: 'wire', path: '/doors/P-01/wire?part=K1', size: phone, dark: true },
  { name: 'cabinet', path: '/cabinets/Riser%201', size: phone },
  { name: 'reach', path: '/reach', size: phone },
  { name: 'load', path: '/load', size: phone },
  { name: 'prove', path: '/doors/T-01/prove', size: phone },
  { name: 'sign', path: '/doors/Q-01/sign', size: phone },
  { name: 'doors-wide', path: '/doors/C-02', size: wide },
  { name: 'plan-wide', path: '/doors/V-07/plan', size: wide },
  { name: 'time-wide', path: '/time/sailings', size: wide },
  { name: 'waiting', path: '/doors/V-05/wire', size: phone, before: withoutSignal },
]

async function signIn(page: Page): Promise<void> {
  await page.request.post(`${base}/api/v1/sign-in`, { data: { name: 'vesa', password: 'alder-quay-demo' } })
}

mkdirSync(out, { recursive: true })
const only = process.argv.slice(2)
const browser = await launchBrowser()
const context = await browser.newContext()
const page = await context.newPage()
await signIn(page)
for (const view of views.filter((v) => only.length === 0 || only.includes(v.name))) {
  await page.setViewportSize(view.size)
  await page.emulateMedia({ colorScheme: view.dark ? 'dark' : 'light' })
  await page.goto(base + view.path)
  await page
    .getByRole('main')
    .getByRole('heading', { level: 1 })
    .filter({ hasNotText: /^Rauta$/ })
    .first()
    .waitFor()
  await view.before?.(page)
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(out, `${view.name}.png`) })
  if (view.before === withoutSignal) break
}
await browser.close()
