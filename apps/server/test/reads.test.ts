import { bitsText, cardBits, cardData, sentFormats, heldConfig, type Bits, type StoredCard } from '@rauta/core'
import { Site, siteFile } from './site'

const cards: Record<string, StoredCard> = {
  wiegand26: { facility: 61, number: 4417 },
  wiegand34: { format: 'wiegand34', facility: 61, number: 4417 },
  serial4: { format: 'serial4', facility: 0, number: 0, serial: '04A1B2C3' },
  serial7: { format: 'serial7', facility: 0, number: 0, serial: '04A1B2C3D4E5F6' },
}
const exchanged = (bits: Bits): Bits => bits.map((b) => (b === 1 ? 0 : 1))

/** What a reader really sent, over the wire: the tape and the waiting test say it, whatever the format. */
describe('what a card really sent', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(4)
    await site.command('person.put', {
      id: 'q',
      number: '2',
      name: 'Vera',
      cards: Object.entries(cards)
        .filter(([format]) => format !== 'wiegand26')
        .map(([id, card]) => ({ id, ...card, state: 'in use' })),
      groups: ['g'],
    })
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())
  const shown = async (door: string, bits: Bits) => {
    const before = new Set(Object.keys(site.facts.event))
    await site.hands([{ do: 'card', door, reader: 'R1', card: bitsText(bits) }])
    return site.until('the read', (f) =>
      Object.values(f.event).find(
        (e) => !before.has(e.id) && (e.kind === 'refused' || e.kind === 'granted') && e.door === door,
      ),
    )
  }

  it('the device holds every card in its own format', () => {
    const held = heldConfig(site.facts, 'a1')
    for (const { id } of sentFormats)
      expect(held[`credential/${id === 'wiegand26' ? 'c' : id}`]).toMatchObject({
        format: id,
        card: cardData(cards[id] ?? { facility: 0, number: 0 }),
      })
  })

  it('a read of every wrong format at every reader says what came, and whose card it is', async () => {
    for (const door of ['D-01', 'D-02', 'D-03', 'D-04'])
      for (const { id, bits } of sentFormats.filter((f) => f.id !== 'wiegand26')) {
        const card = cards[id] as StoredCard
        const event = await shown(door, cardBits(card))
        expect(event).toMatchObject({ kind: 'refused', state: 'unknown', card: '', bits: bitsText(cardBits(card)) })
        expect([door, id, event.says]).toEqual([door, id, expect.stringContaining(`${bits} bits arrived`)])
        expect(event.says).toContain('That is the card of')
      }
  })

  it('exchanged data lines are told at the reader, on the tape and in the test that waits', async () => {
    const good = site.facts.testCards['kit']?.good as StoredCard
    const event = await shown('D-01', exchanged(cardBits(good)))
    expect(event.says).toContain('with the two data lines exchanged. That is a test card. Exchange data 0 and data 1')
  })

  it('a reader that is set to another format reads that and no more: told, held, and granted for a card of it', async () => {
    await site.command('part.format', { door: 'D-02', part: 'R1', format: 'wiegand34' })
    expect(site.get('load', await site.load())).toMatchObject({ state: 'held' })
    expect(await shown('D-02', cardBits(cards['wiegand34'] as StoredCard))).toMatchObject({
      kind: 'granted',
      says: expect.stringContaining('Vera') as string,
    })
    await site.hands([{ do: 'close', door: 'D-02' }])
    const other = await shown('D-02', cardBits(cards['wiegand26'] as StoredCard))
    expect(other.says).toContain('26 bits arrived: card 61 04417. That is the card of Somebody. Set the reader')
  })
})
