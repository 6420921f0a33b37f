import { all, type Facts } from '../../job/facts'
import { periodLine, type Period, type Schedule } from '../../time/schedule'
import { specialDaysOf } from '../../time/specialDays'
import type { Json } from '../records'
import { asObject, fieldName, plainWords, shape, type PartKind } from './kind'
import { policiesAtDoor } from './profile'
import { reactionsHere } from './reactions'
import { rulesHere } from './rules'
import { schedulesOfDoor } from '../../doors/hours'

const text = { type: 'string' }
const lines = { type: 'array', items: text }
const names: Readonly<Record<string, string>> = { name: 'Name', periods: 'Periods', special: 'Special days' }

/** Schedules of the test cards: always, and one minute a week that nobody stands at a door in. */
export const testSchedules: Readonly<Record<string, Period[]>> = {
  'rauta-always': [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }],
  'rauta-never': [{ days: [7], from: '03:00', to: '03:01' }],
}

/** A weekly pattern with the job's special days. */
export const scheduleKind: PartKind = {
  name: 'schedule',
  schema: shape({
    name: { type: 'string' },
    periods: lines,
    special: {
      type: 'array',
      items: shape({ date: text, until: text, yearly: { type: 'boolean' }, periods: lines }, ['until', 'yearly']),
    },
  }),
  want(scene) {
    const { facts } = scene
    const ids = [
      ...rulesHere(scene).map((rule) => rule.schedule),
      ...scene.doors.flatMap(schedulesOfDoor),
      ...reactionsHere(scene).flatMap((r) => r.schedule ?? []),
    ]
    const used = [...new Set(ids)].flatMap((id) => facts.schedule[id] ?? [])
    return Object.fromEntries(
      used.map((s) => [s.id, { name: s.name, periods: periodsJson(s.periods), special: specialJson(facts, s) }]),
    )
  },
  wantForTests() {
    const schedule = (name: string, id: string): Json => ({
      name,
      periods: periodsJson(testSchedules[id] ?? []),
      special: [],
    })
    return {
      'rauta-always': schedule('Test cards, always', 'rauta-always'),
      'rauta-never': schedule('Test cards, never', 'rauta-never'),
    }
  },
  doorOf: () => null,
  /** Through the groups that pass this door on it, through the door's own hours, and through its reactions. */
  touches(door, both) {
    const own = [both.held, both.wanted].flatMap((config) => {
      const value = asObject(config[`behaviour/${door}`])
      const reactions = Object.values(asObject(config[`reactions/${door}`])).map((r) => asObject(r)['schedule'])
      return [value['freeOn'], value['barredOn'], ...reactions].filter((id) => id !== undefined)
    })
    const here = new Set<Json | undefined>([...policiesAtDoor(both, door).map((p) => p.schedule), ...own])
    return ({ token }) => here.has(token)
  },
  group: 'Time',
  title: ({ token }, facts) => `Schedule ${facts.schedule[token]?.name ?? token}`,
  summary: (value) => plainWords(asObject(value)['periods']),
  field: (field, value) => ({ name: fieldName(names, field), says: plainWords(value) }),
}

const specialJson = (facts: Facts, schedule: Schedule): Json =>
  specialDaysOf(schedule, all(facts, 'specialDay')).map((day) => ({
    date: day.date,
    ...(day.until === undefined ? {} : { until: day.until }),
    ...(day.yearly ? { yearly: true } : {}),
    periods: day.periods.map((p) => `${p.from}-${p.to}`),
  }))

const periodsJson = (periods: readonly Period[]): Json => periods.map(periodLine).sort()
