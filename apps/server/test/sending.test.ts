import {
  bitsOfText,
  detect,
  heldConfig,
  keptBest,
  printedOn,
  sendings,
  sentFormats,
  settingFor,
  type OwnFormat,
} from '@rauta/core'
import type { Hand } from '@rauta/standins'
import { Site, siteFile } from './site'

/** How the readers of one door send. Invented for the test. */
const crew: OwnFormat = {
  id: 'crew-37',
  name: 'Crew, 37 bits',
  bits: 37,
  facility: { from: 1, length: 8 },
  number: { from: 20, length: 16 },
  parity: [{ at: 0, kind: 'even', over: { from: 1, length: 35 } }],
  keeps: 'wiegand26',
}
const opening = (door: string): Hand[] => [
  { do: 'card', door, reader: 'R1', card: 'good' },
  { after: 1000, do: 'lean', door, ms: 3000 },
  { after: 1200, do: 'close', door },
]

describe('a reader that sends in a way of its own', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(
      siteFile((file) => {
        const reader = file.doors[1]?.readers[0]
        if (reader) reader.sends = { format: crew }
      }),
    ).start()
    await site.plan(4)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  const strange = () =>
    Object.values(site.facts.event)
      .filter((e) => e.kind === 'refused' && e.state === 'unknown')
      .at(-1)
  const load = async () => site.get('load', await site.load())

  it('its bytes the other way round: told what it is and what would mend it; set so by one command, loaded, and proved', async () => {
    await site.hands([{ do: 'sends', door: 'D-01', reader: 'R1', choice: '26 bits, bytes turned' }])
    await site.hands([{ do: 'card', door: 'D-01', reader: 'R1', card: 'good' }])
    const read = await site.until('the read', () => strange())
    expect(read.says).toContain('with its bytes the other way round. That is a test card. Turn the byte order round')
    const bits = bitsOfText(read.bits ?? '')
    if (!bits) throw new Error('no bits')
    const good = site.facts.testCards['kit']?.good
    const [sending] = detect([{ bits, printed: good ? printedOn(good) : null }], sendings(site.facts)).sendings
    const setting = sending && settingFor(site.facts, sending, 'X', keptBest(site.facts, sending))
    expect(setting).toEqual({ format: 'wiegand26', order: 'bytesReversed' })
    await site.command('readers.set', { readers: [{ door: 'D-01', part: 'R1' }], ...setting })
    expect(await load()).toMatchObject({ state: 'held' })
    expect(heldConfig(site.facts, 'a1')['terminals/D-01']).toMatchObject({
      'R1.entryReader': { format: 'wiegand26', order: 'bytesReversed' },
    })
    expect(await site.prove('D-01', 'good-card', opening('D-01'))).toMatchObject({ verdict: 'passed' })
    // Put right at the reader, it is the setting that is wrong.
    await site.hands([{ do: 'sends', door: 'D-01', reader: 'R1', choice: null }])
    const before = Object.keys(site.facts.event).length
    await site.hands([{ do: 'card', door: 'D-01', reader: 'R1', card: 'good' }])
    await site.until('another read', (f) => Object.keys(f.event).length > before)
    expect(strange()?.says).toContain('That is a test card.')
  })

  it('fields that nobody knew: made and set at once, told to the device, read back, obeyed and proved', async () => {
    await site.command('readers.set', { readers: [{ door: 'D-02', part: 'R1' }], format: crew.id, own: crew })
    expect(await load()).toMatchObject({ state: 'held' })
    const { id: _id, ...value } = crew
    expect(heldConfig(site.facts, 'a1')['cardFormat/crew-37']).toEqual(value)
    expect(Object.keys(site.unit().memory.entities.CardFormat)).toEqual(['crew-37'])
    expect(await site.prove('D-02', 'good-card', opening('D-02'))).toMatchObject({ verdict: 'passed' })
    expect(
      await site.prove('D-02', 'unknown-card', [{ do: 'card', door: 'D-02', reader: 'R1', card: 'unknown' }]),
    ).toMatchObject({ verdict: 'passed' })
  })

  it('changed on the device past Rauta, it is noticed and the card test is no proof of what is wanted', async () => {
    const held = site.unit().memory.entities.CardFormat['crew-37']
    if (!held) throw new Error('not held')
    held.number = { from: 21, length: 16 }
    site.unit().altered('CardFormat', 'crew-37', false)
    await site.until(
      'it to be read',
      (f) =>
        JSON.stringify(heldConfig(f, 'a1')['cardFormat/crew-37']) !== JSON.stringify(undefined) &&
        (heldConfig(f, 'a1')['cardFormat/crew-37'] as { number: { from: number } }).number.from === 21,
    )
    expect(await load()).toMatchObject({ state: 'held' })
    expect(site.unit().memory.entities.CardFormat['crew-37']?.number).toEqual(crew.number)
  })

  it('a device that forgets the format is not taken for loaded', async () => {
    await site.hands([{ do: 'forgets', serial: site.unit().serial, operation: 'SetCardFormat' }])
    await site.command('cardFormat.put', { ...crew, parity: [] })
    expect(await load()).toMatchObject({ state: 'differs' })
    await site.hands([{ do: 'forgets', serial: site.unit().serial, operation: '' }])
    expect(await load()).toMatchObject({ state: 'held' })
  })

  it('set to a shipped format again, the device is told to forget it; a serial number in 34 bits is read as that', async () => {
    await site.command('part.format', { door: 'D-02', part: 'R1', format: 'wiegand26' })
    expect(await load()).toMatchObject({ state: 'held' })
    expect(site.unit().memory.entities.CardFormat).toEqual({})
    const serial: OwnFormat = {
      id: 'serial-34',
      name: 'Serial in 34 bits',
      bits: 34,
      number: { from: 1, length: 32 },
      parity: sentFormats.find((f) => f.id === 'wiegand34')?.parity ?? [],
      keeps: 'serial4',
    }
    await site.command('readers.set', { readers: [{ door: 'D-03', part: 'R1' }], format: serial.id, own: serial })
    await site.command('person.put', {
      id: 'v',
      number: '9',
      name: 'Vera',
      cards: [{ id: 'v', format: 'serial4', facility: 0, number: 0, serial: '00582799', state: 'in use' }],
      groups: ['g'],
    })
    expect(await load()).toMatchObject({ state: 'held' })
    const reader = site.rig.openings.get('D-03')?.file.readers[0]
    if (reader) reader.sends = { format: serial }
    await site.hands([{ do: 'card', door: 'D-03', reader: 'R1', card: '582799' }])
    const granted = await site.until('Vera', (f) =>
      Object.values(f.event).find((e) => e.door === 'D-03' && e.kind === 'granted'),
    )
    expect(granted.says).toContain('Vera')
  })
})
