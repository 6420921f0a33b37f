import { all, type Facts } from '../job/facts'
import type { Door } from '../doors/door'
import { codeToken } from './codes'
import { decide, type RefusalReason } from './decide'

/** Reasons as events tell them. */
const told: Readonly<Record<RefusalReason, string>> = {
  barred: 'barred',
  'no card': 'unknown',
  'no code': 'noCode',
  'card lost': 'lost',
  'card withdrawn': 'withdrawn',
  'not yet valid': 'notYet',
  expired: 'expired',
  'no rule': 'no rule',
  'right not yet': 'no rule',
  'right ended': 'no rule',
  'out of hours': 'hours',
}

/** Test cards that come in where the test cards do; the others stand for what is refused. */
const goodTestCards: ReadonlySet<string> = new Set(['rauta-good', 'rauta-second', 'rauta-longer', 'rauta-code'])

/**
 * Why a credential may not come in at a door now, by what the job wants, whatever was loaded: as an event of the controller will tell
 * it, and empty where it may.
 * @param credential token by which the controller knows it
 * @param atMs milliseconds since 1970 UTC
 */
export function answerTo(facts: Facts, door: Door, credential: string, atMs: number): string {
  if (credential.startsWith('rauta-')) {
    if (!door.testCardsOff && goodTestCards.has(credential)) return ''
    return credential === 'rauta-hours' ? 'hours' : 'no rule'
  }
  for (const person of all(facts, 'person')) {
    const card = person.cards.find((c) => c.id === credential)
    if (!card && codeToken(person) !== credential) continue
    const { reason } = decide(facts, person, door, atMs, card)
    return reason === 'rule' || reason === 'free' ? '' : told[reason]
  }
  return 'unknown'
}
