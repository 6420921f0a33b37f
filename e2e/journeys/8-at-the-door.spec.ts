import { expect, test, type Page } from '@playwright/test'
import { plate, signIn } from './helpers'

const enterReading = async (page: Page, name: string, value: string) => {
  const field = page.getByRole('textbox', { name: `New ${name}` })
  await field.fill(value)
  await field.press('Enter')
}
/** The box to tick of one conductor in the table. */
const conductor = (page: Page, name: RegExp) =>
  page.getByRole('table', { name: 'Conductors' }).getByRole('checkbox', { name })

test('a fitter’s hour at one door: leads, readings, causes, as built, conductors, pictures', async ({ page }) => {
  await signIn(page, 'inka')
  await page.goto('/doors/V-07/wire?part=K1')
  await page.getByRole('textbox', { name: 'Tips joined, Ω' }).fill('5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('5 Ω is too much for a meter’s leads')).toBeVisible()
  await page.getByRole('textbox', { name: 'Tips joined, Ω' }).fill('0,2')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Its leads: 0.20 Ω, measured today')).toBeVisible()

  // A length that was entered wrong: out of tolerance, the likeliest cause names the metres, and as built it is judged anew.
  await enterReading(page, 'loop resistance, Ω', '0,92') // 0.72 Ω less the leads: 20 m of 1 mm², not 12
  await expect(page.getByText('0.92 less 0.20 of the leads')).toBeVisible()
  const causes = page.getByRole('list', { name: 'Likely causes' })
  await expect(causes).toContainText('this cable would be 20 m long, not 12 m')
  await page.getByRole('button', { name: 'W2 was built otherwise' }).click()
  await page.getByRole('textbox', { name: 'Built length of W2, m' }).fill('20')
  await page.getByRole('button', { name: 'Save as built' }).click()
  await expect(page.getByText('20 m as built, 12 m planned')).toBeVisible()
  await expect(causes).toHaveCount(0)
  await expect(page.getByText(/^In tolerance/)).toBeVisible()

  // Insulation: not before the electronics are off.
  await page.getByRole('button', { name: 'More readings' }).click()
  await expect(page.getByRole('textbox', { name: 'New insulation, MΩ' })).toHaveCount(0)
  await page.getByRole('checkbox', { name: 'Reader, lock and controller are off W2' }).click()
  await enterReading(page, 'insulation, MΩ', '0,3')
  await expect(page.getByText('Under 0.5 MΩ: damp, a crushed sheath or a screw through it.')).toBeVisible()
  await enterReading(page, 'polarity, V', '-13,4')
  await expect(page.getByText('Plus and minus are swapped.')).toBeVisible()

  // Conductors one by one: with the last of them the cable is ended.
  await page.getByRole('checkbox', { name: 'pulled', exact: true }).click()
  for (const one of [/^K1 \+ on/, /^K1 − on/]) await conductor(page, one).click()
  await expect(page.getByRole('checkbox', { name: 'terminated', exact: true })).toBeChecked()
  await page.getByLabel('Picture to keep with the door').setInputFiles(plate)
  await page.getByRole('button', { name: 'termination of W2, by inka. Larger' }).click()
  await expect(page.getByRole('button', { name: 'termination of W2, by inka. Small again' })).toBeVisible()

  // What was built stands in the plan.
  await page.goto('/doors/V-07/plan')
  await expect(page.getByRole('textbox', { name: 'Length of W2, m' })).toHaveValue('20')
})

test('the cabinet is checked off in its order, and what must be at hand is got', async ({ page }) => {
  await signIn(page, 'inka')
  await page.goto('/controllers/a6')
  const items = page.getByRole('checkbox')
  const box = items.filter({ hasText: 'In the box of A6' })
  await expect(page.getByText(/^First: In the box of A6/).first()).toBeVisible()
  await box.click()
  await expect(box).toBeChecked()
  await page.goto('/at-hand')
  const thing = page.getByRole('checkbox').first()
  const name = (await thing.textContent()) ?? ''
  await page
    .getByRole('button', { name: /^From whom and by when/ })
    .first()
    .click()
  await page.getByRole('textbox', { name: 'From whom' }).fill('the office')
  await page.getByRole('textbox', { name: 'By when' }).fill('31.12.')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: /By when|due|day/ })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'From whom' })).toHaveValue('the office')
  await page.getByRole('textbox', { name: 'By when' }).fill('2026-12-31')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('from the office, by 2026-12-31')).toBeVisible()
  await thing.click()
  await expect(page.getByRole('checkbox', { name, exact: true })).toHaveCount(0)
  await page.getByRole('radio', { name: 'Everything' }).click()
  await expect(page.getByRole('checkbox', { name, exact: true })).toBeChecked()
})

test('on paper: a door’s sheet and all sheets, with progress, as files that are what they say', async ({ page }) => {
  await signIn(page, 'inka')
  await page.goto('/doors/V-07/wire')
  const [one] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Wire sheet as PDF' }).click(),
  ])
  expect(one.suggestedFilename()).toBe('V-07-wire.pdf')
  await page.goto('/papers')
  await page.getByRole('button', { name: /^Make the wire sheets/ }).click()
  await expect(page.getByText(/of \d+|\d+ wire sheets/).first()).toBeVisible()
  await expect(page.getByText(/^\d+ wire sheets\.$/)).toBeVisible({ timeout: 60_000 })
  const [all] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Wire sheets as PDF' }).click(),
  ])
  expect(all.suggestedFilename()).toBe('wire-sheets.pdf')
})
