import { marksOf } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import { Site, serial, siteFile } from './site'

/** Release, hold open, lock and back, over HTTP and the wire: what hands find at the door afterwards is what counts. */
describe('telling a door from the screen', () => {
  let site: Site
  const door = 'D-01'
  const order = (what: string, reason = 'trying the lock', id = door) =>
    site.ask('POST', `/doors/${id}/order`, { order: what, reason })
  const push = async () => (await site.hands([{ do: 'push', door }])).at(-1)
  const shut = () => site.hands([{ do: 'close', door }])
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(2)
    await site.command('door.edit', { id: 'D-02', fields: { escapeRoute: true } })
    await site.take()
  })
  afterAll(() => site.stop())

  it('is refused in words before the door is loaded, to a viewer, and to what is no order', async () => {
    expect(await order('release')).toMatchObject({
      status: 409,
      body: { says: 'A1 does not know this door yet. Load it first.' },
    })
    expect(await order('dance')).toMatchObject({ status: 422 })
    expect(await site.ask('POST', `/doors/${door}/order`, { order: 'release' })).toMatchObject({ status: 422 })
    expect(await site.ask('POST', `/doors/${door}/order`, { order: 'release', reason: 5 })).toMatchObject({
      status: 422,
    })
    expect(await order('release', '', 'D-99')).toMatchObject({ status: 404 })
    expect(await site.ask('POST', `/doors/${door}/order`, { order: 'release', reason: '' }, '')).toMatchObject({
      status: 401,
    })
    await site.load()
  })

  it('releases for a moment: the test of it passes, and the tape says who', async () => {
    await site.command('trial.start', { door, test: 'told' })
    expect(await order('release', '')).toMatchObject({ status: 200 })
    expect(await push()).toBe('it opens')
    const proof = await site.until('the verdict', (f) => Object.values(f.proof).find((p) => p.test === 'told'))
    expect(proof).toMatchObject({ verdict: 'passed', says: 'Told, released, opened.' })
    expect(Object.values(site.facts.event).find((e) => e.kind === 'order')).toMatchObject({
      door,
      state: 'release',
      says: 'Released from the screen by lead',
    })
    await shut()
    await site.until('it to be locked again', (f) =>
      Object.values(f.event).some((e) => e.kind === 'lock' && e.state === 'locked' && e.door === door),
    )
    expect(await push()).toBe('it holds')
    expect(site.facts.doorMode).toEqual({})
  })

  it('holds open past every timer, without an alarm, until it is told to go back', async () => {
    expect(await order('holdOpen', ' ')).toMatchObject({ status: 409, body: { field: 'reason' } })
    expect(await order('holdOpen', 'carrying benches')).toMatchObject({ status: 200 })
    expect(site.get('doorMode', door)).toMatchObject({ mode: 'heldOpen', by: 'lead', reason: 'carrying benches' })
    await site.clock.sleep(30_000)
    expect(await push()).toBe('it opens')
    await site.clock.sleep(25_000)
    await shut()
    await site.clock.sleep(2000)
    expect(await push()).toBe('it opens')
    await shut()
    expect(Object.values(site.facts.event).filter((e) => e.kind === 'alarm' && e.door === door)).toEqual([])
    expect(await order('normal', '')).toMatchObject({ status: 200 })
    expect(site.get('doorMode', door)).toBeUndefined()
    await site.clock.sleep(1000)
    expect(await push()).toBe('it holds')
  })

  it('locks against every card while the exit button still lets out; a door on an escape route is not locked from here', async () => {
    expect(await order('lock', 'nobody in', 'D-02')).toMatchObject({
      status: 409,
      body: { says: expect.stringContaining('lies on an escape route') as string },
    })
    expect(await order('lock', 'cash inside')).toMatchObject({ status: 200 })
    await site.hands([{ do: 'card', door, reader: 'R1', card: 'good' }])
    await site.until('the card to be refused', (f) =>
      Object.values(f.event).some((e) => e.kind === 'refused' && e.state === 'lockedDown'),
    )
    expect(await push()).toBe('it holds')
    expect(await order('release', '')).toMatchObject({ status: 502, body: { says: 'The door is locked down.' } })
    await site.hands([
      { do: 'press', door },
      { do: 'release', door, after: 300 },
    ])
    expect(await push()).toBe('it opens')
    await shut()
    await order('normal', '')
    expect(site.facts.doorMode).toEqual({})
  })

  it('shows what the controller was told elsewhere, and forgets what its restart ended', async () => {
    const unit = site.rig.units.get(serial)
    const wiring = unit?.memory.entities.DoorWiring[door]
    if (unit && wiring) unit.doors.stand(wiring, 'LockedOpen')
    expect(await site.until('the mode', (f) => f.doorMode[door])).toMatchObject({ mode: 'heldOpen', by: '' })
    await site.hands([
      { do: 'power', serial, on: false },
      { do: 'power', serial, on: true, after: 1000 },
    ])
    await site.until('it to be back to its settings', (f) => !f.doorMode[door], 40_000)
    const found = site.get('door', door)
    expect(found && marksOf(site.facts, found, shippedSheets).load.sign).toBe('given')
  })
})
