import type { Facts } from '../job/facts'
import { recordKind } from '../job/kind'

/** Where a door's chain ends; the records themselves lie apart. Its id is the door's. */
export interface ChainHead {
  id: string
  /** How many records there are. */
  n: number
  /** Hash of the last one, hex. */
  hash: string
}

declare module '../job/facts' {
  interface RecordTypes {
    head: ChainHead
  }
}

export const headKind = recordKind('head', { fields: { id: 'text', n: 'number', hash: 'text' } })

/** Hash of the last record of a door's chain; empty before the first. */
export const chainHead = (facts: Facts, door: string): string => facts.head[door]?.hash ?? ''
