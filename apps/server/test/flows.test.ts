import type { Flow } from '@rauta/core/lists'
import { Site, serial, siteFile } from './site'

/** What of the site's network must be let through, tried against devices that are really there. */
describe('what IT must let through', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(
      siteFile((file) => {
        file.timeServer = '10.7.1.2'
      }),
    ).start()
    await site.plan(2)
    await site.take()
    const job = site.facts.job['job']
    if (!job) throw new Error('no job')
    await site.command('job.edit', { fields: { network: { ...job.network, timeServer: '10.7.1.2' } } })
  })
  afterAll(() => site.stop())
  const flows = async () => (await site.ask('GET', '/flows')).body['flows'] as Flow[]
  const tried = async (id: string) => (await site.ask('POST', '/flows/test', { id })).body
  const named = async (part: string) => {
    const found = (await flows()).find((f) => f.id.includes(part))
    if (!found) throw new Error(`no flow ${part}`)
    return found.id
  }

  it('is worked out from the job, each line once', async () => {
    const list = await flows()
    expect(list.map((f) => f.id)).toEqual([...new Set(list.map((f) => f.id))])
    expect(list.some((f) => f.from.kind === 'phones')).toBe(false)
    expect(list.find((f) => f.id === 'listens/controller/a1/tcp/80')).toMatchObject({
      to: { address: site.facts.controller['a1']?.address },
      test: 'connect',
    })
  })
  it('is open where the device listens, and refused where it does not', async () => {
    expect(await tried(await named('controller/a1/tcp/80'))).toMatchObject({ outcome: 'open', open: true })
    // The board was asked when it was taken into service: it serves no HTTPS, so nobody is asked to open it.
    expect((await flows()).some((f) => f.id.includes('controller/a1/tcp/443'))).toBe(false)
    await site.hands([{ do: 'network', serial, on: false }])
    expect(await tried(await named('controller/a1/tcp/80'))).toMatchObject({
      outcome: 'refused',
      says: expect.stringMatching(/^Refused/) as string,
    })
    await site.hands([{ do: 'network', serial, on: true }])
    await site.until('it to answer again', (f) => f.reach['a1']?.silentMs === 0 && f.reach['a1'].says === '')
  })
  it('asks the time server itself, and tells how far the two clocks are apart', async () => {
    const said = await tried(await named('time/controller/a1'))
    expect(said).toMatchObject({ outcome: 'open', open: true })
    expect(Math.abs(Number(said['offsetMs']))).toBeLessThan(5000)
    const job = site.facts.job['job']
    if (!job) throw new Error('no job')
    await site.command('job.edit', { fields: { network: { ...job.network, timeServer: '10.7.1.3' } } })
    expect(await tried(await named('time/controller/a1'))).toMatchObject({ outcome: 'refused', open: false })
  })
  it('tries nothing that the job does not ask for, and nothing for those who only look', async () => {
    for (const id of ['listens/controller/a1/tcp/22', 'listens/controller/nobody/tcp/80', '__proto__'])
      expect((await site.ask('POST', '/flows/test', { id })).status).toBe(404)
    expect(await site.ask('POST', '/flows/test', { id: await named('find/asks') })).toMatchObject({ status: 409 })
    for (const body of [{}, { id: '' }, { id: 4 }, { id: 'x'.repeat(301) }, { id: 'x', port: 22 }])
      expect((await site.ask('POST', '/flows/test', body)).status).toBe(422)
  })
  it('no way leads to an address that this computer has no subnet for', async () => {
    const controller = site.facts.controller['a1']
    await site.command('controller.put', {
      ...controller,
      id: 'far',
      ref: 'A9',
      address: '10.7.1.77',
      serial: '',
      mac: '',
    })
    const id = await named('controller/far/tcp/80')
    expect(await tried(id)).toMatchObject({ open: false })
    site.server.context.dialer.knock = async () => ({ outcome: 'noWay', tookMs: 0 })
    expect(await tried(id)).toMatchObject({ outcome: 'noWay', says: expect.stringMatching(/^No way there/) as string })
  })
  it('more than a few at once are told to wait', async () => {
    let go: () => void = () => undefined
    const gate = new Promise<void>((done) => (go = done))
    let under = 0
    site.server.context.dialer.knock = async () => {
      under += 1
      await gate
      return { outcome: 'silent', tookMs: 2000 }
    }
    const id = await named('controller/a1/tcp/80')
    const asked = Array.from({ length: 8 }, () => site.ask('POST', '/flows/test', { id }))
    while (under < 8) await new Promise((done) => setTimeout(done, 20))
    expect((await site.ask('POST', '/flows/test', { id })).status).toBe(429)
    go()
    for (const { body } of await Promise.all(asked)) expect(body).toMatchObject({ outcome: 'silent', open: false })
  })
  it.each(['csv', 'xlsx', 'pdf'])('goes to IT as %s', async (kind) => {
    const text = Buffer.from(await site.bytes(`/lists/flows.${kind}`)).toString('utf8')
    expect(text.length).toBeGreaterThan(500)
    if (kind === 'csv') expect(text).toMatch(/this computer.*A1.*TCP.*80.*ONVIF over HTTP/)
  })
})
