import type { Behaviour } from './behaviour'

/** What a controller may be able to do for a door beyond its plain times. Its sheet names those that it has. */
export const doorAbilities = [
  'preAlarm',
  'unlockDelay',
  'relockAtOpening',
  'ownHours',
  'firstPerson',
  'twoPeople',
  'reentry',
  'passback',
  'codes',
  'serverDecides',
] as const
export type DoorAbility = (typeof doorAbilities)[number]

interface AbilityFacts {
  /** What it is, after “cannot keep”. */
  says: string
  /** Whether a door asks for it. */
  asked(behaviour: Behaviour, door: Asking): boolean
}
/** What a door asks its controller for. */
export interface Asking {
  behaviour: Behaviour
  decides?: { by: string } | undefined
}

/** Whether whoever comes in is decided about by the server. */
export const serverDecides = ({ decides }: Pick<Asking, 'decides'>): boolean => decides?.by === 'server'

export const abilityFacts: Readonly<Record<DoorAbility, AbilityFacts>> = {
  preAlarm: { says: 'a warning before the held-open alarm', asked: (b) => b.preAlarmS !== undefined },
  unlockDelay: { says: 'a delay before unlocking', asked: (b) => b.unlockAfterS !== undefined },
  relockAtOpening: { says: 'locking again at opening', asked: (b) => b.relockAt !== undefined },
  ownHours: { says: 'hours of the door’s own', asked: (b) => b.freeOn !== undefined || b.barredOn !== undefined },
  firstPerson: { says: 'a first person who frees the door', asked: (b) => b.firstPerson === true },
  twoPeople: { says: 'two people together', asked: (b) => b.pairWithinS !== undefined },
  reentry: { says: 'a time in which nobody enters twice', asked: (b) => b.reentryS !== undefined },
  passback: { says: 'no entering twice without leaving', asked: (b) => b.passback !== undefined },
  codes: { says: 'codes', asked: (b) => b.code !== undefined },
  serverDecides: { says: 'asking a server who may come in', asked: (_b, door) => serverDecides(door) },
}

/** Whether a door asks for an ability of its controller. */
export const asksFor = (ability: DoorAbility, door: Asking): boolean =>
  abilityFacts[ability].asked(door.behaviour, door)

/** What a door asks of its controller beyond its plain times. */
export const asked = (door: Asking): DoorAbility[] => doorAbilities.filter((a) => asksFor(a, door))
