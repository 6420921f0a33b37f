import { createHash } from 'node:crypto'
import { keptJson, type Change } from '@rauta/core'
import type { Entry } from '../changes/entry'

/** A stored record, as the table of records has it. */
export interface StoredRow {
  kind: string
  id: string
  rev: number
  data: unknown
}

const jsonOf = (value: unknown): string =>
  typeof value === 'object' && value !== null ? keptJson(value) : JSON.stringify(value)

/** What one record adds to the sum: 64 bits of the SHA-256 of what it is called and holds. */
function weightOf(kind: string, id: string, data: unknown): bigint {
  const hash = createHash('sha256')
    .update(JSON.stringify([kind, id]))
    .update(jsonOf(data))
    .digest()
  return hash.readBigUInt64BE(0)
}
const inSum = (n: bigint): bigint => BigInt.asUintN(64, n)

/** What the records and the log of a job come to; the sum doesn't depend on the order, so each change alters it by its own records alone. */
export class Totals {
  private readonly weights = new Map<string, bigint>()
  private sum = 0n
  constructor(public hash = '') {}

  get records(): number {
    return this.weights.size
  }
  get weight(): string {
    return String(this.sum)
  }

  set(kind: string, id: string, data: unknown): void {
    const key = `${kind}/${id}`
    const weight = data === null ? undefined : weightOf(kind, id, data)
    this.sum = inSum(this.sum - (this.weights.get(key) ?? 0n) + (weight ?? 0n))
    if (weight === undefined) this.weights.delete(key)
    else this.weights.set(key, weight)
  }

  /** As they would be after these; itself it stays as it is. */
  after(puts: readonly Pick<Change, 'kind' | 'id' | 'after'>[]): { records: number; weight: string } {
    let { sum } = this
    let { records } = this
    for (const { kind, id, after } of puts) {
      const before = this.weights.get(`${kind}/${id}`)
      sum += (after === null ? 0n : weightOf(kind, id, after)) - (before ?? 0n)
      records += (after === null ? 0 : 1) - (before === undefined ? 0 : 1)
    }
    return { records, weight: String(inSum(sum)) }
  }
}

/** Kinds whose records lie in tables of their own. */
export const liesApart = (kind: string): boolean => kind === 'event' || kind === 'chain'

/** Hash of one change of the log: over all that it says and the hash before it, SHA-256 as hex. */
export function changeHash(previous: string, entry: Entry, command: string | null): string {
  const { rev, at, by, name, says, changes } = entry
  const hash = createHash('sha256').update(JSON.stringify([previous, rev, at, by, command, name, says]))
  for (const { kind, id, before, after } of changes)
    hash
      .update(JSON.stringify([kind, id]))
      .update(jsonOf(before))
      .update('\n')
      .update(jsonOf(after))
  return hash.digest('hex')
}
