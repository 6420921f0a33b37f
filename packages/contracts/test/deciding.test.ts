import fc from 'fast-check'
import {
  answerTo,
  askingDoors,
  decide,
  marksOf,
  releaseOf,
  scriptFor,
  testDigest,
  type Decides,
  type DeviceEvent,
  type Test,
} from '@rauta/core'
import { event, judged, sheets, smallJob, strikeHardware, type World } from './world'

const server = (then: Decides['then'], afterS = 6): Decides => ({ by: 'server', afterS, then })

function job(decides: Decides, hardware: Record<string, string> = {}): World {
  const w = smallJob({
    ...strikeHardware,
    entryReader: 'reader-slim',
    exitReader: 'reader-slim',
    exit: 'button-exit',
    ...hardware,
  })
  w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-4' })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  w.do('door.edit', { id: 'D-01', fields: { decides } })
  return w
}
const rules = (w: World, of = sheets) => marksOf(w.facts, w.door(), of).load.findings.map((f) => `${f.grade} ${f.rule}`)
const script = (w: World) => scriptFor(w.facts, w.door(), sheets)
const testOf = (w: World, id: string): Test => {
  const found = script(w).find((t) => t.id === id)
  if (!found) throw new Error(`no test ${id}`)
  return found
}

describe('who decides at a door', () => {
  it('is told to its controller with all that follows, and read back for whom it asks', () => {
    const w = job(server('opens', 7))
    expect(w.wanted()['behaviour/D-01']).toEqual({ decidedBy: 'server', reachFor: 7, without: 'opens' })
    w.loaded()
    expect(askingDoors(w.facts, 'a1')).toEqual([{ door: 'D-01', reachS: 7 }])
    const alone = job({ by: 'controller', afterS: 0, then: 'staysShut' })
    expect(alone.wanted()['behaviour/D-01']).toBeUndefined()
    expect(script(alone).filter((t) => t.id.startsWith('server'))).toEqual([])
  })

  it('whatever is chosen is told and tried, or stops the door: nobody reads of a promise that no device knows of', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('reader' as const, 'lock' as const, 'controller' as const, 'server' as const),
        fc.constantFrom('staysShut' as const, 'opens' as const, 'knownCards' as const),
        fc.integer({ min: 0, max: 30 }),
        fc.constantFrom('controller-4', 'controller-2'),
        (by, then, afterS, sheet) => {
          const w = job({ by, then, afterS })
          w.do('controller.put', { ...w.facts.controller['a1'], sheet })
          const stopped = rules(w).some((r) => r.startsWith('stop'))
          const told = w.wanted()['behaviour/D-01'] as { without?: string } | undefined
          const tried = script(w).filter((t) => t.depends.includes('behaviour.without'))
          if (by === 'controller') expect([stopped, told, tried.length]).toEqual([false, undefined, 0])
          else if (!stopped) expect([by, told?.without, tried.length > 0]).toEqual(['server', then, true])
          else expect(marksOf(w.facts, w.door(), sheets).load.sign).toBe('stopped')
        },
      ),
      { numRuns: 80 },
    )
  })

  it('what stands against it is found, each by its own rule', () => {
    expect(rules(job(server('staysShut')))).toEqual(['note server-decides'])
    expect(rules(job({ by: 'reader', afterS: 5, then: 'staysShut' }))).toContain('stop cannot-decide')
    expect(rules(job({ by: 'lock', afterS: 5, then: 'staysShut' }))).toContain('stop cannot-decide')
    expect(rules(job({ by: 'controller', afterS: 0, then: 'opens' }))).toEqual([])
    expect(rules(job(server('knownCards', 1)))).toContain('stop no-time-to-answer')
    expect(rules(job(server('knownCards', 2)))).not.toContain('stop no-time-to-answer')
    expect(rules(job(server('knownCards', 11)))).toContain('warn long-wait')
    expect(rules(job(server('knownCards', 10)))).not.toContain('warn long-wait')
    expect(rules(job(server('opens')))).toContain('warn open-without-server')
    const often = {
      ...sheets,
      'strike-secure': { ...sheets['strike-secure'], lock: { ...sheets['strike-secure']?.lock, duty: 0.25 } },
    } as typeof sheets
    expect(rules(job(server('opens')), often)).toContain('stop driven-without-server')
    expect(rules(job(server('staysShut')), often)).not.toContain('stop driven-without-server')
    const unread = smallJob({ lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' })
    unread.do('door.edit', { id: 'D-01', fields: { decides: server('knownCards') } })
    expect(rules(unread)).toContain('stop decides-unread')
    // Who is read on the way out alone is not asked about.
    unread.do('door.edit', {
      id: 'D-01',
      fields: { hardware: { exitReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' } },
    })
    expect(rules(unread)).toContain('stop decides-unread')
  })

  it('a face reader that is its own controller decides by itself', () => {
    const w = smallJob({})
    w.controller('u1', 'reader-face', { address: '10.1.1.31' })
    const fields = {
      ref: 'U-1',
      name: 'Wall',
      from: 'out',
      to: 'in',
      handle: true,
      hardware: { entryReader: 'reader-face', lock: 'strike-secure' },
    }
    w.do('door.add', { id: 'U-1', fields: { ...fields, decides: { by: 'reader', afterS: 5, then: 'staysShut' } } })
    w.do('door.placeProposed', { id: 'U-1', controller: 'u1' })
    const found = (id: string) => marksOf(w.facts, w.door(id), sheets).load.findings.map((f) => f.rule)
    expect(found('U-1')).not.toContain('cannot-decide')
  })

  it('every way out is tried without the server, but where the door stands open then', () => {
    const ways = (then: Decides['then']) =>
      script(job(server(then)))
        .filter((t) => t.silence === 'lasts')
        .map((t) => t.id)
    expect(ways('staysShut')).toEqual(['server-away-X1', 'server-away-R2'])
    expect(ways('knownCards')).toEqual(['server-away-X1', 'server-away-R2'])
    expect(ways('opens')).toEqual([])
  })

  it('the server is heard in every other test, so that none is judged in a silence left over from the one before', () => {
    const heard = (w: World) => script(w).filter((t) => t.silence === 'never').length
    const w = job(server('staysShut'))
    expect(
      script(w)
        .filter((t) => t.silence === null)
        .map((t) => t.id),
    ).toEqual(['before-load'])
    w.reached()
    w.loaded()
    w.do('trial.start', { door: 'D-01', test: 'good-card' })
    expect(w.facts.trial['D-01']?.waits).toBe(true)
    expect(heard(job({ by: 'controller', afterS: 0, then: 'staysShut' }))).toBe(0)
  })

  it('what opens when says what the controller was told', () => {
    const said = (then: Decides['then']) => {
      const w = job(server(then))
      return releaseOf(w.door(), w.facts.controller['a1'], sheets)?.find((a) => a.case === 'network')
    }
    expect(said('opens')).toMatchObject({ in: 'free', out: 'free' })
    expect(said('staysShut')).toMatchObject({ in: 'shut', out: 'works' })
    expect(said('knownCards')).toMatchObject({ in: 'works', out: 'works' })
  })

  it('only what it depends on goes stale when it changes', () => {
    const w = job(server('staysShut'))
    const digests = () => new Map(script(w).map((t) => [t.id, testDigest(w.facts, w.door(), t, w.wanted())]))
    const before = digests()
    w.do('door.edit', { id: 'D-01', fields: { decides: server('staysShut', 8) } })
    const after = digests()
    expect([...before].filter(([id, d]) => after.get(id) !== d).map(([id]) => id)).toEqual([
      'server-away',
      'server-away-X1',
      'server-away-R2',
    ])
  })
})

describe('what the server answers', () => {
  const at = (text: string) => Date.parse(`${text}+02:00`)
  const w = job(server('staysShut'))
  const day = at('2027-01-04T10:00:00')

  it('is what the job wants of whoever has the card, at any moment', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 14 * 24 * 60 }), (minutes) => {
        const moment = day + minutes * 60_000
        for (const person of Object.values(w.facts.person))
          for (const card of person.cards) {
            const wanted = decide(w.facts, person, w.door(), moment, card)
            expect(answerTo(w.facts, w.door(), card.id, moment) === '').toBe(wanted.passes)
          }
      }),
    ))

  it('says why not in the words that events have', () => {
    const answer = (credential: string, moment = day) => answerTo(w.facts, w.door(), credential, moment) || 'passes'
    const person = w.facts.person['p']
    const card = person?.cards[0]?.id ?? ''
    expect(answer(card)).toBe('passes')
    expect(answer(card, at('2027-01-04T23:00:00'))).toBe('hours')
    expect(answer('nobody')).toBe('unknown')
    expect(answer('constructor')).toBe('unknown')
    expect([answer('rauta-good'), answer('rauta-hours'), answer('rauta-lost'), answer('rauta-made-up')]).toEqual([
      'passes',
      'hours',
      'no rule',
      'no rule',
    ])
    w.do('person.put', { ...person, cards: person?.cards.map((c) => ({ ...c, state: 'lost' })) })
    expect(answer(card)).toBe('lost')
    w.do('person.put', { ...person, cards: person?.cards.map((c) => ({ ...c, state: 'withdrawn' })) })
    expect(answer(card)).toBe('withdrawn')
    w.do('person.put', { ...person, validUntil: '2026-01-01' })
    expect(answer(card)).toBe('expired')
    w.do('person.put', { ...person, validFrom: '2028-01-01' })
    expect(answer(card)).toBe('notYet')
    w.do('person.put', { ...person, groups: [] })
    expect(answer(card)).toBe('no rule')
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    expect(answer('rauta-good')).toBe('no rule')
  })
})

describe('verdicts on who decides', () => {
  const base = Date.parse('2026-11-24T09:00:00Z')
  const good = (w: World) => testOf(w, 'good-card').cards[0] ?? ''
  const verdict = (w: World, id: string, events: DeviceEvent[]) => judged(testOf(w, id), base, events).state
  const at = (s: number, kind: DeviceEvent['kind'], state: string, over: Partial<DeviceEvent> = {}) =>
    event(base, s, kind, state, over)
  const read = (w: World, s: number, kind: 'granted' | 'refused', state: string = kind) =>
    at(s, kind, state, { card: good(w), reader: 'R1' })

  it.each<[string, (w: World) => DeviceEvent[], string]>([
    ['asked and let in', (w) => [at(1, 'notice', 'asked'), read(w, 1.2, 'granted')], 'passed'],
    ['asked, and nothing more yet', () => [at(1, 'notice', 'asked')], 'waiting'],
    ['let in without asking', (w) => [read(w, 1, 'granted')], 'failed'],
    ['let in, and asked afterwards', (w) => [read(w, 1, 'granted'), at(2, 'notice', 'asked')], 'failed'],
    ['asked and refused', (w) => [at(1, 'notice', 'asked'), read(w, 1.2, 'refused', 'no rule')], 'failed'],
    [
      'not answered, and let in all the same',
      (w) => [at(1, 'notice', 'asked'), at(5, 'notice', 'unanswered'), read(w, 5.1, 'granted')],
      'failed',
    ],
    [
      'found away, and let in all the same',
      (w) => [at(1, 'notice', 'deciderAway'), at(2, 'notice', 'asked'), read(w, 5.1, 'granted')],
      'failed',
    ],
  ])('the server decides: %s', (_what, events, state) => {
    const w = job(server('knownCards'))
    expect(verdict(w, 'server-decides', events(w))).toBe(state)
  })

  const away = (s = 6) => at(s, 'notice', 'deciderAway')
  it.each<[string, Decides['then'], (w: World) => DeviceEvent[], string]>([
    ['nothing yet', 'staysShut', () => [], 'waiting'],
    ['found, and nobody came', 'staysShut', () => [away()], 'waiting'],
    ['refused', 'staysShut', (w) => [away(), read(w, 9, 'refused', 'noDecision')], 'passed'],
    ['refused for another reason', 'staysShut', (w) => [away(), read(w, 9, 'refused', 'no rule')], 'failed'],
    ['let in although it stays shut', 'staysShut', (w) => [away(), read(w, 9, 'granted')], 'failed'],
    ['let in where known cards pass', 'knownCards', (w) => [away(), read(w, 9, 'granted')], 'passed'],
    ['refused where known cards pass', 'knownCards', (w) => [away(), read(w, 9, 'refused', 'noDecision')], 'failed'],
    ['too early', 'knownCards', (w) => [away(3.9), read(w, 9, 'granted')], 'failed'],
    ['as early as may be', 'knownCards', (w) => [away(4.1), read(w, 9, 'granted')], 'passed'],
    ['too late', 'knownCards', (w) => [away(8.1), read(w, 9, 'granted')], 'failed'],
    ['the card before', 'knownCards', (w) => [read(w, 3, 'granted'), away(), read(w, 9, 'granted')], 'not judged'],
    [
      'open',
      'opens',
      () => [away(), at(6.1, 'mode', 'free'), at(6.2, 'lock', 'unlocked'), at(9, 'leaf', 'open')],
      'passed',
    ],
    ['not open', 'opens', () => [away()], 'waiting'],
    [
      'open before the server was away',
      'opens',
      () => [at(1, 'mode', 'free'), at(2, 'lock', 'unlocked'), at(3, 'leaf', 'open'), away()],
      'waiting',
    ],
    [
      'open by a card',
      'opens',
      (w) => [away(), at(6.1, 'mode', 'free'), read(w, 7, 'granted'), at(9, 'leaf', 'open')],
      'not judged',
    ],
    [
      'forced',
      'opens',
      () => [away(), at(6.1, 'mode', 'free'), at(9, 'leaf', 'open'), at(9, 'alarm', 'forced')],
      'failed',
    ],
  ])('without the server: %s', (_what, then, events, state) => {
    const w = job(server(then))
    expect(verdict(w, 'server-away', events(w))).toBe(state)
  })
})
