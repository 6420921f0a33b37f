import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { signIn } from './helpers'

const views = [
  '/doors',
  '/doors/C-02',
  '/doors/many',
  '/doors/Q-02/plan',
  '/doors/P-01/wire',
  '/doors/Q-01/behaviour',
  '/radio',
  '/reach/unit~w2',
  '/reach/F-05~K1',
  '/doors/T-01/reactions',
  '/doors/T-01/reaction',
  '/doors/T-01/prove',
  '/doors/T-01/reads',
  '/formats',
  '/doors/Q-01/sign',
  '/controllers/a1',
  '/cabinets/Lane%20cabinet',
  '/reach',
  '/reach/a3',
  '/load',
  '/prove',
  '/people',
  '/people/enrol',
  '/people/list',
  '/matrix',
  '/people/p-101',
  '/time',
  '/time/sailings',
  '/access',
  '/sets/quay-doors',
  '/sets/new',
  '/access/r-rounds',
  '/job',
  '/live',
  '/team',
  '/more',
  '/schedule',
  '/sheets',
  '/sheets/reader-bus',
  '/sheets/new?like=strike-fast',
  '/siting',
  '/supplies',
  '/supplies/a6',
  '/supplies/release',
  '/supplies/units/n1',
  '/addresses',
  '/addresses/flows',
  '/addresses/switches',
  '/waiting',
  '/at-hand',
  '/papers',
]

const fewer = [
  '/more',
  '/team',
  '/people/p-101',
  '/doors/Q-01/behaviour',
  '/prove',
  '/addresses/switches',
  '/supplies/release',
  '/sheets/reader-bus',
  '/supplies/units/n1',
  '/reach/a3',
]

/** What axe finds serious on a view, in both grounds. */
async function seriousOn(page: Page, view: string): Promise<string[]> {
  await page.emulateMedia({ colorScheme: 'light' })
  await page.goto(view)
  await expect(
    page
      .getByRole('heading', { level: 1 })
      .filter({ hasNotText: /^Rauta$/ })
      .first(),
  ).toBeVisible()
  await page.waitForTimeout(150)
  const whole = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa']).analyze()
  // The other ground has the same structure; only its colours can differ.
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.waitForTimeout(100)
  const dark = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze()
  return [...whole.violations, ...dark.violations]
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${view}: ${v.id}: ${v.nodes
          .slice(0, 2)
          .map((n) => n.html.slice(0, 160))
          .join(' | ')}`,
    )
}

test('axe finds nothing serious on any main view, in light and in dark', async ({ page, context }) => {
  test.setTimeout(240_000)
  await signIn(page)
  const left = views.filter((v) => !fewer.includes(v))
  const found: string[] = []
  // Two pages side by side, each taking the next view.
  const work = async (on: Page) => {
    for (let view = left.shift(); view; view = left.shift()) found.push(...(await seriousOn(on, view)))
  }
  await Promise.all([work(page), context.newPage().then(work)])
  expect(found).toEqual([])
})

const sizes = [
  ['the phone', { width: 390, height: 844 }],
  ['a wide screen', { width: 1280, height: 800 }],
] as const

for (const [name, size] of sizes)
  test(`every main view has its name, fits ${name}, and what is read and tapped is large enough`, async ({ page }) => {
    await page.setViewportSize(size)
    await signIn(page)
    for (const view of views) {
      await page.goto(view)
      await expect(
        page
          .getByRole('heading', { level: 1 })
          .filter({ hasNotText: /^Rauta$/ })
          .first(),
      ).toBeVisible()
      await expect(page.getByRole('main')).toHaveCount(1)
      await expect(page).toHaveTitle(/· Rauta$/)
      expect([view, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([view, size.width])
      expect([view, await tooSmall(page)]).toEqual([view, []])
    }
  })

test('on a wide screen everything stands in a landmark, and every place of the rail is in view', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await signIn(page)
  const places = page.getByRole('navigation', { name: 'Places' }).getByRole('link')
  for (const place of await places.all()) await expect(place).toBeInViewport({ ratio: 0.95 })
  for (const view of [
    '/people',
    '/people/enrol',
    '/people/list',
    '/access',
    '/matrix',
    '/load',
    '/live',
    '/siting',
    '/supplies/release',
  ]) {
    await page.goto(view)
    await expect(page.getByRole('main')).toBeVisible()
    await page.waitForTimeout(300)
    const { violations } = await new AxeBuilder({ page })
      .options({
        runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21aa'] },
        rules: { region: { enabled: true } },
      })
      .analyze()
    expect([view, violations.map((v) => `${v.id}: ${v.nodes[0]?.html.slice(0, 200)}`)]).toEqual([view, []])
  }
})

/** Words under 13 px, and what is tapped and is under 44 px either way; drawings are looked at with the eye. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const shown = (e: Element) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden'
    const words = [...document.querySelectorAll('body *:not(svg *):not(script):not(style)')].filter(
      (e) =>
        shown(e) &&
        [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent?.trim()) &&
        parseFloat(getComputedStyle(e).fontSize) < 13,
    )
    const targets = [
      ...document.querySelectorAll('button, a[href], select, input, [role=button], [role=radio], [role=checkbox]'),
    ].filter((e) => {
      if (!shown(e) || e.matches('[type=file]')) return false
      // A link is as large as what it holds.
      const box = [e, ...e.children].map((x) => x.getBoundingClientRect())
      const [width, height] = [Math.max(...box.map((b) => b.width)), Math.max(...box.map((b) => b.height))]
      return width < 43.5 || height < 43.5
    })
    return [...words, ...targets].map(
      (e) => `${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent?.trim().slice(0, 30) ?? ''}`,
    )
  })
