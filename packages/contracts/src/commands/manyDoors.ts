import { put, type Behaviour, type Door, type Facts } from '@rauta/core'
import { defineCommand, everyFitter, existing, flag, id, object } from './command'
import { behaviourProperties, checkAreas } from './doors'

type ManyTimes = Partial<Pick<Behaviour, 'releaseS' | 'heldOpenS' | 'relockDelayS' | 'forcedAlarm'>>
export type ManyFields = Partial<
  Pick<Door, 'from' | 'to' | 'escapeRoute' | 'handle' | 'otherWayOut' | 'outdoor' | 'pinned' | 'passagesPerDay'>
> & { behaviour?: ManyTimes }

const { releaseS, heldOpenS, relockDelayS, forcedAlarm } = behaviourProperties
const times = { releaseS, heldOpenS, relockDelayS, forcedAlarm }
const fields = {
  from: id,
  to: id,
  escapeRoute: flag,
  handle: flag,
  otherWayOut: flag,
  outdoor: flag,
  pinned: flag,
  passagesPerDay: { type: 'integer', minimum: 0, maximum: 100_000 },
  behaviour: { ...object(times, Object.keys(times) as (keyof typeof times)[]), minProperties: 1 },
} as const

/** The first few of many doors by their references, and how many more. */
export function firstRefs(facts: Facts, doors: readonly string[]): string {
  const refs = doors.slice(0, 3).map((d) => facts.door[d]?.ref ?? d)
  const more = doors.length - refs.length
  return `${refs.join(', ')}${more > 0 ? ` and ${more} more` : ''}`
}

/** The same change at many doors, as one that is taken back as one: what is not named stays at each as it is. */
export const doorsEdit = defineCommand<{ doors: string[]; fields: ManyFields }>()({
  name: 'doors.edit',
  roles: everyFitter,
  schema: object({
    doors: { type: 'array', items: id, minItems: 1, maxItems: 5000, uniqueItems: true },
    fields: { ...object(fields, Object.keys(fields) as (keyof typeof fields)[]), minProperties: 1 },
  }),
  apply(facts, { doors, fields: { behaviour, ...rest } }) {
    return doors.map((which) => {
      const door = existing(facts.door[which], 'door', which)
      const next: Door = { ...door, ...rest, behaviour: { ...door.behaviour, ...behaviour } }
      checkAreas(facts, next.from, next.to)
      return put(facts, 'door', next)
    })
  },
  words(facts, { doors, fields: { behaviour, ...rest } }) {
    return `Changed ${[...Object.keys(rest), ...Object.keys(behaviour ?? {})].join(', ')} of ${firstRefs(facts, doors)}`
  },
})
