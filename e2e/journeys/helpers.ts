import { expect, type APIRequestContext, type Browser, type Page } from '@playwright/test'
import { base, rigBase } from '../site'

export type Hand = Record<string, unknown>

/** The hands of the rig, as its page plays them. */
export async function hands(request: APIRequestContext, list: Hand[]): Promise<string[]> {
  const answer = await request.post(`${rigBase}/rig/hands`, {
    data: { hands: list },
    // A connection that was kept may be closed by the rig in the moment it is used again.
    headers: { connection: 'close' },
  })
  expect(answer.ok()).toBe(true)
  return ((await answer.json()) as { done: string[] }).done
}

/** Signed in over the interface, and on the board. */
export async function signIn(page: Page, name = 'vesa'): Promise<void> {
  await page.request.post('/api/v1/sign-in', { data: { name, password: 'alder-quay-demo' } })
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1, name: /\d+ doors/ })).toBeVisible()
}

/** A second person on a device of their own. */
export async function anotherPage(browser: Browser, name: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: base })
  const page = await context.newPage()
  await signIn(page, name)
  return page
}

export const card = (door: string, which: string, reader = 'R1'): Hand => ({ do: 'card', door, reader, card: which })
export const good = 'test card, good'
/** A picture as a phone's camera hands it over. */
export const plate = {
  name: 'plate.png',
  mimeType: 'image/png',
  buffer: Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAEklEQVR4nGNY6iSFBzGMSmNDAAOhZGV/FBYyAAAAAElFTkSuQmCC',
    'base64',
  ),
}
