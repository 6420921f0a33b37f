import { expect, test } from '@playwright/test'
import { card, good, hands, signIn } from './helpers'

test('the server is to decide at a door: contradictions are said, it is loaded, asked, and tried without an answer', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/doors/C-02/edit')
  const who = page.getByRole('combobox', { name: 'Whether somebody passes is decided by' })
  const after = page.getByRole('textbox', { name: 'Out of reach for so many seconds' })
  const save = page.getByRole('button', { name: 'Save the changes' })
  await who.selectOption({ label: 'the reader' })
  await expect(page.getByText(/The reader is to decide at C-02, and it only hands on what it reads/)).toBeVisible()
  await who.selectOption({ label: 'the server' })
  await after.fill('1')
  await page.getByRole('combobox', { name: 'Then' }).selectOption({ label: 'nobody gets in' })
  await expect(page.getByText(/no server answers in so short a time/)).toBeVisible()
  await after.fill('6')
  await save.click()
  await page.goto('/load')
  await expect(page.getByText('the server', { exact: true }).first()).toBeVisible()
  await expect(page.getByText('nobody gets in', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/read back equal\./).first()).toBeVisible({ timeout: 30_000 })

  await page.goto('/doors/C-02/prove')
  await page.getByRole('button', { name: 'The server decides: todo' }).click()
  await page.getByRole('button', { name: 'Begin this test' }).click()
  await expect(page.getByText('Waiting for the card.')).toBeVisible()
  await hands(request, [card('C-02', good)])
  await expect(page.getByText('The controller asked the server, and let in on its word.').first()).toBeVisible({
    timeout: 20_000,
  })

  await page.goto('/doors/C-02/prove')
  await page.getByRole('button', { name: 'Without the server: todo' }).click()
  await page.getByRole('button', { name: 'Begin this test' }).click()
  await expect(page.getByText('Waiting for the card.')).toBeVisible({ timeout: 20_000 })
  await hands(request, [card('C-02', good)])
  await expect(page.getByText(/Refused: .*the server that decides is out of reach/).first()).toBeVisible({
    timeout: 20_000,
  })
  await page.goto('/live')
  await expect(page.getByText('The server decides again').first()).toBeVisible({ timeout: 20_000 })
})
