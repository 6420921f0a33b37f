import type { Browser, Page } from '@playwright/test'
import { launchBrowser } from '../browser'
import { serverWith } from './board'
import { median, row } from './measure'

const doors = 500
/** What the same place costs with a small job is the frame's and the drawing's, not the job's size. */
const small = 20
const runs = 5
interface Look {
  what: string
  goalS: number
  /** Does it once; resolves when its outcome is on screen. */
  once: (page: Page) => Promise<number>
}

const ready = (page: Page, of: number) => page.getByRole('heading', { level: 1, name: `${of} doors` }).waitFor()
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
  firstKey('the list follows', (page) =>
    page.waitForFunction(
      () => {
        const rows = [...document.querySelectorAll('[aria-label="Doors"] [role="button"]')]
        return rows.length > 0 && rows.every((r) => r.getAttribute('aria-label')?.split('.')[0]?.includes('9'))
      },
      undefined,
      { polling: 20 },
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

/** Places of a job of 500 doors with the CPU slowed four times, beside the same in a job of 20. */
export async function pagesBench(): Promise<void> {
  const browser = await launchBrowser()
  const sites = [await serverOf(doors), await serverOf(small)]
  for (let run = 0; run < runs; run++)
    for (const look of looks) for (const site of sites) await site.measure(browser, look)
  for (const site of sites) await site.close()
  await browser.close()
  const [large, little] = sites
  for (const look of looks) {
    const took = large?.took(look) ?? 0
    const base = little?.took(look) ?? 0
    row(
      `${look.what} of ${doors} doors, CPU slowed 4 times`,
      `${(took / 1000).toFixed(2)} s`,
      `the same with ${small} doors ${(base / 1000).toFixed(2)} s`,
      (took / base).toFixed(2),
      `${look.goalS} s`,
    )
  }
}

/** A server with a job of so many doors, and what looks at it took. */
async function serverOf(count: number) {
  const { base, cookie, close } = await serverWith(count)
  const all = new Map<Look, number[]>()
  return {
    close,
    took: (look: Look) => median(all.get(look) ?? []),
    async measure(browser: Browser, look: Look) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
      await context.addCookies([{ name: cookie[0] ?? '', value: cookie[1] ?? '', url: base }])
      const page = await context.newPage()
      await page.goto(`${base}/doors`)
      await ready(page, count)
      await page.waitForTimeout(5000)
      const session = await context.newCDPSession(page)
      await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
      all.set(look, [...(all.get(look) ?? []), await look.once(page)])
      await context.close()
    },
  }
}
