import { expect, test, type Page } from '@playwright/test'
import { card, hands, signIn } from './helpers'

/** Saves the rule, and agrees to what it costs where it costs something. */
async function save(page: Page, done: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Save the rule' }).click()
  const agree = page.getByRole('button', { name: 'Change it all the same' })
  const next = page.getByRole('button', { name: done })
  await expect(agree.or(next).first()).toBeVisible()
  if (await agree.isVisible()) await agree.click()
  await expect(next.first()).toBeVisible()
}

/** Loads, and waits until the door’s controller holds what the job wants of it. */
async function load(page: Page): Promise<void> {
  await page.goto('/load')
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await page.goto('/doors/Q-01')
  await expect(page.getByRole('listitem', { name: 'Load: done' })).toBeVisible({ timeout: 40_000 })
}

test('somebody is given a right of their own through a set of doors; it arrives, lets them in, and ends by itself', async ({
  page,
  request,
}) => {
  // A second try finds what the first has made.
  const set = `Night round ${Date.now() % 100_000}`
  await signIn(page)
  await page.goto('/access')
  await page.getByRole('button', { name: 'Add a set of doors' }).click()
  await page.getByRole('button', { name: 'Save the set' }).click()
  await expect(page.getByText('This must not be blank.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Name of the set' }).fill(set)
  await page.getByRole('checkbox', { name: /^Q-01 / }).click()
  await page.getByRole('button', { name: 'Save the set' }).click()
  await expect(page.getByRole('button', { name: new RegExp(`^${set}`) })).toBeVisible()

  await page.goto('/people/p-101')
  await page.getByRole('button', { name: 'Add a right of their own' }).click()
  await page.getByRole('combobox', { name: 'Schedule' }).selectOption({ label: 'Always' })
  await page.getByRole('checkbox', { name: `${set}, 1 door` }).click()
  await page.getByLabel('Counts from, empty for at once').fill('2031-02-02')
  await page.getByLabel('Counts until the end of, empty for no end').fill('2031-02-01')
  await page.getByRole('button', { name: 'Save the rule' }).click()
  await expect(page.getByText(/It ends 2031-02-01, before it begins 2031-02-02/)).toBeVisible()
  await page.getByLabel('Counts from, empty for at once').fill('')
  await save(page, new RegExp(`^${set} on Always`))
  await expect(page.getByText('until 2031-02-01')).toBeVisible()
  // What she could before has arrived already.
  await expect(page.getByRole('button', { name: 'Q-01: changed since' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Q-02: arrived' })).toBeVisible()

  await load(page)
  await page.goto('/people/p-101')
  await expect(page.getByRole('button', { name: 'Q-01: arrived' })).toBeVisible({ timeout: 20_000 })
  await hands(request, [card('Q-01', 'Oona Harju')])
  await page.goto('/live')
  await expect(page.getByText('Released for 101 Oona Harju at R1').first()).toBeVisible()

  // From the door: the rule is ended, and Why says so before anything is sent.
  await page.goto('/doors/Q-01')
  await page.getByRole('button', { name: 'Oona Harju on Always' }).click()
  await page.getByLabel('Counts until the end of, empty for no end').fill('2026-01-31')
  await page.getByRole('button', { name: 'Save the rule' }).click()
  const agree = page.getByRole('button', { name: 'Change it all the same' })
  await expect(agree.or(page.getByRole('heading', { name: 'Access' })).first()).toBeVisible()
  if (await agree.isVisible()) await agree.click()
  await page.goto('/access')
  await page.getByRole('combobox', { name: 'Person' }).selectOption({ label: 'Oona Harju' })
  await page.getByRole('combobox', { name: 'Door' }).selectOption({ label: 'Q-01 Departure hall, quay side' })
  await expect(page.getByText(/the right of Oona Harju on schedule Always counted until 2026-01-31/)).toBeVisible()
  await load(page)
  await hands(request, [card('Q-01', 'Oona Harju')])
  await page.goto('/live')
  await expect(page.getByText('Refused at R1, 101 Oona Harju: no rule lets it pass').first()).toBeVisible()
})
