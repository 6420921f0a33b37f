import type { Page } from '@playwright/test'
import { launchBrowser } from '../browser'
import { serverWith } from './board'
import { median, row } from './measure'

const doors = 500
const runs = 3
interface Look {
  what: string
  goalS: number
  /** Does it once; resolves when its outcome is on screen. */
  once: (page: Page, base: string) => Promise<number>
}

const ready = (page: Page) => page.getByRole('heading', { level: 1, name: `${doors} doors` }).waitFor()
const since = async (page: Page, act: () => Promise<unknown>, seen: () => Promise<unknown>): Promise<number> => {
  const from = performance.now()
  await act()
  await seen()
  return performance.now() - from
}
/** From inside the application, as somebody comes there; not with the load of the page. */
const go = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState(null, '', to)
    window.dispatchEvent(new PopStateEvent('popstate'))
  }, path)

const firstKey = (what: string, seen: (page: Page) => Promise<unknown>): Look => ({
  what: `first key in Find, until ${what}`,
  goalS: 0.3,
  async once(page) {
    await page.getByRole('button', { name: 'Find' }).click()
    const field = page.getByRole('textbox', { name: /^Find a door/ })
    await field.waitFor()
    return since(
      page,
      () => field.press('9'),
      () => seen(page),
    )
  },
})

const looks: readonly Look[] = [
  firstKey('it stands in the field', (page) =>
    page.evaluate(() => new Promise((seen) => requestAnimationFrame(() => setTimeout(seen, 0)))),
  ),
  // Asked seldom and cheaply: asking every frame would itself be the work.
  firstKey('the list follows', (page) =>
    page.waitForFunction(
      (all) => document.querySelectorAll('[aria-label="Doors"] [role="listitem"]').length < all / 2,
      doors,
      { polling: 50 },
    ),
  ),
  {
    what: 'Supplies',
    goalS: 1,
    async once(page) {
      return since(
        page,
        () => go(page, '/supplies'),
        () =>
          page
            .getByRole('button', { name: /^Supply of / })
            .first()
            .waitFor(),
      )
    },
  },
  {
    what: 'a door',
    goalS: 0.7,
    async once(page) {
      const first = page.locator('[aria-label="Doors"] [role="listitem"] [role="button"]').first()
      const name = ((await first.getAttribute('aria-label')) ?? '').split(' ')[0] ?? ''
      return since(
        page,
        () => first.click(),
        () =>
          page.waitForURL(new RegExp(`/doors/`)).then(() => page.getByRole('main').getByText(name).first().waitFor()),
      )
    },
  },
]

/** Places of a job of 500 doors with the CPU slowed four times. */
export async function pagesBench(): Promise<void> {
  const browser = await launchBrowser()
  const took = new Map<string, number[]>()
  const { base, cookie, close } = await serverWith(doors)
  for (let run = 0; run < runs; run++)
    for (const look of looks) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
      await context.addCookies([{ name: cookie[0] ?? '', value: cookie[1] ?? '', url: base }])
      const page = await context.newPage()
      await page.goto(`${base}/doors`)
      await ready(page)
      await page.waitForTimeout(6000)
      const session = await context.newCDPSession(page)
      await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
      took.set(look.what, [...(took.get(look.what) ?? []), await look.once(page, base)])
      await context.close()
    }
  await close()
  await browser.close()
  for (const look of looks)
    row(
      `${look.what} of ${doors} doors, CPU slowed 4 times`,
      `${(median(took.get(look.what) ?? []) / 1000).toFixed(2)} s`,
      '',
      '',
      `${look.goalS} s`,
    )
}
