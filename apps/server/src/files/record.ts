import { all, jobOf, type Door, type Facts } from '@rauta/core'
import { chainHead, type RecordFile } from '@rauta/contracts'

export function chainOf(facts: Facts, door: string) {
  return all(facts, 'chain')
    .filter((r) => r.door === door)
    .sort((a, b) => a.n - b.n)
}

/** A door's record as open data. */
export function recordFile(facts: Facts, door: Door): RecordFile {
  const job = jobOf(facts)
  return {
    format: 'rauta-record/1',
    job: { name: job?.name ?? '', client: job?.client ?? '', site: job?.site ?? '', zone: job?.zone ?? '' },
    door: { ref: door.ref, name: door.name },
    head: chainHead(facts, door.id),
    publicKey: job?.publicKey ?? '',
    chain: chainOf(facts, door.id),
  }
}
