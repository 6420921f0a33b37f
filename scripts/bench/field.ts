import PDFDocument from 'pdfkit'
import type { Browser } from '@playwright/test'
import { launchBrowser } from '../browser'
import { all } from '@rauta/core'
import { v7 } from 'uuid'
import { fonts, PdfFile } from '../../apps/server/src/files/page'
import { drawWireSheet } from '../../apps/server/src/files/wireSheet'
import { serverWith } from './board'
import { median, row, time } from './measure'
import { emptyShell } from './shell'

type Served = Awaited<ReturnType<typeof serverWith>>

/** Wire sheets of 500 doors, beside the PDF library writing as many pages of plain text in the same face. */
async function sheets(at: Served): Promise<void> {
  const doors = all(at.log.facts, 'door')
  let pages = 0
  const ours = async () => {
    const out = new PdfFile('Wire sheets', 'J', '')
    pages = 0
    out.pdf.on('pageAdded', () => {
      pages += 1
    })
    for (const door of doors)
      drawWireSheet(out, door, {
        facts: at.log.facts,
        origin: 'https://rauta-0a1b2c.local:4443',
        made: { by: 'bench', at: 0 },
      })
    await out.end()
  }
  const plain = () =>
    new Promise<void>((done) => {
      const pdf = new PDFDocument({ size: 'A4', margin: 48, autoFirstPage: false })
      pdf.on('data', () => undefined)
      pdf.on('end', () => done())
      pdf.registerFont('text', fonts.text)
      for (let n = 0; n < pages; n++) {
        pdf.addPage().font('text').fontSize(10)
        for (let line = 0; line < 45; line++)
          pdf.text(`Line ${line} of page ${n}: a conductor goes from here to there in some colour`)
      }
      pdf.end()
    })
  const [a, b]: [number[], number[]] = [[], []]
  for (let i = 0; i < 3; i++) {
    a.push(await time(ours))
    b.push(await time(plain))
  }
  row(
    `${doors.length} wire sheets as PDF, ${pages} pages`,
    `${(median(a) / 1000).toFixed(1)} s`,
    `the PDF library writing as many pages of plain text ${(median(b) / 1000).toFixed(1)} s`,
    (median(a) / median(b)).toFixed(2),
    '3',
  )
}

/** A thousand records that waited, in batches, beside as many posts of one. */
async function sync(at: Served): Promise<void> {
  const door = all(at.log.facts, 'door')[0]
  const record = () => ({
    id: v7(),
    name: 'reading.add',
    payload: { id: v7(), door: door?.id, cable: door?.cables[0]?.id, kind: 'loop', value: 1.2 },
    seen: at.log.facts.rev,
  })
  const post = (path: string, body: unknown) =>
    fetch(`${at.base}/api/v1${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: at.cookie.join('=') },
      body: JSON.stringify(body),
    })
  // A connection may have been let go while this process was busy printing; a record sent twice is taken once.
  const ask = async (path: string, body: unknown) => {
    const answer = await post(path, body).catch(() => post(path, body))
    if (!answer.ok) throw new Error(await answer.text())
    return answer.json()
  }
  const n = 1000
  const single: number[] = []
  const batched: number[] = []
  for (let i = 0; i < 3; i++) {
    single.push(
      await time(async () => {
        for (let k = 0; k < n; k++) await ask('/commands', record())
      }),
    )
    batched.push(
      await time(async () => {
        for (let k = 0; k < n; k += 250) await ask('/commands/batch', { records: Array.from({ length: 250 }, record) })
      }),
    )
  }
  row(
    `${n} records that waited, in batches of 250`,
    `${(median(batched) / 1000).toFixed(1)} s`,
    `as many posts of one ${(median(single) / 1000).toFixed(1)} s`,
    (median(batched) / median(single)).toFixed(2),
    '0.5',
  )
}

/** From the layout to the paint of a door's drawing, CPU slowed four times; beside a drawing with nothing to draw but a box. */
async function drawing(browser: Browser, at: Served): Promise<void> {
  const run = (name: string, payload: object) =>
    at.log.run({ id: v7(), name, payload, seen: at.log.facts.rev }, { name: 'lead', role: 'lead' })
  await run('controller.put', {
    id: 'draw',
    ref: 'DRAW',
    sheet: 'controller-8',
    cabinet: 'Draw',
    supply: 'supply-10',
    address: '',
    serial: '',
    mac: '',
    expanders: [
      { id: 'E1', sheet: 'expander-io' },
      { id: 'E2', sheet: 'expander-io' },
    ],
  })
  await run('controller.put', {
    id: 'radio',
    ref: 'RADIO',
    sheet: 'controller-radio',
    cabinet: 'Draw',
    supply: 'supply-5',
    address: '',
    serial: '',
    mac: '',
  })
  const twelve = {
    entryReader: 'reader-bus',
    exitReader: 'reader-bus-keypad',
    lock: 'strike-secure',
    lock2: 'strike-secure',
    contact: 'contact-frame',
    contact2: 'contact-frame',
    boltContact: 'contact-bolt',
    exit: 'button-exit',
    exitSensor: 'sensor-exit',
    deskButton: 'button-desk',
    breakGlass: 'break-glass',
    opener: 'opener-swing',
  }
  const known = Object.keys((await import('@rauta/contracts')).shippedSheets)
  await run('door.add', {
    id: 'TWELVE',
    fields: {
      ref: 'TWELVE',
      name: 'Twelve parts',
      from: 'a',
      to: 'a',
      handle: true,
      hardware: { ...twelve, opener: known.find((k) => k.startsWith('opener')) ?? '' },
    },
  })
  await run('door.placeProposed', { id: 'TWELVE', controller: 'draw' })
  await run('door.add', {
    id: 'EMPTY',
    fields: {
      ref: 'EMPTY',
      name: 'Nothing on a cable',
      from: 'a',
      to: 'a',
      handle: true,
      hardware: { lock: 'wireless-handle' },
    },
  })
  await run('door.placeProposed', { id: 'EMPTY', controller: 'radio' })
  const measure = async (door: string) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
    await context.addCookies([{ name: at.cookie[0] ?? '', value: at.cookie[1] ?? '', url: at.base }])
    const page = await context.newPage()
    await page.goto(`${at.base}/more`)
    await page.getByRole('heading', { level: 1, name: 'More' }).waitFor()
    await (await context.newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: 4 })
    const took: number[] = []
    for (let i = 0; i < 5; i++) {
      await page.goto(`${at.base}/doors/${door}/wire`)
      await page.waitForFunction(() => performance.getEntriesByName('rauta.drawing').length > 0, undefined, {
        timeout: 60_000,
      })
      took.push(await page.evaluate(() => performance.getEntriesByName('rauta.drawing')[0]?.duration ?? 0))
    }
    await context.close()
    return median(took)
  }
  const [full, empty] = [await measure('TWELVE'), await measure('EMPTY')]
  row(
    'drawing of a door of 12 parts, from the layout to the paint, CPU slowed 4 times',
    `${full.toFixed(0)} ms`,
    `a drawing with nothing on a cable ${empty.toFixed(0)} ms`,
    (full / empty).toFixed(2),
    '100 ms',
  )
}

/** Opening without the server, CPU slowed four times, beside an empty shell of the same stack that opens without its server. */
async function offline(browser: Browser): Promise<void> {
  const other = await emptyShell()
  const at = await serverWith(48)
  const measure = async (base: string, path: string, heading: RegExp, cookie: string[] | null) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
    if (cookie) await context.addCookies([{ name: cookie[0] ?? '', value: cookie[1] ?? '', url: base }])
    const page = await context.newPage()
    await page.goto(base + path)
    await page.getByRole('heading', { level: 1, name: heading }).waitFor()
    await page.evaluate(async () => {
      if (!(await navigator.serviceWorker.getRegistration())) await navigator.serviceWorker.register('/sw.js')
      await navigator.serviceWorker.ready
    })
    await page.waitForTimeout(3500)
    await context.setOffline(true)
    const took: number[] = []
    for (let i = 0; i < 5; i++) {
      const fresh = await context.newPage()
      await (await context.newCDPSession(fresh)).send('Emulation.setCPUThrottlingRate', { rate: 4 })
      took.push(
        await time(async () => {
          await fresh.goto(base + path)
          await fresh.getByRole('heading', { level: 1, name: heading }).waitFor()
        }),
      )
      await fresh.close()
    }
    await context.close()
    return median(took)
  }
  const bare = await measure(`http://127.0.0.1:${other.port}`, '/', /Empty/, null)
  const ours = await measure(at.base, '/doors', /48 doors/, at.cookie)
  row(
    'opening without the server, a job of 48 doors, CPU slowed 4 times',
    `${ours.toFixed(0)} ms`,
    `an empty shell of the same stack without its server ${bare.toFixed(0)} ms`,
    (ours / bare).toFixed(2),
    '1.4',
  )
  await at.close()
  await other.close()
}

export async function fieldBench(): Promise<void> {
  const at = await serverWith(500)
  const browser = await launchBrowser()
  await sheets(at)
  await sync(at)
  await drawing(browser, at)
  await at.close()
  await offline(browser)
  await browser.close()
}
