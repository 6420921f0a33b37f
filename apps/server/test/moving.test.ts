import { jobOf, marksOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { Site, siteFile } from './site'

const stepOf = (site: Site, name: string) => site.get('claim', 'a1')?.steps.find((s) => s.name === name)
const plannedAt = async (site: Site, address: string) =>
  site.command('controller.put', { ...site.facts.controller['a1'], address })
const reachOf = (site: Site) => {
  const door = site.get('door', 'D-01')
  if (!door) throw new Error('no door')
  return marksOf(site.facts, door, sheetsFor(site.facts)).reach
}
const done = (site: Site) =>
  site.until('the move', () => site.get('claim', 'a1')?.steps.every((s) => s.state === 'done'), 60_000)

describe('the address of a device in service is changed later', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(
      siteFile((file) => {
        file.devices.push({
          serial: 'RG-4002',
          mac: '02:00:00:00:00:02',
          model: 'controller-4',
          firmware: '3.2.1',
          powered: true,
          clockOffMs: 0,
          address: '10.7.1.44',
        })
      }),
    ).start()
    await site.plan(1)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  it('planned elsewhere it is short of Reach, and says where it answers', async () => {
    expect(reachOf(site).sign).toBe('given')
    await plannedAt(site, '10.7.1.31')
    expect(reachOf(site)).toMatchObject({
      sign: 'stale',
      says: 'A1 answers at 10.7.1.21 and is planned at 10.7.1.31. Move it there under Reach, or plan the address that it has.',
    })
  })

  it('it is moved, across a restart of the server, and keeps what it was loaded with', async () => {
    await site.command('claim.move', { controller: 'a1' })
    await site.until('its restart', () => stepOf(site, 'restart')?.state === 'running')
    await site.restart()
    await done(site)
    expect([site.unit().memory.address, site.get('reach', 'a1')?.address]).toEqual(['10.7.1.31', '10.7.1.31'])
    expect(Object.keys(site.unit().memory.entities.Door)).toEqual(['D-01'])
    await site.until('Reach', () => reachOf(site).sign === 'given')
    expect(site.get('load', await site.load())?.state).toBe('held')
  })

  it('a gateway that changed is told to it and read back; one that it keeps in spite of that is named', async () => {
    const network = jobOf(site.facts)?.network
    const tell = (gateway: string) => site.command('job.edit', { fields: { network: { ...network, gateway } } })
    await tell('10.7.1.9')
    await site.command('claim.move', { controller: 'a1' })
    await done(site)
    expect(site.unit().memory.gateway).toBe('10.7.1.9')
    await tell('10.7.1.8')
    site.unit().faults.forgets = 'SetNetworkDefaultGateway'
    await site.command('claim.move', { controller: 'a1' })
    await site.until('the fault', () => stepOf(site, 'restart')?.state === 'failed')
    expect(stepOf(site, 'restart')?.says).toBe(
      'A1 keeps the gateway 10.7.1.9 instead of 10.7.1.8. Try it again, or look at its own page.',
    )
    await expect(site.command('claim.move', { controller: 'a1' })).rejects.toThrow('being worked on already')
    site.unit().faults.forgets = ''
    await tell('10.7.1.9')
    await site.command('claim.start', { controller: 'a1' })
    await done(site)
  })

  it('an address at which somebody answers is given to nobody else', async () => {
    await plannedAt(site, '10.7.1.44')
    await site.command('claim.move', { controller: 'a1' })
    await site.until('the refusal', () => stepOf(site, 'network')?.state === 'failed')
    expect(stepOf(site, 'network')?.says).toContain('Something answers at 10.7.1.44 already.')
    expect(site.unit().memory.address).toBe('10.7.1.31')
    await plannedAt(site, '10.7.1.31')
    await site.command('claim.start', { controller: 'a1' })
    await done(site)
  })

  it('is refused for one that is not in service', async () => {
    await site.command('controller.put', {
      ...site.facts.controller['a1'],
      id: 'a2',
      ref: 'A2',
      serial: '',
      mac: '',
      address: '10.7.1.50',
    })
    await expect(site.command('claim.move', { controller: 'a2' })).rejects.toThrow('A2 is not in service.')
    await expect(site.command('claim.move', { controller: 'a9' })).rejects.toThrow()
  })
})
