import { spawn } from 'node:child_process'
import { createServer } from 'node:http'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { gzipSync } from 'node:zlib'
import { PGlite } from '@electric-sql/pglite'
import { chromium } from '@playwright/test'
import { makeClock } from '@rauta/protocols'
import { v7 } from 'uuid'
import { startServer } from '../apps/server/src'
import { Site, siteFile, serial } from '../apps/server/test/site'

/** Measures what we claim, each beside its baseline in the same run. Machines are noisy: the ratios count. */
const rows: string[] = []
const row = (what: string, value: string, baseline: string, ratio: string, goal: string) => { const line = `| ${what} | ${value} | ${baseline} | ${ratio} | ${goal} |`; rows.push(line); console.log(line) }
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0
const time = async (work: () => Promise<unknown>) => { const from = performance.now(); await work(); return performance.now() - from }

async function loads(): Promise<void> {
  const site = await new Site(siteFile(), undefined, 1).start()
  await site.plan()
  await site.take()
  for (let i = 0; i < 40; i++) await site.command('person.put', { id: `b${i}`, number: `9${i}`, name: `Person ${i}`, cards: [{ id: `bc${i}`, facility: 60, number: i, state: 'in use' }], groups: ['g'] })
  const port = site.table.ports['80'] ?? 0
  const host = `${(site.table.prefixes[0]?.wire ?? '').replace(/0$/, '21')}:${port}`
  let requests = 0
  const unit = site.rig.units.get(serial)
  const check = unit?.tokens.check.bind(unit.tokens)
  if (unit && check) unit.tokens.check = (...args) => { requests += 1; return check(...args) }
  const ratios: number[] = []
  const times: number[] = []
  const bares: number[] = []
  for (let round = 0; round < 3; round++) {
    for (const table of Object.values(unit?.memory.entities ?? {})) for (const key of Object.keys(table)) delete (table as Record<string, unknown>)[key]
    requests = 0
    const took = await time(() => site.load())
    const count = requests
    const body = '<s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope"><s:Body><t:GetSystemDateAndTime xmlns:t="http://www.onvif.org/ver10/device/wsdl"/></s:Body></s:Envelope>'
    const bare = await time(async () => { for (let i = 0; i < count; i++) await (await fetch(`http://${host}/onvif/device_service`, { method: 'POST', body })).text() })
    times.push(took); bares.push(bare); ratios.push(took / bare)
  }
  row(`load of one controller, ${requests} round trips`, `${median(times).toFixed(0)} ms`, `the same number of bare HTTP round trips to the same rig ${median(bares).toFixed(0)} ms`, median(ratios).toFixed(2), '1.2')
  await site.stop()
}

async function writes(): Promise<void> {
  const site = await new Site(siteFile(), undefined, 1).start({ rig: false })
  await site.plan(1)
  const { log } = site.server.context
  const n = 300
  const ours = await time(async () => { for (let i = 0; i < n; i++) await log.run({ id: v7(), name: 'group.put', payload: { id: `w${i}`, name: `W${i}` }, seen: 0 }, { name: 'lead', role: 'lead' }) })
  await site.stop()
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const raw = new PGlite(join(folder, 'raw'))
  await raw.query('create table t (id text primary key, data jsonb)')
  const bare = await time(async () => { for (let i = 0; i < n; i++) await raw.query('insert into t values ($1, $2)', [`w${i}`, JSON.stringify({ id: `w${i}`, name: `W${i}` })]) })
  await raw.close()
  rmSync(folder, { recursive: true, force: true })
  row(`${n} commands through the change log`, `${((n / ours) * 1000).toFixed(0)} a second`, `raw single-row PGlite inserts ${((n / bare) * 1000).toFixed(0)} a second`, (ours / bare).toFixed(2), 'none set')
}

function size(): void {
  const folder = 'apps/web/dist/_expo/static/js/web'
  const first = readdirSync(folder).filter((f) => /^(entry|__common|_layout|__expo|index)/.test(f))
  const bytes = first.filter((f) => !f.startsWith('index')).reduce((sum, f) => sum + gzipSync(readFileSync(join(folder, f))).length, 0)
  row('script of the first load, gzip', `${(bytes / 1000).toFixed(0)} kB`, 'goal of the plan', '', '420 kB')
}

/** An empty shell of the same stack: React, react-native-web and the router's own weight, nothing of ours, built by the same bundler. */
async function usable(): Promise<void> {
  const shell = resolve('apps/web/dist')
  const files = readdirSync(join(shell, '_expo/static/js/web'))
  const entry = files.find((f) => f.startsWith('entry')) ?? ''
  const runtime = files.find((f) => f.startsWith('__expo')) ?? ''
  const empty = createServer((request, response) => {
    if (request.url === '/') { response.setHeader('content-type', 'text/html'); response.end(`<div id="root"></div><script src="/${runtime}"></script><script src="/${entry}"></script><script>document.getElementById('root').innerHTML='<h1>Empty</h1>'</script>`); return }
    response.setHeader('content-type', 'text/javascript')
    response.setHeader('content-encoding', 'gzip')
    try { response.end(gzipSync(readFileSync(join(shell, '_expo/static/js/web', (request.url ?? '').slice(1))))) } catch { response.statusCode = 404; response.end() }
  }).listen(0, '127.0.0.1')
  await new Promise((done) => empty.once('listening', done))
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const server = await startServer({ dataFolder: null, keyFile: join(folder, 'key'), port: 0, clock: makeClock(1), table: null, webFolder: shell, rigPage: null, logLevel: 'silent' })
  const base = `http://127.0.0.1:${server.port}`
  const signed = await fetch(`${base}/api/v1/first`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'lead', password: 'long enough 1', job: { name: 'J', client: '', site: '', zone: 'UTC', network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' } } }) })
  const cookie = signed.headers.get('set-cookie')?.split(';')[0]?.split('=') ?? []
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
  const measure = async (url: string, heading: RegExp, signedIn: boolean) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
    if (signedIn) await context.addCookies([{ name: cookie[0] ?? '', value: cookie[1] ?? '', url: base }])
    const page = await context.newPage()
    const session = await context.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    const took = await time(async () => { await page.goto(url); await page.getByRole('heading', { level: 1, name: heading }).waitFor() })
    await context.close()
    return took
  }
  const at = empty.address()
  const emptyUrl = `http://127.0.0.1:${typeof at === 'object' && at ? at.port : 0}/`
  const ours: number[] = []
  const bare: number[] = []
  for (let i = 0; i < 5; i++) { bare.push(await measure(emptyUrl, /Empty/, false)); ours.push(await measure(`${base}/doors`, /0 doors/, true)) }
  row('first load to usable, CPU slowed 4 times', `${median(ours).toFixed(0)} ms`, `a shell that loads the same router, React and react-native-web and shows a heading ${median(bare).toFixed(0)} ms`, (median(ours) / median(bare)).toFixed(2), '1.4')
  await browser.close()
  await server.close()
  empty.close()
  rmSync(folder, { recursive: true, force: true })
}

async function starts(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'rauta-bench-'))
  const env = { ...process.env, RAUTA_DATA: join(folder, 'data'), RAUTA_KEY: join(folder, 'key'), PORT: '0' }
  const once = (file: string, args: string[]) => time(() => new Promise<void>((done, fail) => {
    const child = spawn(process.execPath, [...args, file], { env, stdio: ['ignore', 'pipe', 'inherit'] })
    child.stdout.once('data', () => { child.once('exit', () => done()); child.kill('SIGTERM') })
    child.once('error', fail)
  }))
  const nothing = join(folder, 'nothing.ts')
  writeFileSync(nothing, "console.log('{}'); setInterval(() => undefined, 1000)")
  await once('apps/server/src/main.ts', ['--import', 'tsx'])
  const ours: number[] = []
  const bare: number[] = []
  for (let i = 0; i < 3; i++) { ours.push(await once('apps/server/src/main.ts', ['--import', 'tsx'])); bare.push(await once(nothing, ['--import', 'tsx'])) }
  row('start and end of the server on an existing store', `${median(ours).toFixed(0)} ms`, `a process that only prints a line ${median(bare).toFixed(0)} ms`, (median(ours) / median(bare)).toFixed(2), 'none set')
  rmSync(folder, { recursive: true, force: true })
}

size()
await writes()
await loads()
await usable()
await starts()
writeFileSync('docs/bench.md', `# Measurements\n\nFrom \`npm run bench\`, each beside its baseline in the same run. Machines are noisy: the ratios count.\n\n| what | measured | baseline | ratio | goal |\n|---|---|---|---|---|\n${rows.join('\n')}\n`)
process.exit(0)
