import { checkIdentity } from '../src/reach/inService'
import { Site, serial, siteFile } from './site'

describe('another device at a known address', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(1)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  /** The same answers, the same password, another serial or MAC: a device that was put in its place. */
  const becomes = (change: { serial?: string; mac?: string }) => {
    const unit = site.rig.units.get(serial)
    if (!unit) throw new Error('no unit')
    const file = (unit as unknown as { file: { serial: string; mac: string } }).file
    const before = { ...file }
    Object.assign(file, change)
    return () => Object.assign(file, before)
  }
  const bodies: string[] = []
  const listening = () => {
    const { dialer } = site.server.context
    const { post } = dialer
    bodies.length = 0
    dialer.post = (...args) => {
      bodies.push(String(args[3]))
      return post(...args)
    }
    return () => {
      dialer.post = post
    }
  }

  it.each([{ serial: 'RG-9999' }, { mac: '02:00:00:00:00:99' }])(
    'is told nothing: no load, no release, no card goes out to %j, and Reach is lost with the reason',
    async (change) => {
      const back = becomes(change)
      const stop = listening()
      const names = ['Secret Name One', 'Secret Name Two']
      for (const [i, name] of names.entries())
        await site.command('person.put', {
          id: `s${i}`,
          number: `7${i}`,
          name,
          cards: [{ id: `sc${i}`, facility: 70, number: 700 + i, state: 'in use' }],
          groups: ['g'],
        })
      const id = await site.load()
      expect(site.facts.load[id]?.state).toBe('failed')
      expect(site.facts.load[id]?.says).toMatch(/Somebody else answers at/)
      const released = await site.ask('POST', '/doors/D-01/order', { order: 'release', reason: '' })
      expect(released.status).toBe(502)
      expect(released.body['says']).toMatch(/Somebody else answers at .*Nothing was sent/)
      await site.until('the watch to say so', (f) => /Somebody else answers/.test(f.reach['a1']?.says ?? ''))
      expect(site.facts.reach['a1']).toMatchObject({ serial, mac: '02:00:00:00:00:01' })
      expect(bodies.join()).not.toMatch(/Secret Name|CreateCredential|SetCredential|AccessDoor/)
      back()
      await site.until('it is itself again', (f) => f.reach['a1']?.says === '' && f.reach['a1'].silentMs === 0)
      stop()
      await site.load()
      expect(JSON.stringify(site.rig.units.get(serial)?.memory)).toContain('Secret Name Two')
      // For the next: as if it had not been loaded.
      await site.command('person.remove', { id: 's0' })
      await site.command('person.remove', { id: 's1' })
    },
    60_000,
  )

  it('is told by serial and MAC, as far as both are known, whatever their letters', () => {
    const meant = { serial: 'A-1', mac: '02:00:00:00:00:0A' }
    expect(() => checkIdentity({ serial: 'a-1', mac: '02:00:00:00:00:0a' }, meant, 'x')).not.toThrow()
    expect(() => checkIdentity({ serial: 'A-1', mac: '02:00:00:00:00:0B' }, meant, 'x')).toThrow(/Somebody else/)
    expect(() => checkIdentity({ serial: 'A-2', mac: meant.mac }, meant, 'x')).toThrow(/Somebody else/)
    expect(() => checkIdentity({ serial: '', mac: '' }, meant, 'x')).toThrow(/Somebody else/)
    expect(() => checkIdentity({ serial: 'A-2', mac: '' }, { serial: '', mac: '' }, 'x')).not.toThrow()
  })
})
