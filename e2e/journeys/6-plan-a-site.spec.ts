import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { signIn } from './helpers'

// After the journeys on site, so that nothing here is in their way.
test('a door schedule is looked through, taken over, and taken back as one', async ({ page }) => {
  await signIn(page)
  await page.goto('/more')
  await page.getByRole('button', { name: 'Door schedule' }).click()
  const list = [
    'Tower block, issue B',
    '',
    'Ovinumero;Nimi;Mistä;Mihin;Poistumistie;Kaapelin pituus;Lukija',
    'X-01;Porras, 1. kerros;Crew side;Crew side / Tower;kyllä;24 m;Card reader, slim',
    'X-02;Varasto;Crew side / Tower;Crew side / Tower;ei;kaukana;Card reader, slim',
    'X-03;Katto;Crew side / Tower;Crew side / Tower;ei;31,5;none',
  ].join('\r\n')
  await page
    .getByLabel('File with the door schedule')
    .setInputFiles({ name: 'ovet.csv', mimeType: 'text/csv', buffer: Buffer.from(list, 'latin1') })
  await expect(page.getByText('Text in Windows-1252, cells parted by semicolon. Titles in row 3.')).toBeVisible()
  const rows = page.getByRole('list', { name: 'Rows' }).getByRole('listitem')
  await expect(rows.first()).toContainText('“kaukana” is not a length. Write a length like 35 or 35 m.')
  await expect(page.getByText('One area is new: TO Crew side / Tower.')).toBeVisible()
  await page.getByRole('button', { name: 'Take 2 doors over' }).click()
  await expect(page.getByText('2 doors taken over.')).toBeVisible()
  await page.getByRole('button', { name: /^Undo: Took ovet\.csv over: 2 doors new/ }).click()
  await page.getByRole('button', { name: 'Redo what was taken back' }).click()
  await page.getByRole('button', { name: 'To the doors' }).click()
  await page.getByRole('button', { name: 'Find' }).click()
  await page.getByRole('textbox', { name: /^Find a door/ }).fill('X-0')
  await expect(page.getByRole('list', { name: 'Doors', exact: true }).getByRole('listitem')).toHaveCount(2)
})

test('the list goes out, and brought back it changes nothing', async ({ page }) => {
  await signIn(page)
  await page.goto('/schedule')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The list as a workbook, .xlsx' }).click()
  const file = await (await download).path()
  await page
    .getByLabel('File with the door schedule')
    .setInputFiles({ name: 'back.xlsx', mimeType: 'application/octet-stream', buffer: readFileSync(file) })
  await expect(page.getByRole('radio', { name: /^All / })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('radio', { name: /(new|changed|bad)$/ })).toHaveCount(0)
})

test('open doors are placed all at once, with the reason of each, and the change can be taken back', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/siting')
  await page.getByRole('button', { name: /^Work out where every door goes/ }).click()
  await expect(page.getByRole('heading', { name: 'Worked out' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(/is its nearest cabinet, \d+ m/).first()).toBeVisible()
  await page.getByRole('button', { name: /^Take \d+ doors over/ }).click()
  await expect(page.getByText(/doors have their terminals/)).toBeVisible()
  await expect(page.getByText(/^48 doors|^5\d doors/)).toContainText(/, 0 without a place|, \d without a place/)
  await page.getByRole('button', { name: /^Undo: Placed \d+ doors/ }).click()
  await expect(page.getByRole('button', { name: 'Redo what was taken back' })).toBeVisible()
})

test('many doors are changed at once, and taken back as one', async ({ page }) => {
  await signIn(page)
  await page.getByRole('button', { name: 'Change many' }).click()
  await page.getByRole('textbox', { name: 'Delay before relock, s' }).fill('3')
  await page.getByRole('checkbox', { name: 'Lockers, 3 doors' }).click()
  await page.getByRole('button', { name: 'Change them, 3 doors' }).click()
  await expect(page.getByRole('heading', { level: 1, name: /\d+ doors/ })).toBeVisible()
  const relocks = async (): Promise<number> => {
    const { records } = (await (await page.request.get('/api/v1/facts')).json()) as { records: unknown[] }
    return records.filter((r) => JSON.stringify(r).includes('"relockDelayS":3')).length
  }
  const changed = await relocks()
  expect(changed).toBeGreaterThanOrEqual(3)
  await page.goto('/siting')
  await page.getByRole('button', { name: /^Undo: Changed relockDelayS of / }).click()
  await expect(page.getByRole('button', { name: /^Undo: Changed relockDelayS/ })).toHaveCount(0)
  expect(await relocks()).toBe(changed - 3)
})

test('a supply tells what it lacks, where its numbers come from, and what opens when', async ({ page }) => {
  await signIn(page)
  await page.goto('/supplies')
  await page.getByRole('button', { name: /^Supply of A6/ }).click()
  await page.getByRole('button', { name: /^At rest: .*Where it comes from$/ }).click()
  await expect(
    page.getByText(
      'Sum of what draws while nobody passes: board, readers, and locks that are fed while they are shut.',
    ),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /^Volts at V-0\d K1 over the first second/ })).toBeVisible()
  await page.getByRole('textbox', { name: 'Hours asked for' }).fill('30')
  await page.getByRole('button', { name: 'Save battery and supply' }).click()
  await expect(page.getByText(/Ah of battery last .* 30 h are asked for/)).toBeVisible()
  await page.getByRole('button', { name: 'What opens when' }).click()
  await page.getByRole('radio', { name: 'Fire signal' }).click()
  await expect(page.getByRole('button', { name: /^V-01 / })).toContainText(
    'The fire relay takes the feed away: the lock lets go, on battery too.',
  )
})

test('addresses are given as proposed; switches are read the other way', async ({ page }) => {
  await signIn(page)
  await page.goto('/addresses')
  await page.getByRole('button', { name: /^Give \d+ addresses as proposed$/ }).click()
  await expect(page.getByRole('button', { name: /addresses as proposed/ })).toHaveCount(0)
  await page.getByRole('button', { name: /^K-01 R1 address \d+/ }).click()
  await expect(page.getByRole('group', { name: 'Switches' })).toBeVisible()
  await page.getByRole('button', { name: 'Read switches' }).first().click()
  await page.getByRole('combobox', { name: 'Device' }).selectOption({ label: 'Finger reader' })
  await page.getByRole('button', { name: 'Switch 5 off' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'That is address' })).toContainText('31')
})

test('what IT must let through is tried from here line by line, and ranges of addresses are searched', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/addresses')
  await page.getByRole('button', { name: 'What IT must let through' }).click()
  await expect(page.getByRole('heading', { name: 'TCP 80 · ONVIF over HTTP' })).toBeVisible()
  await page.getByRole('button', { name: /^Test from here, \d+ lines$/ }).click()
  await expect(page.getByText(/^Tried from this computer: \d+ open, \d+ refused\.$/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Test from here/ })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('button', { name: /^Try TCP 80, A1 / })).toContainText('took the connection')
  // No door station hangs on this site yet.
  await expect(page.getByRole('button', { name: /^Try UDP 123, A1 / })).toContainText('the time server answers')
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'What IT must let through as CSV' }).click()
  expect((await saved).suggestedFilename()).toBe('flows.csv')

  await page.goto('/reach')
  await page.getByRole('textbox', { name: 'Address or ranges' }).fill('10.61.8.21-40, 172.20.0.0/30')
  await page.getByRole('button', { name: 'Ask these addresses' }).click()
  await expect(
    page.getByText(/^Asked 22 of 22: \d+ devices found; to 2 addresses this computer knows no way/),
  ).toBeVisible({ timeout: 60_000 })
  await page.getByRole('textbox', { name: 'Address or ranges' }).fill('10.61.8.21-500')
  await page.getByRole('button', { name: 'Ask these addresses' }).click()
  await expect(page.getByText(/“10.61.8.21-500” is no range/)).toBeVisible()
})

test('a device sheet of one’s own is made from the schema, refused while it contradicts itself, and used at a door', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/sheets/strike-fast')
  await page.getByRole('button', { name: 'Make one like it' }).click()
  await page.getByRole('textbox', { name: 'Short name, small letters' }).fill('strike-quay')
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Strike for the quay')
  await page.getByRole('textbox', { name: 'Least volts at pull-in, V' }).fill('15')
  await page.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(page.getByText('It cannot need 15 V when it is made for 12 V.').first()).toBeVisible()
  await page.getByRole('textbox', { name: 'Least volts at pull-in, V' }).fill('10')
  await page.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Strike for the quay' })).toBeVisible()
  await page.goto('/doors/C-07/edit')
  await page.getByRole('combobox', { name: 'Lock', exact: true }).selectOption({ label: 'Strike for the quay' })
  await page.getByRole('button', { name: 'Save the changes' }).click()
  await expect(page.getByRole('heading', { name: 'Plan' })).toBeVisible()
})

test('on a wide screen a lead is dragged to its new screw', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1800 })
  await signIn(page)
  await page.goto('/doors/V-07/plan')
  const lead = page.getByRole('button', { name: /^Move D1 contact/ })
  const free = page.getByRole('button', { name: /^Terminal \d+ I\d+: free$/ }).first()
  const name = /^Terminal (\d+) /.exec((await free.getAttribute('aria-label')) ?? '')?.[1] ?? ''
  const [from, to] = [await lead.boundingBox(), await free.boundingBox()]
  if (!from || !to) throw new Error('not on the screen')
  await page.mouse.move(from.x + 60, from.y + 20)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y, { steps: 4 })
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 })
  await expect(page.getByText(new RegExp(`^D1 contact on ${name} `))).toBeVisible()
  await page.mouse.up()
  await expect(page.getByRole('button', { name: new RegExp(`^Terminal ${name} I\\d+: V-07 D1$`) })).toBeVisible()
})
