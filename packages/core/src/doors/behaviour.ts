/** State of a contact as the input sees it when nothing happens. */
export type IdleState = 'closed' | 'open'

/** How a code is asked for at the way in. */
export type CodeAsked = 'with' | 'instead' | 'alone'

/** How the door behaves. Seconds; idle states as the input sees them when nothing happens. */
export interface Behaviour {
  releaseS: number
  heldOpenS: number
  relockDelayS: number
  contactIdle: IdleState
  exitIdle: IdleState
  /** Whether an opening without a release raises the forced-open alarm. */
  forcedAlarm: boolean
  /** How long the opener waits after the lock has been told to let go; a second where it is not said. */
  openerAfterS?: number
  /** For whoever needs longer; as for everybody where it is not said. */
  longReleaseS?: number
  longOpenS?: number
  /** How long the desk button releases; as long as a card where it is not said. */
  deskReleaseS?: number
  /** Idle states that differ from the usual, by part: `B1`, `L1`. */
  idle?: Record<string, IdleState>
  /** How long before the held-open alarm a warning comes. */
  preAlarmS?: number
  /** From a card at the way in until the lock lets go. Nothing delays whoever leaves. */
  unlockAfterS?: number
  /** Locks again as soon as the leaf opens; once it is shut where it is not said. */
  relockAt?: 'opening'
  /** Ids of the schedules on which the door is free for everybody, and barred for whoever comes in. */
  freeOn?: string
  barredOn?: string
  /** Its free hours begin only once somebody with a right has come in. */
  firstPerson?: true
  /** Whoever comes in enters their code: with the card, instead of it, or alone where nothing reads cards. */
  code?: CodeAsked
  /** Two people come in together, the second within so long. */
  pairWithinS?: number
  /** Nobody comes in twice within so long. */
  reentryS?: number
  /** Whoever is in already, and has not left, is refused at the way in, or let in and told. */
  passback?: 'refuse' | 'tell'
  /** Where somebody is is forgotten after so long. */
  passbackS?: number
}

export const defaultBehaviour: Behaviour = {
  releaseS: 5,
  heldOpenS: 30,
  relockDelayS: 0,
  contactIdle: 'closed',
  exitIdle: 'open',
  forcedAlarm: true,
}
