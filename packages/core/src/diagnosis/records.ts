import { all, type Facts } from '../job/facts'
import { recordKind } from '../job/kind'
import type { Answers } from './reasoning'

/** What somebody saw who looked into a failure; the newest answer counts. */
export interface Looked {
  /** `failure/look`. */
  id: string
  door: string
  /** Failure that it was looked at for: a proof, or a device that is silent. */
  failure: string
  look: string
  answer: string
  by: string
  at: number
}

declare module '../job/facts' {
  interface RecordTypes {
    looked: Looked
  }
}

/** What was answered for a failure, by look. */
export const answersFor = (facts: Facts, failure: string): Answers =>
  Object.fromEntries(
    all(facts, 'looked')
      .filter((l) => l.failure === failure)
      .map((l) => [l.look, l.answer]),
  )

export const lookedId = (failure: string, look: string): string => `${failure}/${look}`

/** It is a help in searching and proves nothing: it goes into no chain and touches no mark. */
export const lookedKind = recordKind('looked', {
  fields: { id: 'text', door: 'text', failure: 'text', look: 'text', answer: 'text', by: 'text', at: 'number' },
})
