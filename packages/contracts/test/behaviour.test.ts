import fc from 'fast-check'
import {
  asked,
  abilityFacts,
  decide,
  doorAbilities,
  hangingOn,
  hoursAt,
  marksOf,
  orderFault,
  scriptFor,
  standsNow,
  standsNowWords,
  testDigest,
  unlike,
  type Behaviour,
  type Decides,
  type DeviceEvent,
  type Finding,
  type Test,
} from '@rauta/core'
import { event, judged, sheets, smallJob, strikeHardware, type World } from './world'

const testCodes = { good: '7391', duress: '7394', unknown: '5183' }

/** A door with readers on both sides on a controller that can do everything. */
function job(over: Asked = {}, hardware: Record<string, string> = {}): World {
  const w = smallJob({
    ...strikeHardware,
    entryReader: 'reader-card-keypad',
    exitReader: 'reader-slim',
    exit: 'button-exit',
    ...hardware,
  })
  w.do('controller.put', { ...w.facts.controller['a1'], sheet: 'controller-4' })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  w.do('schedule.put', { id: 'night', name: 'Night', periods: [{ days: [1, 2, 3, 4, 5], from: '22:00', to: '05:00' }] })
  w.do('testCards.put', { ...w.facts.testCards['kit'], second: { facility: 9, number: 7 }, codes: testCodes })
  behave(w, over)
  return w
}
/** How a door is set, and who decides there. */
type Asked = Partial<Behaviour> & { decides?: Decides }
const behave = (w: World, { decides, ...over }: Asked, id = 'D-01') => {
  const { releaseS, heldOpenS, relockDelayS, contactIdle, exitIdle, forcedAlarm } = w.door(id).behaviour
  const plain = { releaseS, heldOpenS, relockDelayS, contactIdle, exitIdle, forcedAlarm }
  w.do('door.edit', { id, fields: { behaviour: { ...plain, ...over }, ...(decides ? { decides } : {}) } })
}
const load = (w: World): Finding[] => marksOf(w.facts, w.door(), sheets).load.findings
const rules = (w: World) => load(w).map((f) => `${f.grade} ${f.rule}`)
const script = (w: World) => scriptFor(w.facts, w.door(), sheets)
const testOf = (w: World, id: string): Test => {
  const found = script(w).find((t) => t.id === id)
  if (!found) throw new Error(`no test ${id}`)
  return found
}

/** One setting for each thing that a door can be set to, as a form would send it. */
const settings: { [K in (typeof doorAbilities)[number]]: Asked } = {
  preAlarm: { preAlarmS: 5 },
  unlockDelay: { unlockAfterS: 3 },
  relockAtOpening: { relockAt: 'opening' },
  ownHours: { freeOn: 'day', barredOn: 'night' },
  firstPerson: { freeOn: 'day', firstPerson: true },
  twoPeople: { pairWithinS: 8 },
  reentry: { reentryS: 60 },
  passback: { passback: 'refuse' },
  codes: { code: 'with' },
  serverDecides: { decides: { by: 'server', afterS: 5, then: 'staysShut' } },
}
const some = fc
  .subarray([...doorAbilities], { minLength: 1 })
  .map((list) => ({ list, behaviour: Object.assign({}, ...list.map((a) => settings[a])) as Asked }))

describe('what a door does beyond its plain times', () => {
  it('whatever a door is set to is told to its controller and has a test of its own, or stops it', () => {
    fc.assert(
      fc.property(some, ({ behaviour }) => {
        const w = job(behaviour)
        const wanted = w.wanted()
        const told = JSON.stringify([wanted['behaviour/D-01'] ?? {}, wanted['door/D-01']])
        const tested = new Set(script(w).flatMap((t) => t.depends))
        expect(rules(w).filter((r) => r.startsWith('stop'))).toEqual([])
        for (const [field, dependency] of Object.entries(fields))
          if (behaviour[field as keyof Asked] !== undefined) {
            expect([field, told.includes(`"${dependency.split('.')[1]}"`)]).toEqual([field, true])
            expect([field, tested.has(dependency as Test['depends'][number])]).toEqual([field, true])
          }
      }),
      { numRuns: 60 },
    )
  })

  it('each ability is asked for by its own setting alone, and a controller without it stops the door', () => {
    for (const ability of doorAbilities) {
      const w = job(settings[ability])
      expect(asked(w.door())).toContain(ability)
      const without = {
        ...sheets,
        'controller-4': {
          ...sheets['controller-4'],
          controller: { ...sheets['controller-4']?.controller, abilities: doorAbilities.filter((a) => a !== ability) },
        },
      } as typeof sheets
      const stops = marksOf(w.facts, w.door(), without).load.findings.filter((f) => f.grade === 'stop')
      expect(stops.map((f) => f.rule)).toContain('not-kept')
      expect(stops.some((f) => f.says.includes(abilityFacts[ability].says))).toBe(true)
      expect(marksOf(w.facts, w.door(), sheets).load.findings.filter((f) => f.rule === 'not-kept')).toEqual([])
    }
  })

  it('nothing that a door is set to changes how anybody leaves: exit tests stay what they were, word for word', () => {
    const leaving = (w: World) =>
      script(w)
        .filter((t) => t.id === 'exit-button' || t.id === 'reader-R2')
        .map(({ rehearse: _r, forget: _f, silence: _s, ...rest }) => rest)
    const plain = leaving(job())
    expect(plain).toHaveLength(2)
    fc.assert(
      fc.property(some, ({ behaviour }) => expect(leaving(job(behaviour))).toEqual(plain)),
      { numRuns: 40 },
    )
  })

  it('a door that may be barred has a test of every way out while it is', () => {
    const ways = (w: World) =>
      script(w)
        .filter((t) => t.id.startsWith('barred-exit'))
        .map((t) => [t.id, t.rehearse])
    expect(ways(job({ barredOn: 'night' }))).toEqual([
      ['barred-exit-X1', 'barred'],
      ['barred-exit-R2', 'barred'],
    ])
    expect(ways(job({ freeOn: 'day' }))).toEqual([])
  })

  it('at a door with hours of its own every test says how it shall stand meanwhile, and none does elsewhere', () => {
    const standing = (w: World) =>
      script(w)
        .filter((t) => t.rehearse === null)
        .map((t) => t.id)
    expect(standing(job({ freeOn: 'day' }))).toEqual(['before-load'])
    expect(standing(job({ barredOn: 'night' }))).toEqual(['before-load'])
    expect(new Set(script(job({ reentryS: 60 })).map((t) => t.rehearse))).toEqual(new Set([null]))
    const forgets = (w: World) =>
      script(w)
        .filter((t) => t.cards.length > 0 && t.id !== 'before-load')
        .map((t) => t.forget)
    expect(new Set(forgets(job({ reentryS: 60 })))).toEqual(new Set([true]))
    expect(new Set(forgets(job({ passback: 'tell' })))).toEqual(new Set([true]))
    expect(new Set(forgets(job({ freeOn: 'day' })))).toEqual(new Set([false]))
  })

  it('only the test of a setting goes stale when it changes', () => {
    const w = job({ ...settings.preAlarm, ...settings.unlockDelay, ...settings.ownHours })
    const digests = () => new Map(script(w).map((t) => [t.id, testDigest(w.facts, w.door(), t, w.wanted())]))
    const before = digests()
    behave(w, { ...settings.preAlarm, unlockAfterS: 9, ...settings.ownHours })
    const after = digests()
    expect([...before].filter(([id, digest]) => after.get(id) !== digest).map(([id]) => id)).toEqual(['unlock-delay'])
  })

  it('contradictions are found, each by its own rule', () => {
    const found = (over: Partial<Behaviour>, hardware = {}) => rules(job(over, hardware))
    expect(found({ preAlarmS: 30 })).toContain('stop warning-too-early')
    expect(found({ preAlarmS: 29 })).not.toContain('stop warning-too-early')
    expect(found({ firstPerson: true })).toContain('stop first-of-nothing')
    expect(found({ freeOn: 'day', barredOn: 'night' })).not.toContain('stop free-and-barred')
    const meets = job({ freeOn: 'day', barredOn: 'night' })
    meets.do('schedule.put', { id: 'night', name: 'Night', periods: [{ days: [7], from: '22:00', to: '08:01' }] })
    expect(load(meets).find((f) => f.rule === 'free-and-barred')?.says).toContain('Mon 08:00')
    const blind = smallJob({ ...strikeHardware, contact: '' })
    blind.do('controller.put', { ...blind.facts.controller['a1'], sheet: 'controller-4' })
    behave(blind, { preAlarmS: 5, relockAt: 'opening' })
    expect(rules(blind)).toEqual(expect.arrayContaining(['stop warning-unseen', 'stop relock-unseen']))
    expect(found({ relockAt: 'opening' })).not.toContain('stop bolt-out')
    const bolt = {
      ...sheets,
      'strike-secure': { ...sheets['strike-secure'], lock: { ...sheets['strike-secure']?.lock, principle: 'motor' } },
    } as typeof sheets
    const thrown = job({ relockAt: 'opening' })
    expect(marksOf(thrown.facts, thrown.door(), bolt).load.findings.map((f) => f.rule)).toContain('bolt-out')
    const unread = smallJob({ lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' })
    behave(unread, { unlockAfterS: 3, barredOn: 'day', pairWithinS: 5, reentryS: 60, passback: 'tell' })
    expect(rules(unread)).toEqual(
      expect.arrayContaining(['delay', 'barred', 'two', 'reentry', 'passback'].map((r) => `stop ${r}-unread`)),
    )
  })

  it('a lock that lets go only while it is driven is told how long free hours drive it', () => {
    expect(load(job({ freeOn: 'day' })).find((f) => f.rule === 'driven-long')?.says).toContain('9 h')
    const w = job({ freeOn: 'day' })
    w.do('schedule.put', {
      id: 'day',
      name: 'Day',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }],
    })
    expect(load(w).find((f) => f.rule === 'driven-long')?.says).toContain('168 h')
    const often = {
      ...sheets,
      'strike-secure': { ...sheets['strike-secure'], lock: { ...sheets['strike-secure']?.lock, duty: 0.25 } },
    } as typeof sheets
    expect(marksOf(w.facts, w.door(), often).load.findings.map((f) => `${f.grade} ${f.rule}`)).toContain(
      'stop driven-too-long',
    )
  })

  it('who is in is known only by doors that read both ways: what it can’t know is said', () => {
    const oneWay = smallJob(strikeHardware)
    oneWay.do('controller.put', { ...oneWay.facts.controller['a1'], sheet: 'controller-4' })
    behave(oneWay, { passback: 'refuse' })
    expect(rules(oneWay)).toContain('stop passback-no-way-out')
    behave(oneWay, { passback: 'refuse', passbackS: 3600 })
    expect(rules(oneWay)).not.toContain('stop passback-no-way-out')
    behave(oneWay, { passback: 'tell' })
    expect(rules(oneWay)).not.toContain('stop passback-no-way-out')
    const w = job({ passback: 'refuse' })
    expect(rules(w).filter((r) => r.includes('passback'))).toEqual([])
    w.controller('a2', 'controller-4')
    w.do('door.add', {
      id: 'D-02',
      fields: {
        ref: 'D-02',
        name: 'Back',
        from: 'out',
        to: 'in',
        hardware: { ...strikeHardware, exitReader: 'reader-slim' },
      },
    })
    w.do('door.placeProposed', { id: 'D-02', controller: 'a2' })
    expect(load(w).find((f) => f.rule === 'passback-elsewhere')?.says).toContain('D-02')
    w.do('door.edit', { id: 'D-02', fields: { hardware: strikeHardware } })
    expect(load(w).find((f) => f.rule === 'passback-unread-ways')?.says).toContain('D-02')
    w.do('door.edit', { id: 'D-01', fields: { to: 'out' } })
    expect(rules(w)).toContain('stop passback-one-area')
  })
})

/** Field of a door's behaviour to the part of the configuration on which its test depends. */
const fields: Partial<Record<keyof Asked, string>> = {
  decides: 'behaviour.decidedBy',
  preAlarmS: 'door.preAlarm',
  unlockAfterS: 'behaviour.unlockAfter',
  relockAt: 'behaviour.relockAt',
  freeOn: 'behaviour.freeOn',
  barredOn: 'behaviour.barredOn',
  firstPerson: 'behaviour.firstPerson',
  code: 'behaviour.code',
  pairWithinS: 'behaviour.pairWithin',
  reentryS: 'behaviour.reentry',
  passback: 'behaviour.passback',
}

describe('a door’s own hours', () => {
  const at = (text: string) => Date.parse(`${text}+02:00`)

  it('say how it stands at any moment, and what that makes of somebody’s right', () => {
    const w = job({ freeOn: 'day', barredOn: 'night' })
    const now = (text: string) => {
      const person = w.facts.person['p']
      if (!person) throw new Error('nobody')
      return [hoursAt(w.facts, w.door(), at(text)), decide(w.facts, person, w.door(), at(text)).reason]
    }
    expect(now('2027-01-04T08:00:00')).toEqual(['free', 'free'])
    expect(now('2027-01-04T17:00:00')).toEqual(['controlled', 'out of hours'])
    expect(now('2027-01-05T04:59:00')).toEqual(['barred', 'barred'])
    expect(now('2027-01-05T05:00:00')).toEqual(['controlled', 'out of hours'])
    behave(w, { freeOn: 'day', firstPerson: true, pairWithinS: 5 })
    const person = w.facts.person['p']
    const says = person && decide(w.facts, person, w.door(), at('2027-01-04T08:00:00')).says
    expect(says).toContain('second person within 5 s')
    expect(says).toContain('comes first frees the door')
  })

  it('are told with how long it stays so', () => {
    const w = job({ freeOn: 'day', barredOn: 'night' })
    const told = (text: string) => standsNow(w.facts, w.door(), at(text))
    expect(told('2027-01-04T09:30:00')).toEqual({ hours: 'free', until: at('2027-01-04T17:00:00') })
    expect(told('2027-01-04T23:00:00')).toEqual({ hours: 'barred', until: at('2027-01-05T05:00:00') })
    // Over the weekend, until the next night.
    expect(told('2027-01-09T06:00:00')).toEqual({ hours: 'controlled', until: at('2027-01-11T08:00:00') })
    expect(standsNowWords(w.facts, w.door(), at('2027-01-04T09:30:00'))).toBe(
      'By its own hours it is free for everybody until Monday 2027-01-04 17:00.',
    )
    w.do('schedule.put', {
      id: 'day',
      name: 'Day',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }],
    })
    behave(w, { freeOn: 'day' })
    expect(told('2027-01-04T09:30:00')).toEqual({ hours: 'free', until: null })
    behave(w, {})
    expect(told('2027-01-04T09:30:00')).toBeNull()
    expect(standsNowWords(w.facts, w.door(), at('2027-01-04T09:30:00'))).toBe('')
  })

  it('a schedule that a door runs says so before it is taken away, and takes the hours with it', () => {
    const w = job({ freeOn: 'day', barredOn: 'night', firstPerson: true })
    expect(hangingOn(w.facts, 'schedule', 'night').goes.join(' ')).toContain('D-01 is barred at no time any more')
    w.do('schedule.remove', { id: 'day' })
    expect(w.door().behaviour).toMatchObject({ barredOn: 'night' })
    expect(Object.keys(w.door().behaviour)).not.toEqual(expect.arrayContaining(['freeOn']))
    expect(w.door().behaviour.firstPerson).toBeUndefined()
  })

  it.each([
    ['a schedule that is not there', { freeOn: 'nowhere' }, 'behaviour.freeOn'],
    ['one schedule for both', { freeOn: 'day', barredOn: 'day' }, 'behaviour.barredOn'],
  ])('refuses %s', (_what, over, at) => {
    const w = job()
    expect(() => behave(w, over)).toThrow(expect.objectContaining({ field: at }) as Error)
  })
})

describe('what a controller holds of time', () => {
  /** With room for one schedule besides those of the test cards, two periods a day and one special day. */
  const little = {
    ...sheets,
    'controller-4': {
      ...sheets['controller-4'],
      controller: { ...sheets['controller-4']?.controller, times: { schedules: 3, periodsADay: 2, specialDays: 1 } },
    },
  } as typeof sheets
  const full = (w: World) =>
    marksOf(w.facts, w.door(), little)
      .load.findings.filter((f) => f.rule.endsWith('-full'))
      .map((f) => `${f.grade} ${f.rule}`)

  it('more than that stops its doors before anything is sent, and no more than that does not', () => {
    const w = job()
    expect(full(w)).toEqual([])
    w.do('specialDay.put', { id: 'a', date: '2027-05-01', name: 'A', periods: [] })
    expect(full(w)).toEqual([])
    w.do('specialDay.put', { id: 'b', date: '2027-05-03', name: 'B', periods: [] })
    expect(full(w)).toEqual(['stop special-days-full'])
    w.do('specialDay.put', { id: 'b', date: '2027-05-03', name: 'B', periods: [], schedules: ['night'] })
    expect(full(w)).toEqual([])
    const day = (from: string, to: string) => ({ days: [1, 2, 3, 4, 5, 6, 7], from, to })
    const put = (...periods: object[]) => w.do('schedule.put', { id: 'day', name: 'Day', periods })
    put(day('08:00', '10:00'), day('12:00', '13:00'))
    expect(full(w)).toEqual([])
    put(day('08:00', '10:00'), day('22:00', '05:00'))
    // What reaches in from the evening before is a third on that day.
    expect(full(w)).toEqual(['stop periods-full'])
    put(day('08:00', '10:00'))
    w.do('specialDay.put', {
      id: 'a',
      date: '2027-05-01',
      name: 'A',
      periods: [
        { from: '08:00', to: '09:00' },
        { from: '10:00', to: '11:00' },
        { from: '12:00', to: '13:00' },
      ],
    })
    expect(full(w)).toEqual(['stop periods-full'])
    w.do('specialDay.remove', { id: 'a' })
    behave(w, { barredOn: 'night' })
    expect(full(w)).toEqual(['stop schedules-full'])
    expect(marksOf(w.facts, w.door(), little).load.sign).toBe('stopped')
  })

  it('a special day goes with the only schedule that it replaces; of several it keeps the others', () => {
    const w = job()
    w.do('specialDay.put', { id: 'a', date: '2027-05-01', name: 'A', periods: [], schedules: ['night'] })
    w.do('specialDay.put', { id: 'b', date: '2027-05-02', name: 'B', periods: [], schedules: ['night', 'day'] })
    expect(hangingOn(w.facts, 'schedule', 'night').goes.join(' ')).toContain('1 special day of it alone goes with it')
    expect(hangingOn(w.facts, 'specialDay', 'b').goes.join(' ')).toContain('Night, Day run as on any such weekday')
    w.do('schedule.remove', { id: 'night' })
    expect(Object.values(w.facts.specialDay).map((d) => [d.id, d.schedules])).toEqual([['b', ['day']]])
  })

  it('what is told of a schedule are its own special days alone, in one form', () => {
    const w = job({ barredOn: 'night' })
    w.do('specialDay.put', { id: 'a', date: '2027-12-24', until: '2027-12-26', yearly: true, name: 'A', periods: [] })
    w.do('schedule.put', { ...w.facts.schedule['night'], everyDay: true })
    expect(w.wanted()['schedule/day']).toMatchObject({
      special: [{ date: '2027-12-24', until: '2027-12-26', yearly: true, periods: [] }],
    })
    expect(w.wanted()['schedule/night']).toMatchObject({ special: [] })
  })
})

it('a door is locked from the screen only where whoever is inside gets out with no card', () => {
  const fault = (hardware: Record<string, string>, over: Record<string, unknown> = {}) =>
    orderFault('lock', smallJob(hardware, over).door())
  expect(fault({ ...strikeHardware, exit: 'button-exit' })).toBeNull()
  expect(fault({ ...strikeHardware, exitSensor: 'sensor-exit' })).toBeNull()
  expect(fault(strikeHardware, { handle: true })).toBeNull()
  expect(fault({ ...strikeHardware, exitReader: 'reader-slim' })).toContain('by a card alone')
  expect(fault({ ...strikeHardware, exitReader: 'reader-slim' }, { otherWayOut: true })).toBeNull()
  expect(fault(strikeHardware, { opening: 'cabinet' })).toBeNull()
  expect(fault({ ...strikeHardware, exit: 'button-exit' }, { escapeRoute: true })).toContain('escape route')
  const reader = smallJob({ ...strikeHardware, exitReader: 'reader-slim' }).door()
  for (const order of ['release', 'holdOpen', 'normal'] as const) expect(orderFault(order, reader)).toBeNull()
})

describe('doors that behave alike', () => {
  it('take over what can be the same, keep how their contacts rest, and are taken back as one', () => {
    const w = job({ preAlarmS: 5, freeOn: 'day', releaseS: 9 } as Partial<Behaviour>)
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 9, exitIdle: 'closed' } } })
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: strikeHardware },
    })
    const before = w.door('D-02').behaviour
    expect(unlike(w.facts, before, w.door().behaviour).map((f) => `${f.field} ${f.now} ${f.then}`)).toEqual([
      'releaseS 5 s 9 s',
      'preAlarmS not set 5 s',
      'freeOn not set Day',
    ])
    const changes = w.do('behaviour.copy', { from: 'D-01', doors: ['D-02', 'D-01'] })
    expect(changes).toHaveLength(1)
    expect(w.door('D-02').behaviour).toEqual({ ...before, releaseS: 9, preAlarmS: 5, freeOn: 'day' })
    expect(() => w.do('behaviour.copy', { from: 'D-01', doors: ['D-02'] })).toThrow('behaves like it already')
    // What the other has not is taken away again.
    behave(w, {})
    w.do('behaviour.copy', { from: 'D-01', doors: ['D-02'] })
    expect(w.door('D-02').behaviour).toEqual({ ...before, releaseS: 9 })
  })
})

describe('verdicts on a door’s own rules', () => {
  const base = Date.parse('2026-11-24T09:00:00Z')
  const card = (w: World) => testOf(w, 'good-card').cards[0] ?? ''
  const verdict = (w: World, id: string, events: DeviceEvent[], ready = true) =>
    judged(testOf(w, id), base, events, ready).state
  const at = (s: number, kind: DeviceEvent['kind'], state: string, over: Partial<DeviceEvent> = {}) =>
    event(base, s, kind, state, over)

  it('nothing counts before the controller is ready, where it has to be made so', () => {
    const w = job({ freeOn: 'day' })
    const free = [at(0.2, 'mode', 'free'), at(0.3, 'lock', 'unlocked'), at(2, 'leaf', 'open')]
    expect(verdict(w, 'free-hours', free, false)).toBe('waiting')
    expect(verdict(w, 'free-hours', free)).toBe('passed')
    const plain = job({ unlockAfterS: 3 })
    const read = at(1, 'granted', 'granted', { card: card(plain), reader: 'R1' })
    expect(verdict(plain, 'unlock-delay', [read, at(4, 'lock', 'unlocked')])).toBe('passed')
    // It waits where its test has to be made ready, and nowhere else.
    const begun = (of: World, id: string) => {
      of.reached()
      of.loaded()
      of.do('trial.start', { door: 'D-01', test: id })
      return of.facts.trial['D-01']?.waits ?? false
    }
    expect(begun(w, 'free-hours')).toBe(true)
    expect(begun(w, 'told')).toBe(true)
    expect(begun(plain, 'unlock-delay')).toBe(false)
    expect(begun(job({ reentryS: 60 }), 'good-card')).toBe(true)
    expect(begun(job({ reentryS: 60 }), 'told')).toBe(false)
  })

  it('a delay is held to its time: sooner, later and not at all are told apart', () => {
    const w = job({ unlockAfterS: 3 })
    const read = at(1, 'granted', 'granted', { card: card(w), reader: 'R1' })
    expect(verdict(w, 'unlock-delay', [read])).toBe('waiting')
    expect(verdict(w, 'unlock-delay', [read, at(4, 'lock', 'unlocked')])).toBe('passed')
    expect(verdict(w, 'unlock-delay', [read, at(1.1, 'lock', 'unlocked')])).toBe('failed')
    expect(verdict(w, 'unlock-delay', [read, at(4.7, 'lock', 'unlocked')])).toBe('failed')
  })

  it('a warning comes in its time and before the alarm', () => {
    const w = job({ preAlarmS: 10 })
    const start = [at(1, 'granted', 'granted', { card: card(w), reader: 'R1' }), at(2, 'leaf', 'open')]
    const told = (s: number) => at(s, 'notice', 'preAlarm')
    expect(verdict(w, 'pre-alarm', [...start, told(22)])).toBe('waiting')
    expect(verdict(w, 'pre-alarm', [...start, told(22), at(32, 'alarm', 'heldOpen')])).toBe('passed')
    expect(verdict(w, 'pre-alarm', [...start, told(28), at(32, 'alarm', 'heldOpen')])).toBe('failed')
    expect(verdict(w, 'pre-alarm', [...start, at(32, 'alarm', 'heldOpen')])).toBe('failed')
    expect(verdict(w, 'pre-alarm', [...start, told(22), at(24, 'leaf', 'closed')])).toBe('not judged')
  })

  it('locked at opening is locked before the leaf is shut again', () => {
    const w = job({ relockAt: 'opening' })
    const start = [
      at(1, 'granted', 'granted', { card: card(w), reader: 'R1' }),
      at(1.1, 'lock', 'unlocked'),
      at(3, 'leaf', 'open'),
    ]
    expect(verdict(w, 'relock-opening', [...start, at(3.1, 'lock', 'locked')])).toBe('passed')
    expect(verdict(w, 'relock-opening', [...start, at(6, 'leaf', 'closed'), at(6.1, 'lock', 'locked')])).toBe('failed')
  })

  it('one alone is refused for that reason and the lock never moves', () => {
    const w = job({ pairWithinS: 5 })
    const waits = at(1, 'notice', 'second', { card: card(w), reader: 'R1' })
    const refused = (state: string) => at(6, 'refused', state, { card: card(w), reader: 'R1' })
    expect(verdict(w, 'alone', [waits])).toBe('waiting')
    expect(verdict(w, 'alone', [waits, refused('alone')])).toBe('passed')
    expect(verdict(w, 'alone', [waits, refused('hours')])).toBe('failed')
    expect(verdict(w, 'alone', [waits, at(3, 'lock', 'unlocked'), refused('alone')])).toBe('failed')
  })

  it.each([
    ['reentry', { reentryS: 60 }],
    ['passback', { passback: 'refuse' as const }],
  ])('%s refuses the second time, for that reason', (reason, over) => {
    const w = job(over)
    const read = (s: number, kind: 'granted' | 'refused', state: string) =>
      at(s, kind, state, { card: card(w), reader: 'R1' })
    const first = read(1, 'granted', 'granted')
    expect(verdict(w, reason, [first])).toBe('waiting')
    expect(verdict(w, reason, [first, read(9, 'refused', reason)])).toBe('passed')
    expect(verdict(w, reason, [first, read(9, 'refused', 'hours')])).toBe('failed')
    expect(verdict(w, reason, [first, read(9, 'granted', 'granted')])).toBe('failed')
    expect(verdict(w, reason, [read(1, 'refused', reason)])).toBe('failed')
  })

  it('in, out and in again: out is known, or it fails', () => {
    const w = job({ passback: 'refuse' })
    const read = (s: number, reader: string, kind: 'granted' | 'refused' = 'granted') =>
      at(s, kind, kind === 'granted' ? 'granted' : 'passback', { card: card(w), reader })
    expect(verdict(w, 'passback-out', [read(1, 'R1'), read(5, 'R2')])).toBe('waiting')
    expect(verdict(w, 'passback-out', [read(1, 'R1'), read(5, 'R2'), read(9, 'R1')])).toBe('passed')
    expect(verdict(w, 'passback-out', [read(1, 'R1'), read(5, 'R2'), read(9, 'R1', 'refused')])).toBe('failed')
    expect(verdict(w, 'passback-out', [read(1, 'R1'), read(5, 'R2', 'refused')])).toBe('failed')
    expect(verdict(w, 'passback-out', [read(1, 'R2')])).toBe('not judged')
  })

  it('free means free: with no card and no alarm, and after the first person where that is set', () => {
    const w = job({ freeOn: 'day', firstPerson: true })
    const free = at(0.2, 'mode', 'free')
    const unlocked = at(0.3, 'lock', 'unlocked')
    expect(verdict(w, 'free-hours', [free, unlocked, at(2, 'leaf', 'open')])).toBe('passed')
    expect(verdict(w, 'free-hours', [free, unlocked, at(2, 'alarm', 'forced'), at(2, 'leaf', 'open')])).toBe('failed')
    expect(verdict(w, 'free-hours', [free, at(2, 'leaf', 'open')])).toBe('failed')
    expect(verdict(w, 'free-hours', [at(0.1, 'leaf', 'open'), free, unlocked])).toBe('not judged')
    expect(verdict(w, 'free-hours', [at(0.1, 'leaf', 'open')])).toBe('not judged')
    expect(verdict(w, 'free-hours', [free, unlocked, at(1, 'exit', 'active'), at(2, 'leaf', 'open')])).toBe(
      'not judged',
    )
    const read = at(1, 'granted', 'granted', { card: card(w), reader: 'R1' })
    const came = [read, at(1.1, 'lock', 'unlocked'), at(1.2, 'mode', 'free')]
    const through = [at(2, 'leaf', 'open'), at(4, 'leaf', 'closed')]
    expect(verdict(w, 'first-person', [...came, ...through])).toBe('waiting')
    expect(verdict(w, 'first-person', [...came, ...through, at(6, 'leaf', 'open')])).toBe('passed')
    expect(verdict(w, 'first-person', [...came, ...through, at(4.1, 'lock', 'locked')])).toBe('failed')
    expect(verdict(w, 'first-person', [free, ...came, ...through, at(6, 'leaf', 'open')])).toBe('failed')
  })

  it('barred refuses for that reason, once it is barred', () => {
    const w = job({ barredOn: 'night' })
    const barred = at(0.5, 'mode', 'barred')
    const read = (kind: 'granted' | 'refused', state: string, s = 2) =>
      at(s, kind, state, { card: card(w), reader: 'R1' })
    expect(verdict(w, 'barred-hours', [barred, read('refused', 'barred')])).toBe('passed')
    expect(verdict(w, 'barred-hours', [barred, read('refused', 'hours')])).toBe('failed')
    expect(verdict(w, 'barred-hours', [barred, read('granted', 'granted')])).toBe('failed')
    expect(verdict(w, 'barred-hours', [read('refused', 'barred', 0.1), barred])).toBe('not judged')
  })
})
