import { expect, test } from '@playwright/test'
import { hands, signIn } from './helpers'

test('a wireless lock of somebody else is reset, paired by a hand, loaded while a card is at it, and proved without its radio', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/radio')
  await page.getByRole('button', { name: 'F-05 K1 Flat 5' }).click()
  await page.getByRole('button', { name: 'Pair F-05 K1' }).click()
  await page.getByRole('button', { name: 'Wait for its set-up card' }).click()
  await expect(page.getByText(/Now present the set-up card at F-05 K1: W1 waits for it/).first()).toBeVisible()
  const setUp = { do: 'lockSetUp', lock: 'RL-5205-F05' }
  expect(await hands(request, [setUp])).toEqual(['red: it is somebody else’s'])
  expect(await hands(request, [{ do: 'lockReset', lock: 'RL-5205-F05' }, setUp])).toEqual([
    'as from the factory',
    'green: paired',
  ])
  // Its firmware was accepted for another lock of the type: nobody is asked again.
  await expect(page.getByText('RL-5205-F05, firmware 4.0.3, in place 3 of W1')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: /^Go to its door/ }).click()
  await expect(page.getByText('Flat 5').first()).toBeVisible()

  await page.goto('/reach/unit~w2')
  await expect(page.getByText(/radio key of somebody else \([0-9A-F]{6}\)/).first()).toBeVisible()
  await hands(request, [{ do: 'hubReset', hub: 'HB-3102-W2' }])
  await page.getByRole('button', { name: 'Go on', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Hubs and locks' })).toBeVisible({ timeout: 20_000 })

  // F-03 was sent what it keeps, and waits for a hand.
  await page.goto('/doors/F-03')
  await expect(page.getByText(/waits for a hand at the door: present any card/).first()).toBeVisible()
  await hands(request, [{ do: 'card', door: 'F-03', reader: 'K1', card: 'card nobody knows' }])
  await expect(page.getByText(/waits for a hand at the door: present any card/)).toHaveCount(0, { timeout: 20_000 })
  await page.goto('/doors/F-03/prove')
  await page.getByRole('button', { name: 'Without radio it opens to the standby credential: todo' }).click()
  await page.getByRole('button', { name: 'Begin this test' }).click()
  await expect(page.getByText(/Take hub W1 off its power/).first()).toBeVisible()
  const at = (card: string, after: number) => ({ do: 'card', door: 'F-03', reader: 'K1', card, after })
  await hands(request, [
    { do: 'hubPower', hub: 'HB-3101-W1', on: false },
    at('test card, good', 800),
    at('standby credential', 1500),
    { do: 'hubPower', hub: 'HB-3101-W1', on: true, after: 1500 },
  ])
  await expect(page.getByText('Passed', { exact: true })).toBeVisible({ timeout: 20_000 })
})
