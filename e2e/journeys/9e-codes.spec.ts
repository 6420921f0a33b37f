import { expect, test } from '@playwright/test'
import { hands, signIn } from './helpers'

const typed = (keys: string) => ({ do: 'keys', door: 'Q-01', reader: 'R1', keys })

test('somebody is given a code that nobody has; it is loaded, opens with no card, and no other does', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/people/p-303')
  await page.getByRole('button', { name: 'Enter a code' }).click()
  const code = page.getByRole('textbox', { name: 'Code, 4 to 8 digits' })
  const save = page.getByRole('button', { name: 'Save the person' })
  for (const [wrong, says] of [
    ['4321', /Everybody tries equal digits and runs first/],
    ['12ab', /digits/],
    ['7391', /This is the code of the test cards/],
    ['40962', /This is the code of 201 Pirjo Aaltovaara/],
  ] as const) {
    await code.fill(wrong)
    await save.click()
    await expect(page.getByText(says).first()).toBeVisible()
    await expect(code).toHaveValue(wrong)
  }
  await code.fill('73519')
  await page.getByRole('textbox', { name: /^Code under duress/ }).fill('73515')
  await save.click()
  await expect(page.getByRole('heading', { level: 1, name: 'People' })).toBeVisible()
  // Covered, since others look on.
  await page.goto('/people/p-303')
  await expect(page.getByText('A code of 5 digits is set.')).toBeVisible()
  await expect(page.getByRole('textbox', { name: /^Code/ })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Q-01: (not loaded|changed since)/ })).toBeVisible()
  // Nothing of a door that asks for no code.
  await expect(page.getByRole('button', { name: 'Q-02: arrived' })).toBeVisible()

  await page.goto('/load')
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await page.goto('/people/p-303')
  await expect(page.getByRole('button', { name: 'Q-01: arrived' })).toBeVisible({ timeout: 40_000 })
  await hands(request, [typed('73519#')])
  await page.goto('/live')
  await expect(page.getByText('Released for 303 Reko Lahtisalo at R1').first()).toBeVisible()
  await hands(request, [{ ...typed('73515#'), after: 7000 }])
  await expect(page.getByText('Under duress: 303 Reko Lahtisalo at R1').first()).toBeVisible()
  await hands(request, [{ ...typed('73518#'), after: 1000 }])
  await expect(page.getByText('Refused at R1: nobody has this code').first()).toBeVisible()
})
