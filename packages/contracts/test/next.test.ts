import fc from 'fast-check'
import { decide, momentIn, nextChange, whereTo, whoPasses, type Period } from '@rauta/core'
import { smallJob, strikeHardware, type World } from './world'

const zone = 'Europe/Helsinki'
const moment = (text: string): number => momentIn(zone, text) ?? NaN
const iso = (ms: number | undefined) => (ms === undefined ? null : new Date(ms).toISOString())
const somebody = (w: World) => {
  const person = w.facts.person['p']
  if (!person) throw new Error('nobody')
  return person
}

const clock = fc
  .integer({ min: 0, max: 95 })
  .map((q) => `${String(Math.floor(q / 4)).padStart(2, '0')}:${String((q % 4) * 15).padStart(2, '0')}`)
const hours = fc.record({ from: clock, to: clock }).filter((p) => p.from !== p.to)
const period: fc.Arbitrary<Period> = fc
  .record({ days: fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 }), hours })
  .map(({ days, hours: h }) => ({ days, ...h }))

describe('when the answer changes', () => {
  it('is found to the minute: at the end of the hours, at their beginning, at somebody’s last day', () => {
    const w = smallJob(strikeHardware)
    const next = (at: string) => {
      const found = nextChange(w.facts, somebody(w), w.door(), moment(at))
      return [iso(found?.at), found?.decision.reason]
    }
    expect(next('2027-01-04T09:00')).toEqual([iso(moment('2027-01-04T17:00')), 'out of hours'])
    expect(next('2027-01-08T17:00')).toEqual([iso(moment('2027-01-11T08:00')), 'rule'])
    w.do('specialDay.put', { id: 'd', date: '2027-01-11', until: '2027-01-12', name: 'D', periods: [] })
    expect(next('2027-01-08T17:00')).toEqual([iso(moment('2027-01-13T08:00')), 'rule'])
    w.do('person.put', { ...somebody(w), validUntil: '2027-01-04T12:30' })
    expect(next('2027-01-04T09:00')).toEqual([iso(moment('2027-01-04T12:30')), 'expired'])
    w.do('person.put', { ...somebody(w), validUntil: '2027-01-01' })
    expect(next('2027-01-04T09:00')).toEqual([null, undefined])
  })

  it('is the first minute at which a slow look finds another one, also on the nights when clocks change', () => {
    fc.assert(
      fc.property(
        fc.array(period, { maxLength: 2 }),
        fc.option(period),
        fc.option(period),
        fc.constantFrom('2027-03-27', '2027-10-30', '2027-06-23'),
        fc.integer({ min: 0, max: 47 }),
        (periods, free, barred, date, half) => {
          const w = smallJob(strikeHardware)
          w.do('schedule.put', { id: 'day', name: 'Day', periods })
          for (const [id, one] of Object.entries({ free, barred }))
            if (one) w.do('schedule.put', { id, name: id, periods: [one] })
          w.do('specialDay.put', { id: 'd', date: '2027-06-24', name: 'D', periods: [], schedules: ['day'] })
          w.do('door.edit', {
            id: 'D-01',
            fields: {
              behaviour: {
                ...w.door().behaviour,
                ...(free ? { freeOn: 'free' } : {}),
                ...(barred ? { barredOn: 'barred' } : {}),
              },
            },
          })
          const at = moment(`${date}T00:00`) + half * 1_800_000
          const answer = (ms: number) => {
            const { passes, reason } = decide(w.facts, somebody(w), w.door(), ms)
            return `${passes} ${reason}`
          }
          const now = answer(at)
          let slow: number | null = null
          for (let ms = at + 60_000; slow === null && ms < at + 3 * 86_400_000; ms += 60_000)
            if (answer(ms) !== now) slow = ms
          const found = nextChange(w.facts, somebody(w), w.door(), at)
          const within = found && found.at < at + 3 * 86_400_000 ? found.at : null
          expect(iso(within ?? undefined)).toBe(iso(slow ?? undefined))
        },
      ),
      { numRuns: 40 },
    )
  }, 60_000)

  it('who comes in at a door and where somebody does are those whom the answer lets pass', () => {
    const w = smallJob(strikeHardware)
    w.do('person.put', { id: 'q', number: '2', name: 'Another', cards: [], groups: ['g'] })
    expect(whoPasses(w.facts, w.door(), moment('2027-01-04T09:00')).map((p) => p.id)).toEqual(['p'])
    expect(whoPasses(w.facts, w.door(), moment('2027-01-04T18:00'))).toEqual([])
    expect(whereTo(w.facts, somebody(w), moment('2027-01-04T09:00')).map((d) => d.id)).toEqual(['D-01'])
    w.do('door.edit', { id: 'D-01', fields: { behaviour: { ...w.door().behaviour, freeOn: 'day' } } })
    expect(whoPasses(w.facts, w.door(), moment('2027-01-04T09:00')).map((p) => p.id)).toEqual(['q', 'p'])
  })
})
