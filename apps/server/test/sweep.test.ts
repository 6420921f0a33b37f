import { createServer, type Server } from 'node:http'
import { foundConflicts } from '@rauta/core'
import { toWire, wirePort } from '@rauta/protocols'
import type { Sweep } from '@rauta/contracts'
import { Site, siteFile } from './site'

describe('ranges of addresses are searched', () => {
  let site: Site
  const others: Server[] = []
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(1)
    // A printer, say: it answers, and is none of ours.
    const host = toWire(site.table, '10.7.1.60') ?? ''
    const printer = createServer((_request, response) => response.writeHead(404).end('no'))
    others.push(printer)
    await new Promise<void>((done) => printer.listen(wirePort(site.table, 80), host, done))
  })
  afterAll(async () => {
    for (const other of others) other.close()
    await site.stop()
  })
  const begin = async (range: unknown) => await site.ask('POST', '/sweeps', { range })
  const look = async (id: string) => (await site.ask('GET', `/sweeps/${id}`)).body as unknown as Sweep
  const ended = async (id: string): Promise<Sweep> => {
    const end = Date.now() + 60_000
    for (;;) {
      const sweep = await look(id)
      if (sweep.state !== 'running') return sweep
      if (Date.now() > end) throw new Error(`still at ${sweep.done} of ${sweep.total}`)
      await new Promise((done) => setTimeout(done, 50))
    }
  }

  it('finds our devices, counts strangers apart, and says where no way leads', async () => {
    expect(site.facts.found).toEqual({})
    const at = site.unit().memory.address
    const begun = await begin(`${at}, 10.7.1.50-69, 172.20.0.0/30`)
    expect(begun.status).toBe(200)
    const sweep = await ended(String(begun.body['id']))
    expect(sweep).toMatchObject({ total: 23, done: 23, found: 1, strangers: 1, noWay: 2, state: 'ended' })
    expect(Object.values(site.facts.found).map((f) => f.address)).toEqual([at])
  })

  it('stops where it is, and goes on with what is left: nothing is counted twice', async () => {
    const { knock } = site.server.context.dialer
    const asked: string[] = []
    let open: () => void = () => undefined
    const gate = new Promise<void>((done) => (open = done))
    site.server.context.dialer.knock = async (address, port, timeoutMs, signal) => {
      asked.push(address)
      // The first few answer; then nothing does until it was stopped.
      if (asked.length > 40)
        await Promise.race([
          gate,
          new Promise((_done, fail) => signal.addEventListener('abort', () => fail(new Error('stopped')))),
        ])
      return { outcome: 'refused', tookMs: 1 }
    }
    const id = String((await begin('10.7.1.100-199')).body['id'])
    const until = Date.now() + 20_000
    while ((await look(id)).done < 40 && Date.now() < until) await new Promise((done) => setTimeout(done, 20))
    const running = await site.ask('GET', '/sweeps')
    expect(running.body['running']).toMatchObject({ id, total: 100 })
    expect((await begin('10.7.1.1')).status).toBe(409)
    expect((await site.ask('POST', `/sweeps/${id}/stop`)).body).toMatchObject({ state: 'stopped', done: 40 })
    expect((await site.ask('GET', '/sweeps')).body['running']).toBeNull()
    await new Promise((done) => setTimeout(done, 100))
    expect((await look(id)).done).toBe(40)
    open()
    expect((await site.ask('POST', `/sweeps/${id}/go-on`)).body).toMatchObject({ state: 'running' })
    expect(await ended(id)).toMatchObject({ done: 100, total: 100, found: 0, state: 'ended' })
    expect(new Set(asked).size).toBe(100)
    site.server.context.dialer.knock = knock
  })

  it.each([undefined, '', 7, ['10.7.1.1'], 'everything', '10.0.0.0/8', '10.7.1.1-400'])(
    '%j is refused at its field',
    async (range) => {
      const answer = await begin(range)
      expect(answer.status).toBe(422)
      expect(answer.body['field']).toBe('range')
    },
  )
  it('one that nobody knows is not found', async () => {
    for (const path of ['/sweeps/none', '/sweeps/__proto__']) expect((await site.ask('GET', path)).status).toBe(404)
    for (const path of ['/sweeps/none/stop', '/sweeps/none/go-on'])
      expect((await site.ask('POST', path)).status).toBe(404)
  })
})

describe('two devices that leave the factory on one address', () => {
  it('are both heard when both have power, and are told to be in each other’s way', async () => {
    const site = await new Site(
      siteFile((file) => {
        const [first] = file.devices
        if (first) file.devices.push({ ...first, serial: 'RG-4002', mac: '02:00:00:00:00:02' })
      }),
    ).start()
    try {
      await site.plan(1)
      await site.ask('POST', '/search', {})
      await site.until('both to be heard', (f) => Object.keys(f.found).length === 2)
      expect(foundConflicts(Object.values(site.facts.found))).toMatchObject([
        { kind: 'oneAddress', says: expect.stringMatching(/answer.* at one address, 192\.168\.90\./) as string },
      ])
    } finally {
      await site.stop()
    }
  }, 150_000)
})
