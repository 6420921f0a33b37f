import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { canonicalJson } from '../config/canonical'
import type { ChainRecord } from './link'
import { signatureHolds, type SignatureCheck } from './signed'

/** The job signs with another key from now on: said once for the job, and signed by the key until then. */
export interface KeyChange {
  /** Public keys, hex. */
  from: string
  to: string
  at: number
  /** By `from`, over the rest. */
  signed: string
}

/** Kind of the record that stands in a door's chain where the key changes; the key until then signs it like any other. */
export const handoverKind = 'key'

/** What such a record holds. */
export interface Handover {
  from: string
  to: string
  /** By `to`, over the hash of the record before: the new key answers for the chain up to here. */
  agreed: string
}

const hashed = (value: object): string => bytesToHex(sha256(utf8ToBytes(canonicalJson(value))))

/** SHA-256, hex, of what the old key signs. */
export const changeHash = ({ from, to, at }: Omit<KeyChange, 'signed'>): string =>
  hashed({ is: 'rauta key change', from, to, at })
/** SHA-256, hex, of what the new key signs in a door's chain. */
export const agreementHash = (from: string, to: string, previous: string): string =>
  hashed({ is: 'rauta key handover', from, to, previous })

/** What a record says of a change of keys; null for every other record. */
export function handoverIn({ kind, body }: ChainRecord): Handover | null {
  const said = body as Partial<Handover> | null
  return kind === handoverKind &&
    typeof said?.from === 'string' &&
    typeof said.to === 'string' &&
    typeof said.agreed === 'string'
    ? { from: said.from, to: said.to, agreed: said.agreed }
    : null
}

/** A key and all that came after it, as far as each was signed by the one before. */
export function successorsOf(key: string, changes: readonly KeyChange[]): string[] {
  const keys = [key]
  for (;;) {
    const last = keys.at(-1) ?? ''
    const next = changes.find((c) => c.from === last && !keys.includes(c.to))
    if (!next || !signatureHolds(next.signed, changeHash(next), last)) return keys
    keys.push(next.to)
  }
}

/**
 * The key that a chain begins under, for somebody who trusts `trusted`: that one, one that it handed over to, or one that handed over to it
 * within this chain. Null where nothing leads from one to the other.
 */
export function firstKey(
  records: readonly ChainRecord[],
  trusted: string,
  changes: readonly KeyChange[],
  holds: SignatureCheck = signatureHolds,
): string | null {
  const known = successorsOf(trusted, changes)
  const handed = records.flatMap((r) => handoverIn(r) ?? [])
  const [first] = handed
  if (first) return known.includes(first.from) || handed.some((h) => known.includes(h.to)) ? first.from : null
  const begins = records[0]
  return known.find((k) => begins && holds(begins.signature, begins.hash, k)) ?? null
}
