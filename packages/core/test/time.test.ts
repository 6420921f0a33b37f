import fc from 'fast-check'
import ICAL from 'ical.js'
import {
  fromICalendar,
  momentIn,
  wallText,
  periodFault,
  periodWords,
  scheduleActive,
  toICalendar,
  type Period,
  type Schedule,
} from '../src'
import { posixZone } from '../src/time/posix'

const schedule = (periods: Period[]): Schedule => ({ id: 's', name: 's', periods })
const at = (iso: string) => Date.parse(iso)

const hour = fc.integer({ min: 0, max: 23 })
const quarter = fc.constantFrom('00', '15', '30', '45')
const clock = fc.tuple(hour, quarter).map(([h, m]) => `${String(h).padStart(2, '0')}:${m}`)
const period = fc
  .record({ days: fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 }), from: clock, to: clock })
  .filter((p) => p.from !== p.to)

/** What a general iCalendar library makes of the text: does any occurrence cover this wall-clock moment? */
function coveredByLibrary(text: string, wall: string): boolean {
  const moment = ICAL.Time.fromDateTimeString(wall)
  return new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').some((component) => {
    const event = new ICAL.Event(component)
    const start = moment.clone()
    start.adjust(-3, 0, 0, 0)
    const weeks = Math.max(0, Math.floor((start.toUnixTime() - event.startDate.toUnixTime()) / (7 * 86400)))
    const from = event.startDate.clone()
    from.adjust(weeks * 7, 0, 0, 0)
    // Weekly from the series' own start: shifting it by whole weeks leaves the weekdays as they are.
    const days = (
      component.getFirstPropertyValue('rrule') as unknown as { parts: { BYDAY: string[] } }
    ).parts.BYDAY.map((d) => ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'].indexOf(d))
    for (let d = -1; d <= 16; d++) {
      const day = from.clone()
      day.adjust(d, 0, 0, 0)
      if (!days.includes((day.dayOfWeek(ICAL.Time.MONDAY) - 1 + 7) % 7)) continue
      const end = day.clone()
      end.addDuration(event.duration)
      if (day.compare(moment) <= 0 && end.compare(moment) > 0) return true
    }
    return false
  })
}

describe('weekly schedules', () => {
  it('knows a period whose end before its start means the next day', () => {
    const night = schedule([{ days: [5], from: '22:00', to: '06:00' }])
    const zone = 'Europe/Helsinki'
    expect(scheduleActive(night, [], at('2026-11-27T21:59:00+02:00'), zone)).toBe(false)
    expect(scheduleActive(night, [], at('2026-11-27T22:00:00+02:00'), zone)).toBe(true)
    expect(scheduleActive(night, [], at('2026-11-28T05:59:00+02:00'), zone)).toBe(true)
    expect(scheduleActive(night, [], at('2026-11-28T06:00:00+02:00'), zone)).toBe(false)
  })

  it('finds only an empty period wrong', () => {
    expect(periodFault({ days: [1], from: '08:00', to: '08:00' })).toContain('empty')
    expect(periodFault({ days: [1], from: '22:00', to: '06:00' })).toBeNull()
    expect(periodFault({ days: [1], from: '00:00', to: '24:00' })).toBeNull()
    expect(periodFault({ days: [], from: '08:00', to: '09:00' })).toContain('day')
    expect(periodFault({ days: [1], from: '8', to: '09:00' })).toContain('07:30')
    expect(periodFault({ days: [1], from: '24:00', to: '09:00' })).toContain('not a time')
  })

  it('lets a special day replace the week, also for what reaches in from the day before', () => {
    const week = schedule([{ days: [1, 2, 3, 4, 5, 6, 7], from: '20:00', to: '02:00' }])
    const closed = [{ id: 'd', date: '2026-12-24', name: 'closed', periods: [] }]
    expect(scheduleActive(week, closed, at('2026-12-24T21:00:00Z'), 'UTC')).toBe(false)
    expect(scheduleActive(week, closed, at('2026-12-24T01:00:00Z'), 'UTC')).toBe(true) // the evening of the 23rd goes on
    expect(scheduleActive(week, closed, at('2026-12-25T01:00:00Z'), 'UTC')).toBe(false)
  })

  it('agrees with a general iCalendar library on ordinary days, in two zones', () => {
    for (const zone of ['Europe/Helsinki', 'America/New_York']) {
      fc.assert(
        fc.property(
          fc.array(period, { minLength: 1, maxLength: 3 }),
          fc.integer({ min: 0, max: 6 * 24 * 4 }),
          (periods, quarters) => {
            const moment = at('2027-01-11T00:00:00Z') + quarters * 900_000
            const wall = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'medium' })
              .format(moment)
              .replace(' ', 'T')
            expect(scheduleActive(schedule(periods), [], moment, zone)).toBe(
              coveredByLibrary(toICalendar(periods), wall),
            )
          },
        ),
        { numRuns: 60 },
      )
    }
  })

  /**
   * The nights when clocks change, where our rule (the wall clock is compared) parts from one that turns each
   * occurrence into an instant and a length. Europe/Helsinki 2027: forward 28 March 03:00, back 31 October 04:00.
   */
  it.each([
    ['2027-03-28T00:59:00Z', '02:00', '03:30', true, 'the last minute before the lost hour'],
    ['2027-03-28T01:00:00Z', '02:00', '03:30', false, 'the lost hour never happens: 03:00 to 03:30 is skipped'],
    ['2027-10-31T00:30:00Z', '03:00', '04:00', true, 'the first copy of the hour counts'],
    ['2027-10-31T01:30:00Z', '03:00', '04:00', true, 'the second copy counts as well, an hour longer than the period'],
    ['2027-10-31T02:00:00Z', '03:00', '04:00', false, 'after both copies'],
  ])('%s within %s–%s: %s (%s)', (moment, from, to, active) => {
    expect(scheduleActive(schedule([{ days: [7], from, to }]), [], at(moment), 'Europe/Helsinki')).toBe(active)
  })

  it('keeps periods through their iCalendar form', () => {
    fc.assert(
      fc.property(fc.array(period, { maxLength: 5 }), (periods) => {
        expect(fromICalendar(toICalendar(periods))).toEqual({
          periods: periods.map((p) => ({
            ...p,
            days: [...p.days].sort((a, b) => a - b),
            to: p.to === '00:00' ? '24:00' : p.to,
          })),
        })
      }),
    )
    expect(fromICalendar(toICalendar([{ days: [7], from: '00:00', to: '24:00' }]))).toEqual({
      periods: [{ days: [7], from: '00:00', to: '24:00' }],
    })
  })

  it('says what it cannot read of a device’s calendar', () => {
    expect(fromICalendar('BEGIN:VEVENT\nDTSTART:20270101T080000Z\nDTEND:20270101T090000Z\nEND:VEVENT')).toHaveProperty(
      'fault',
    )
  })

  it('tells a period in words', () => {
    expect(periodWords({ days: [1, 2, 3, 4, 5], from: '22:00', to: '06:00' })).toBe('Mon–Fri 22:00–06:00 next day')
    expect(periodWords({ days: [6, 7], from: '08:00', to: '12:00' })).toBe('Sat Sun 08:00–12:00')
  })
})

describe('POSIX zone strings', () => {
  // IEEE 1003.1 form; the rules of these zones are published in the IANA time zone database (from memory).
  it.each([
    ['Europe/Helsinki', '<+02>-2<+03>-3,M3.5.0/3,M10.5.0/4'],
    ['America/New_York', '<-05>5<-04>4,M3.2.0/2,M11.1.0/2'],
    ['Asia/Kolkata', '<+0530>-5:30'],
    ['UTC', '<+00>0'],
    ['Australia/Sydney', '<+10>-10<+11>-11,M10.1.0/2,M4.1.0/3'],
  ])('%s is %s', (zone, posix) => {
    expect(posixZone(zone, 2027)).toBe(posix)
  })
})

describe('a moment as the clock of the site shows it', () => {
  it('is read in the site’s zone, whatever the machine’s own', () => {
    expect(momentIn('Europe/Helsinki', '2027-01-04 06:15')).toBe(Date.parse('2027-01-04T04:15:00Z'))
    expect(momentIn('Europe/Helsinki', '2027-07-04T6:15')).toBe(Date.parse('2027-07-04T03:15:00Z'))
    expect(momentIn('Asia/Kathmandu', '2027-01-04 00:00')).toBe(Date.parse('2027-01-03T18:15:00Z'))
  })
  it('an hour that a night leaves out is none; of one that comes twice it is the first; what is no date is none', () => {
    expect(momentIn('Europe/Helsinki', '2027-03-28 03:30')).toBeNull()
    expect(momentIn('Europe/Helsinki', '2027-10-31 03:30')).toBe(Date.parse('2027-10-31T00:30:00Z'))
    for (const text of ['', 'tomorrow', '2027-13-01 10:00', '2027-01-04', '2027-01-04 25:00'])
      expect(momentIn('Europe/Helsinki', text)).toBeNull()
  })
  it('shown again it is what was typed', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('Europe/Helsinki', 'America/St_Johns', 'Pacific/Apia', 'UTC'),
        fc.date({ min: new Date('2026-01-01T00:00:00Z'), max: new Date('2032-01-01T00:00:00Z'), noInvalidDate: true }),
        (zone, date) => {
          const text = wallText(Math.floor(date.getTime() / 60_000) * 60_000, zone).replace(/^\w+ /, '')
          const ms = momentIn(zone, text)
          expect(ms === null ? null : wallText(ms, zone).replace(/^\w+ /, '')).toBe(text)
        },
      ),
    ))
})
