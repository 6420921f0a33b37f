import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'

/** Refreshes docs/screenshots/ from a running demo: `npm run demo` in one terminal, `npm run shots` in another. */
const base = process.env['RAUTA_URL'] ?? 'http://127.0.0.1:4380'
const out = process.env['SHOTS_OUT'] ?? 'docs/screenshots'
const phone = { width: 390, height: 844 }
const wide = { width: 1280, height: 800 }

const views: { name: string; path: string; size: typeof phone; dark?: boolean }[] = [
  { name: 'doors', path: '/doors', size: phone }, { name: 'doors-plant-room', path: '/doors', size: phone, dark: true }, { name: 'door', path: '/doors/C-02', size: phone }, { name: 'plan', path: '/doors/Q-01/plan', size: phone },
  { name: 'wire', path: '/doors/P-01/wire?part=K1', size: phone }, { name: 'cabinet', path: '/controllers/a1', size: phone }, { name: 'reach', path: '/reach', size: phone }, { name: 'claim', path: '/reach/a3', size: phone }, { name: 'load', path: '/load', size: phone },
  { name: 'prove', path: '/doors/T-01/prove', size: phone }, { name: 'sign', path: '/doors/Q-01/sign', size: phone }, { name: 'access', path: '/access', size: phone }, { name: 'time', path: '/time', size: phone }, { name: 'live', path: '/live', size: phone },
  { name: 'doors-wide', path: '/doors/C-02', size: wide }, { name: 'reach-wide', path: '/reach', size: wide }, { name: 'load-wide', path: '/load', size: wide },
]

async function signIn(page: Page): Promise<void> {
  await page.request.post(`${base}/api/v1/sign-in`, { data: { name: 'vesa', password: 'alder-quay-demo' } })
}

mkdirSync(out, { recursive: true })
const only = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
const context = await browser.newContext()
const page = await context.newPage()
await signIn(page)
for (const view of views.filter((v) => only.length === 0 || only.includes(v.name))) {
  await page.setViewportSize(view.size)
  await page.emulateMedia({ colorScheme: view.dark ? 'dark' : 'light' })
  await page.goto(base + view.path)
  await page.getByRole('main').getByRole('heading', { level: 1 }).filter({ hasNotText: /^Rauta$/ }).first().waitFor()
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(out, `${view.name}.png`) })
}
await browser.close()
