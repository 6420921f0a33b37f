import { chainHead, jobOf, type ChainRecord, type Door, type Facts } from '@rauta/core'
import type { RecordFile } from '@rauta/contracts'

/** A door's record as open data. */
export function recordFile(facts: Facts, door: Door, chain: ChainRecord[]): RecordFile {
  const job = jobOf(facts)
  return {
    format: 'rauta-record/1',
    job: { name: job?.name ?? '', client: job?.client ?? '', site: job?.site ?? '', zone: job?.zone ?? '' },
    door: { ref: door.ref, name: door.name },
    head: chainHead(facts, door.id),
    publicKey: job?.publicKey ?? '',
    chain,
  }
}
