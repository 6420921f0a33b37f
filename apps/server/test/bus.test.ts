import { marksOf, standings, workedConfig, type Door } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { BusReaderFile } from '@rauta/standins'
import { pdfText } from './pdfText'
import { busReader, goodCard, serial, Site, siteFile } from './site'

const door = 'D-01'
const entry = '0A0000F1'
const exit = '0A0000F2'
const hardware = {
  entryReader: 'reader-bus',
  exitReader: 'reader-bus',
  lock: 'strike-secure',
  contact: 'contact-frame',
  exit: 'button-exit',
}

/** A door with two readers on one bus, as their switches, leads and keys really are; the second at the far end. */
async function planned(
  first: Partial<BusReaderFile> = {},
  second: Partial<BusReaderFile> = {},
  entryReader = 'reader-bus',
): Promise<Site> {
  const site = await new Site(
    siteFile((file) => {
      for (const device of file.devices) device.model = 'controller-8'
      const [one] = file.doors
      if (one)
        file.doors = [
          {
            ...one,
            readers: [
              {
                id: 'R1',
                side: 'outside',
                serial,
                port: 'bus 1',
                bus: busReader(entry, { address: 3, terminator: false, ...first }),
              },
              { id: 'R2', side: 'inside', serial, port: 'bus 1', bus: busReader(exit, { address: 4, ...second }) },
            ],
            contact: { serial, input: 'input 1' },
            exit: { serial, input: 'input 2' },
          },
        ]
    }),
  ).start()
  await site.plan(0, { sheet: 'controller-8' })
  await site.command('door.add', {
    id: door,
    fields: { ref: door, name: 'Front', from: 'out', to: 'in', handle: true, hardware: { ...hardware, entryReader } },
  })
  await site.command('door.placeProposed', { id: door, controller: 'a1', portGroup: 'A' })
  await site.command('part.address', { door, part: 'R1', address: 3 })
  await site.command('part.address', { door, part: 'R2', address: 4 })
  await site.command('rule.put', { id: 'r', group: 'g', doors: [door], schedule: 'always' })
  await site.take()
  return site
}
const marks = (site: Site) => marksOf(site.facts, site.get('door', door) as Door, shippedSheets)
const reaches = (site: Site, part: string, says: RegExp) =>
  site.until(`${part} to be told of`, (f) => {
    const { reach } = marksOf(f, f.door[door] as Door, shippedSheets)
    return says.test(reach.says) && reach
  })

describe('readers on a bus, from the factory to a proved door', () => {
  let site: Site
  beforeAll(async () => {
    site = await planned()
  })
  afterAll(() => site.stop())

  it('are taken into service one by one, each with a key of its own, before anything is loaded', async () => {
    await site.takeOnBus(door, 'R1')
    await site.takeOnBus(door, 'R2')
    const keys = [entry, exit].map((of) => site.rig.busReaders.get(of)?.memory.key)
    expect(new Set(keys).size).toBe(2)
    for (const key of keys) expect(key).toMatch(/^[0-9a-f]{32}$/)
    expect(site.get('reach', `${door}/R1`)).toMatchObject({
      serial: entry,
      firmware: '1.4.0',
      address: 'A1 bus 1, address 3',
      owned: true,
    })
    // The second has the firmware that was accepted for the first: nobody was asked again.
    expect(site.get('reach', `${door}/R2`)?.firmwareAccepted).toEqual(site.get('reach', `${door}/R1`)?.firmwareAccepted)
    expect(marks(site).reach).toMatchObject({ sign: 'given', says: 'All 3 devices of this door answer.' })
  })

  it('tell nothing of their keys to anybody', async () => {
    const keys = [entry, exit].map((of) => site.rig.busReaders.get(of)?.memory.key ?? 'none')
    const told = JSON.stringify(site.facts).toLowerCase() + (await site.ask('GET', '/job')).text.toLowerCase()
    for (const key of keys) expect(told.includes(key)).toBe(false)
  })

  it('read cards that open the door, in clear to nobody', async () => {
    expect(site.get('load', await site.load())).toMatchObject({ state: 'held' })
    for (const test of ['reader-R1', 'reader-R2'])
      expect(
        await site.prove(door, test, [{ do: 'card', door, reader: test.slice(-2), card: 'good' }], 30_000),
      ).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(door, 'good-card', goodCard(door), 30_000)).toMatchObject({ verdict: 'passed' })
  })

  it('one that is exchanged is noticed, and only what it read is proved anew', async () => {
    const passed = () =>
      Object.fromEntries(
        standings(
          site.facts,
          site.get('door', door) as Door,
          shippedSheets,
          workedConfig(site.facts, 'a1', shippedSheets).wanted,
          workedConfig(site.facts, 'a1', shippedSheets).held,
        ).map((t) => [t.test.id, t.state]),
      )
    expect(passed()).toMatchObject({ 'reader-R1': 'passed', 'reader-R2': 'passed' })
    site.rig.exchange(entry, busReader('0A0000AA', { address: 3, terminator: false }))
    await reaches(site, 'R1', /another key/)
    await site.takeOnBus(door, 'R1')
    await reaches(site, 'R1', /All 3 devices/)
    expect(site.get('reach', `${door}/R1`)?.serial).toBe('0A0000AA')
    expect(passed()).toMatchObject({ 'reader-R1': 'stale', 'reader-R2': 'passed' })
  })

  it('gets another key when all passwords are changed, and is reached under it', async () => {
    const keys = () => ['0A0000AA', exit].map((of) => site.rig.busReaders.get(of)?.memory.key)
    const before = keys()
    const answer = await site.ask('POST', '/keys/devices', {})
    expect(answer.body).toMatchObject({
      devices: [
        { ref: 'A1', ok: true },
        { ref: 'D-01 R1', ok: true, says: 'Has a new key, and opens to it.' },
        { ref: 'D-01 R2', ok: true },
      ],
    })
    for (const [i, key] of keys().entries()) expect(key).not.toBe(before[i])
    await reaches(site, 'R1', /All 3 devices/)
    const paper = await pdfText(await site.bytes(`/doors/${door}/record.pdf`))
    expect(paper).toContain('A1 bus 1, address 3; serial 0A0000AA; firmware 1.4.0')
  })

  it('one that was brought back to its factory state is not talked to in clear in silence', async () => {
    await site.hands([{ do: 'busReset', reader: '0A0000AA' }])
    await reaches(site, 'R1', /another key/)
    expect(marks(site).sign.findings).toMatchObject([{ rule: 'talks-in-clear', grade: 'stop', at: 'R1' }])
    await site.takeOnBus(door, 'R1')
    await reaches(site, 'R1', /All 3 devices/)
  })

  it('a controller that lost all it was told is told the keys again', async () => {
    const unit = site.unit()
    delete unit.memory.busKeys
    unit.power(false)
    unit.power(true)
    await site.until('the keys to be there again', () => Object.keys(unit.memory.busKeys ?? {}).length === 2)
    await reaches(site, 'R1', /All 3 devices/)
  })

  it('an open case, a cut bus and its return are told', async () => {
    await site.hands([{ do: 'busTamper', reader: exit, open: true }])
    await reaches(site, 'R2', /R2 .* its case is open/)
    await site.hands([{ do: 'busTamper', reader: exit, open: false }])
    await reaches(site, 'R2', /All 3 devices/)
    await site.hands([{ do: 'busCut', bus: `${serial}/bus 1`, cut: true }])
    await reaches(site, 'R2', /hears nothing of it/)
    await site.hands([{ do: 'busCut', bus: `${serial}/bus 1`, cut: false }])
    await reaches(site, 'R2', /All 3 devices/)
  })

  it('one whose planned address is altered is not taken for reached', async () => {
    await site.command('part.address', { door, part: 'R2', address: 9 })
    expect(marks(site).reach).toMatchObject({
      sign: 'stale',
      says: expect.stringContaining('at address 4 of A1 bus 1, and is planned at address 9 of A1 bus 1') as string,
    })
    await site.command('part.address', { door, part: 'R2', address: 4 })
    expect(marks(site).reach.sign).toBe('given')
  })
})

describe('readers on a bus with something wrong', () => {
  const foreign = '00112233445566778899aabbccddeeff'
  let site: Site
  beforeAll(async () => {
    site = await planned({ address: 7, speed: 38_400, key: foreign, dataSwapped: true }, { address: 4 })
  })
  afterAll(() => site.stop())
  const take = () => site.takeOnBus(door, 'R1')

  it('a controller that falls silent while it is asked says nothing of the reader', async () => {
    const at = () => site.get('claim', `${door}/R1`)?.steps.find((s) => s.name === 'identity')
    await site.command('busDevice.take', { door, part: 'R1' })
    await site.until('the addresses to be asked', () => at()?.says.includes('asking every address'))
    await site.hands([{ do: 'network', serial, on: false }])
    await site.until('its silence to be told', () => at()?.state === 'waits')
    expect(at()?.says).toMatch(/10\.7\.1\.21.* It is tried again by itself\./)
    await site.hands([{ do: 'network', serial, on: true }])
    await site.until('it to be tried again', () => at()?.says.startsWith('Nothing answers on bus 1.'), 40_000)
  })

  it('data leads on each other’s screws: nothing answers', async () => {
    await expect(take()).rejects.toThrow(/identity: Nothing answers on bus 1.* A and B/)
    await site.hands([{ do: 'busSet', reader: entry, to: { dataSwapped: false } }])
  })

  it('another speed is found and set right, another address is for hands to set at the switches', async () => {
    await expect(take()).rejects.toThrow(/network: Its switches stand for address 7; it is planned at 3. On: 1 2\./)
    expect(site.get('claim', `${door}/R1`)?.onBus).toEqual({ address: 7, speed: 38_400, serial: entry })
    await site.hands([{ do: 'busSet', reader: entry, to: { address: 3 } }])
  })

  it('a key that somebody else gave it is never guessed at: it is reset by hand', async () => {
    await expect(take()).rejects.toThrow(/has a key that is neither this job’s nor the factory’s/)
    expect(site.rig.busReaders.get(entry)?.memory.key).toBe(foreign)
    await site.hands([{ do: 'busReset', reader: entry }])
  })

  it('two at one address are told apart from noise', async () => {
    await site.hands([{ do: 'busSet', reader: exit, to: { address: 3 } }])
    await expect(site.takeOnBus(door, 'R2')).rejects.toThrow(/Nobody answers at 4, and several at once at address 3/)
    await expect(take()).rejects.toThrow(/Several answer at once at address 3/)
    await site.hands([{ do: 'busSet', reader: exit, to: { address: 4 } }])
    await site.takeOnBus(door, 'R2')
  })

  it('a terminator that is missing hurts everybody', async () => {
    await site.hands([{ do: 'busSet', reader: exit, to: { terminator: false } }])
    await reaches(site, 'R2', /by several at once, or by noise/)
    await expect(take()).rejects.toThrow(/comes hurt/)
    await site.hands([{ do: 'busSet', reader: exit, to: { terminator: true } }])
    await take()
    await reaches(site, 'R1', /All 3 devices/)
  })
})

describe('a reader without switches, and a server that ends in every step', () => {
  let site: Site
  beforeAll(async () => {
    site = await planned({ address: 0, switches: false }, { address: 4 }, 'reader-bus-slim')
  })
  afterAll(() => site.stop())

  it('goes on where it was, and leaves no reader with a key that nobody knows', async () => {
    const steps = ['identity', 'network', 'secret', 'joined']
    await site.command('busDevice.take', { door, part: 'R1' })
    for (const step of steps) {
      await site.until(`${step} to be begun`, (f) =>
        f.claim[`${door}/R1`]?.steps.some((s) => s.name === step && s.state !== 'todo'),
      )
      await site.restart()
    }
    await site.takeOnBus(door, 'R1')
    expect(site.rig.busReaders.get(entry)?.memory).toMatchObject({ address: 3, speed: 9600 })
    await reaches(site, 'R1', /R2 .* still to be taken/)
    expect(site.get('reach', `${door}/R1`)?.onBus).toMatchObject({ state: 'secured', serial: entry })
  })
})
