import fc from 'fast-check'
import { difference, operationsFor, pointsByPort, type Config, type Json } from '@rauta/core'
import { makeDialer, onvif, severalAtOnce, type Abilities, type Driver } from '@rauta/drivers'
import { everyFunction } from './contract'
import { Site, serial, siteFile } from './site'

describe('the ONVIF driver', () => {
  let site: Site
  let driver: Driver & Abilities
  beforeAll(async () => {
    site = await new Site(
      siteFile((f) =>
        f.devices.forEach((d) => {
          d.clockOffMs = 3_600_000
        }),
      ),
      undefined,
      1,
    ).start()
    await site.until('it to be up', () => site.rig.units.get(serial)?.up)
    driver = onvif.driver({
      dialer: makeDialer(site.table),
      clock: site.clock,
      address: '192.168.90.40',
      port: 80,
      secret: { user: 'startup', password: 'factory' },
    }) as Driver & Abilities
  })
  afterAll(() => site.stop())

  /** As a load does: a second pass takes away what the first left loose. */
  const store = async (wanted: Config) => {
    for (let pass = 0; pass < 2; pass++)
      for (const operation of operationsFor(difference(await driver.read(), wanted))) await driver.write(operation)
  }

  const period = fc.constantFrom('12345 08:00-17:00', '67 06:30-01:00', '1234567 00:00-24:00', '5 22:00-06:00')
  const special = fc.subarray([
    { date: '2030-01-01', periods: [] as string[] },
    { date: '2030-12-24', periods: ['08:00-12:00'] },
    { date: '2031-06-20', periods: ['00:00-24:00'] },
  ])
  const text = fc
    .string({ minLength: 1, maxLength: 12, unit: fc.constantFrom('a', 'B', ' ', '&', '<', 'ä', '1') })
    .map((s) => s.trim() || 'x')
  const door = fc.record({
    name: text,
    release: fc.integer({ min: 1, max: 240 }).map((n) => n / 2),
    heldOpen: fc.integer({ min: 1, max: 600 }),
    relockDelay: fc.integer({ min: 0, max: 20 }),
    forcedAlarm: fc.boolean(),
  })
  const idle = fc.constantFrom('open', 'closed')
  const config: fc.Arbitrary<Config> = fc
    .tuple(
      fc.subarray(['d1', 'd2', 'd3'], { minLength: 1 }),
      door,
      idle,
      idle,
      fc.array(period, { maxLength: 3 }),
      special,
      text,
      fc.boolean(),
    )
    .map(([doors, part, contactIdle, exitIdle, periods, days, name, enabled]) => {
      const made: Record<string, Json> = {}
      for (const [i, id] of doors.entries()) {
        made[`door/${id}`] = { ...part }
        made[`terminals/${id}`] = everyFunction(i, contactIdle, exitIdle)
        made[`accessPoint/${id}.R1`] = { door: id, name, from: 'a', to: 'b' }
      }
      made['schedule/s'] = { name, periods: [...new Set(periods)].sort(), special: days as unknown as Json }
      made['profile/p'] = { name, policies: doors.map((id) => ({ at: `${id}.R1`, schedule: 's' })) }
      made['credential/c'] = { holder: name, format: 'wiegand26', card: '3D1141', enabled, profiles: ['p'] }
      made['test/credential/rauta-lost'] = {
        holder: 'Test card',
        format: 'wiegand26',
        card: '582712',
        enabled: false,
        profiles: [],
      }
      return made
    })

  it('reads back equal whatever configuration was written over whatever was there, and twice is as good as once', async () => {
    await fc.assert(
      fc.asyncProperty(config, async (wanted) => {
        await store(wanted)
        expect(difference(await driver.read(), wanted)).toEqual([])
        await store(wanted)
        expect(difference(await driver.read(), wanted)).toEqual([])
      }),
      { numRuns: 12 },
    )
  })

  it('removes everything, and does not mind removing what is not there', async () => {
    await store({})
    expect(await driver.read()).toEqual({})
    await driver.write({ do: 'remove', key: 'credential/never-was' })
    await driver.write({ do: 'remove', key: 'door/never-was' })
  })

  it('reads lists longer than a page', async () => {
    const many: Record<string, Json> = {}
    for (let i = 0; i < 130; i++)
      many[`credential/n${String(i).padStart(3, '0')}`] = {
        holder: `Holder ${i}`,
        card: i.toString(16).toUpperCase().padStart(6, '0'),
        enabled: true,
        profiles: [],
      }
    await store(many)
    expect(Object.keys(await driver.read())).toHaveLength(130)
    expect(await driver.holds()).toEqual({ doors: 0, people: 130, rules: 0, schedules: 0 })
    await driver.erase()
    expect(await driver.holds()).toEqual({ doors: 0, people: 0, rules: 0, schedules: 0 })
  })

  it('signs in the device’s own time while its clock is an hour off, then sets it', async () => {
    const before = await driver.time()
    expect(Math.abs(before.offsetMs - 3_600_000)).toBeLessThan(500)
    expect(await driver.identify()).toMatchObject({ serial, model: 'controller-4', address: '192.168.90.40' })
    await driver.setClock({ zone: '<+02>-2<+03>-3,M3.5.0/3,M10.5.0/4', daylightSaving: true })
    const after = await driver.time()
    expect(Math.abs(after.offsetMs)).toBeLessThan(500)
    expect(after.zone).toBe('<+02>-2<+03>-3,M3.5.0/3,M10.5.0/4')
    expect(site.rig.units.get(serial)?.memory.daylightSaving).toBe(true)
  })

  it('refuses a part of a kind that no device knows', async () => {
    await expect(driver.write({ do: 'set', key: 'lift/1', value: {} })).rejects.toThrow('of no kind')
    await expect(driver.write({ do: 'remove', key: 'lift/1' })).rejects.toThrow('cannot be removed')
  })

  it('watches: states first, then what happens, until it is ended', async () => {
    await store({
      'door/d1': { name: 'D', release: 5, heldOpen: 20, relockDelay: 0, forcedAlarm: true },
      'terminals/d1': {
        'R1.entryReader': { part: 'R1', function: 'entryReader', port: 'reader 1' },
        'K1.lock': { part: 'K1', function: 'lock', port: 'relay 1' },
        'C1.contact': { part: 'C1', function: 'contact', port: 'input 1', idle: 'closed' },
      },
    })
    const watch = await driver.watch()
    const points = pointsByPort(await driver.read())
    expect((await watch.pull(points)).events).toEqual([]) // what is repeated at the start is no event
    const waiting = watch.pull(points)
    await site.hands([{ do: 'handle', door: 'D-01' }])
    const { events, boot } = await waiting
    expect(boot).toBe(site.rig.units.get(serial)?.boot)
    const more = events.length > 1 ? [] : (await watch.pull(points)).events
    expect([...events, ...more].map((e) => [e.kind, e.door, e.state])).toEqual(
      expect.arrayContaining([
        ['leaf', 'd1', 'open'],
        ['alarm', 'd1', 'forced'],
      ]),
    )
    await watch.renew()
    await watch.end()
    await expect(watch.pull(points)).rejects.toMatchObject({ code: 'refused' })
    await site.hands([{ do: 'close', door: 'D-01' }])
  })

  it('says which of its reasons kept it from a device', async () => {
    const at = (address: string) =>
      onvif.driver({ dialer: makeDialer(site.table), clock: site.clock, address, port: 80, secret: null }).time()
    await expect(at('172.16.3.4')).rejects.toMatchObject({ code: 'noAddress' })
    await expect(at('10.7.1.200')).rejects.toMatchObject({
      code: 'connectionRefused',
      says: 'Nothing answers at 10.7.1.200.',
    })
    await site.hands([{ do: 'garbage', serial, kind: 'silence' }])
    const slow = onvif.driver({
      dialer: makeDialer(site.table),
      clock: site.clock,
      address: '192.168.90.40',
      port: 80,
      secret: null,
      timeoutMs: 1500,
    })
    await expect(slow.time()).rejects.toMatchObject({ code: 'silent', says: '192.168.90.40 does not answer.' })
    await site.hands([{ do: 'garbage', serial, kind: 'none' }])
    const stop = new AbortController()
    stop.abort()
    await expect(
      onvif
        .driver({
          dialer: makeDialer(site.table),
          clock: site.clock,
          address: '192.168.90.40',
          port: 80,
          secret: null,
          signal: stop.signal,
        })
        .time(),
    ).rejects.toMatchObject({ code: 'stopped' })
  })
})

describe('several at once', () => {
  it('keeps the order of results and never has more than six under way', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer(), { maxLength: 30 }), async (list) => {
        let now = 0
        let most = 0
        const results = await severalAtOnce(list, async (n) => {
          most = Math.max(most, ++now)
          await new Promise((done) => setImmediate(done))
          now -= 1
          return n * 2
        })
        expect(results).toEqual(list.map((n) => n * 2))
        expect(most).toBeLessThanOrEqual(6)
      }),
      { numRuns: 30 },
    )
  })
})
