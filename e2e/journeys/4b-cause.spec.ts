import { expect, test } from '@playwright/test'
import { card, good, hands, signIn } from './helpers'

test('a failed test is searched look by look: what is excluded by what, the cause, mended, and passed', async ({
  page,
  request,
}) => {
  await signIn(page, 'inka')
  await page.goto('/doors/T-01/prove')
  await page.getByRole('button', { name: /^R1 is the one planned/ }).click()
  await hands(request, [{ do: 'harm', door: 'T-01', part: 'R1', harm: 'dark' }])
  await page.getByRole('button', { name: /^(Begin this test|Test it again)$/ }).click()
  await expect(page.getByRole('button', { name: 'It didn’t' })).toBeVisible()
  await hands(request, [card('T-01', good)])
  await page.getByRole('button', { name: 'It didn’t' }).click()
  await page.getByRole('textbox', { name: 'What happened' }).fill('Nothing at all')
  await page.getByRole('button', { name: 'Record the failure' }).click()

  // The first thing asked for takes seconds; the next one a meter.
  const causes = page.getByRole('list', { name: 'Likely causes' })
  await expect(causes.getByRole('listitem')).toHaveCount(5)
  await page.getByRole('group', { name: 'Is any lamp of R1 lit?' }).getByRole('button', { name: 'It is dark' }).click()
  await expect(causes.getByRole('listitem')).toHaveCount(2)
  await expect(page.getByRole('list', { name: 'Excluded' })).toContainText('R1 ends on the port of another reader')
  const volts = page.getByRole('group', { name: 'Measure plus against 0 V at the leads of R1.' })
  await volts.getByRole('button', { name: 'Volts are there' }).click()
  await expect(page.getByRole('heading', { name: 'R1 is dead.' })).toBeVisible()

  // Measured wrong: taken back and answered anew; what was seen stands there after a new start.
  await page.getByRole('button', { name: 'Take back: Volts are there' }).click()
  await volts.getByRole('button', { name: 'No volts' }).click()
  const cause = page.getByRole('heading', { name: /^R1 has no supply/ })
  await expect(cause).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: /^R1 is the one planned/ }).click()
  await expect(cause).toBeVisible()

  await hands(request, [{ do: 'harm', door: 'T-01', part: 'R1', harm: null }])
  await page.getByRole('button', { name: 'Test it again' }).click()
  await expect(page.getByRole('button', { name: 'It didn’t' })).toBeVisible()
  await hands(request, [card('T-01', good)])
  await expect(page.getByText('Passed', { exact: true })).toBeVisible({ timeout: 20_000 })
  await expect(cause).toHaveCount(0)
})
