import { randomUUID } from 'node:crypto'
import { createSocket } from 'node:dgram'
import { readFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import {
  deviceTime,
  discoveryGroup,
  el,
  envelope,
  hello,
  scope,
  servicePaths,
  toWire,
  wirePort,
} from '@rauta/protocols'
import { knowsSecret } from '../src/reach/proof'
import { Site, serial, siteFile } from './site'

const endpoint = '00000000-0000-4000-8000-020000000001'

/** Somebody else's program that answers like the device it says it is, and takes any password. */
class YesMan {
  readonly bodies: string[] = []
  private server: Server | null = null
  constructor(
    private readonly site: Site,
    readonly address: string,
  ) {}

  async listen(): Promise<void> {
    const server = createServer((request, response) => {
      let body = ''
      request.on('data', (part: Buffer) => (body += part.toString()))
      request.on('end', () => {
        this.bodies.push(body)
        response.writeHead(200, { 'content-type': 'application/soap+xml' }).end(this.answer(body))
      })
    })
    this.server = server
    await new Promise<void>((done) =>
      server.listen(wirePort(this.site.table, 80), toWire(this.site.table, this.address) ?? '', done),
    )
  }
  private answer(body: string): string {
    if (body.includes('GetSystemDateAndTime'))
      return envelope(deviceTime.write({ utcMs: this.site.clock.now(), zone: '<+00>0', daylightSaving: false }))
    if (body.includes('GetDeviceInformation'))
      return envelope(
        el(
          'tds:GetDeviceInformationResponse',
          el('tds:Manufacturer', 'x'),
          el('tds:Model', 'controller-4'),
          el('tds:FirmwareVersion', '3.2.1'),
          el('tds:SerialNumber', serial),
          el('tds:HardwareId', 'x'),
        ),
      )
    if (body.includes('GetNetworkInterfaces'))
      return envelope(
        el(
          'tds:GetNetworkInterfacesResponse',
          el(
            'tds:NetworkInterfaces',
            { token: 'eth0' },
            el('tt:Enabled', true),
            el('tt:Info', el('tt:HwAddress', '02:00:00:00:00:01')),
            el(
              'tt:IPv4',
              el('tt:Enabled', true),
              el(
                'tt:Config',
                el('tt:Manual', el('tt:Address', this.address), el('tt:PrefixLength', 24)),
                el('tt:DHCP', false),
              ),
            ),
          ),
        ),
      )
    return envelope(el('tds:Response'))
  }
  greet(as = endpoint): Promise<void> {
    const host = toWire(this.site.table, this.address)
    const text = hello(`urn:uuid:${randomUUID()}`, {
      endpoint: `urn:uuid:${as}`,
      types: 'tds:Device',
      xaddrs: [`http://${host}:${wirePort(this.site.table, 80)}${servicePaths.tds}`],
      scopes: [
        scope('name', 'x'),
        scope('hardware', 'controller-4'),
        scope('MAC', '02:00:00:00:00:01'),
        scope('serial', serial),
      ],
    })
    const socket = createSocket('udp4')
    return new Promise((done) =>
      socket.bind(0, '127.0.0.1', () => {
        socket.setMulticastInterface('127.0.0.1')
        socket.send(text, this.site.table.discoveryPort ?? 0, discoveryGroup, () => {
          socket.close()
          done()
        })
      }),
    )
  }
  close(): void {
    this.server?.close()
    this.server?.closeAllConnections()
  }
}

const unitOf = (site: Site) => site.unit()

describe('a greeting moves nothing by itself', () => {
  let site: Site
  let yes: YesMan
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.take()
    yes = new YesMan(site, '10.7.1.66')
    await yes.listen()
  })
  afterAll(async () => {
    yes.close()
    await site.stop()
  })

  it('one that says it is a device of ours, takes any password and gives the right serial stands on the bench for itself', async () => {
    const reach = site.facts.reach['a1']
    await yes.greet()
    const stranger = await site.until('the stranger on the bench', (f) => f.found[`${endpoint}-at-10.7.1.66`])
    expect(stranger).toMatchObject({ address: '10.7.1.66', serial, controller: null, ownership: 'factory' })
    expect(site.facts.found[endpoint]).toMatchObject({ address: '10.7.1.21', controller: 'a1', ownership: 'ours' })
    expect(site.facts.reach['a1']?.address).toBe(reach?.address)
    await yes.greet('00000000-0000-4000-8000-0200000000ff')
    await site.until('the other one too', (f) =>
      Object.keys(f.found).some((k) => k.startsWith('00000000-0000-4000-8000-0200000000ff-at')),
    )
    expect(Object.values(site.facts.found).filter((f) => f.controller === 'a1')).toHaveLength(1)
    expect(yes.bodies.join()).not.toContain('SetUser')
  })

  it('the device itself, moved, proves that it knows its password, at the cost of one wrong one', async () => {
    const unit = unitOf(site)
    unit.memory.address = '10.7.1.33'
    unit.restart()
    await site.until('it at its new address', (f) => f.found[endpoint]?.address === '10.7.1.33')
    expect(site.facts.found[endpoint]).toMatchObject({ controller: 'a1', ownership: 'ours' })
    expect(unit.wrongSecrets).toHaveLength(1)
  })

  it('a device that was reset by hand is taken again: matched by hand, held against its label, given another password', async () => {
    const unit = unitOf(site)
    const password = await site.server.context.vault.get('device/a1')
    unit.factoryReset()
    const again = await site.until('it for itself', (f) => f.found[`${endpoint}-at-192.168.90.40`])
    expect(again).toMatchObject({ controller: null, serial })
    await site.command('found.match', { found: again.id, controller: 'a1' })
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'it to wait for the label',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'secret')?.state === 'waits',
    )
    await site.command('claim.compare', { controller: 'a1', label: serial })
    await site.until('it in service again', (f) => f.claim['a1']?.steps.every((s) => s.state === 'done'), 40_000)
    const renewed = await site.server.context.vault.get('device/a1')
    expect(renewed).not.toBe(password)
    expect(unit.memory).toMatchObject({ address: '10.7.1.21', users: [{ password: renewed }] })
    expect(site.facts.reach['a1']?.owned).toBe(true)
    expect(unit.wrongSecrets.length).toBeLessThan(5)
  })

  it('knowing the password is told apart from saying yes, from saying no, and from guessing', async () => {
    const { context } = site.server
    const protocol = context.protocols.all[0]
    if (!protocol) throw new Error('no protocol')
    const secret = { user: 'installer', password: 'the right one' }
    /** A device that refuses by `refuses`; asked in turn. */
    let devices = 0
    const asked = async (refuses: (right: boolean, n: number) => boolean) => {
      let n = 0
      const address = `10.9.${devices >> 8}.${devices++ & 255}`
      const pretending = {
        ...protocol,
        driver: (options: Parameters<typeof protocol.driver>[0]) => ({
          ...protocol.driver(options),
          identify: async () => {
            if (refuses(options.secret?.password === secret.password, n++))
              throw new (await import('@rauta/drivers')).DeviceError('notAuthorized', 'no')
            return { model: '', firmware: '', serial: '', mac: '', address: '', hostname: '' }
          },
        }),
      }
      return await knowsSecret(context, pretending, { address, port: 80 }, secret, context.ending)
    }
    expect(await asked((right) => !right)).toBe(true)
    expect(await asked(() => false)).toBe(false)
    expect(await asked(() => true)).toBe(false)
    const guesses = await Promise.all(Array.from({ length: 400 }, () => asked((_right, n) => n === 3)))
    const lucky = guesses.filter(Boolean).length
    expect(lucky).toBeGreaterThan(15)
    expect(lucky).toBeLessThan(105)
  })
})

describe('a new password goes to nobody whom only their own word tells apart', () => {
  it('a device matched by what it says waits for its label, and is sent nothing before', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1, { serial: '' })
    await site.until('the device to be up', () => unitOf(site).up)
    await site.ask('POST', '/search', {})
    const found = await site.until(
      'it on the bench',
      (f) => f.found[endpoint]?.ownership === 'factory' && f.found[endpoint],
    )
    expect(found).toMatchObject({ controller: null })
    await site.command('found.match', { found: endpoint, controller: 'a1' })
    const sent: string[] = []
    const { dialer } = site.server.context
    const { post } = dialer
    dialer.post = (...args) => {
      sent.push(String(args[3]))
      return post(...args)
    }
    await site.command('claim.start', { controller: 'a1' })
    const step = await site.until('it to wait', (f) => f.claim['a1']?.steps.find((s) => s.state === 'waits'))
    expect(step).toMatchObject({ name: 'secret' })
    expect(step.says).toContain(`It says its serial is ${serial}. Look at the label on the device`)
    for (const [label, says] of [
      ['RG-5555', /another device/],
      ['001', /at least the last 4 signs/],
      ['   ', /at least the last 4 signs/],
    ] as const)
      await expect(site.command('claim.compare', { controller: 'a1', label })).rejects.toThrow(says)
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'it to wait again',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'secret')?.state === 'waits',
    )
    expect(sent.join()).not.toContain('SetUser')
    await site.command('claim.compare', { controller: 'a1', label: ' rg-4001 ' })
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
    )
    expect(site.facts.claim['a1']?.compared).toMatchObject({ by: 'lead', on: serial })
    expect(sent.filter((body) => body.includes('SetUser'))).toHaveLength(1)
    // Another device under the same match is compared anew.
    await site.stop()
  })

  it('a password whose answer was lost on the way opens the device all the same, and is its own from then on', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.find()
    const { dialer, vault } = site.server.context
    const { post } = dialer
    let lost = 0
    dialer.post = async (address, port, path, body, options) => {
      const answer = await post(address, port, path, body, options)
      if (body.includes('SetUser') && lost++ === 0)
        throw new (await import('@rauta/drivers')).DeviceError('lost', 'lost')
      return answer
    }
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
      40_000,
    )
    expect(lost).toBe(1)
    expect(await vault.get('device/a1/next')).toBeNull()
    expect(await vault.get('device/a1')).toBe(unitOf(site).memory.users[0]?.password)
    await site.stop()
  })
})

describe('the discovery socket', () => {
  /** Local address and port of every datagram socket of this computer, as Linux tells them. */
  const sockets = () =>
    readFileSync('/proc/net/udp', 'utf8')
      .split('\n')
      .slice(1)
      .flatMap((line) => {
        const [address, port] = line.trim().split(/\s+/)[1]?.split(':') ?? []
        return address && port
          ? [
              {
                address:
                  address
                    .match(/../g)
                    ?.reverse()
                    .map((b) => parseInt(b, 16))
                    .join('.') ?? '',
                port: parseInt(port, 16),
              },
            ]
          : []
      })

  it('is not there before this job has to do with a network, and hears the group alone from then on', async () => {
    const site = await new Site(siteFile()).start({ rig: false })
    const port = site.table.discoveryPort ?? 0
    expect(sockets().filter((s) => s.port === port)).toEqual([])
    await site.plan(1)
    await site.ask('POST', '/search', {})
    const open = sockets().filter((s) => s.port === port)
    expect(open.map((s) => s.address)).toEqual([discoveryGroup])
    await site.restart()
    expect(sockets().filter((s) => s.port === port)).toEqual([])
    await site.stop()
  })

  it('a thousand strangers that greet hold up neither the server nor a device of the plan', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.find()
    const yes = new YesMan(site, '10.7.1.99') // nothing listens there
    for (let i = 0; i < 1000; i++) await yes.greet(randomUUID())
    const { memory } = unitOf(site)
    memory.entities.Door['one'] = { token: 'one', name: 'One', releaseS: 4, openS: 25, relockDelayS: 0 }
    unitOf(site).restart()
    const began = performance.now()
    expect((await site.ask('GET', '/health')).status).toBe(200)
    expect(performance.now() - began).toBeLessThan(1000)
    await site.until('the planned device heard again', (f) => f.found[endpoint]?.holds?.doors === 1, 20_000)
    expect(Object.values(site.facts.found).length).toBeLessThanOrEqual(202)
    await site.stop()
  }, 150_000)
})
