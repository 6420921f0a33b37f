import { all, type Facts } from '@rauta/core'

/** When the newest event of the job was received, server time, ms; 0 where there is none. */
export const newestHeard = (facts: Facts): number =>
  all(facts, 'event').reduce((most, e) => Math.max(most, e.received), 0)
