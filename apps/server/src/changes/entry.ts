import type { Change } from '@rauta/core'
import type { Role } from '@rauta/contracts'

export interface Author {
  name: string
  role: Role
}
/** One revision of the job. */
export interface Entry {
  rev: number
  at: number
  by: string
  name: string
  says: string
  changes: Change[]
}

/** What is noted beside changes of the job; such entries change nothing, and their words are for the lead. */
export type Trace = 'signedIn' | 'wrongPassword' | 'signedOut' | 'account' | 'takenAway' | 'keys'
export const tracePrefix = 'trace.'
export const isTrace = ({ name }: Pick<Entry, 'name'>): boolean => name.startsWith(tracePrefix)
