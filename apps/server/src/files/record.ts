import { jobOf, type ChainRecord, type Door, type Facts } from '@rauta/core'
import type { RecordFile } from '@rauta/core/chain'

/** A door's record as open data; what seals it is put on by the log, which has the key. */
export function recordFile(facts: Facts, door: Door, chain: ChainRecord[]): Omit<RecordFile, 'seal'> {
  const job = jobOf(facts)
  return {
    format: 'rauta-record/2',
    job: { name: job?.name ?? '', client: job?.client ?? '', site: job?.site ?? '', zone: job?.zone ?? '' },
    door: { id: door.id, ref: door.ref, name: door.name },
    count: facts.head[door.id]?.n ?? 0,
    head: facts.head[door.id]?.hash ?? '',
    publicKey: job?.publicKey ?? '',
    ...(job?.keyChanges ? { changes: job.keyChanges } : {}),
    chain,
  }
}
