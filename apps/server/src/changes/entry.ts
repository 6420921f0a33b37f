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
