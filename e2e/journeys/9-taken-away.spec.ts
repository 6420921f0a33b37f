import { expect, test, type Page } from '@playwright/test'
import { anotherPage, hands, signIn } from './helpers'

/** Made, renamed, and taken away again, what hangs on it said first; at both sizes. */
async function remove(page: Page, name: string, says: RegExp): Promise<void> {
  await page.getByRole('button', { name: `Remove ${name}`, exact: true }).click()
  await expect(page.getByRole('heading', { name: `Remove ${name}?` })).toBeVisible()
  await expect(page.getByText(says).first()).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.getByRole('button', { name: `Remove ${name}`, exact: true }).click()
  await page.getByRole('button', { name: `Yes, remove ${name}` }).click()
}

for (const [size, viewport] of [
  ['on a phone', { width: 390, height: 844 }],
  ['on a wide screen', { width: 1280, height: 800 }],
] as const) {
  test(`${size}: a group, a person with a card, a schedule, a special day and an area are taken away`, async ({
    page,
  }) => {
    const tag = size.replaceAll(' ', '-')
    await page.setViewportSize(viewport)
    await signIn(page)

    await page.goto('/access')
    await page.getByRole('textbox', { name: 'New group' }).fill(`Guests ${tag}`)
    await page.getByRole('button', { name: 'Add the group' }).click()
    await page.getByRole('button', { name: new RegExp(`^Guests ${tag}`) }).click()
    await page.getByRole('textbox', { name: `Name of Guests ${tag}` }).fill(`Visitors ${tag}`)
    await page.getByRole('button', { name: 'Save the group' }).click()

    await page.goto('/people/new')
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill(`Aino ${tag}`)
    await page.getByRole('checkbox', { name: `Visitors ${tag}` }).click()
    await page.getByRole('button', { name: 'Add a card' }).click()
    await page.getByRole('button', { name: 'Take card 1 away' }).click()
    await expect(page.getByRole('textbox', { name: 'Number, card 1' })).toHaveCount(0)
    await page.getByRole('button', { name: 'Save the person' }).click()
    await page.waitForURL((url) => !url.pathname.endsWith('/new'))
    await page.goto('/access')
    await page.getByRole('button', { name: `Visitors ${tag}, 1 person` }).click()
    await remove(page, `Visitors ${tag}`, /^1 person loses it\.$/)
    await expect(page.getByText(`Visitors ${tag}`)).toHaveCount(0)

    await page.goto('/people')
    await page.getByRole('button', { name: `Aino ${tag}`, exact: true }).click()
    await remove(page, `Aino ${tag}`, /^Nothing hangs on it\.$/)
    await expect(page.getByRole('heading', { level: 1, name: /people$/ })).toBeVisible()
    await expect(page.getByText(`Aino ${tag}`)).toHaveCount(0)

    await page.goto('/time/new')
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill(`Nights ${tag}`)
    await page.getByRole('button', { name: 'Save the schedule' }).click()
    await page.waitForURL((url) => !url.pathname.endsWith('/new'))
    await page.goto('/time')
    await page.getByRole('button', { name: `Nights ${tag}`, exact: true }).click()
    await remove(page, `Nights ${tag}`, /^Nothing hangs on it\.$/)
    await expect(page.getByRole('heading', { level: 1, name: 'Time' })).toBeVisible()
    await page.getByLabel('Date').fill('2031-02-03')
    await page.getByRole('textbox', { name: 'What for' }).fill(tag)
    await page.getByRole('button', { name: 'Add the day' }).click()
    await page.getByRole('button', { name: `2031-02-03 ${tag}`, exact: true }).click()
    await remove(page, '2031-02-03', /every schedule runs as on any such weekday/)
    await expect(page.getByText('2031-02-03')).toHaveCount(0)

    await page.goto('/job')
    await page.getByRole('textbox', { name: 'Code', exact: true }).fill('ZZ')
    await page.getByRole('textbox', { name: 'Name of the area' }).fill(`Pier ${tag}`)
    await page.getByRole('button', { name: 'Add the area' }).click()
    await expect(page.getByRole('button', { name: `ZZ Pier ${tag}`, exact: true })).toBeVisible()
    await page.getByRole('combobox', { name: 'Add one, or change' }).selectOption({ label: `ZZ Pier ${tag}` })
    await remove(page, `Pier ${tag}`, /^Nothing hangs on it\.$/)
    await expect(page.getByText(`Pier ${tag}`)).toHaveCount(0)
  })
}

test('what must not go stays and says why; what only the lead takes away is not offered to others', async ({
  page,
  browser,
}) => {
  await signIn(page)
  await page.goto('/controllers/a1/edit')
  await page.getByRole('button', { name: 'Remove A1', exact: true }).click()
  await expect(page.getByText(/It is in service and holds this job’s password/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Yes, remove A1' })).toHaveCount(0)
  await page.goto('/doors/C-07/edit')
  await page.getByRole('button', { name: 'Remove C-07', exact: true }).click()
  await page.getByRole('button', { name: 'Yes, remove C-07' }).click()
  await expect(page).toHaveURL(/\/doors$/)
  await expect(page.getByText('Mess store')).toHaveCount(0)
  const engineer = await anotherPage(browser, 'inka')
  await engineer.goto('/doors/C-06/edit')
  await expect(engineer.getByRole('button', { name: 'Save the changes' })).toBeVisible()
  await expect(engineer.getByRole('button', { name: 'Remove C-06' })).toHaveCount(0)
})

test('an account is made, given another role, and ended; its phone is signed out', async ({ page, browser }) => {
  await signIn(page)
  await page.goto('/team')
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('toivo')
  await page.getByLabel('Password, 10 characters or more').fill('alder-quay-demo')
  await page.getByRole('button', { name: 'Add the account' }).click()
  await expect(page.getByText('toivo may sign in as engineer.')).toBeVisible()
  const phone = await anotherPage(browser, 'toivo')
  await page.getByRole('button', { name: 'toivo, engineer, change' }).click()
  await page.getByRole('radiogroup', { name: 'Role of toivo' }).getByText('Viewer').click()
  await expect(page.getByText('toivo may sign in as viewer.')).toBeVisible()
  await page.getByRole('button', { name: 'toivo, viewer, change' }).click()
  await page.getByRole('button', { name: 'End the account of toivo' }).click()
  await expect(page.getByText(/What toivo recorded stays under that name/)).toBeVisible()
  await page.getByRole('button', { name: 'Yes, end the account of toivo' }).click()
  await expect(page.getByText('toivo can no longer sign in. What toivo recorded stays.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^toivo/ })).toHaveCount(0)
  await phone.goto('/people')
  await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible()
})

test('a cabinet is called otherwise, and is not taken away while something hangs in it', async ({ page }) => {
  await signIn(page)
  await page.goto(`/cabinets/${encodeURIComponent('Riser 1')}`)
  await page.getByRole('button', { name: 'Remove Riser 1', exact: true }).click()
  await expect(page.getByText(/hang in it\. Plan them elsewhere first\./)).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  const rename = async (name: string) => {
    await page.getByRole('textbox', { name: 'Name of the cabinet' }).fill(name)
    await page.getByRole('button', { name: `Call it ${name}` }).click()
    await expect(page.getByRole('heading', { level: 1, name, exact: true })).toBeVisible()
  }
  await rename('Riser one')
  await page.goto('/controllers/a1')
  await expect(page.getByText(/Riser one/).first()).toBeVisible()
  await page.goto(`/cabinets/${encodeURIComponent('Riser one')}`)
  await rename('Riser 1')
})

test('a serial number is entered as printed, a wrong one is told at its field, and a strange read says whose card it is', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/people/new')
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Aarne Salo')
  await page.getByRole('button', { name: 'Add a card' }).click()
  await page.getByRole('combobox', { name: 'Format, card 1' }).selectOption({ label: 'serial number, 4 bytes' })
  await page.getByRole('textbox', { name: 'Serial number, card 1' }).fill('04 A1')
  await page.getByRole('button', { name: 'Save the person' }).click()
  await expect(page.getByText(/has 8 digits/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Serial number, card 1' }).fill('04 a1 b2 c3')
  await page.getByRole('button', { name: 'Save the person' }).click()
  await expect(page.getByRole('button', { name: /Aarne Salo/ })).toBeVisible()
  await hands(request, [{ do: 'card', door: 'Q-01', reader: 'R1', card: '32/04A1B2C3' }])
  await page.goto('/live')
  await expect(page.getByText(/32 bits arrived.*That is the card of Aarne Salo\. Set the reader/)).toBeVisible()
  await page.getByRole('button', { name: 'Show older events' }).click()
})
