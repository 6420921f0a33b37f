import { expect, test } from '@playwright/test'
import { card, hands, signIn } from './helpers'

test('a refused card is to set the alarm panel: said, tried dry, loaded, and proved with the panel’s own word', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/doors/T-01')
  await page.getByRole('button', { name: /^Reactions/ }).click()
  await expect(page.getByText('When somebody of Ticket staff is let in twice within 5 s')).toBeVisible()
  await page.getByRole('button', { name: 'Add a reaction' }).click()
  const what = page.getByRole('combobox', { name: 'What happens' })
  const follows = page.getByRole('combobox', { name: 'What follows' })
  await what.selectOption({ label: 'somebody is refused' })
  // Whoever is refused opens nothing and unsets nothing.
  await expect(follows.getByRole('option')).toHaveText(['set the alarm panel'])
  await page.getByRole('combobox', { name: 'In which hours' }).selectOption({ label: 'Office hours' })
  await page.getByRole('button', { name: 'Save the reaction' }).click()

  await expect(page.getByText('When somebody is refused, in Office hours')).toBeVisible()
  await page.getByRole('combobox', { name: 'Think that' }).selectOption({ label: 'somebody is refused' })
  await page.getByRole('radio', { name: 'Unset', exact: true }).click()
  const says = (text: string) => page.getByRole('status').filter({ hasText: text }).first()
  await page.getByLabel('At which moment, empty for now').fill('2031-03-03T10:00')
  await expect(says('Follows: the alarm panel is set.')).toBeVisible()
  await page.getByLabel('At which moment, empty for now').fill('2031-03-03T20:00')
  await expect(says('Outside its hours')).toBeVisible()

  await page.goto('/load')
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/read back equal\./).first()).toBeVisible({ timeout: 30_000 })
  await page.goto('/doors/T-01/prove')
  await page
    .getByRole('button', { name: 'When somebody is refused, in Office hours: the alarm panel is set: todo' })
    .click()
  await page.getByRole('button', { name: 'Begin this test' }).click()
  await expect(page.getByText('Have the alarm panel unset first.')).toBeVisible()
  await hands(request, [
    { do: 'unsetPanel', door: 'T-01' },
    { ...card('T-01', 'card nobody knows'), after: 1000 },
  ])
  await expect(page.getByText('Passed', { exact: true })).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText('P3 was driven, and the panel is set.').first()).toBeVisible()
})
