import type { Finding, Mark } from '../job/finding'

export type Sign = 'notNeeded' | 'stopped' | 'stale' | 'given' | 'underWay' | 'todo'

/** One mark of one door: its sign, the share done, and in words why it is missing. */
export interface MarkState {
  mark: Mark
  sign: Sign
  /** 0 to 1. */
  share: number
  /** One line; for a missing mark what is missing. */
  says: string
  findings: Finding[]
}
/** Whether nothing more has to be done for a mark. */
export const isEarned = ({ sign }: MarkState): boolean => sign === 'given' || sign === 'notNeeded'
export type DoorMarks = Record<Mark, MarkState>

/** Where one device stands; the first that is true counts. */
export interface DeviceStanding {
  sign: 'todo' | 'underWay' | 'stale' | 'given'
  share: number
  says: string
}
