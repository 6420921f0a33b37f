import { fromDuration, toDuration } from '../duration'
import type { Element, Markup } from '../xml'
import { el, MalformedError, needed, textOf } from '../xml'
import { cxText, cxTime, optional, type EntityCodec } from './entities'

/** Extension: what a door does beyond the times that the door control specification has. What is absent is not asked of it. */
export interface DoorBehaviour {
  token: string
  /** From a card at an entry reader until the lock lets go. */
  unlockAfterS?: number
  /** `Opening`: the lock locks as soon as the leaf opens. */
  relockAt?: string
  /** Tokens of schedules. */
  freeOn?: string
  barredOn?: string
  firstPerson?: boolean
  /** `WithCard`, `InsteadOfCard`, `Alone`: how a code is asked for at the way in. */
  code?: string
  pairWithinS?: number
  reentryS?: number
  /** `Hard` refuses, `Soft` lets in and tells. */
  passback?: string
  passbackS?: number
  /** `Server`: whoever comes in is asked about, and answered by ExternalAuthorization. */
  decidedBy?: string
  /** Out of reach when nothing was heard of it for so long. */
  reachS?: number
  /** `Shut`, `Open`, `Local`: what holds while it is out of reach. */
  without?: string
}

export const doorBehaviourCodec: EntityCodec<DoorBehaviour> = {
  service: 'cx',
  name: 'DoorBehaviour',
  list: 'GetDoorBehaviourList',
  write: (b) =>
    el(
      'cx:DoorBehaviour',
      { token: b.token },
      cxTime('UnlockDelay', b.unlockAfterS),
      cxText('RelockAt', b.relockAt),
      cxText('FreeSchedule', b.freeOn),
      cxText('BarredSchedule', b.barredOn),
      b.firstPerson ? el('cx:FirstPerson', true) : null,
      cxText('Code', b.code),
      cxTime('SecondPersonWithin', b.pairWithinS),
      cxTime('ReentryBlock', b.reentryS),
      cxText('Antipassback', b.passback),
      cxTime('AntipassbackTimeout', b.passbackS),
      cxText('DecidedBy', b.decidedBy),
      cxTime('DeciderTimeout', b.reachS),
      cxText('WithoutDecider', b.without),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    ...optional('unlockAfterS', textOf(e, 'UnlockDelay'), fromDuration),
    ...optional('relockAt', textOf(e, 'RelockAt'), String),
    ...optional('freeOn', textOf(e, 'FreeSchedule'), String),
    ...optional('barredOn', textOf(e, 'BarredSchedule'), String),
    ...(textOf(e, 'FirstPerson') === 'true' ? { firstPerson: true } : {}),
    ...optional('code', textOf(e, 'Code'), String),
    ...optional('pairWithinS', textOf(e, 'SecondPersonWithin'), fromDuration),
    ...optional('reentryS', textOf(e, 'ReentryBlock'), fromDuration),
    ...optional('passback', textOf(e, 'Antipassback'), String),
    ...optional('passbackS', textOf(e, 'AntipassbackTimeout'), fromDuration),
    ...optional('decidedBy', textOf(e, 'DecidedBy'), String),
    ...optional('reachS', textOf(e, 'DeciderTimeout'), fromDuration),
    ...optional('without', textOf(e, 'WithoutDecider'), String),
  }),
}

/** How a door can be made to stand for a test: as its schedules would have it. */
export const rehearsedStates = ['Free', 'Controlled', 'Barred', 'FreeAfterFirst'] as const
export type RehearsedState = (typeof rehearsedStates)[number]

/** Extension: RehearseDoor. The device goes back by itself after `seconds`, whatever becomes of who asked. */
export const rehearsal = {
  write: (token: string, state: RehearsedState, seconds: number): Markup =>
    el('cx:RehearseDoor', el('cx:Token', token), el('cx:State', state), el('cx:Duration', toDuration(seconds))),
  read(e: Element): { token: string; state: RehearsedState; seconds: number } {
    const state = rehearsedStates.find((s) => s === needed(e, 'State'))
    if (!state) throw new MalformedError(`${textOf(e, 'State')} is no state of a door.`)
    return { token: needed(e, 'Token'), state, seconds: fromDuration(needed(e, 'Duration')) }
  },
}
