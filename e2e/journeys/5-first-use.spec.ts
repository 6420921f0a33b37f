import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { launch, type Launched } from '../launch'

const port = 4396
const base = `http://127.0.0.1:${port}`

test.describe('an empty store', () => {
  const data = mkdtempSync(join(tmpdir(), 'rauta-first-'))
  let rauta: Launched
  test.beforeAll(async () => {
    rauta = await launch(['start'], {
      PORT: String(port),
      RAUTA_DATA: join(data, 'store'),
      RAUTA_KEY: join(data, 'key'),
    })
  })
  test.afterAll(async () => {
    await rauta.stop()
    rmSync(data, { recursive: true, force: true })
  })

  test('the first visit makes the lead’s account and the job, and leads on from empty screens to a placed door', async ({
    page,
  }) => {
    await page.goto(base)
    await page.getByRole('textbox', { name: 'Your name' }).fill('helmi')
    await page.getByLabel('Password, 10 characters or more').fill('short')
    await page.getByRole('textbox', { name: 'Job', exact: true }).fill('North pier')
    await page.getByRole('button', { name: 'Begin the job' }).click()
    await expect(page.getByText('This is too short: 10 letters at least.')).toBeVisible()
    await expect(page.getByRole('textbox', { name: 'Job', exact: true })).toHaveValue('North pier')
    await page.getByRole('combobox', { name: 'Time zone of the site' }).selectOption('Europe/Helsinki')
    await page.getByLabel('Password, 10 characters or more').fill('long enough 1')
    await page.getByRole('button', { name: 'Begin the job' }).click()

    await expect(page.getByRole('heading', { level: 1, name: '0 doors' })).toBeVisible()
    await expect(page.getByText('No door yet.')).toBeVisible()
    await page.getByRole('button', { name: 'Add a door' }).click()
    await page.getByRole('button', { name: 'Add areas first' }).click()
    for (const [code, name] of [
      ['P', 'Pier'],
      ['S', 'Store'],
    ] as const) {
      await page.getByRole('textbox', { name: 'Code', exact: true }).fill(code)
      await page.getByRole('textbox', { name: 'Name of the area' }).fill(name)
      await page.getByRole('button', { name: 'Add the area' }).click()
      await expect(page.getByRole('button', { name: `${code} ${name}`, exact: true })).toBeVisible()
    }
    for (const [label, value] of [
      ['Good card', '88 1'],
      ['Lost card', '88 2'],
      ['Card out of hours', '88 3'],
      ['Card nobody is told of', '88 4'],
    ] as const)
      await page.getByRole('textbox', { name: label, exact: true }).fill(value)
    await page.getByRole('button', { name: 'Save the test cards' }).click()
    await page.goto(`${base}/controllers/new`)
    await page.getByRole('textbox', { name: 'Cabinet' }).fill('Riser')
    await page.getByRole('textbox', { name: 'Address on the site’s network' }).fill('192.168.0.255')
    await page.getByRole('button', { name: 'Save the controller' }).click()
    await expect(page.getByText('is the broadcast address of 192.168.0.0/24')).toBeVisible()
    await page.getByRole('textbox', { name: 'Address on the site’s network' }).fill('192.168.0.21')
    await page.getByRole('button', { name: 'Save the controller' }).click()
    await expect(page.getByRole('heading', { name: 'Door controller, 2 doors' })).toBeVisible()
    await page.goto(`${base}/doors/new`)
    await page.getByRole('textbox', { name: 'Reference' }).fill('P-01')
    await page.getByRole('textbox', { name: 'Name' }).fill('Pier gate')
    await page.getByRole('checkbox', { name: 'A handle opens it from the secured side' }).click()
    await page.getByRole('button', { name: 'Add the door' }).click()
    await page.getByRole('button', { name: 'Place on A1' }).click()
    await expect(page.getByText('Door port A · P-01')).toBeVisible()
    await page.goto(`${base}/doors/P-01`)
    await expect(page.getByRole('listitem', { name: 'Plan: done' })).toBeVisible()
    await expect(page.getByRole('img', { name: /^Door drawing\./ })).toBeVisible()
    await page.goto(`${base}/load`)
    await expect(page.getByText('No device is in service yet.')).toBeVisible()
  })
})
