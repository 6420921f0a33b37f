import { Site, siteFile } from './site'

const secureFile = () =>
  siteFile((f) => {
    for (const device of f.devices) device.https = true
  })

/** What went out, and under which certificate. */
function listening(site: Site) {
  const sent: { body: string; fingerprint: string | undefined; port: number }[] = []
  const { dialer } = site.server.context
  const { post } = dialer
  dialer.post = (address, port, path, body, options) => {
    sent.push({ body, fingerprint: options.fingerprint, port })
    return post(address, port, path, body, options)
  }
  return { sent, stop: () => (dialer.post = post) }
}

describe('a device that offers HTTPS', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(secureFile()).start()
    await site.plan(1)
  })
  afterAll(() => site.stop())
  const unit = () => site.unit()

  it('is talked to over it from the first step on; neither its password nor a person goes out in clear', async () => {
    const { sent, stop } = listening(site)
    await site.take()
    await site.load()
    stop()
    const { secured } = site.facts.reach['a1'] ?? {}
    expect(secured).toMatchObject({ port: 443, fingerprint: expect.stringMatching(/^[0-9a-f]{64}$/) as string })
    const secret = sent.filter((s) => /SetUser|Somebody|SetCredential|SetNetworkInterfaces|SystemReboot/.test(s.body))
    expect(secret.length).toBeGreaterThan(3)
    for (const s of secret) expect(s).toMatchObject({ fingerprint: secured?.fingerprint, port: 443 })
    const step = site.facts.claim['a1']?.steps.find((s) => s.name === 'identity')
    expect(step?.says).toContain(`over HTTPS from now on, certificate ${secured?.fingerprint.slice(0, 16)}`)
    const taken = (await site.server.context.log.chain('D-01')).filter((r) => r.kind === 'taken').at(-1)
    expect(taken?.body).toMatchObject({ certificate: secured?.fingerprint })
    expect(site.facts.reach['a1']?.says).toBe('')
  }, 150_000)

  it('whoever stands in its place with another certificate is sent nothing, whatever password it takes', async () => {
    const before = unit().memory.tls
    delete unit().memory.tls
    unit().restart()
    await site.until('it to be said', (f) => /certificate is not the one/.test(f.reach['a1']?.says ?? ''), 40_000)
    const { sent, stop } = listening(site)
    await site.command('person.put', {
      id: 'late',
      number: '99',
      name: 'Late Comer',
      cards: [{ id: 'lc', facility: 9, number: 9, state: 'in use' }],
      groups: ['g'],
    })
    const id = await site.load()
    expect(site.facts.load[id]).toMatchObject({ state: 'failed' })
    expect(site.facts.load[id]?.says).toContain('Nothing was sent')
    const released = await site.ask('POST', '/doors/D-01/order', { order: 'release', reason: '' })
    expect(released.status).toBe(502)
    stop()
    expect(JSON.stringify(unit().memory)).not.toContain('Late Comer')
    for (const { fingerprint } of sent) expect(fingerprint).toBeDefined()
    if (before) unit().memory.tls = before
    unit().restart()
    await site.until('it is itself again', (f) => f.reach['a1']?.says === '' && f.reach['a1'].silentMs === 0, 40_000)
    const again = await site.load()
    expect(site.facts.load[again]).toMatchObject({ state: 'held' })
  }, 120_000)

  it('is not talked to in clear when HTTPS is gone', async () => {
    const { sent, stop } = listening(site)
    delete (unit().file as { https?: true }).https
    unit().restart()
    await site.until('it to be silent', (f) => (f.reach['a1']?.silentMs ?? 0) > 0 && f.reach['a1']?.says, 40_000)
    stop()
    expect(
      sent.every((s) => s.fingerprint !== undefined || /GetSystemDateAndTime|GetDeviceInformation/.test(s.body)),
    ).toBe(true)
    ;(unit().file as { https?: true }).https = true
    unit().restart()
    await site.until('it is itself again', (f) => f.reach['a1']?.says === '' && f.reach['a1'].silentMs === 0, 40_000)
  }, 120_000)
})

describe('a device that offers no HTTPS', () => {
  it('is taken in clear, and nothing says otherwise', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.take()
    expect(site.facts.reach['a1']?.secured).toBeUndefined()
    expect(site.facts.claim['a1']?.secured).toBeUndefined()
    await site.stop()
  })
})
