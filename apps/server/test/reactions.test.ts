import { boardOf, heldConfig, marksOf, scriptFor, toldPoints, type Door, type Reaction } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { Hand } from '@rauta/standins'
import { onLargeBoard, serial, Site, siteFile } from './site'

const strike = { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' }
const hardware: Record<string, Record<string, string>> = {
  'D-01': { ...strike, sounder: 'sounder-lamp', spare: 'contact-frame' },
  'D-02': { ...strike, panelToggle: 'line-dry', panelState: 'state-dry' },
  'D-03': { ...strike, signal: 'line-dry', panelSet: 'line-dry', panelUnset: 'line-dry', panelState: 'state-dry' },
}
const sound = { then: 'pulse', output: 'H1', seconds: 3 } as const
const reactions: Reaction[] = [
  { id: 'in', door: 'D-01', when: 'granted', group: 'g', ...sound },
  { id: 'hours', door: 'D-01', when: 'exit', schedule: 'day', ...sound },
  { id: 'no', door: 'D-01', when: 'refused', ...sound },
  { id: 'forced', door: 'D-01', when: 'forced', then: 'hold', output: 'H1' },
  { id: 'open', door: 'D-01', when: 'heldOpen', ...sound },
  { id: 'works', door: 'D-01', when: 'input', part: 'S1', then: 'hold', output: 'H1' },
  { id: 'rests', door: 'D-01', when: 'inputEnds', part: 'S1', ...sound },
  { id: 'other', door: 'D-01', when: 'exit', then: 'release', lets: 'D-02' },
  { id: 'unset', door: 'D-02', when: 'granted', then: 'unsetPanel' },
  { id: 'set', door: 'D-02', when: 'granted', twice: true, then: 'setPanel' },
  { id: 'guard', door: 'D-03', when: 'exit', then: 'pulse', output: 'H2', seconds: 2 },
  { id: 'arm', door: 'D-03', when: 'exit', then: 'setPanel' },
  { id: 'disarm', door: 'D-03', when: 'granted', then: 'unsetPanel' },
]

/** Reactions: told to the controller, done by it alone, read back, and proved at the door from what it tells. */
describe('what follows by itself, over the wire', () => {
  let site: Site
  const doorOf = (id: string): Door => {
    const found = site.facts.door[id]
    if (!found) throw new Error(`no door ${id}`)
    return found
  }
  const load = (id: string) => marksOf(site.facts, doorOf(id), shippedSheets).load
  const card = (door: string, which = 'good', after = 0): Hand => ({
    after,
    do: 'card',
    door,
    reader: 'R1',
    card: which,
  })
  const act = (door: string, what: string, after = 0): Hand => ({ after, do: what, door }) as Hand
  const s1 = (what: 'work' | 'let', after = 0): Hand => ({ after, do: what, door: 'D-01', part: 'S1' })
  const press = (door: string) => [act(door, 'press'), act(door, 'release', 300)]
  const hands: Record<string, Hand[]> = {
    'reaction-in': [card('D-01')],
    'reaction-in-others': [card('D-01', 'second')],
    'reaction-hours': press('D-01'),
    'reaction-no': [card('D-01', 'unknown')],
    'reaction-forced': [act('D-01', 'handle'), act('D-01', 'close', 3000)],
    'reaction-open': [card('D-01'), { after: 800, do: 'lean', door: 'D-01', ms: 3000 }, act('D-01', 'close', 24_000)],
    'reaction-works': [s1('work'), s1('let', 2000)],
    'reaction-rests': [s1('work'), s1('let', 1000)],
    'reaction-other': press('D-01'),
    'reaction-unset': [act('D-02', 'setPanel'), card('D-02', 'good', 1500)],
    'reaction-set': [act('D-02', 'unsetPanel'), card('D-02', 'good', 1500), card('D-02', 'good', 2000)],
    'reaction-guard': press('D-03'),
    'reaction-arm': [
      act('D-03', 'unsetPanel'),
      ...press('D-03').map((hand, i) => ({ ...hand, after: 1500 - 1200 * i })),
    ],
    'reaction-disarm': [act('D-03', 'setPanel'), card('D-03', 'good', 1500)],
    'panel-P4': [act('D-02', 'unsetPanel'), act('D-02', 'setPanel', 800), act('D-02', 'unsetPanel', 800)],
    'spare-S1': [s1('work'), s1('let', 1000)],
  }

  beforeAll(async () => {
    site = await new Site(
      siteFile((file) => {
        onLargeBoard(file)
        Object.assign(file.doors[0] ?? {}, {
          driven: { H1: { serial, relay: 'relay 2' } },
          worked: { S1: { serial, input: 'input 3', rests: 'open' } },
        })
        Object.assign(file.doors[1] ?? {}, {
          panel: { toggle: { serial, relay: 'relay 4' }, state: { serial, input: 'input 7' } },
        })
        Object.assign(file.doors[2] ?? {}, {
          driven: { H2: { serial, relay: 'relay 6' } },
          panel: {
            set: { serial, relay: 'E1 relay 1' },
            unset: { serial, relay: 'E1 relay 2' },
            state: { serial, input: 'input 11' },
          },
        })
        file.cards['second'] = '582717'
      }),
    ).start()
    await site.plan(3, { sheet: 'controller-8', expanders: [{ id: 'E1', sheet: 'expander-io' }] })
    await site.command('testCards.put', { ...site.facts.testCards['kit'], second: { facility: 88, number: 10007 } })
    for (const [id, wanted] of Object.entries(hardware)) {
      await site.command('door.edit', { id, fields: { hardware: wanted, handle: true } })
      await site.command('door.placeProposed', { id, controller: 'a1' })
    }
    // Hours in which nobody tests: what counts in them alone is proved all the same.
    await site.command('schedule.put', {
      id: 'day',
      name: 'Sunday night',
      periods: [{ days: [7], from: '03:00', to: '03:01' }],
    })
    for (const reaction of reactions) await site.command('reaction.put', reaction)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  it('is held as it was told, read back, and makes Load', () => {
    const held = heldConfig(site.facts, 'a1')
    expect(held['reactions/D-01']).toMatchObject({
      in: { when: 'granted', members: 'members.g', then: 'pulse', output: 'H1', seconds: 3 },
      forced: { when: 'forced', then: 'hold', output: 'H1' },
      other: { when: 'exit', then: 'release', lets: 'D-02' },
      rests: { when: 'inputEnds', input: 'S1' },
    })
    expect(held['reactions/D-02']).toMatchObject({ set: { output: 'P3', unless: 'P4', is: 'active', twiceWithin: 5 } })
    expect(held['test/reactions/rauta-D-01']).toMatchObject({ hours: { then: 'pulse' } })
    for (const id of Object.keys(hardware))
      expect([id, load(id).sign, load(id).says]).toEqual([id, 'given', expect.any(String)])
  })

  it('is wired for every function that nothing else drives, on the port that the rig is wired to', () => {
    const controller = site.facts.controller['a1']
    if (!controller) throw new Error('no controller')
    const points = Object.keys(hardware).flatMap((id) =>
      toldPoints(doorOf(id), boardOf(shippedSheets, controller), shippedSheets).map((p) => [`${id} ${p.key}`, p.port]),
    )
    expect(Object.fromEntries(points)).toMatchObject({
      'D-01 H1.sounder': 'relay 2',
      'D-01 S1.spare': 'input 3',
      'D-02 P3.panelToggle': 'relay 4',
      'D-02 P4.panelState': 'input 7',
      'D-03 H2.signal': 'relay 6',
      'D-03 P1.panelSet': 'E1 relay 1',
      'D-03 P2.panelUnset': 'E1 relay 2',
      'D-03 P4.panelState': 'input 11',
    })
  })

  it('is proved, each by its own test', async () => {
    for (const id of Object.keys(hardware)) {
      const tests = scriptFor(site.facts, doorOf(id), shippedSheets).map((t) => t.id)
      const ours = tests.filter((t) => t.startsWith('reaction-') || t.startsWith('panel-') || t.startsWith('spare-'))
      expect(ours.length).toBeGreaterThan(2)
      for (const test of ours) {
        const played = (hands[test] ?? []).map((hand) => (test === 'panel-P4' ? { ...hand, door: id } : hand) as Hand)
        const proof = await site.prove(id, test, played, 40_000)
        expect([test, proof.verdict, proof.verdict === 'passed' ? '' : proof.says]).toEqual([test, 'passed', ''])
      }
    }
  }, 240_000)

  it('that a device lost past everybody takes Load from its door and from no other', async () => {
    const { DoorReactions } = site.unit().memory.entities
    const right = DoorReactions['D-01']
    delete DoorReactions['D-01']
    await site.until('it to be seen', () => load('D-01').sign === 'stale', 60_000)
    expect(load('D-01').says).toContain('when it is forced open: drive an output while it lasts, H1')
    expect(load('D-02').sign).toBe('given')
    if (right) DoorReactions['D-01'] = right
    await site.until('it to be right again', () => load('D-01').sign === 'given', 60_000)
  }, 130_000)

  it('that one who is not of the group, or a card of nobody, brings nothing about', async () => {
    const outputs = () => Object.values(site.facts.event).filter((e) => e.kind === 'output' && e.part === 'H1').length
    const before = outputs()
    await site.hands([card('D-01', 'second')])
    await site.until('it to be let in', (f) =>
      Object.values(f.event).some((e) => e.kind === 'granted' && e.says.includes('Second')),
    )
    await site.clock.sleep(4000)
    expect(outputs()).toBe(before)
  })
})
