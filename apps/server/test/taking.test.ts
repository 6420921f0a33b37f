import { createRequire } from 'node:module'
import { makeDialer, onvif } from '@rauta/drivers'
import { Site, serial, siteFile } from './site'

describe('taking devices into service', () => {
  it('goes on where it was when the server was killed in the middle', async () => {
    const site = await new Site(siteFile(), undefined, 6).start()
    await site.plan(1)
    await site.find()
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'the network to be set',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'network')?.state === 'done',
    )
    const secret = site.rig.units.get(serial)?.memory.users[0]?.password
    await site.server.close()
    const done = site.facts.claim['a1']?.steps.filter((s) => s.state === 'done').map((s) => s.name)
    expect(done).toEqual(expect.arrayContaining(['identity', 'holds', 'secret', 'erase', 'network']))
    await site.startServer()
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
      40_000,
    )
    expect(site.rig.units.get(serial)?.memory.users[0]?.password).toBe(secret) // no second secret was set
    expect(site.rig.units.get(serial)?.memory.address).toBe('10.7.1.21')
    await site.stop()
  })

  it('says what a device holds and erases only after somebody agreed', async () => {
    const site = await new Site(
      siteFile((f) => {
        f.devices.forEach((d) => {
          d.holds = { doors: 2, people: 57 }
        })
      }),
    ).start()
    await site.plan(1)
    await site.find()
    const unit = site.rig.units.get(serial)
    let wrong = 0
    const count = setInterval(() => (wrong = Math.max(wrong, unit?.wrongSecrets.length ?? 0)), 1)
    await site.command('claim.start', { controller: 'a1' })
    const waits = await site.until('it to ask', (f) =>
      f.claim['a1']?.steps.find((s) => s.name === 'holds' && s.state === 'waits'),
    )
    expect(waits.says).toBe('It holds 2 doors, 57 people, 0 rules and 0 schedules. All of it will be erased.')
    expect(Object.keys(unit?.memory.entities.CredentialData ?? {})).toHaveLength(57)
    await site.command('claim.agreeErase', { controller: 'a1' })
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
    )
    expect(site.facts.claim['a1']?.eraseAgreed).toMatchObject({ by: 'lead', holds: { people: 57 } })
    expect(Object.keys(unit?.memory.entities.CredentialData ?? {})).toHaveLength(0)
    clearInterval(count)
    // Each step begins with the password that opened it last: none is wrong.
    expect(wrong).toBe(0)
    await site.stop()
  })

  it('leads through the reset by hand where the secret is unknown, and goes on when the device says hello', async () => {
    const site = await new Site(
      siteFile((f) => {
        f.devices.forEach((d) => {
          d.secret = 'somebody-else-1'
        })
      }),
    ).start()
    await site.plan(1)
    await site.find()
    expect(Object.values(site.facts.found)).toMatchObject([{ ownership: 'closed', holds: null }])
    await site.command('claim.start', { controller: 'a1' })
    await site.until('it to ask for a reset', (f) => f.claim['a1']?.resetStep === 0)
    // However often somebody searches, a device that refused is not driven to shut itself (five wrong secrets).
    for (let i = 0; i < 3; i++) await site.ask('POST', '/search', {})
    expect(site.rig.units.get(serial)?.wrongSecrets.length).toBeLessThan(4)
    await site.hands([
      { do: 'power', serial, on: false },
      { after: 1000, do: 'setKey', serial, held: true },
      { do: 'power', serial, on: true },
      { after: 12_500, do: 'setKey', serial, held: false },
    ])
    await site.until(
      'it to go on by itself',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
      30_000,
    )
    expect(site.facts.claim['a1']?.resetStep).toBe(-1)
    await site.stop()
  })

  it('goes on after silence though the device does not greet again', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.find()
    await site.hands([{ do: 'network', serial, on: false }])
    await site.command('claim.start', { controller: 'a1' })
    const waits = await site.until('it to wait', (f) => f.claim['a1']?.steps.find((s) => s.state === 'waits'))
    expect(waits.says).toContain('goes on when the device is heard again')
    await site.restart() // also the server may end meanwhile
    await site.hands([{ do: 'network', serial, on: true }]) // a device does not greet again when only its link was gone
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
      30_000,
    )
    await site.stop()
  })

  it('says plainly that this computer has no address in a device’s subnet, and that an address is taken', async () => {
    const site = await new Site(siteFile()).start()
    await site.plan(1)
    expect((await site.ask('POST', '/search', { address: '172.20.0.9' })).body['says']).toBe(
      'This computer has no address in the subnet of 172.20.0.9. Give its network adapter 172.20.0.254, mask 255.255.255.0, beside its own, until the device has its own; then search again. It has 10.7.1.5/24, 192.168.90.5/24.',
    )
    expect((await site.ask('POST', '/search', { address: '10.7.1.250' })).body['says']).toBe(
      'Nothing answers at 10.7.1.250.',
    )
    expect((await site.ask('POST', '/search', { address: '10.7' })).body['says']).toContain('not an IPv4 address')
    await site.stop()
  })

  it('will not move a device to an address where something answers already', async () => {
    const site = await new Site(
      siteFile((f) => {
        f.devices.push({
          serial: 'RG-9',
          mac: '02:00:00:00:00:09',
          model: 'controller-2',
          firmware: '1',
          powered: true,
          clockOffMs: 0,
          address: '10.7.1.21',
        })
      }),
    ).start()
    await site.plan(1)
    await site.find()
    await site.command('claim.start', { controller: 'a1' })
    const failed = await site.until('it to fail', (f) => f.claim['a1']?.steps.find((s) => s.state === 'failed'))
    expect(failed).toMatchObject({
      name: 'network',
      says: 'Something answers at 10.7.1.21 already. Find out what it is, or plan another address.',
    })
    // The other device goes, the step is tried again, and the taking goes on.
    await site.hands([{ do: 'power', serial: 'RG-9', on: false }])
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
    )
    await site.stop()
  })

  it('a device shuts itself after five wrong secrets, and opens again by itself', async () => {
    const site = await new Site(siteFile()).start()
    await site.until('it to be up', () => site.rig.units.get(serial)?.up)
    const ask = (password: string) =>
      onvif
        .driver({
          dialer: makeDialer(site.table),
          clock: site.clock,
          address: '192.168.90.40',
          port: 80,
          secret: { user: 'startup', password },
        })
        .identify()
    for (let i = 0; i < 5; i++) await expect(ask(`wrong ${i}`)).rejects.toThrow('wrong digest')
    await expect(ask('factory')).rejects.toThrow('Too many wrong secrets')
    await site.clock.sleep(31_000)
    expect(await ask('factory')).toMatchObject({ serial })
    await site.stop()
  })

  it('with no rig finds nothing, and no door gains Reach', async () => {
    const site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
    expect((await site.ask('POST', '/search', {})).body['says']).toContain('Nothing answered')
    await expect(site.command('claim.start', { controller: 'a1' })).rejects.toThrow('matched to no found device')
    await expect(site.command('load.start', { id: 'x', controller: 'a1' })).rejects.toThrow('not in service yet')
    await site.stop()
  })
})

interface OutsideCam {
  getSystemDateAndTime(cb: (e: Error | null, date: Date) => void): void
  getDeviceInformation(cb: (e: Error | null, info: Record<string, string>) => void): void
  getServices(a: boolean, cb: (e: Error | null, s: { namespace: string }[]) => void): void
  getCapabilities(cb: (e: Error | null, c: Record<string, unknown>) => void): void
  createPullPointSubscription(cb: (e: Error | null, s: unknown) => void): void
  pullMessages(o: object, cb: (e: Error | null, m: { notificationMessage?: unknown }) => void): void
}

/** The `onvif` client package knows nothing of Rauta: device management, discovery and pull point are checked against it. */
describe('a foreign client talks to the rig', () => {
  const require = createRequire(import.meta.url)
  const { Cam, Discovery } = require('onvif') as {
    Cam: new (options: object, cb?: () => void) => OutsideCam
    Discovery: {
      probe(options: object, cb: (e: Error | null, found: unknown[]) => void): void
      on(event: string, cb: () => void): void
    }
  }
  let site: Site
  let cam: OutsideCam
  const call = <T>(start: (cb: (error: Error | null, value: T) => void) => void) =>
    new Promise<T>((done, fail) => {
      start((e, v) => {
        if (e) fail(e)
        else done(v)
      })
    })
  beforeAll(async () => {
    site = new Site(
      siteFile((f) => {
        f.devices.forEach((d) => {
          d.clockOffMs = 0
        })
      }),
      {
        prefixes: [
          { site: '10.7.1.0', wire: '127.99.1.0', length: 24 },
          { site: '192.168.90.0', wire: '127.99.90.0', length: 24 },
        ],
        ports: { '80': 18999 },
        interfaces: [],
      },
      1,
    )
    await site.start()
    await site.until('it to be up', () => site.rig.units.get(serial)?.up)
    cam = new Cam({
      hostname: '127.99.90.40',
      port: 18999,
      username: 'startup',
      password: 'factory',
      autoconnect: false,
      path: '/onvif/device_service',
    })
    await new Promise((done) => setTimeout(done, 100))
  })
  afterAll(() => site.stop())

  it('reads its time, information, services and capabilities', async () => {
    const date = await call<Date>((cb) => {
      cam.getSystemDateAndTime(cb)
    })
    expect(Math.abs(date.getTime() - site.clock.now())).toBeLessThan(3000)
    expect(
      await call<Record<string, string>>((cb) => {
        cam.getDeviceInformation(cb)
      }),
    ).toMatchObject({ serialNumber: serial, firmwareVersion: '3.2.1' })
    expect(
      (
        await call<{ namespace: string }[]>((cb) => {
          cam.getServices(true, cb)
        })
      ).map((s) => s.namespace),
    ).toContain('http://www.onvif.org/ver10/doorcontrol/wsdl')
    expect(
      await call<Record<string, unknown>>((cb) => {
        cam.getCapabilities(cb)
      }),
    ).toHaveProperty('events')
  })
  it('is refused with a wrong password', async () => {
    const wrong = new Cam({
      hostname: '127.99.90.40',
      port: 18999,
      username: 'startup',
      password: 'no',
      autoconnect: false,
      path: '/onvif/device_service',
    })
    await expect(
      call((cb) => {
        wrong.getDeviceInformation(cb as never)
      }),
    ).rejects.toThrow(/not authorized/i)
  })
  it('subscribes and pulls', async () => {
    await call((cb) => {
      cam.createPullPointSubscription(cb as never)
    })
    site.rig.units.get(serial)?.input('input 1', false)
    const message = await call<{ notificationMessage?: unknown }>((cb) => {
      cam.pullMessages({ timeout: 2000, messageLimit: 5 }, cb)
    })
    expect(JSON.stringify(message)).toContain('Device/Trigger/DigitalInput')
  })
  it('finds it by discovery on the loopback interface', async () => {
    Discovery.on('error', () => undefined)
    const found = await call<unknown[]>((cb) => {
      Discovery.probe({ device: 'lo', timeout: 1500, resolve: false }, (e, list) => {
        cb(list?.length ? null : e, list)
      })
    })
    expect(JSON.stringify(found)).toContain('127.99.90.40')
  })
})
