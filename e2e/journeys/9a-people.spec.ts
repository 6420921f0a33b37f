import { expect, test } from '@playwright/test'
import { card, hands, signIn } from './helpers'

test('a card is read in at a door, given, loaded, and has arrived; a list comes in and is taken back', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/people')
  await page.getByRole('button', { name: 'Read cards in' }).click()
  await page.getByRole('textbox', { name: 'Somebody else' }).fill('Hovila')
  await page.getByRole('button', { name: 'Lauri Hovila' }).click()
  await hands(request, [card('T-01', 'new card 61 04430')])
  await expect(page.getByRole('status', { name: 'Card 61 04430' })).toBeVisible()
  await page.getByRole('button', { name: 'Give it to Lauri Hovila' }).click()
  await expect(page.getByText('61 04430 is Lauri Hovila’s now.')).toBeVisible()
  // The same card again says whose it is; one of 34 bits says what came.
  await hands(request, [card('T-01', 'new card 61 04430')])
  await expect(page.getByText('It is Lauri Hovila’s.')).toBeVisible()
  await hands(request, [card('T-01', 'new card of 34 bits')])
  await expect(page.getByText(/^34 bits arrived, the reader is set to 26 bits/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep it as 61 04431, 34 bits' })).toBeVisible()

  await page.goto('/people/p-106')
  await expect(page.getByRole('button', { name: 'Q-02: not loaded' })).toBeVisible()
  await page.goto('/load')
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/read back equal\./).first()).toBeVisible({ timeout: 30_000 })
  await page.goto('/people/p-106')
  await expect(page.getByRole('button', { name: 'Q-02: arrived' })).toBeVisible({ timeout: 20_000 })

  await page.goto('/people/list')
  const text = 'Number;Name;Group;Card\n801;Aatto Pihlaja;Guests / Summer;61 4801\n802;;Guests;\n'
  await page
    .getByLabel('File with the people')
    .setInputFiles({ name: 'guests.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(page.getByText('somebody new needs a name')).toBeVisible()
  await page.getByRole('button', { name: /^Take 1 person over/ }).click()
  await expect(page.getByText('1 person taken over.')).toBeVisible()
  await page.getByRole('button', { name: /^Undo: Took guests\.csv over/ }).click()
  await page.goto('/people')
  await expect(page.getByText('Aatto Pihlaja')).toHaveCount(0)
})
