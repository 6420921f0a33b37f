import { expect, test, type Page } from '@playwright/test'
import { hands, signIn } from './helpers'

/** Saves, and agrees to what it costs where it costs something. */
async function save(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Save the behaviour' }).click()
  const agree = page.getByRole('button', { name: 'Change it all the same' })
  const done = page.getByRole('listitem', { name: /^Load: / })
  await expect(agree.or(done).first()).toBeVisible()
  if (await agree.isVisible()) await agree.click()
  await expect(done).toBeVisible()
}

test('a door is given free hours, told, and proved free with no card; another door behaves like it', async ({
  page,
  request,
}) => {
  await signIn(page)
  // What contradicts itself is said while it is typed.
  await page.goto('/doors/C-02/behaviour')
  await page.getByRole('textbox', { name: /^Warning so long before/ }).fill('25')
  await expect(page.getByRole('alert').filter({ hasText: 'it would come at once' })).toBeVisible()
  await page.getByRole('textbox', { name: /^Warning so long before/ }).fill('8')
  await expect(page.getByText('it would come at once')).toHaveCount(0)

  await page.goto('/doors/T-01/behaviour')
  await page.getByRole('combobox', { name: 'Free for everybody' }).selectOption({ label: 'Office hours' })
  await save(page)
  await page.goto('/load')
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/read back equal\./).first()).toBeVisible({ timeout: 30_000 })
  await page.goto('/doors/T-01/prove')
  await page.getByRole('button', { name: 'Free in its free hours: todo' }).click()
  await page.getByRole('button', { name: 'Begin this test' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Free. Open the leaf.' })).toBeVisible()
  await hands(request, [
    { do: 'lean', door: 'T-01', ms: 4000 },
    { after: 800, do: 'close', door: 'T-01' },
  ])
  await expect(page.getByText('Passed', { exact: true })).toBeVisible({ timeout: 20_000 })

  await page.goto('/doors/T-01/behaviour')
  await page.getByRole('button', { name: 'Let other doors behave like this one' }).click()
  await page.getByRole('checkbox', { name: 'T-03 Left luggage' }).click()
  await expect(page.getByText(/free on not set → Office hours/)).toBeVisible()
  await page.getByRole('button', { name: 'Change it', exact: true }).click()
  await expect(page.getByText('T-03: behave like T-01 now.')).toBeVisible()
})

test('a schedule is drawn, seen as the devices run it on an odd night, and a special day of several replaces it', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/time/new')
  await page.getByRole('textbox', { name: 'Name' }).fill('Weekend nights')
  await page.getByRole('button', { name: 'Take period 1 out' }).click()
  const drawing = page.getByRole('img', { name: 'Week to draw on' })
  await drawing.scrollIntoViewIfNeeded()
  const week = await drawing.boundingBox()
  if (!week) throw new Error('no week')
  const at = (day: number, hour: number): [number, number] => [
    week.x + (week.width * (hour + 0.25)) / 24,
    week.y + (week.height * (day + 0.5)) / 7,
  ]
  await page.mouse.move(...at(5, 1))
  await page.mouse.down()
  await page.mouse.move(...at(5, 3), { steps: 4 })
  await page.mouse.move(...at(6, 4.5), { steps: 4 })
  await expect(page.getByText('In force 01:00 to 05:00, Sat Sun')).toBeVisible()
  await page.mouse.up()
  await expect(page.getByText('Sat Sun 01:00–05:00')).toBeVisible()
  await page.getByLabel('Week of').fill('2027-03-25')
  await expect(
    page.getByText('03:00 to 04:00 is left out: in force for 60 min less than on other days.').first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Save the schedule' }).click()
  await expect(page.getByRole('button', { name: 'Weekend nights' })).toBeVisible()

  await page.getByRole('textbox', { name: 'What for' }).fill('Docking')
  await page.getByLabel('Date', { exact: true }).fill('2027-06-24')
  await page.getByLabel('Last day, if several').fill('2027-06-26')
  await page.getByRole('button', { name: 'Add the day' }).click()
  await expect(page.getByText(/On 2027-06-25 there is No sailings already/)).toBeVisible()
  await page.getByLabel('Date', { exact: true }).fill('2027-06-26')
  await page.getByLabel('Last day, if several').fill('2027-06-27')
  await page.getByRole('radio', { name: 'Some of them' }).click()
  await page.getByRole('checkbox', { name: 'Weekend nights' }).click()
  await page.getByRole('button', { name: 'Add the day' }).click()
  await expect(page.getByRole('button', { name: '2027-06-26 to 2027-06-27 Docking' })).toBeVisible()
})
