import fc from 'fast-check'
import {
  all,
  difference,
  judge,
  marksOf,
  operationsFor,
  put,
  applyChanges,
  scriptFor,
  standings,
  testCardsHeld,
  testDigest,
  touching,
  twoSided,
  wantedConfig,
  workedConfigs,
  type Config,
  type DeviceEvent,
  type JobLimits,
  type Json,
} from '@rauta/core'
import { proofChanges } from '../src'
import { commands } from '../src'
import { event, magnetHardware, reversed, sheets, smallJob, strikeHardware, type World } from './world'

const limits: JobLimits = { watchS: 20, receiptS: 60, reachS: 120, clockS: 2 }
const good = '090001'
const t0 = Date.parse('2026-11-24T09:00:00Z')

function run(w: World, test: string, events: DeviceEvent[], boot = 'b1') {
  const found = scriptFor(w.facts, w.door(), sheets).find((t) => t.id === test)
  if (!found) throw new Error(`no test ${test}`)
  return judge({
    test: found,
    trial: { id: 'D-01', test, startedAt: t0, by: 'v', boot },
    door: 'D-01',
    controller: 'a1',
    events,
    limits,
    refOf: (d) => d,
  })
}
const granted = (s: number, over: Partial<DeviceEvent> = {}) =>
  event(t0, s, 'granted', 'granted', { card: good, ...over })

describe('the script', () => {
  it('is worked out from the hardware', () => {
    const ids = (w: World) => scriptFor(w.facts, w.door(), sheets).map((t) => t.id)
    expect(ids(smallJob({ ...magnetHardware, exitReader: 'reader-slim' }))).toEqual([
      'before-load',
      'told',
      'reader-R1',
      'reader-R2',
      'good-card',
      'release-time',
      'unknown-card',
      'lost-card',
      'hours-card',
      'exit-button',
      'forced',
      'held-open',
      'break-glass',
      'holds',
    ])
    expect(ids(smallJob({ entryReader: 'reader-slim', lock: 'strike-secure' }, { handle: true }))).toEqual([
      'before-load',
      'told',
      'reader-R1',
      'good-card',
      'release-time',
      'unknown-card',
      'lost-card',
      'hours-card',
      'handle',
      'holds',
    ])
  })
  it('knows that pushing never opens a powered magnet', () => {
    const instruction = (w: World) => scriptFor(w.facts, w.door(), sheets).find((t) => t.id === 'forced')?.instruction
    expect(instruction(smallJob())).toContain('Pull the lock’s feed')
    expect(instruction(smallJob(strikeHardware, { handle: true }))).toContain('handle')
  })
  it('asks a person where nothing electrical can see it', () => {
    const w = smallJob({ entryReader: 'reader-slim', lock: 'strike-secure' })
    expect(scriptFor(w.facts, w.door(), sheets).find((t) => t.id === 'good-card')?.ask?.question).toBe(
      'Did the leaf open?',
    )
  })
})

describe('verdicts from the device’s own events', () => {
  const w = smallJob()
  it('passes a good card that releases, opens, closes and locks', () => {
    const events = [
      granted(1),
      event(t0, 1, 'lock', 'unlocked'),
      event(t0, 2, 'leaf', 'open'),
      event(t0, 4, 'leaf', 'closed'),
      event(t0, 4, 'lock', 'locked'),
    ]
    expect(run(w, 'good-card', events).state).toBe('passed')
    for (let n = 0; n < events.length; n++) expect(run(w, 'good-card', events.slice(0, n)).state).toBe('waiting')
  })
  it('fails when the leaf of another door opens instead, and names it', () => {
    const v = run(w, 'good-card', [
      granted(1),
      event(t0, 1, 'lock', 'unlocked'),
      event(t0, 3, 'leaf', 'open', { door: 'D-02', controller: 'a2' }),
      event(t0, 6, 'lock', 'locked'),
    ])
    expect(v).toMatchObject({
      state: 'failed',
      says: 'Released, but the leaf of D-02 opened: the locks are exchanged.',
    })
  })
  it('fails a reader whose card turns up at another door', () => {
    expect(run(w, 'reader-R1', [granted(1, { door: 'D-02', reader: 'R1' })])).toMatchObject({
      state: 'failed',
      says: 'The card was read at D-02, R1: the readers are exchanged.',
    })
  })
  it('measures the release by the difference of two stamps, whatever the offset of the clock', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -7200_000, max: 7200_000 }),
        fc.integer({ min: 0, max: 10_000 }),
        (offsetMs, durationMs) => {
          const shift = (e: DeviceEvent): DeviceEvent => ({ ...e, at: e.at + offsetMs, offsetMs })
          const v = run(
            w,
            'release-time',
            [granted(1), event(t0, 1, 'lock', 'unlocked'), event(t0, 1 + durationMs / 1000, 'lock', 'locked')].map(
              shift,
            ),
          )
          expect(v.state).toBe(durationMs >= 4000 && durationMs <= 6000 ? 'passed' : 'failed')
        },
      ),
    )
  })
  it('says 27 s when the alarm came at 27 s, however late it was told', () => {
    const late = { received: t0 + 60_000 }
    const v = run(w, 'held-open', [
      granted(1, late),
      event(t0, 1, 'lock', 'unlocked', late),
      event(t0, 2, 'leaf', 'open', late),
      event(t0, 29, 'alarm', 'heldOpen', late),
    ])
    expect(v.state).toBe('passed') // 30 s were wanted, ±3
    const soon = smallJob(magnetHardware)
    soon.do('door.edit', { id: 'D-01', fields: { behaviour: { ...soon.door().behaviour, heldOpenS: 20 } } })
    expect(
      run(soon, 'held-open', [
        granted(1, late),
        event(t0, 2, 'leaf', 'open', late),
        event(t0, 29, 'alarm', 'heldOpen', late),
      ]),
    ).toMatchObject({ state: 'failed', says: expect.stringContaining('after 27.0 s; 20 s was wanted') as string })
  })
  it.each([
    ['unknown-card', '090004', 'unknown'],
    ['lost-card', '090002', 'lost'],
    ['hours-card', '090003', 'hours'],
  ])('%s must be refused for its own reason', (test, card, state) => {
    expect(run(w, test, [event(t0, 1, 'refused', state, { card })]).state).toBe('passed')
    expect(run(w, test, [event(t0, 1, 'refused', 'no rule', { card })]).state).toBe('failed')
    expect(run(w, test, [event(t0, 1, 'granted', 'granted', { card })])).toMatchObject({
      state: 'failed',
      says: 'The door was released for this card.',
    })
  })
  it('passes the exit button only when the leaf opens without an alarm', () => {
    expect(
      run(w, 'exit-button', [
        event(t0, 1, 'exit', 'active'),
        event(t0, 1, 'lock', 'unlocked'),
        event(t0, 2, 'leaf', 'open'),
      ]).state,
    ).toBe('passed')
    expect(run(w, 'exit-button', [event(t0, 2, 'leaf', 'open'), event(t0, 2, 'alarm', 'forced')]).state).toBe('failed')
    expect(
      run(w, 'exit-button', [
        event(t0, 1, 'exit', 'active'),
        event(t0, 1, 'lock', 'unlocked'),
        event(t0, 6, 'lock', 'locked'),
      ]),
    ).toMatchObject({ state: 'failed', says: 'Released, but the leaf never opened.' })
  })
  it('does not judge what was released instead of forced', () => {
    expect(run(w, 'forced', [event(t0, 1, 'lock', 'unlocked'), event(t0, 2, 'leaf', 'open')]).state).toBe('not judged')
    expect(run(w, 'forced', [event(t0, 2, 'leaf', 'open'), event(t0, 2, 'alarm', 'forced')]).state).toBe('passed')
    expect(run(w, 'forced', [event(t0, 2, 'leaf', 'open'), event(t0, 5, 'leaf', 'closed')]).state).toBe('failed')
  })
  it('does not judge across a gap, a restart, or a receipt too far from its stamp', () => {
    expect(run(w, 'reader-R1', [granted(1), event(t0, 2, 'gap', '5000', { door: '' })]).state).toBe('not judged')
    expect(run(w, 'reader-R1', [granted(1, { boot: 'b2' })]).state).toBe('not judged')
    expect(run(w, 'reader-R1', [granted(1, { received: t0 + 62_000 })]).state).toBe('not judged')
    expect(run(w, 'reader-R1', [granted(1, { received: t0 + 60_000 })]).state).toBe('passed')
  })
  it('tells what came instead of the card, and what it would be', () => {
    const turned = (0xffffff - 0x090004).toString(16).toUpperCase()
    const strange = (card: string) => run(w, 'unknown-card', [event(t0, 1, 'refused', 'unknown', { card })])
    expect(strange(turned)).toMatchObject({
      state: 'waiting',
      says: '24 bits arrived: 26 bits without its parity, card 9 00004 with the two data lines exchanged. That is the card awaited. Exchange data 0 and data 1 at one end of its cable.',
    })
    expect(strange('200090').says).toContain('That is the card awaited. Turn the bit order round')
    expect(strange('040009').says).toContain('That is the card awaited. Turn the byte order round')
    expect(strange('3D1147').says).toBe(
      'A card nobody knows came: 61 04423. It is not the card awaited, however it is read.',
    )
    expect(strange('no hex').says).toBe('A card nobody knows came: no hex.')
    for (const test of ['reader-R1', 'good-card'])
      expect([test, run(w, test, [event(t0, 1, 'refused', 'unknown', { card: 'F6FFFE' })]).says]).toEqual([
        test,
        expect.stringContaining('two data lines exchanged'),
      ])
  })
  it('takes no event from before the test began', () => {
    expect(run(w, 'reader-R1', [granted(-2)]).state).toBe('waiting')
  })
  it('comes to the same verdict whatever the order of arrival, and when every event comes twice', () => {
    const events = [
      granted(1),
      event(t0, 1, 'lock', 'unlocked'),
      event(t0, 2, 'leaf', 'open'),
      event(t0, 4, 'leaf', 'closed'),
      event(t0, 4, 'lock', 'locked'),
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray([...events, ...events], { minLength: 10, maxLength: 10 }), (shuffled) => {
        expect(run(w, 'good-card', shuffled).state).toBe('passed')
      }),
    )
  })
})

/** Records a passed proof for every test of the door. */
function proveAll(w: World): void {
  for (const test of scriptFor(w.facts, w.door(), sheets)) {
    if (test.notApplicable) continue
    w.take(
      proofChanges(
        w.facts,
        w.door(),
        test.id,
        { verdict: 'passed', says: '', evidence: [] },
        { id: `p-${test.id}-${w.facts.rev}`, by: 'v', role: 'engineer', at: w.now, sheets },
      ),
    )
  }
}
const stale = (w: World) => {
  const { wanted, held } = workedConfigs(w.facts, sheets)('a1')
  return standings(w.facts, w.door(), sheets, wanted, held)
    .filter((s) => s.state === 'stale')
    .map((s) => s.test.id)
}

describe('proofs and what they depend on', () => {
  const proved = () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    proveAll(w)
    return w
  }
  const edit = (w: World, behaviour: object) =>
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, ...behaviour } } })

  it('a changed release time makes stale only the proof that depends on it, and taking it back gives it again', () => {
    const w = proved()
    expect(stale(w)).toEqual([])
    edit(w, { releaseS: 8 })
    expect(stale(w)).toEqual(['release-time'])
    expect(marksOf(w.facts, w.door(), sheets).prove.sign).toBe('stale')
    edit(w, { releaseS: 5 })
    expect(marksOf(w.facts, w.door(), sheets).prove.sign).toBe('given')
  })
  it('stays stale after the change is sent, since what is held is new as well', () => {
    const w = proved()
    edit(w, { releaseS: 8 })
    w.loaded()
    expect(stale(w)).toEqual(['release-time'])
  })
  it('adding a person touches no proof, and Load only of the doors they may pass', () => {
    const w = proved()
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: strikeHardware },
    })
    w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
    w.do('group.put', { id: 'g2', name: 'Others' })
    w.do('rule.put', { id: 'r2', group: 'g2', doors: ['D-02'], schedule: 'day' })
    w.loaded()
    w.do('person.put', {
      id: 'q',
      number: '2',
      name: 'New',
      cards: [{ id: 'd', facility: 5, number: 78, state: 'in use' }],
      groups: ['g2'],
    })
    expect(stale(w)).toEqual([])
    expect(marksOf(w.facts, w.door('D-01'), sheets).load.sign).toBe('given')
    expect(marksOf(w.facts, w.door('D-02'), sheets).load.sign).toBe('stale')
  })
  it('taking the test cards off makes nothing stale', () => {
    const w = proved()
    w.do('door.testCardsOff', { door: 'D-01', off: true })
    w.loaded()
    const marks = marksOf(w.facts, w.door(), sheets)
    expect([marks.load.sign, marks.prove.sign]).toEqual(['given', 'given'])
    expect(Object.keys(w.wanted()).filter((k) => k.startsWith('test/'))).toEqual([])
  })
  it('another device at the door makes every proof stale', () => {
    const w = proved()
    w.reached('a1', { serial: 'S2' })
    expect(stale(w).length).toBe(scriptFor(w.facts, w.door(), sheets).length)
  })
  it('a failure opens a snag with an owner, and the pass that follows closes it', () => {
    const w = proved()
    const record = (verdict: 'failed' | 'passed') =>
      w.take(
        proofChanges(
          w.facts,
          w.door(),
          'holds',
          { verdict, says: 'gave way', evidence: [] },
          { id: `x-${verdict}`, by: 'inka', role: 'engineer', at: (w.now += 1000), sheets },
        ),
      )
    record('failed')
    expect(all(w.facts, 'snag')).toMatchObject([
      { owner: 'inka', closedAt: null, says: 'It holds when locked: gave way' },
    ])
    expect(marksOf(w.facts, w.door(), sheets).prove.sign).toBe('stopped')
    record('passed')
    expect(all(w.facts, 'snag')[0]?.closedAt).toBe(w.now)
    expect(marksOf(w.facts, w.door(), sheets).prove.sign).toBe('given')
  })
  it('before-load is bound to the taking of the device, and not applicable once it was loaded', () => {
    const w = smallJob()
    w.reached()
    expect(scriptFor(w.facts, w.door(), sheets)[0]?.notApplicable).toBe('')
    w.now += 1000
    w.loaded()
    expect(scriptFor(w.facts, w.door(), sheets)[0]?.notApplicable).toContain('loaded before')
  })
  it('begins no test while the device does not hold what is wanted', () => {
    const w = smallJob()
    w.reached()
    expect(() => w.do('trial.start', { door: 'D-01', test: 'good-card' })).toThrow('does not hold what the job wants')
    w.loaded()
    w.do('trial.start', { door: 'D-01', test: 'good-card' })
    expect(() => w.do('trial.answer', { door: 'D-01', test: 'good-card', answer: 'passed', says: '' })).toThrow(
      'comes from the device',
    )
    expect(() => w.do('trial.answer', { door: 'D-01', test: 'good-card', answer: 'failed', says: ' ' })).toThrow(
      'few words',
    )
  })
})

describe('a test that runs is one person’s', () => {
  const running = () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    w.do('trial.start', { door: 'D-01', test: 'told' }, 'engineer', 'inka')
    return w
  }
  const answer = (w: World, kind: string, role: 'lead' | 'engineer', by: string) => () =>
    w.do('trial.answer', { door: 'D-01', test: 'told', answer: kind, says: 'so' }, role, by)
  it('nobody else answers it, begins another or stops it, but a lead may stop it', () => {
    const w = running()
    for (const [kind, role] of [
      ['failed', 'engineer'],
      ['skipped', 'engineer'],
      ['stop', 'engineer'],
      ['failed', 'lead'],
      ['skipped', 'lead'],
    ] as const)
      expect(answer(w, kind, role, 'olli')).toThrow('inka runs this test')
    expect(() => w.do('trial.start', { door: 'D-01', test: 'good-card' }, 'lead', 'olli')).toThrow('inka is testing')
    answer(w, 'stop', 'lead', 'olli')()
    expect(w.facts.trial['D-01']).toBeUndefined()
    expect(all(w.facts, 'proof')).toEqual([])
  })
  it('the record says who ran it', () => {
    const w = running()
    answer(w, 'failed', 'engineer', 'inka')()
    expect(all(w.facts, 'proof')[0]).toMatchObject({ by: 'inka', verdict: 'failed' })
  })
  it('none begins while its controller does not answer', () => {
    const w = smallJob()
    w.reached()
    w.loaded()
    w.reached('a1', { silentMs: 1, says: 'A1 did not answer within 5 s.' })
    expect(() => w.do('trial.start', { door: 'D-01', test: 'told' })).toThrow(
      'A1 does not answer, so nothing at this door would be seen. A1 did not answer within 5 s.',
    )
  })
  it('every command that a device or somebody at the door must answer now is live, and no other', () => {
    expect(
      Object.values(commands)
        .filter((c) => c.live)
        .map((c) => c.name)
        .sort(),
    ).toEqual([
      'busDevice.take',
      'claim.agreeErase',
      'claim.compare',
      'claim.move',
      'claim.resetStep',
      'claim.start',
      'load.start',
      'load.stop',
      'radioDevice.take',
      'trial.answer',
      'trial.start',
    ])
  })
})

describe('wanted, held and what lies between', () => {
  it('rounds to the steps that the device can keep, and says so', () => {
    const w = smallJob()
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 5.4 } } })
    const controller = w.facts.controller['a1']
    expect(controller && wantedConfig(w.facts, controller, sheets).roundings).toEqual([
      { door: 'D-01', says: 'Release time 5.4 s becomes 5 s on this device.' },
    ])
    expect(w.wanted()['door/D-01']).toMatchObject({ release: 5 })
  })
  it('holds which terminal serves which door', () => {
    expect(smallJob().wanted()['terminals/D-01']).toEqual({
      'R1.entryReader': { part: 'R1', function: 'entryReader', port: 'reader 1', format: 'wiegand26' },
      'K1.lock': { part: 'K1', function: 'lock', port: 'relay 1' },
      'C1.contact': { part: 'C1', function: 'contact', port: 'input 1', idle: 'closed' },
      'X1.exitButton': { part: 'X1', function: 'exitButton', port: 'input 2', idle: 'open' },
    })
  })
  it('tells a change with both sides, grouped by door', () => {
    const w = smallJob()
    const held = w.wanted()
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, releaseS: 8 } } })
    expect(twoSided(difference(held, w.wanted()), w.facts)).toEqual([
      { group: 'D-01', what: 'Release time', holds: '5 s', willHold: '8 s' },
    ])
  })
  it('is not misled by the order of fields, which a store may change', () => {
    const w = smallJob()
    const turn = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turn)
        : value !== null && typeof value === 'object'
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([k, v]) => [k, turn(v)]),
            )
          : value
    const wanted = w.wanted()
    const held = turn(wanted) as Config
    expect(difference(held, wanted)).toEqual([])
    expect(testCardsHeld(held, wanted)).toBe(true)
    expect(testCardsHeld({}, wanted)).toBe(false)
    const other = { ...held, 'profile/g': { policies: [], name: 'Staff' } }
    expect(touching(difference(other, wanted), 'D-01', other, wanted).map((d) => d.key)).toEqual(['profile/g'])
    expect(
      twoSided(
        [
          {
            key: 'terminals/D-01',
            held: held['terminals/D-01'],
            wanted: {
              ...(wanted['terminals/D-01'] as object),
              'K1.lock': { part: 'K1', function: 'lock', port: 'relay 2' },
            } as Json,
          },
        ],
        w.facts,
      ),
    ).toEqual([{ group: 'D-01', what: 'K1, lock', holds: 'relay 1', willHold: 'relay 2' }])
  })
  it('sends nothing where nothing differs', () => {
    const w = smallJob()
    expect(operationsFor(difference(w.wanted(), w.wanted()))).toEqual([])
  })

  const configs = fc.dictionary(
    fc.constantFrom('door/a', 'door/b', 'schedule/x', 'profile/p', 'credential/1', 'credential/2', 'accessPoint/a.R1'),
    fc.jsonValue() as fc.Arbitrary<Json>,
  )
  it('always makes held equal wanted by its operations, and twice is as good as once', () => {
    const apply = (config: Config, ops: ReturnType<typeof operationsFor>): Config =>
      ops.reduce<Record<string, Json>>(
        (c, op) => {
          const next = { ...c }
          if (op.do === 'set') next[op.key] = op.value
          else delete next[op.key]
          return next
        },
        { ...config },
      )
    fc.assert(
      fc.property(configs, configs, (held, wanted) => {
        const ops = operationsFor(difference(held, wanted))
        expect(difference(apply(held, ops), wanted)).toEqual([])
        expect(difference(apply(apply(held, ops), ops), wanted)).toEqual([])
      }),
    )
  })
  it('sets what others refer to first, and removes it last', () => {
    const w = smallJob()
    const keys = operationsFor(difference({}, w.wanted())).map((o) => o.key.replace('test/', '').split('/')[0])
    expect(keys.indexOf('schedule')).toBeLessThan(keys.indexOf('profile'))
    expect(keys.lastIndexOf('profile')).toBeLessThan(keys.indexOf('credential'))
    const removals = operationsFor(difference(w.wanted(), {})).map((o) => o.key.replace('test/', '').split('/')[0])
    expect(removals.indexOf('credential')).toBeLessThan(removals.indexOf('schedule'))
  })
  it('knows which differences are about a door', () => {
    const w = smallJob()
    const held = w.wanted()
    const about = (wanted: Config) => touching(difference(held, wanted), 'D-01', held, wanted).map((d) => d.key)
    expect(about({ ...held, 'schedule/day': { name: 'Day', periods: [], special: [] } })).toEqual(['schedule/day'])
    expect(about({ ...held, 'credential/other': { profiles: ['nobody'] } })).toEqual([])
  })
  it('every change can be taken back', () => {
    const w = smallJob()
    const before = w.facts
    const changes = w.do('door.edit', { id: 'D-01', fields: { name: 'Other' } })
    expect(applyChanges(w.facts, reversed(changes), before.rev)).toEqual(before)
    expect(
      testDigest(
        before,
        w.door(),
        scriptFor(before, w.door(), sheets)[1] ??
          (() => {
            throw new Error('no test')
          })(),
        w.wanted(),
      ),
    ).toHaveLength(64)
    expect(put(before, 'group', { id: 'n', name: 'n' }).before).toBeNull()
  })
})
