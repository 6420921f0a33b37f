import { marksOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { goodCard, Site, siteFile } from './site'

const serial = 'RG-1072'
const mac = '02:00:00:00:72:01'

/** One door with a door station that reads and drives its strike; contact and button on its screws. */
const file = (model: string, jumper?: 'network' | 'supply') =>
  siteFile((site) => {
    site.devices = [
      { serial, mac, model, firmware: '2.0.4', powered: true, clockOffMs: 90_000, ...(jumper ? { jumper } : {}) },
    ]
    site.doors = [
      {
        id: 'D-01',
        name: 'Street door',
        lock: {
          principle: 'strike',
          fail: 'secure',
          feedV: 12,
          loopOhm: 0.2,
          coilOhm: 30,
          leastV: 10.2,
          serial,
          relay: 'relay 1',
        },
        readers: [{ id: 'R1', side: 'outside', serial, port: 'reader 1' }],
        contact: { serial, input: 'input 1' },
        exit: { serial, input: 'input 2' },
        breakGlass: false,
        handle: true,
      },
    ]
  })

/** As a user plans it: the door by its hardware, placed on its own unit, which gets address and serial. */
async function planned(model: string, jumper?: 'network' | 'supply'): Promise<Site> {
  const site = await new Site(file(model, jumper)).start()
  await site.plan(0)
  await site.command('controller.remove', { id: 'a1' })
  await site.command('door.add', {
    id: 'D-01',
    fields: {
      ref: 'D-01',
      name: 'Street door',
      from: 'out',
      to: 'in',
      handle: true,
      hardware: { entryReader: model, lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' },
    },
  })
  await site.command('door.placeOnUnit', { door: 'D-01', controller: 'a1', ref: 'S1' })
  await site.command('controller.put', { ...site.facts.controller['a1'], address: '10.7.1.21', serial })
  await site.command('rule.put', { id: 'r', group: 'g', doors: ['D-01'], schedule: 'always' })
  return site
}
const reachOf = (site: Site) => {
  const door = site.get('door', 'D-01')
  if (!door) throw new Error('no door')
  return marksOf(site.facts, door, sheetsFor(site.facts)).reach
}

describe('a unit that reads and drives the lock of its own door', () => {
  it.each(['station-one', 'reader-face'])('%s: found, taken, loaded, and proved at its door', async (model) => {
    const site = await planned(model, model === 'reader-face' ? 'network' : undefined)
    expect(reachOf(site)).toMatchObject({ sign: 'todo', says: 'S1 is still to be found.' })
    await site.take()
    await site.until('Reach', () => reachOf(site).sign === 'given')
    const load = await site.load()
    expect(site.get('load', load)?.state).toBe('held')
    expect((await site.prove('D-01', 'reader-R1', goodCard('D-01').slice(0, 1))).verdict).toBe('passed')
    expect((await site.prove('D-01', 'good-card', goodCard('D-01'))).verdict).toBe('passed')
    const unknown = await site.prove('D-01', 'unknown-card', [
      { do: 'card', door: 'D-01', reader: 'R1', card: 'unknown' },
    ])
    expect(unknown.verdict).toBe('passed')
    const left = await site.prove('D-01', 'exit-button', [
      { do: 'press', door: 'D-01' },
      { after: 400, do: 'release', door: 'D-01' },
      { after: 800, do: 'lean', door: 'D-01', ms: 3000 },
      { after: 1500, do: 'close', door: 'D-01' },
    ])
    expect(left.verdict).toBe('passed')
    await site.stop()
  })

  it('stays dark while its jumper stands for another supply, and speaks once it is moved', async () => {
    const site = await planned('reader-face', 'supply')
    await site.ask('POST', '/search', {})
    expect(Object.values(site.facts.found)).toEqual([])
    expect(await site.hands([{ do: 'jumper', serial, to: 'network' }])).toEqual(['jumper on network'])
    await site.find()
    expect(Object.values(site.facts.found)).toMatchObject([{ serial, controller: 'a1', model: 'reader-face' }])
    await expect(site.hands([{ do: 'jumper', serial: 'RG-1', to: 'network' }])).rejects.toThrow('no device RG-1')
    await site.stop()
  })
})
