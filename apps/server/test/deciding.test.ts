import { heldConfig, marksOf, scriptFor, type Decides, type DeviceEvent, type Door } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { DecisionAsked, Driver } from '@rauta/drivers'
import type { DoorBehaviour } from '@rauta/protocols'
import type { Deciders } from '../../../packages/standins/src/device/deciders'
import type { Context } from '../src/context'
import { Deciding } from '../src/live/deciding'
import { serial, Site, siteFile } from './site'

/** Doors at which the server decides: told to their controller, asked and answered over the wire, and proved without an answer too. */
describe('who may come in is asked of the server', () => {
  let site: Site
  const door = 'D-01'
  const show = (card: string, after = 0) => ({ do: 'card' as const, door, reader: 'R1', card, after })
  const firmware = () => site.unit().doors.state(door)
  const planned = (): Door => {
    const found = site.facts.door[door]
    if (!found) throw new Error('nothing planned')
    return found
  }
  const decided = async (then: Decides['then']) => {
    await site.command('door.edit', { id: door, fields: { decides: { by: 'server', afterS: 10, then } } })
    await site.load()
  }
  // A look at the controller that was begun while its cable was out may tell so only later.
  const prove = async (test: string, hands: Parameters<Site['prove']>[2], limitMs = 60_000) => {
    await site.until('the controller to answer', (f) => f.reach['a1']?.silentMs === 0)
    return await site.prove(door, test, hands, limitMs)
  }
  /** The first event of a kind and state that came after a moment of the server’s clock. */
  const told = (kind: DeviceEvent['kind'], state: string, since: number) =>
    site.until(`${kind} ${state}`, (f) =>
      Object.values(f.event).find((e) => e.kind === kind && e.state === state && e.received >= since),
    )
  const leave = [
    { do: 'press' as const, door },
    { after: 300, do: 'push' as const, door },
    { after: 1500, do: 'close' as const, door },
    { do: 'release' as const, door },
  ]

  beforeAll(async () => {
    site = await new Site(siteFile((s) => Object.assign(s.cards, { somebody: '3D1141' }))).start()
    await site.plan(2)
    await site.take()
    await decided('knownCards')
  })
  afterAll(() => site.stop())

  it('is told to the controller, read back, and needs a controller that can ask', async () => {
    expect(heldConfig(site.facts, 'a1')[`behaviour/${door}`]).toEqual({
      decidedBy: 'server',
      reachFor: 10,
      without: 'knownCards',
    })
    const a1 = site.facts.controller['a1']
    if (!a1) throw new Error('no controller')
    const facts = { ...site.facts, controller: { a1: { ...a1, sheet: 'controller-2' } } }
    expect(marksOf(facts, planned(), shippedSheets).load).toMatchObject({ sign: 'stopped' })
    expect(marksOf(site.facts, planned(), shippedSheets).load.sign).toBe('given')
  })

  it('it hears of the server all the time, so that it is not taken for gone', async () => {
    await site.clock.sleep(25_000)
    expect(Object.values(site.facts.event).filter((e) => e.state === 'deciderAway')).toEqual([])
  })

  it('the controller asks, and lets in on the server’s word', async () => {
    expect(await prove('server-decides', [show('good')])).toMatchObject({
      verdict: 'passed',
      says: 'The controller asked the server, and let in on its word.',
    })
  })

  it('the server’s word counts although the controller holds other rules: what was not sent yet counts too', async () => {
    const since = site.clock.now()
    await site.command('rule.remove', { id: 'r' })
    await site.hands([{ do: 'card', door, reader: 'R1', card: 'somebody' }])
    expect(await told('refused', 'no rule', since)).toMatchObject({ door, reader: 'R1' })
    expect(firmware().unlocked).toBe(false)
    await site.command('rule.put', { id: 'r', group: 'g', doors: [door, 'D-02'], schedule: 'always' })
    const again = site.clock.now()
    await site.hands([{ do: 'card', door, reader: 'R1', card: 'somebody' }])
    await told('granted', 'granted', again)
    await site.load()
    // The other door of the same controller asks nobody.
    const asked = Object.values(site.facts.event).filter((e) => e.state === 'asked')
    expect(new Set(asked.map((e) => e.door))).toEqual(new Set([door]))
    await site.clock.sleep(6000)
  })

  it('without the server known cards still pass, and the server answers again after the test', async () => {
    const since = site.clock.now()
    expect(await prove('server-away', [show('good', 12_000)])).toMatchObject({ verdict: 'passed' })
    await told('notice', 'deciderBack', since)
    expect(await prove('server-away-X1', leave)).toMatchObject({ verdict: 'passed' })
    expect(await prove('server-decides', [show('good')])).toMatchObject({ verdict: 'passed' })
  })

  it('without the server nobody gets in where that is set, and everybody out', async () => {
    await decided('staysShut')
    expect(await prove('server-away', [show('good', 12_000)])).toMatchObject({
      verdict: 'passed',
      says: expect.stringContaining('out of reach') as string,
    })
    expect(await prove('server-away-X1', leave)).toMatchObject({ verdict: 'passed' })
    // A test that is begun at once after a silent one is not judged in its silence.
    await site.command('trial.start', { door, test: 'server-away' })
    await told('notice', 'deciderAway', site.clock.now())
    await site.command('trial.answer', { door, test: 'server-away', answer: 'stop', says: '' })
    expect(await prove('server-decides', [show('good')])).toMatchObject({ verdict: 'passed' })
    // Who came before it was found away waits until then, and no longer.
    expect(await prove('server-away', [show('good', 2000)])).toMatchObject({ verdict: 'passed' })
  })

  it('without the server the door stands open where that is set, and locks again when it is back', async () => {
    await decided('opens')
    expect(scriptFor(site.facts, planned(), shippedSheets).map((t) => t.id)).not.toContain('server-away-X1')
    await site.until('the server to be heard', () => !firmware().unlocked)
    const open = [
      { after: 12_500, do: 'push' as const, door },
      { after: 1500, do: 'close' as const, door },
    ]
    expect(await prove('server-away', open)).toMatchObject({ verdict: 'passed' })
    await site.until('it to lock again', () => !firmware().unlocked)
    // The cable out is the same to the controller, whatever is still on its way.
    await site.hands([{ do: 'network', serial, on: false }])
    await site.until('it to stand open', () => firmware().unlocked)
    await site.hands([{ do: 'network', serial, on: true }])
    await site.until('it to lock once the server is heard', () => !firmware().unlocked)
  })

  it('answers a controller about its own doors alone, and no more at once than can be there', async () => {
    const answered: string[] = []
    const driver = {
      decide: (asked: DecisionAsked, reason: string) => {
        answered.push(`${asked.door} ${asked.credential} ${reason}`)
        return Promise.resolve()
      },
    } as unknown as Driver
    const { clock } = site
    const logger = { debug: () => undefined }
    const deciding = new Deciding({ log: { facts: site.facts }, clock, logger } as unknown as Context)
    const ask = (n = '') => ({ door, accessPoint: `${door}.R1`, credential: `nobody${n}` })
    await deciding.answer('a2', driver, [ask()])
    expect(answered).toEqual([])
    await deciding.answer('a1', driver, [{ ...ask(), door: 'constructor' }, ask()])
    expect(answered).toEqual([`${door} nobody unknown`])
    await deciding.answer(
      'a1',
      driver,
      Array.from({ length: 500 }, (_, n) => ask(String(n))),
    )
    expect(answered).toHaveLength(21)
    expect(answered.at(-1)).toBe(`${door} nobody499 unknown`)
  })

  it('a controller that does not ask, or does something else without an answer, fails its test', async () => {
    await decided('staysShut')
    const { DoorBehaviour } = site.unit().memory.entities
    const kept = DoorBehaviour[door]
    if (!kept) throw new Error('nothing held')
    // It says what it was told, and does something else.
    const { doors } = site.unit()
    const does = (other: Partial<DoorBehaviour>) => {
      const done = { ...kept, ...other }
      Reflect.set(doors, 'behaviourOf', () => done)
      ;(Reflect.get(doors, 'deciders') as Deciders).follow([done])
    }
    does({ without: 'Local' })
    expect(await prove('server-away', [show('good', 12_000)])).toMatchObject({
      verdict: 'failed',
      says: 'Without the server the card was let in all the same.',
    })
    does({ reachS: 25 })
    expect(await prove('server-away', [show('good', 28_000)])).toMatchObject({ verdict: 'failed' })
    Reflect.set(doors, 'behaviourOf', () => ({ token: door }))
    expect(await prove('server-decides', [show('good')])).toMatchObject({
      verdict: 'failed',
      says: 'The controller let in without asking the server.',
    })
    Reflect.deleteProperty(doors, 'behaviourOf')
  })
})
