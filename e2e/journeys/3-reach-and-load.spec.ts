import { expect, test } from '@playwright/test'
import { rigBase } from '../site'
import { hands, signIn } from './helpers'

test('a device that holds an old job is counted, agreed to, erased, addressed and loaded', async ({ page }) => {
  await signIn(page)
  await page.goto('/reach')
  await page.getByRole('button', { name: /Search the segment/ }).click()
  await expect(page.getByText('6 answered.')).toBeVisible()
  await page.getByRole('button', { name: /^A3: / }).click()
  const agree = page.getByRole('button', { name: 'Agree to erase, 57 people, 2 doors' })
  if (!(await agree.isVisible().catch(() => false)))
    await page
      .getByRole('button', { name: 'Go on' })
      .click({ timeout: 3000 })
      .catch(() => undefined)
  await expect(page.getByText('It holds 2 doors, 57 people').first()).toBeVisible()
  await agree.click()
  await page.getByRole('button', { name: /Accept this firmware/ }).click({ timeout: 40_000 })
  await expect(page.getByRole('listitem', { name: 'In service: done' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Agreed by vesa')).toBeVisible()
  await page.getByRole('button', { name: 'Load it' }).click()
  await expect(page.getByRole('heading', { name: 'Not loaded: 2 devices' })).toBeVisible()
  await page.getByRole('checkbox', { name: /^A1 / }).click()
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/\d+ sent, read back equal\./).first()).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('heading', { name: 'Not loaded: 1 device' })).toBeVisible()
})

test('a device with an unknown secret is reset by hand, step by step, and goes on by itself', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/reach/a4')
  await expect(page.getByText(/or reset the device by hand/).first()).toBeVisible()
  await page.getByRole('textbox', { name: 'Its password' }).fill('not-this-one')
  await page.getByRole('button', { name: 'Try this password' }).click()
  await expect(page.getByText(/It refuses the password that was entered for startup/).first()).toBeVisible({
    timeout: 60_000,
  })
  await expect(page.getByRole('heading', { name: 'Reset by hand, 1 of 4' })).toBeVisible()
  await expect(page.getByText('Take the power off.')).toBeVisible()
  await page.getByRole('button', { name: 'Begin 5 s' }).click()
  await expect(page.getByRole('timer')).toContainText('s')
  await page.getByRole('button', { name: 'Done, next' }).click()
  await expect(page.getByText('Hold the key marked SET')).toBeVisible()
  await hands(request, [
    { do: 'power', serial: 'RG-2004-A4', on: false },
    { after: 500, do: 'setKey', serial: 'RG-2004-A4', held: true },
    { do: 'power', serial: 'RG-2004-A4', on: true },
    { after: 8200, do: 'setKey', serial: 'RG-2004-A4', held: false },
  ])
  await page.getByRole('button', { name: /Accept this firmware/ }).click({ timeout: 60_000 })
  await expect(page.getByRole('listitem', { name: 'In service: done' })).toBeVisible({ timeout: 30_000 })
})

test('an offline controller waits and is told apart from a failure', async ({ page, request }) => {
  await signIn(page)
  await hands(request, [{ do: 'network', serial: 'RG-2003-A3', on: false }])
  await page.goto('/doors/P-01/behaviour')
  await page.getByRole('textbox', { name: 'Release time, s' }).fill('7')
  await page.getByRole('button', { name: 'Save the behaviour' }).click()
  await expect(page.getByRole('listitem', { name: /^Load: / })).toBeVisible()
  await page.goto('/load')
  await expect(page.getByRole('listitem', { name: 'P-01, Release time: holds 5 s, will hold 7 s' })).toBeVisible()
  for (const ref of ['A1', 'A4']) await page.getByRole('checkbox', { name: new RegExp(`^${ref} `) }).click()
  await page.getByRole('button', { name: /Load and read back/ }).click()
  await expect(page.getByText(/The load waits and goes on when it answers/)).toBeVisible({ timeout: 30_000 })
  await hands(request, [{ do: 'network', serial: 'RG-2003-A3', on: true }])
  await expect(page.getByText('1 sent, read back equal.').first()).toBeVisible({ timeout: 30_000 })
})

test('taking a change back before it is sent gives the proofs back', async ({ page }) => {
  await signIn(page)
  await page.goto('/doors/C-02')
  await expect(page.getByRole('listitem', { name: 'Prove: stale' })).toBeVisible()
  await page.goto('/doors/C-02/behaviour')
  await page.getByRole('textbox', { name: 'Release time, s' }).fill('5')
  await page.getByRole('button', { name: 'Save the behaviour' }).click()
  await expect(page.getByRole('listitem', { name: 'Prove: done' })).toBeVisible()
  await expect(page.getByRole('listitem', { name: 'Load: done' })).toBeVisible()
})

test('a reader on a bus whose switches stand wrong is set right, goes on, and is reached under its own key', async ({
  page,
  request,
}) => {
  await signIn(page)
  await page.goto('/doors/T-03')
  await expect(page.getByText(/Its switches stand for address 3; it is planned at 1/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Reach its devices, R1 Card reader, bus' }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Card reader, bus/ })).toBeVisible()
  await expect(page.getByText('On: 1. All others off.', { exact: true })).toBeVisible()
  await hands(request, [{ do: 'busSet', reader: '0A61C002', to: { address: 1 } }])
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByRole('listitem', { name: 'In service: done' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText('Encrypted under a key of its own, which this job keeps sealed.')).toBeVisible()
  await page.getByRole('button', { name: 'Let it flash and beep' }).click()
  await expect(page.getByText('T-03 R1 flashes and beeps now.')).toBeVisible()
  const rig = (await (await request.get(`${rigBase}/rig/state`)).json()) as {
    doors: { id: string; readers: { bus: { key: string; shown: number } | null }[] }[]
  }
  expect(rig.doors.find((d) => d.id === 'T-03')?.readers[0]?.bus).toMatchObject({ key: 'of its own', shown: 2 })
  await page.getByRole('button', { name: 'Go to its door, T-03' }).click()
  await expect(page.getByRole('listitem', { name: 'Reach: done' })).toBeVisible()
})
