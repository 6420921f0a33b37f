import { expect, test } from '@playwright/test'
import { hands, signIn } from './helpers'

const show = { do: 'card', door: 'T-01', reader: 'R1', card: 'test card, good' }

test('a reader that sends 34 bits with its bytes turned is found out from one card, set, loaded, and proved', async ({
  page,
  request,
}) => {
  await signIn(page)
  await hands(request, [{ do: 'sends', door: 'T-01', reader: 'R1', choice: '34 bits, bytes turned' }])
  await page.goto('/doors/T-01/prove')
  await page.getByRole('button', { name: /^A good card opens it: / }).click()
  await page.getByRole('button', { name: /Begin this test|Test it again/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Waiting for the card.' })).toBeVisible()
  await hands(request, [show])
  await page.getByRole('button', { name: /What does R1 send\?/ }).click()

  await expect(page.getByRole('heading', { name: 'What R1 sends' })).toBeVisible()
  await expect(page.getByText('Type what stands on the card.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Set R1 so/ })).toHaveCount(0)
  // The last card shown stands first, whatever others were read here before.
  const printed = page.getByRole('textbox', { name: /^What stands on card/ }).first()
  // What was read here while the reader sent otherwise is left out.
  while ((await page.getByRole('button', { name: /^Leave card/ }).count()) > 1)
    await page
      .getByRole('button', { name: /^Leave card/ })
      .last()
      .click()
  await printed.fill('88 10001')
  await expect(page.getByText('R1 sends 34 bits, the bytes of the number the other way round.')).toBeVisible()
  // The job's cards are of 26 bits: they stay so, and the reader's 34 bits are read as those.
  await expect(page.getByRole('combobox', { name: 'Its cards are kept as' })).toHaveValue('wiegand26')
  await page.getByRole('textbox', { name: 'Name of this card format' }).fill('Ticket office, 34 bits')
  await page.getByRole('button', { name: 'Set R1 so' }).click()
  await page.getByRole('button', { name: /^R1 is set so\. Load it/ }).click()
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await page.goto('/doors/T-01/reads?part=R1')
  await printed.fill('88 10001')
  // Offered once the controller holds it.
  await page.getByRole('button', { name: /^R1 is set so\. Prove it/ }).click({ timeout: 30_000 })
  await expect(page.getByRole('heading', { name: 'A good card opens it' })).toBeVisible()
  await hands(request, [
    show,
    { after: 1200, do: 'lean', door: 'T-01', ms: 3000 },
    { after: 1500, do: 'close', door: 'T-01' },
  ])
  await expect(page.getByRole('button', { name: 'A good card opens it: passed' })).toBeVisible({ timeout: 20_000 })
  await page.goto('/doors/T-01/reads?part=R1')
  await expect(page.getByText('As R1 is set: 88 10001, 26 bits')).toBeVisible()
})

test('fields that nobody knew are found from what is printed, named, and their cards kept as those of 26 bits', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/doors/Q-04/reads?part=R1')
  // 40 bits: six zeros, facility 61 in 10, number in 20, four ones. Invented.
  const bits = (number: number) =>
    `000000${(61).toString(2).padStart(10, '0')}${number.toString(2).padStart(20, '0')}1111`
  for (const [n, number] of [1_000_001, 655_361].entries()) {
    await page.getByRole('textbox', { name: 'What a tester or another controller shows' }).fill(bits(number))
    await page.getByRole('button', { name: 'Add 40 bits as a card' }).click()
    await page.getByRole('textbox', { name: `What stands on card ${n + 1}` }).fill(`61 ${number}`)
  }
  await expect(page.getByText(/R1 seems to send 40 bits: number bits 17 to 36, facility bits 2 to 16\./)).toBeVisible()
  await page.getByRole('textbox', { name: 'Name of this card format' }).fill('Cash room, 40 bits')
  await page.getByRole('button', { name: 'Set R1 so, likely, not certain' }).click()
  await expect(page.getByText('Set to Cash room, 40 bits')).toBeVisible()
  await page.goto('/formats')
  await page.getByRole('button', { name: /^Cash room, 40 bits/ }).click()
  await page.getByRole('textbox', { name: 'Number, last bit' }).fill('41')
  await page.getByRole('button', { name: 'Save the format' }).click()
  await expect(page.getByText(/The number of Cash room, 40 bits lies outside its 40 bits/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Number, last bit' }).fill('36')
  await page.getByRole('button', { name: 'Take Cash room, 40 bits out' }).click()
  await expect(page.getByText(/R1 of Q-04 read it\. Set them otherwise first\./)).toBeVisible()
})
