import { usualOpenerAfterS, type Behaviour, type CodeAsked, type IdleState } from '@rauta/core'
import { typedNumber } from '../../parts/Field'

/** Times that a door may have or not: empty where it has it not. */
export const optionalTimes = [
  'longReleaseS',
  'longOpenS',
  'preAlarmS',
  'unlockAfterS',
  'pairWithinS',
  'reentryS',
  'passbackS',
] as const
export type OptionalTime = (typeof optionalTimes)[number]

/** Every time, by its field of the form. */
export type TimeKey = OptionalTime | 'release' | 'held' | 'relock' | 'opener' | 'desk'

/** A behaviour as it is typed. */
export interface BehaviourFields extends Record<TimeKey, string> {
  relockAt: 'closing' | 'opening'
  contactIdle: IdleState
  exitIdle: IdleState
  forcedAlarm: boolean
  idle: Record<string, IdleState>
  /** Ids of schedules; empty for none. */
  freeOn: string
  barredOn: string
  firstPerson: boolean
  passback: 'none' | 'tell' | 'refuse'
  code: 'none' | CodeAsked
}

export const fieldsOf = (b: Behaviour | undefined): BehaviourFields => ({
  ...(Object.fromEntries(optionalTimes.map((key) => [key, String(b?.[key] ?? '')])) as Record<OptionalTime, string>),
  release: String(b?.releaseS ?? ''),
  held: String(b?.heldOpenS ?? ''),
  relock: String(b?.relockDelayS ?? ''),
  relockAt: b?.relockAt ?? 'closing',
  contactIdle: b?.contactIdle ?? 'closed',
  exitIdle: b?.exitIdle ?? 'open',
  forcedAlarm: b?.forcedAlarm ?? true,
  opener: String(b?.openerAfterS ?? usualOpenerAfterS),
  desk: String(b?.deskReleaseS ?? b?.releaseS ?? ''),
  idle: b?.idle ?? {},
  freeOn: b?.freeOn ?? '',
  barredOn: b?.barredOn ?? '',
  firstPerson: b?.firstPerson ?? false,
  passback: b?.passback ?? 'none',
  code: b?.code ?? 'none',
})

/** @param has what the door has that an opener's and a desk button's times are of */
export const behaviourOf = (form: BehaviourFields, has: { opener: boolean; desk: boolean }): Behaviour => ({
  releaseS: typedNumber(form.release),
  heldOpenS: typedNumber(form.held),
  relockDelayS: typedNumber(form.relock),
  contactIdle: form.contactIdle,
  exitIdle: form.exitIdle,
  forcedAlarm: form.forcedAlarm,
  ...Object.fromEntries(optionalTimes.flatMap((key) => (form[key].trim() ? [[key, typedNumber(form[key])]] : []))),
  ...(form.relockAt === 'opening' ? { relockAt: form.relockAt } : {}),
  ...(form.freeOn ? { freeOn: form.freeOn } : {}),
  ...(form.barredOn ? { barredOn: form.barredOn } : {}),
  ...(form.firstPerson ? { firstPerson: true } : {}),
  ...(form.code === 'none' ? {} : { code: form.code }),
  ...(form.passback === 'none' ? {} : { passback: form.passback }),
  ...(has.opener ? { openerAfterS: typedNumber(form.opener) } : {}),
  ...(has.desk ? { deskReleaseS: typedNumber(form.desk) } : {}),
  ...(Object.keys(form.idle).length ? { idle: form.idle } : {}),
})
