import { difference, functionFacts, operationsFor, partFunctions, type Config, type Json } from '@rauta/core'
import { ability, makeDialer, type Driver, type Protocol, type Secret } from '@rauta/drivers'
import type { Clock, NetTable } from '@rauta/protocols'

/** A device of one protocol, fresh from its factory, with the network it stands in. */
export interface ContractWorld {
  protocol: Protocol
  table: NetTable
  clock: Clock
  address: string
  secret: Secret
  stop(): Promise<void>
}

/** A wired point for every function that a controller can be told of. */
export function everyFunction(door: number, idle: 'open' | 'closed', other: 'open' | 'closed'): Json {
  const told = partFunctions.filter((f) => functionFacts[f].side !== 'feed')
  const points = told.map((f, n): [string, Json] => {
    const part = `P${n}`
    const { side } = functionFacts[f]
    const more: Record<string, Json> =
      { reader: { address: n }, output: { after: n / 2 }, input: { idle: n % 2 ? idle : other } }[side as 'reader'] ??
      {}
    return [
      `${part}.${f}`,
      { part, function: f, port: `${side} ${door * 20 + n}`, ...more, ...(f === 'deskButton' ? { release: 4.5 } : {}) },
    ]
  })
  return Object.fromEntries(points)
}

const config: Config = {
  'door/d1': { name: 'D', release: 5, heldOpen: 20, relockDelay: 0, forcedAlarm: true },
  'terminals/d1': everyFunction(0, 'open', 'closed'),
  'accessPoint/d1.P0': { door: 'd1', name: 'D P0', from: 'a', to: 'b' },
  'schedule/s': { name: 'S', periods: ['12345 08:00-17:00'], special: [] },
  'profile/p': { name: 'P', policies: [{ at: 'd1.P0', schedule: 's' }] },
  'credential/c': { holder: 'H', format: 'wiegand26', card: '3D1141', enabled: false, profiles: ['p'] },
}

/** What the server relies on whatever a device speaks; every driver is held to it. */
export function driverContract(name: string, make: () => Promise<ContractWorld>): void {
  describe(`${name}`, () => {
    let world: ContractWorld
    const at = (address: string, secret: Secret | null, signal?: AbortSignal): Driver =>
      world.protocol.driver({
        dialer: makeDialer(world.table),
        clock: world.clock,
        address,
        port: world.protocol.port,
        secret,
        timeoutMs: 1500,
        ...(signal ? { signal } : {}),
      })
    beforeAll(async () => {
      world = await make()
    })
    afterAll(() => world.stop())

    it('tells the time to anybody, and who it is only to whom has the password', async () => {
      expect(Number.isFinite((await at(world.address, null).time()).offsetMs)).toBe(true)
      expect(await at(world.address, world.secret).identify()).toMatchObject({ address: world.address })
      await expect(
        at(world.address, { ...world.secret, password: 'somebody else’s' }).identify(),
      ).rejects.toMatchObject({ code: 'notAuthorized' })
    })

    it('reads back equal what was written, and writing it twice is as good as once', async () => {
      const driver = at(world.address, world.secret)
      for (let round = 0; round < 2; round++) {
        for (const operation of operationsFor(difference(await ability(driver, 'read')(), config)))
          await ability(driver, 'write')(operation)
        expect(difference(await ability(driver, 'read')(), config)).toEqual([])
      }
      for (const operation of operationsFor(difference(config, {}))) await ability(driver, 'write')(operation)
      expect(await ability(driver, 'read')()).toEqual({})
      await ability(driver, 'write')({ do: 'remove', key: 'credential/never-was' })
    })

    it('gives another word for its configuration when it was altered, where it can', async () => {
      const driver = at(world.address, world.secret)
      const glance = async () => driver.glance?.()
      const before = await glance()
      expect(await glance()).toBe(before)
      await ability(driver, 'write')({ do: 'set', key: 'schedule/s', value: config['schedule/s'] ?? null })
      const after = await glance()
      expect(after === before).toBe(driver.glance === undefined)
      await ability(driver, 'write')({ do: 'remove', key: 'schedule/s' })
      expect(await glance()).toBe(before)
    })

    it('keeps the clock it is given, within half a second, and the zone as it was written', async () => {
      const driver = at(world.address, world.secret)
      await ability(driver, 'setClock')({ zone: '<+02>-2', daylightSaving: false })
      const time = await driver.time()
      expect([time.zone, Math.abs(time.offsetMs) < 500 * world.clock.factor]).toEqual(['<+02>-2', true])
    })

    it('says by a code why it was not reached', async () => {
      await expect(at('172.16.3.4', null).time()).rejects.toMatchObject({ code: 'noAddress', maybeBack: false })
      await expect(at('192.168.90.250', null).time()).rejects.toMatchObject({
        code: 'connectionRefused',
        maybeBack: true,
      })
      const stop = new AbortController()
      stop.abort()
      await expect(at(world.address, null, stop.signal).time()).rejects.toMatchObject({ code: 'stopped' })
    })

    it('ends a subscription without a word where there is none any more', async () => {
      const watch = await ability(at(world.address, world.secret), 'watch')()
      expect(await watch.pull(new Map())).toMatchObject({ events: [] })
      await watch.renew()
      await watch.end()
    })

    it('names the account that opens it among all, and does not lose the last one that can', async () => {
      const driver = at(world.address, world.secret)
      if (!driver.accounts) return
      expect(await driver.accounts()).toContain(world.secret.user)
      await expect(ability(driver, 'removeAccounts')(await driver.accounts())).rejects.toMatchObject({
        code: 'refused',
      })
      await expect(ability(driver, 'removeAccounts')(['nobody of that name'])).rejects.toMatchObject({
        code: 'refused',
      })
      expect(await driver.accounts()).toContain(world.secret.user)
    })

    it('opens to its new password only, once it is set', async () => {
      await ability(at(world.address, world.secret), 'setSecret')('a new long password')
      await expect(at(world.address, world.secret).identify()).rejects.toMatchObject({ code: 'notAuthorized' })
      expect(await at(world.address, { ...world.secret, password: 'a new long password' }).identify()).toMatchObject({
        address: world.address,
      })
    })
  })
}
