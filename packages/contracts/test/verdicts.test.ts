import { judge, scriptFor, type DeviceEvent, type JobLimits } from '@rauta/core'
import { event, magnetHardware, sheets, smallJob, type World } from './world'

/** Verdicts of the tests that prove what is wired besides reader, lock and contact. Times in seconds after the start. */

const limits: JobLimits = { watchS: 20, receiptS: 60, reachS: 120, clockS: 2 }
const t0 = Date.parse('2026-11-24T09:00:00Z')
const hardware = {
  ...magnetHardware,
  entryReader: 'reader-guarded',
  lock: 'magnet-600',
  lock2: 'magnet-300',
  contact2: 'contact-frame',
  boltContact: 'contact-bolt',
  exitSensor: 'sensor-exit',
  deskButton: 'button-desk',
  breakGlass: 'break-glass-two',
  opener: 'opener-leaf',
  spare: 'contact-frame',
}

function everything(): World {
  const w = smallJob()
  w.controller('a8', 'controller-8', { expanders: [{ id: 'E1', sheet: 'expander-io' }] })
  w.do('door.edit', {
    id: 'D-01',
    fields: { hardware, behaviour: { ...w.door().behaviour, openerAfterS: 2, deskReleaseS: 9 } },
  })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
  return w
}
const w = everything()
function verdict(test: string, events: DeviceEvent[]) {
  const found = scriptFor(w.facts, w.door(), sheets).find((t) => t.id === test)
  if (!found) throw new Error(`no test ${test}`)
  return judge({
    test: found,
    trial: { id: 'D-01', test, startedAt: t0, by: 'v', boot: '' },
    door: 'D-01',
    controller: 'a1',
    events,
    limits,
    refOf: (d) => d,
  })
}
const part = (s: number, kind: 'input' | 'output' | 'exit' | 'desk', of: string, state = 'active') =>
  event(t0, s, kind, state, { part: of })
const granted = event(t0, 1, 'granted', 'granted', { card: '090001' })
const lock = (s: number, state: 'locked' | 'unlocked') => event(t0, s, 'lock', state)
const leaf = (s: number, state: 'open' | 'closed') => event(t0, s, 'leaf', state)
const forced = (s: number) => event(t0, s, 'alarm', 'forced')

interface Case {
  test: string
  good: DeviceEvent[]
  bad: [why: string, events: DeviceEvent[], says: RegExp][]
}
const told = event(t0, 1, 'order', 'release')
const cases: Case[] = [
  {
    test: 'told',
    good: [told, lock(1, 'unlocked'), leaf(2, 'open')],
    bad: [
      ['the leaf never opened', [told, lock(1, 'unlocked'), lock(6, 'locked')], /never opened/],
      [
        'the alarm came',
        [told, lock(1, 'unlocked'), leaf(2, 'open'), forced(2)],
        /alarm came although the door was told/,
      ],
    ],
  },
  {
    test: 'exit-sensor',
    good: [part(1, 'exit', 'X2'), lock(1, 'unlocked'), leaf(2, 'open')],
    bad: [
      ['the other device was seen', [part(1, 'exit', 'X1'), lock(1, 'unlocked'), leaf(2, 'open')], /saw X1 and not X2/],
      [
        'one without a name was seen, and the door has two',
        [part(1, 'exit', ''), lock(1, 'unlocked'), leaf(2, 'open')],
        /and not X2/,
      ],
      ['the lock had not let go', [part(1, 'exit', 'X2'), leaf(2, 'open')], /although the lock had not let go/],
      ['the alarm came', [leaf(2, 'open'), forced(2)], /did not see X2/],
      ['the leaf never opened', [part(1, 'exit', 'X2'), lock(1, 'unlocked'), lock(6, 'locked')], /never opened/],
    ],
  },
  {
    test: 'desk-button',
    good: [part(1, 'desk', 'D1'), lock(1, 'unlocked'), lock(10, 'locked')],
    bad: [
      [
        'it was taken for the exit button',
        [part(1, 'exit', 'X1'), lock(1, 'unlocked'), lock(10, 'locked')],
        /took it for X1/,
      ],
      [
        'it released for another time',
        [part(1, 'desk', 'D1'), lock(1, 'unlocked'), lock(6, 'locked')],
        /after 5.0 s; 9 s was wanted/,
      ],
    ],
  },
  {
    test: 'second-leaf',
    good: [granted, lock(1, 'unlocked'), part(2, 'input', 'C2'), part(4, 'input', 'C2', 'idle')],
    bad: [
      ['the other contact saw it', [granted, lock(1, 'unlocked'), part(2, 'input', 'C1')], /C1 saw it and not C2/],
      ['nothing saw it', [granted, lock(1, 'unlocked'), lock(6, 'locked')], /C2 never saw the second leaf open/],
    ],
  },
  {
    test: 'sensing-L1',
    good: [
      lock(1, 'unlocked'),
      part(1, 'input', 'L1'),
      leaf(2, 'open'),
      leaf(4, 'closed'),
      lock(4, 'locked'),
      part(4, 'input', 'L1', 'idle'),
    ],
    bad: [
      ['the leaf opened while it said locked', [granted, lock(1, 'unlocked'), leaf(2, 'open')], /still said locked/],
      [
        'it told only after the leaf moved',
        [granted, lock(1, 'unlocked'), leaf(2, 'open'), part(3, 'input', 'L1')],
        /still said locked/,
      ],
      ['it said locked all the while', [granted, lock(1, 'unlocked'), lock(6, 'locked')], /said locked all the while/],
    ],
  },
  {
    test: 'opener',
    good: [lock(1, 'unlocked'), part(1, 'input', 'K1'), part(3, 'output', 'O1'), leaf(5, 'open')],
    bad: [
      [
        'it started before the lock let go',
        [granted, part(1, 'output', 'O1'), lock(2, 'unlocked')],
        /before the lock had let go/,
      ],
      [
        'it started while the lock said locked',
        [granted, lock(1, 'unlocked'), part(3, 'output', 'O1')],
        /while K1 still said locked/,
      ],
      [
        'it started too late',
        [granted, lock(1, 'unlocked'), part(1, 'input', 'K1'), part(5, 'output', 'O1')],
        /4.0 s after the lock; 2 s was wanted/,
      ],
      ['it never started', [granted, lock(1, 'unlocked'), lock(6, 'locked')], /never started/],
      [
        'the leaf never moved',
        [granted, lock(1, 'unlocked'), part(1, 'input', 'K1'), part(3, 'output', 'O1'), lock(6, 'locked')],
        /never moved/,
      ],
    ],
  },
  {
    test: 'break-glass',
    good: [part(1, 'input', 'B1'), leaf(2, 'open')],
    bad: [
      [
        'the opening shows as forced',
        [part(1, 'input', 'B1'), leaf(2, 'open'), forced(2)],
        /does not take B1 for broken/,
      ],
      ['its second pole told nothing', [leaf(2, 'open'), leaf(4, 'closed')], /never told that it was broken/],
    ],
  },
  {
    test: 'tamper-R1',
    good: [part(1, 'input', 'R1'), part(2, 'input', 'R1', 'idle')],
    bad: [['another input told', [part(1, 'input', 'S1')], /S1 told, and not R1/]],
  },
  {
    test: 'spare-S1',
    good: [part(1, 'input', 'S1'), part(2, 'input', 'S1', 'idle')],
    bad: [
      [
        'something came of it',
        [part(1, 'input', 'S1'), lock(1, 'unlocked'), part(2, 'input', 'S1', 'idle')],
        /Something came of it/,
      ],
    ],
  },
  {
    test: 'good-card',
    good: [granted, lock(1, 'unlocked'), leaf(2, 'open'), part(2, 'input', 'C1'), leaf(4, 'closed'), lock(4, 'locked')],
    bad: [
      [
        'the other leaf’s contact saw it',
        [granted, lock(1, 'unlocked'), leaf(2, 'open'), part(2, 'input', 'C2'), leaf(4, 'closed'), lock(4, 'locked')],
        /C2 saw the leaf and not C1/,
      ],
    ],
  },
]

describe.each(cases)('$test', ({ test, good, bad }) => {
  it('passes on what it asks for, and on nothing less', () => {
    expect(verdict(test, good)).toMatchObject({ state: 'passed' })
    for (let n = 0; n < good.length; n++) expect([n, verdict(test, good.slice(0, n)).state]).not.toEqual([n, 'passed'])
    for (const left of good)
      expect([
        left.says,
        verdict(
          test,
          good.filter((e) => e !== left),
        ).state,
      ]).not.toEqual([left.says, 'passed'])
  })
  it.each(bad)('fails when %s', (_why, events, says) => {
    expect(verdict(test, events)).toMatchObject({ state: 'failed', says: expect.stringMatching(says) as string })
  })
})

it('a break glass is not judged where a card, a button or the desk released the door', () => {
  for (const by of [granted, part(1, 'exit', 'X1'), part(1, 'desk', 'D1')])
    expect(verdict('break-glass', [by, part(1, 'input', 'B1'), leaf(2, 'open')]).state).toBe('not judged')
})
it('an opener is not judged where a hand was quicker', () => {
  expect(verdict('opener', [granted, lock(1, 'unlocked'), part(1, 'input', 'K1'), leaf(2, 'open')]).state).toBe(
    'not judged',
  )
})

it('a release from the screen is not judged where a card or a button released the door', () => {
  for (const by of [granted, part(1, 'exit', 'X1'), part(1, 'desk', 'D1')])
    expect(verdict('told', [told, by, lock(1, 'unlocked'), leaf(2, 'open')]).state).toBe('not judged')
})
