import { recordKind } from '../job/kind'

/** What somebody saw who looked into a failure; the newest answer counts. */
export interface Looked {
  /** `failure/look`. */
  id: string
  /** Failure that it was looked at for: its id. */
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

export const lookedId = (failure: string, look: string): string => `${failure}/${look}`

/** It is a help in searching and proves nothing: it goes into no chain and touches no mark. */
export const lookedKind = recordKind('looked', {
  fields: { id: 'text', failure: 'text', look: 'text', answer: 'text', by: 'text', at: 'number' },
})
