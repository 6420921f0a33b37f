import { spawn } from 'node:child_process'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { launchBrowser } from '../browser'
import { Site, siteFile } from '../../apps/server/test/site'
import { boardBench, serverWith } from './board'
import { busBench } from './bus'
import { eventsBench } from './events'
import { fieldBench } from './field'
import { median, row, rows, time } from './measure'
import { pagesBench } from './pages'
import { peopleBench } from './people'
import { planBench } from './plan'
import { emptyShell } from './shell'
import { grown, storeBench } from './store'
import { whyBench } from './why'

/** Measures what we claim, each beside its baseline in the same run. Machines are noisy: the ratios count. */
/** People on the controller that is loaded: what a terminal of some size has. */
const people = 200

/** The rig runs as a process of its own, as it does beside the real server. */
async function loads(): Promise<void> {
  const site = new Site(siteFile(), undefined, 1)
  writeFileSync(join(site.folder, 'bench-site.json'), JSON.stringify(siteFile()))
  const rig = spawn(process.execPath, ['--import', 'tsx', 'packages/standins/src/main.ts'], {
    env: {
      ...process.env,
      RAUTA_NET: JSON.stringify(site.table),
      RIG_SITE: join(site.folder, 'bench-site.json'),
      RIG_MEMORY: join(site.folder, 'bench-rig'),
      RIG_PORT: '0',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((done) => rig.stdout.once('data', done))
  await new Promise((done) => setTimeout(done, 4500))
  await site.start({ rig: false })
  await site.plan()
  await site.ask('POST', '/search', {})
  await site.command('claim.start', { controller: 'a1' })
  await site.until(
    'the firmware',
    (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
    60_000,
  )
  await site.command('firmware.accept', { controller: 'a1' })
  await site.until('it in service', (f) => f.reach['a1']?.owned)
  for (let i = 0; i < people; i++)
    await site.command('person.put', {
      id: `b${i}`,
      number: `9${i}`,
      name: `Person ${i}`,
      cards: [{ id: `bc${i}`, facility: 60, number: i, state: 'in use' }],
      groups: ['g'],
    })
  const at = site.facts.controller['a1']?.address ?? ''
  let requests = 0
  const { dialer } = site.server.context
  const { post } = dialer
  dialer.post = (...args) => {
    if (args[0] === at) requests += 1
    return post(...args)
  }
  const body =
    '<s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope"><s:Body><t:GetSystemDateAndTime xmlns:t="http://www.onvif.org/ver10/device/wsdl"/></s:Body></s:Envelope>'
  const ratios: number[] = []
  const times: number[] = []
  const bares: number[] = []
  let count = 0
  await site.load()
  for (let round = 0; round < 5; round++) {
    await site.command('rule.remove', { id: 'r' })
    await site.load()
    await site.command('rule.put', { id: 'r', group: 'g', doors: Object.keys(site.facts.door), schedule: 'always' })
    requests = 0
    const took = await time(() => site.load())
    count = requests
    const bare = await time(async () => {
      for (let i = 0; i < count; i++) await post(at, 80, '/onvif/device_service', body, { timeoutMs: 5000 })
    })
    times.push(took)
    bares.push(bare)
    ratios.push(took / bare)
  }
  dialer.post = post
  row(
    `load of one controller with ${people} people, ${count} round trips`,
    `${median(times).toFixed(0)} ms`,
    `the same number of bare HTTP round trips to the same rig, one after the other ${median(bares).toFixed(0)} ms`,
    median(ratios).toFixed(2),
    '1.2',
  )
  await site.server.close()
  rig.kill('SIGTERM')
}

function size(): void {
  const folder = 'apps/web/dist/_expo/static/js/web'
  const first = readdirSync(folder).filter((f) => /^(entry|__common|_layout|__expo|index)/.test(f))
  const bytes = first
    .filter((f) => !f.startsWith('index'))
    .reduce((sum, f) => sum + gzipSync(readFileSync(join(folder, f))).length, 0)
  row('script of the first load, gzip', `${(bytes / 1000).toFixed(0)} kB`, 'goal of the plan', '', '450 kB')
}

/** Against an empty shell of the same stack, exported by the same bundler in the same run and served the same way. */
async function usable(): Promise<void> {
  const other = await emptyShell()
  const { base, cookie, close } = await serverWith(0)
  const browser = await launchBrowser()
  const measure = async (url: string, heading: RegExp, signedIn: boolean) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
    if (signedIn) await context.addCookies([{ name: cookie[0] ?? '', value: cookie[1] ?? '', url: base }])
    const page = await context.newPage()
    const session = await context.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    const took = await time(async () => {
      await page.goto(url)
      await page.getByRole('heading', { level: 1, name: heading }).waitFor()
    })
    await context.close()
    return took
  }
  const emptyUrl = `http://127.0.0.1:${other.port}/`
  const ours: number[] = []
  const bare: number[] = []
  for (let i = 0; i < 5; i++) {
    bare.push(await measure(emptyUrl, /Empty/, false))
    ours.push(await measure(`${base}/doors`, /0 doors/, true))
  }
  row(
    'first load to usable, CPU slowed 4 times',
    `${median(ours).toFixed(0)} ms`,
    `an empty shell of the same stack ${median(bare).toFixed(0)} ms`,
    (median(ours) / median(bare)).toFixed(2),
    '1.4',
  )
  await browser.close()
  await close()
  await other.close()
}

const alone: Record<string, () => Promise<void>> = {
  plan: planBench,
  people: peopleBench,
  board: boardBench,
  pages: pagesBench,
  field: fieldBench,
  store: storeBench,
  grown,
  events: eventsBench,
  bus: busBench,
  why: whyBench,
}
const only = process.argv[2]
if (only !== undefined) {
  await alone[only]?.()
  process.exit(0)
}
size()
await planBench()
await peopleBench()
await whyBench()
await boardBench()
await pagesBench()
await fieldBench()
await storeBench()
await eventsBench()
await busBench()
await loads()
await usable()
writeFileSync(
  'docs/bench.md',
  `# Measurements\n\nFrom \`npm run bench\`, each beside its baseline in the same run. Machines are noisy: the ratios count.\n\n| what | measured | baseline | ratio | goal |\n|---|---|---|---|---|\n${rows.join('\n')}\n`,
)
process.exit(0)
