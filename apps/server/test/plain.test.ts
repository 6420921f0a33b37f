import { v7 } from 'uuid'
import { difference, marksOf, workedConfigs } from '@rauta/core'
import { sheetsFor, shippedSheets } from '@rauta/contracts'
import { ability, DeviceError, makeDialer, onvif, Protocols } from '@rauta/drivers'
import { driverContract } from './contract'
import { PlainDevice } from './plain/device'
import { plainProtocol } from './plain/protocol'
import { Site, siteFile } from './site'

/**
 * A controller of another make stands in the job beside nothing else: the server finds, takes, loads and watches it through the same
 * seam, and knows neither its protocol's name nor its errors.
 */
describe('a device that speaks another protocol', () => {
  let site: Site
  let device: PlainDevice
  beforeAll(async () => {
    site = new Site(
      siteFile((f) => {
        f.devices = []
        f.doors = []
      }),
      undefined,
      4,
    )
    device = new PlainDevice(site.table, site.clock)
    await device.listen()
    await site.start({ protocols: new Protocols([onvif, plainProtocol(device)]) })
    await site.plan(0)
    const model = shippedSheets['controller-2']
    const controller = {
      ...model?.controller,
      factory: { address: '192.168.90.60', user: 'fitter', password: 'plain-factory' },
    }
    await site.command('sheet.put', {
      ...model,
      id: 'plain-controller',
      name: 'Plain controller',
      protocol: 'plain',
      controller,
    })
    await site.command('controller.put', {
      id: 'p1',
      ref: 'P1',
      sheet: 'plain-controller',
      cabinet: 'Riser',
      supply: 'supply-5',
      address: '10.7.1.30',
      serial: 'PL-1',
      mac: '',
    })
    await site.command('door.add', {
      id: 'X-01',
      fields: {
        ref: 'X-01',
        name: 'Side door',
        from: 'out',
        to: 'in',
        handle: true,
        hardware: { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' },
      },
    })
    await site.command('door.placeProposed', { id: 'X-01', controller: 'p1' })
    await site.command('rule.put', { id: 'r', group: 'g', doors: ['X-01'], schedule: 'always' })
  })
  afterAll(async () => {
    await site.stop()
    await device.stop()
  })
  const marks = () =>
    marksOf(
      site.facts,
      site.get('door', 'X-01') as NonNullable<ReturnType<typeof site.get<'door'>>>,
      sheetsFor(site.facts),
    )

  it('is found by its own search, and known for what it speaks', async () => {
    await site.ask('POST', '/search', {})
    expect(site.get('found', 'plain-1')).toMatchObject({ protocol: 'plain', controller: 'p1' })
  })

  it('is taken in the steps that its driver gives', async () => {
    await site.command('claim.start', { controller: 'p1' })
    await site.until(
      'the firmware to be shown',
      (f) => f.claim['p1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
      30_000,
    )
    await site.command('firmware.accept', { controller: 'p1' })
    await site.until('it in service', (f) => f.reach['p1']?.owned)
    expect(site.facts.claim['p1']?.steps.map((s) => s.name)).toEqual([
      'identity',
      'secret',
      'network',
      'restart',
      'clock',
      'firmware',
      'ready',
    ])
    expect([device.address, device.password === 'plain-factory', device.zone]).toEqual([
      '10.7.1.30',
      false,
      '<+02>-2<+03>-3,M3.5.0/3,M10.5.0/4',
    ])
    await site.until('Reach', () => marks().reach.sign === 'given')
  })

  it('is loaded, read back equal, and its read-back differing takes Load', async () => {
    const load = async () => {
      const id = v7()
      await site.command('load.start', { id, controller: 'p1' })
      return await site.until(
        'the load to end',
        (f) => (['held', 'atDoors', 'differs', 'failed'].includes(f.load[id]?.state ?? '') ? f.load[id] : null),
        30_000,
      )
    }
    expect(await load()).toMatchObject({ state: 'held' })
    const worked = workedConfigs(site.facts, sheetsFor(site.facts))('p1')
    expect(difference(worked.held, worked.wanted)).toEqual([])
    device.parts['door/X-01'] = { ...(device.parts['door/X-01'] as object), release: 99 }
    await site.until('Load to go stale', () => marks().load.sign === 'stale', 30_000)
    expect(await load()).toMatchObject({ state: 'held' })
    device.parts['door/X-01'] = { ...(device.parts['door/X-01'] as object), release: 98 }
    device.refuses = true
    expect(await load()).toMatchObject({
      state: 'failed',
      says: expect.stringContaining('P1 refused: busy with itself') as string,
    })
    device.refuses = false
    expect(await load()).toMatchObject({ state: 'held' })
  })

  it('proves a reader by its own events', async () => {
    await site.command('trial.start', { door: 'X-01', test: 'reader-R1' })
    await site.clock.sleep(1500)
    device.present('reader 1', '582711')
    const proof = await site.until('the verdict', (f) => Object.values(f.proof).find((p) => p.test === 'reader-R1'))
    expect(proof).toMatchObject({ verdict: 'passed', says: 'Read at R1.' })
  })

  it('what its driver cannot do is said, and is no other error', () => {
    const driver = plainProtocol(device).driver({
      dialer: makeDialer(site.table),
      clock: site.clock,
      address: device.address,
      port: 80,
      secret: null,
    })
    expect(() => ability(driver, 'holds')).toThrow(
      new DeviceError('unsupported', 'This device cannot be asked what it holds.'),
    )
  })
})

describe('the contract of every driver', () => {
  driverContract('plain', async () => {
    const site = new Site(siteFile())
    const device = new PlainDevice(site.table, site.clock)
    await device.listen()
    return {
      protocol: plainProtocol(device),
      table: site.table,
      clock: site.clock,
      address: device.address,
      secret: { user: 'fitter', password: 'plain-factory' },
      stop: () => device.stop(),
    }
  })
  driverContract('onvif', async () => {
    const site = await new Site(siteFile(), undefined, 1).start()
    await site.until('it to be up', () => [...site.rig.units.values()].every((u) => u.up))
    return {
      protocol: onvif,
      table: site.table,
      clock: site.clock,
      address: '192.168.90.40',
      secret: { user: 'startup', password: 'factory' },
      stop: () => site.stop(),
    }
  })
})
