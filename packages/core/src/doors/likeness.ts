import type { Facts } from '../job/facts'
import type { Behaviour } from './behaviour'

/** What of a behaviour can be the same at other doors; how contacts rest and what hangs on one door's own parts cannot. */
export const sharedFields = [
  'releaseS',
  'longReleaseS',
  'heldOpenS',
  'preAlarmS',
  'longOpenS',
  'relockDelayS',
  'relockAt',
  'forcedAlarm',
  'unlockAfterS',
  'freeOn',
  'barredOn',
  'firstPerson',
  'code',
  'pairWithinS',
  'reentryS',
  'passback',
  'passbackS',
] as const satisfies readonly (keyof Behaviour)[]
export type SharedField = (typeof sharedFields)[number]

export const behaviourWords: Readonly<Record<SharedField, string>> = {
  releaseS: 'Release time',
  longReleaseS: 'Longer release',
  heldOpenS: 'Open time',
  preAlarmS: 'Warning before the alarm',
  longOpenS: 'Longer open time',
  relockDelayS: 'Delay before relock',
  relockAt: 'Locks again at',
  forcedAlarm: 'Forced-open alarm',
  unlockAfterS: 'Delay before unlocking',
  freeOn: 'Free on',
  barredOn: 'Barred on',
  firstPerson: 'First person frees it',
  code: 'Code',
  pairWithinS: 'Second person within',
  reentryS: 'Not twice within',
  passback: 'Entering twice without leaving',
  passbackS: 'Forgotten after',
}

export const passbackWords: Readonly<Record<NonNullable<Behaviour['passback']>, string>> = {
  refuse: 'refused',
  tell: 'let in and told',
}

export const codeWords: Readonly<Record<NonNullable<Behaviour['code']>, string>> = {
  with: 'with the card',
  instead: 'instead of the card',
  alone: 'alone',
}

/** One setting of a door in words; `not set` where it has it not. */
export function settingWords(facts: Facts, field: SharedField, behaviour: Behaviour): string {
  const value = behaviour[field]
  if (value === undefined) return field === 'relockAt' ? 'closing' : 'not set'
  if (typeof value === 'number') return `${value} s`
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (field === 'freeOn' || field === 'barredOn') return facts.schedule[value]?.name ?? value
  if (value === 'with' || value === 'instead' || value === 'alone') return codeWords[value]
  return value === 'refuse' || value === 'tell' ? passbackWords[value] : value
}

/** A behaviour with all that can be shared taken from another door. */
export function likeAnother(own: Behaviour, other: Behaviour): Behaviour {
  const rest: Partial<Behaviour> = { ...own }
  for (const field of sharedFields) delete rest[field]
  const shared = Object.fromEntries(
    sharedFields.flatMap((field) => (other[field] === undefined ? [] : [[field, other[field]]])),
  )
  return { ...rest, ...shared } as Behaviour
}

/** What would be other at a door if it were like another one, each with both values in words. */
export function unlike(
  facts: Facts,
  own: Behaviour,
  other: Behaviour,
): { field: SharedField; name: string; now: string; then: string }[] {
  return sharedFields.flatMap((field) =>
    own[field] === other[field]
      ? []
      : [
          {
            field,
            name: behaviourWords[field],
            now: settingWords(facts, field, own),
            then: settingWords(facts, field, other),
          },
        ],
  )
}
