import fc from 'fast-check'
import ICAL from 'ical.js'
import { Temporal } from 'temporal-polyfill'
import {
  addDays,
  clockChanges,
  changeWords,
  dayAsRun,
  drawn,
  drawnDays,
  firstOverlap,
  fromDaysCalendar,
  isDate,
  liesOn,
  longestRunH,
  mondayOf,
  scheduleActive,
  sharedDate,
  specialDayFault,
  specialDayWords,
  toDaysCalendar,
  weekAsRun,
  type Period,
  type Schedule,
  type SpecialDay,
} from '../src'
import { daysCover } from '../../standins/src/device/calendar'

const day = (over: Partial<SpecialDay>): SpecialDay => ({
  id: 'd',
  date: '2027-12-24',
  name: 'D',
  periods: [],
  ...over,
})
const date = fc.integer({ min: 0, max: 4000 }).map((n) => addDays('2024-01-01', n))
const days = fc
  .tuple(date, fc.integer({ min: 1, max: 40 }), fc.boolean())
  .map(([from, length, yearly]) => ({
    date: from,
    ...(length > 1 ? { until: addDays(from, length - 1) } : {}),
    ...(yearly ? { yearly: true as const } : {}),
  }))

/** Whether a general iCalendar library finds an occurrence of whole days that covers a date. */
function coveredByLibrary(text: string, asked: string): boolean {
  const component = new ICAL.Component(ICAL.parse(text)).getFirstSubcomponent('vevent')
  if (!component) return false
  const event = new ICAL.Event(component)
  const moment = ICAL.Time.fromDateString(asked)
  const covers = (start: ICAL.Time) => {
    const end = start.clone()
    end.addDuration(event.duration)
    return start.compare(moment) <= 0 && end.compare(moment) > 0
  }
  if (!event.isRecurring()) return covers(event.startDate)
  const occurrences = event.iterator()
  for (let next = occurrences.next(); next && next.compare(moment) <= 0; next = occurrences.next())
    if (covers(next)) return true
  return false
}

describe('special days', () => {
  it('last and come again as a general iCalendar library and the rig’s own firmware have it', () => {
    fc.assert(
      fc.property(days, date, fc.integer({ min: -3, max: 45 }), (d, other, near) => {
        for (const asked of [other, addDays(d.date, near), addDays(d.date, near + 365)]) {
          const text = toDaysCalendar(d)
          expect([d, asked, liesOn(d, asked)]).toEqual([d, asked, coveredByLibrary(text, asked)])
          expect([d, asked, daysCover(text, asked)]).toEqual([d, asked, liesOn(d, asked)])
        }
      }),
      { numRuns: 400 },
    )
  })

  it('one of 29 February comes in leap years alone; one over the turn of the year goes on in January', () => {
    const leap = { date: '2028-02-29', yearly: true as const }
    expect(['2029-02-28', '2029-03-01', '2032-02-29', '2027-02-28'].map((d) => liesOn(leap, d))).toEqual([
      false,
      false,
      true,
      false,
    ])
    const turn = { date: '2027-12-30', until: '2028-01-02', yearly: true as const }
    expect(['2027-01-01', '2027-12-29', '2028-01-02', '2028-01-03', '2030-01-01'].map((d) => liesOn(turn, d))).toEqual([
      false,
      false,
      true,
      false,
      true,
    ])
  })

  it('stay what they are through their iCalendar form', () => {
    fc.assert(fc.property(days, (d) => expect(fromDaysCalendar(toDaysCalendar(d))).toEqual([d])))
    expect(fromDaysCalendar('BEGIN:VEVENT\nDTSTART;VALUE=DATE:20270199\nEND:VEVENT')).toEqual([])
    expect(fromDaysCalendar('nothing')).toEqual([])
  })

  it('two that meet are found, however they begin and come again, and none that do not', () => {
    fc.assert(
      fc.property(days, days, (one, other) => {
        const shared = sharedDate(one, other)
        if (shared !== null) expect([liesOn(one, shared), liesOn(other, shared)]).toEqual([true, true])
        const meet = Array.from({ length: 5000 }, (_, i) => addDays('2024-01-01', i)).some(
          (d) => liesOn(one, d) && liesOn(other, d),
        )
        expect([one, other, shared !== null]).toEqual([one, other, meet])
      }),
      { numRuns: 40 },
    )
  })

  it.each([
    ['a day that is none', { date: '2027-02-30' }, 'date'],
    ['an end that is none', { until: '2027-13-01' }, 'until'],
    ['an end before its beginning', { until: '2027-12-23' }, 'until'],
    ['more days than may be', { until: '2028-04-30' }, 'until'],
    ['no schedule at all', { schedules: [] }, 'schedules'],
    ['what another replaces already', { id: 'e' }, 'date'],
    [
      'what comes every year on another',
      { id: 'e', date: '2020-12-20', until: '2020-12-24', yearly: true as const },
      'date',
    ],
  ])('refuses %s', (_what, over, field) => {
    expect(specialDayFault(day(over), [day({})])?.field).toBe(field)
  })
  it('two of one date stand beside each other where they replace different schedules', () => {
    const one = day({ schedules: ['a', 'b'] })
    expect(specialDayFault(day({ id: 'e', schedules: ['c'] }), [one])).toBeNull()
    expect(specialDayFault(day({ id: 'e', schedules: ['b'] }), [one])?.field).toBe('date')
    expect(specialDayFault(day({ until: '2028-04-22' }), [])).toMatchObject({ field: 'until' })
    expect(specialDayFault(day({ until: '2028-04-21' }), [])).toBeNull()
  })

  it('replace the schedules that they name, and none that runs every week alike', () => {
    const week: Schedule = {
      id: 's',
      name: 'S',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '08:00', to: '17:00' }],
    }
    const at = Date.parse('2027-12-24T10:00:00Z')
    const active = (over: Partial<Schedule>, d: Partial<SpecialDay>) =>
      scheduleActive({ ...week, ...over }, [day(d)], at, 'UTC')
    expect(active({}, {})).toBe(false)
    expect(active({}, { schedules: ['s'] })).toBe(false)
    expect(active({}, { schedules: ['other'] })).toBe(true)
    expect(active({ everyDay: true }, {})).toBe(true)
    expect(active({ everyDay: true }, { schedules: ['s'] })).toBe(true)
  })

  it('are told in words, and dates are held to the calendar', () => {
    expect(specialDayWords({ date: '2027-12-24' })).toBe('2027-12-24')
    expect(specialDayWords({ date: '2027-12-24', until: '2027-12-26', yearly: true })).toBe(
      '12-24 to 12-26, every year',
    )
    expect(['2027-02-28', '2027-02-29', '2027-2-3', '', '2028-02-29'].map(isDate)).toEqual([
      true,
      false,
      false,
      false,
      true,
    ])
  })
})

const zones = ['Europe/Helsinki', 'America/New_York', 'Australia/Lord_Howe', 'America/Santiago']
const clock = fc
  .integer({ min: 0, max: 95 })
  .map((q) => `${String(Math.floor(q / 4)).padStart(2, '0')}:${['00', '15', '30', '45'][q % 4]}`)
const period = fc
  .record({ days: fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 }), from: clock, to: clock })
  .filter((p) => p.from !== p.to)

describe('a week as a device runs it', () => {
  it('ten years of changing clocks in four zones are those of a general zone library (Lord Howe by half an hour)', () => {
    for (const zone of zones) {
      const found = clockChanges('2025-01-01', zone, 3652)
      const expected: unknown[] = []
      let at = Temporal.ZonedDateTime.from(`2025-01-01T00:00[${zone}]`)
      const end = Temporal.PlainDate.from('2035-01-01')
      for (;;) {
        const next = at.getTimeZoneTransition('next')
        if (!next || Temporal.PlainDate.compare(next.toPlainDate(), end) > 0) break
        const before = next.subtract({ nanoseconds: 1 })
        const shift = (next.offsetNanoseconds - before.offsetNanoseconds) / 60e9
        const wall = (z: Temporal.ZonedDateTime) => z.hour * 60 + z.minute
        // Where the old time would have gone on, or where the new one takes it up again.
        const start = shift > 0 ? (wall(before) + 1) % 1440 : wall(next)
        const on =
          shift > 0 && wall(before) === 1439
            ? before.toPlainDate().add({ days: 1 })
            : shift > 0
              ? before.toPlainDate()
              : next.toPlainDate()
        expected.push({
          date: on.toString(),
          kind: shift > 0 ? 'leftOut' : 'twice',
          from: start,
          to: start + Math.abs(shift),
        })
        at = next
      }
      expect(expected.length).toBeGreaterThan(15)
      expect(found.filter((c) => c.date < '2034-12-25')).toEqual(
        (expected as { date: string }[]).filter((c) => c.date < '2034-12-25'),
      )
    }
  })

  it('agrees, minute by minute, with whether the schedule is in force, on ordinary days and odd ones', () => {
    const moments: [string, string][] = [
      ['Europe/Helsinki', '2027-03-28'],
      ['Europe/Helsinki', '2027-10-31'],
      ['America/New_York', '2027-11-07'],
      ['Australia/Lord_Howe', '2027-04-04'],
      ['America/Santiago', '2027-09-05'],
      ['Europe/Helsinki', '2027-06-01'],
    ]
    fc.assert(
      fc.property(
        fc.array(period, { maxLength: 3 }),
        fc.constantFrom(...moments),
        fc.option(
          fc.array(
            fc.record({ from: clock, to: clock }).filter((p) => p.from !== p.to),
            { maxLength: 2 },
          ),
        ),
        (periods, [zone, on], special) => {
          const schedule: Schedule = { id: 's', name: 'S', periods }
          const specials = special ? [day({ date: on, periods: special })] : []
          const run = dayAsRun(schedule, specials, on, zone)
          const start = Temporal.PlainDate.from(on).toZonedDateTime(zone)
          const end = Temporal.PlainDate.from(on).add({ days: 1 }).toZonedDateTime(zone)
          let minutes = 0
          for (let ms = start.epochMilliseconds; ms < end.epochMilliseconds; ms += 60_000) {
            const wall = Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(zone)
            const minute = wall.hour * 60 + wall.minute
            const shown = run.spans.some((s) => minute >= s.from && minute < s.to)
            if (minute % 15 === 0) expect(scheduleActive(schedule, specials, ms, zone)).toBe(shown)
            if (shown) minutes += 1
          }
          expect(run.minutes).toBe(minutes)
          expect(run.special?.date).toBe(special ? on : undefined)
        },
      ),
      { numRuns: 40 },
    )
  }, 60_000)

  it('seven days from a Monday on, with what the clocks make of them in words', () => {
    expect(mondayOf('2027-03-28')).toBe('2027-03-22')
    const night: Schedule = { id: 's', name: 'S', periods: [{ days: [6], from: '22:00', to: '06:00' }] }
    const week = weekAsRun(night, [], '2027-03-22', 'Europe/Helsinki')
    expect(week.map((d) => d.minutes)).toEqual([0, 0, 0, 0, 0, 120, 300])
    expect(changeWords(week[6] as (typeof week)[number])).toBe(
      '03:00 to 04:00 is left out: in force for 60 min less than on other days.',
    )
    expect(changeWords(week[5] as (typeof week)[number])).toBe('')
    const back = dayAsRun(night, [], '2027-10-31', 'Europe/Helsinki')
    expect(changeWords(back)).toContain('03:00 to 04:00 comes twice: in force for 60 min longer')
  })
})

describe('drawing on a week', () => {
  const covered = (periods: readonly Period[]): Set<number> =>
    new Set(
      drawnDays(periods).flatMap((spans, d) =>
        spans.flatMap((s) => Array.from({ length: s.to - s.from }, (_, i) => d * 1440 + s.from + i)),
      ),
    )
  const stroke = fc
    .record({
      day: fc.integer({ min: 1, max: 7 }),
      a: fc.integer({ min: 0, max: 47 }),
      b: fc.integer({ min: 1, max: 48 }),
      on: fc.boolean(),
    })
    .filter(({ a, b }) => a < b)

  it('puts in force, or takes away, exactly what was drawn; every period can be said', () => {
    fc.assert(
      fc.property(
        fc.array(period, { maxLength: 4 }),
        fc.array(stroke, { minLength: 1, maxLength: 6 }),
        (periods, strokes) => {
          let now: Period[] = periods
          const wanted = covered(periods)
          for (const { day: d, a, b, on } of strokes) {
            now = drawn(now, d, { from: a * 30, to: b * 30 }, on)
            for (let m = a * 30; m < b * 30; m++) {
              if (on) wanted.add((d - 1) * 1440 + m)
              else wanted.delete((d - 1) * 1440 + m)
            }
          }
          const got = covered(now)
          expect([[...got].filter((m) => !wanted.has(m)), [...wanted].filter((m) => !got.has(m))]).toEqual([[], []])
          for (const p of now) expect(p.from === p.to ? p : null).toBeNull()
        },
      ),
      { numRuns: 150 },
    )
  })

  it('what reaches over midnight stays one period where nobody drew on it', () => {
    const night: Period[] = [{ days: [1, 2, 3, 4, 5, 6, 7], from: '22:00', to: '06:00' }]
    expect(drawn(night, 3, { from: 720, to: 780 }, true)).toContainEqual(night[0])
    expect(drawn([{ days: [1], from: '08:00', to: '12:00' }], 2, { from: 480, to: 720 }, true)).toEqual([
      { days: [1, 2], from: '08:00', to: '12:00' },
    ])
  })

  it('two patterns meet where they do, over the turn of the week as well; the longest run is told', () => {
    const weekend: Period[] = [{ days: [7], from: '20:00', to: '02:00' }]
    expect(firstOverlap(weekend, [{ days: [1], from: '01:30', to: '03:00' }])).toBe('Mon 01:30')
    expect(firstOverlap(weekend, [{ days: [1], from: '02:00', to: '03:00' }])).toBeNull()
    expect(longestRunH(weekend)).toBe(6)
    expect(longestRunH([{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }])).toBe(168)
    expect(longestRunH([])).toBe(0)
  })
})
