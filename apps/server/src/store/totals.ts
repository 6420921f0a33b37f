import { createHash } from 'node:crypto'
import { keptJson } from '@rauta/core'
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

  /** Takes a record as it stands now; null where it is gone. */
  set(kind: string, id: string, data: unknown): void {
    this.weigh([{ kind, id, after: data }]).take()
  }

  /** What they would be after these, each weighed once; they are so when it is taken. */
  weigh(puts: readonly { kind: string; id: string; after: unknown }[]): WeighedTotals {
    let { sum, records } = this
    const weighed = puts.map(({ kind, id, after }) => {
      const key = `${kind}/${id}`
      const before = this.weights.get(key)
      const weight = after === null ? undefined : weightOf(kind, id, after)
      sum += (weight ?? 0n) - (before ?? 0n)
      records += Number(weight !== undefined) - Number(before !== undefined)
      return [key, weight] as const
    })
    return {
      records,
      weight: String(inSum(sum)),
      take: () => {
        this.sum = inSum(sum)
        for (const [key, weight] of weighed)
          if (weight === undefined) this.weights.delete(key)
          else this.weights.set(key, weight)
      },
    }
  }
}

interface WeighedTotals {
  records: number
  weight: string
  take(): void
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
