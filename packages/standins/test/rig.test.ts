import fc from 'fast-check'
import { toICalendar, scheduleActive, type Period } from '@rauta/core'
import { posixZone } from '@rauta/core/zones'
import { inForce, localTime, Opening, zoneOffset, type DoorFile } from '../src'

const magnet: DoorFile['lock'] = {
  principle: 'magnetic',
  fail: 'safe',
  feedV: 13.6,
  loopOhm: 1,
  coilOhm: 24,
  leastV: 10.8,
  serial: 's',
  relay: 'r',
}
const strike: DoorFile['lock'] = { ...magnet, principle: 'strike', fail: 'secure', coilOhm: 30, leastV: 10.2 }

function opening(lock: DoorFile['lock'], over: Partial<DoorFile> = {}) {
  const electrics = { driven: false, powered: true }
  const inputs: Record<string, boolean> = {}
  const o = new Opening(
    {
      id: 'D',
      name: 'D',
      lock,
      readers: [],
      contact: { serial: 's', input: 'c' },
      exit: { serial: 's', input: 'x' },
      breakGlass: true,
      handle: true,
      ...over,
    },
    { energised: () => electrics.driven, powered: () => electrics.powered },
    {
      input: (_s, input, closed) => {
        inputs[input] = closed
      },
      after: () => () => undefined,
    },
  )
  o.tell()
  return { o, electrics, inputs }
}

describe('the physics of a door', () => {
  it('a powered magnet does not give way to a push, handle or key', () => {
    const { o } = opening(magnet)
    expect([o.push(), o.mechanical(), o.leafOpen]).toEqual([false, false, false])
  })
  it.each([
    [
      'the relay acts',
      (t: ReturnType<typeof opening>) => {
        t.electrics.driven = true
      },
    ],
    [
      'the power goes',
      (t: ReturnType<typeof opening>) => {
        t.electrics.powered = false
      },
    ],
    [
      'the break glass is broken',
      (t: ReturnType<typeof opening>) => {
        t.o.glassBroken = true
      },
    ],
    [
      'the feed is pulled',
      (t: ReturnType<typeof opening>) => {
        t.o.feedPulled = true
      },
    ],
  ])('a magnet lets go when %s', (_what, act) => {
    const t = opening(magnet)
    act(t)
    expect([t.o.volts(), t.o.push()]).toEqual([0, true])
  })
  it('cutting the power never frees a fail-secure strike, but its handle does', () => {
    const { o, electrics } = opening(strike)
    electrics.powered = false
    expect(o.push()).toBe(false)
    expect(o.mechanical()).toBe(true)
  })
  it('a strike frees the leaf while it is driven with enough volts, and not with too few', () => {
    const enough = opening(strike)
    enough.electrics.driven = true
    expect(enough.o.push()).toBe(true)
    const thin = opening({ ...strike, loopOhm: 12 })
    thin.electrics.driven = true
    expect([thin.o.volts() < 10.2, thin.o.push()]).toEqual([true, false])
  })
  it('the contact is closed while the leaf is shut, and the other way round when it is reversed', () => {
    const { o, inputs } = opening(strike)
    expect(inputs['c']).toBe(true)
    o.mechanical()
    expect(inputs['c']).toBe(false)
    const turned = opening(strike, { contact: { serial: 's', input: 'c', reversed: true } })
    expect(turned.inputs['c']).toBe(false)
  })
  it('the button closes its input while it is pressed', () => {
    const { o, inputs } = opening(strike)
    o.press(true)
    expect(inputs['x']).toBe(true)
    o.press(false)
    expect(inputs['x']).toBe(false)
  })
})

describe('what a device makes of a zone rule and a calendar', () => {
  const moments = fc.integer({ min: Date.parse('2027-01-01T00:00:00Z'), max: Date.parse('2027-12-31T23:00:00Z') })
  // The platform's own time zone tables are the outside reference here.
  it.each(['Europe/Helsinki', 'America/New_York', 'Australia/Sydney', 'Asia/Kolkata'])(
    'the POSIX rule of %s gives the wall clock of the platform’s tables, all year',
    (zone) => {
      const posix = posixZone(zone, 2027)
      fc.assert(
        fc.property(moments, (ms) => {
          const parts = Object.fromEntries(
            new Intl.DateTimeFormat('en-CA', {
              timeZone: zone,
              year: 'numeric',
              month: '2-digit',
              day: '2-digit',
              hour: '2-digit',
              minute: '2-digit',
              hourCycle: 'h23',
            })
              .formatToParts(ms)
              .map((p) => [p.type, p.value]),
          )
          const local = localTime(ms, posix)
          expect([local.date, local.minute]).toEqual([
            `${parts['year']}-${parts['month']}-${parts['day']}`,
            Number(parts['hour']) * 60 + Number(parts['minute']),
          ])
        }),
      )
    },
  )
  it('a zone without a rule keeps its offset', () => {
    expect(zoneOffset('<+02>-2', 0)).toBe(120)
  })
  it('agrees with the application’s own schedules, though written apart', () => {
    const clock = fc
      .tuple(fc.integer({ min: 0, max: 23 }), fc.constantFrom('00', '30'))
      .map(([h, m]) => `${String(h).padStart(2, '0')}:${m}`)
    const period = fc
      .record({ days: fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 }), from: clock, to: clock })
      .filter((p) => p.from !== p.to)
    const posix = posixZone('Europe/Helsinki', 2027)
    fc.assert(
      fc.property(fc.array(period, { minLength: 1, maxLength: 3 }), moments, (periods: Period[], ms) => {
        expect(inForce(toICalendar(periods), () => undefined, localTime(ms, posix))).toBe(
          scheduleActive({ id: 's', name: 's', periods }, [], ms, 'Europe/Helsinki'),
        )
      }),
      { numRuns: 200 },
    )
  })
})
