import { ed25519 } from '@noble/curves/ed25519.js'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js'
import { canonicalJson } from '../config/canonical'
import type { ChainRecord } from './link'
import { agreementHash, firstKey, handoverIn, type KeyChange } from './keys'
import { signatureHolds, type SignatureCheck } from './signed'

export const firstPrevious = '0'.repeat(64)

type Unsigned = Omit<ChainRecord, 'hash' | 'signature'>

export function hashOf(record: Unsigned): string {
  const { id, door, n, previous, kind, at, by, body } = record
  return bytesToHex(sha256(utf8ToBytes(canonicalJson({ id, door, n, previous, kind, at, by, body }))))
}

/** Ed25519 of a hash (hex) by a secret key of 32 bytes (hex), as hex. Ed25519 gives one signature whoever works it out. */
export type Signer = (hash: string, secret: string) => string
export const signHere: Signer = (hash, secret) => bytesToHex(ed25519.sign(hexToBytes(hash), hexToBytes(secret)))

/** Signs a record. @param secret Ed25519 secret key, 32 bytes as hex @param sign a quicker way to sign, where the machine has one */
export function sealRecord(record: Unsigned, secret: string, sign: Signer = signHere): ChainRecord {
  const hash = hashOf(record)
  return { ...record, hash, signature: sign(hash, secret) }
}

export function publicKeyOf(secret: string): string {
  return bytesToHex(ed25519.getPublicKey(hexToBytes(secret)))
}

export type ChainVerdict =
  { ok: true; says: string; head: string } | { ok: false; says: string; firstBad: number | null }

/**
 * Checks a door's chain. With the job's public key each record's signature is checked too, so a chain that was rebuilt
 * from an edited record is found out at that record; with the printed head the end is. With neither, only that the
 * chain is consistent in itself. Where the job's key was changed, any of its keys will do, with the changes that lead on from it.
 * @param holds a quicker way to check a signature, where the machine has one
 */
export function verifyChain(
  records: readonly ChainRecord[],
  trust: { publicKey?: string; head?: string; changes?: readonly KeyChange[] } = {},
  holds: SignatureCheck = signatureHolds,
): ChainVerdict {
  let previous = firstPrevious
  let key = trust.publicKey ? firstKey(records, trust.publicKey, trust.changes ?? [], holds) : null
  for (const [i, record] of records.entries()) {
    const bad = (why: string): ChainVerdict => ({
      ok: false,
      says: `Record ${i + 1} (${record.kind}, ${record.id}) ${why}.`,
      firstBad: i + 1,
    })
    if (record.n !== i + 1) return bad('is out of order')
    if (record.previous !== previous) return bad('does not follow the one before it')
    if (hashOf(record) !== record.hash) return bad('was edited: its hash does not match its content')
    if (trust.publicKey) {
      if (!key || !holds(record.signature, record.hash, key)) return bad('is not signed with this job’s key')
      const handed = handoverIn(record)
      if (handed) {
        if (handed.from !== key || !holds(handed.agreed, agreementHash(key, handed.to, previous), handed.to))
          return bad('hands over to a key that does not answer for it')
        key = handed.to
      }
    }
    previous = record.hash
  }
  if (trust.head && trust.head.toLowerCase() !== previous)
    return {
      ok: false,
      says: 'The chain does not end at the printed head: a record was edited, added or left out, and the chain was rebuilt.',
      firstBad: null,
    }
  const n = `${records.length} record${records.length === 1 ? '' : 's'}`
  if (trust.publicKey || trust.head) return { ok: true, says: `${n}, unbroken, and of this job.`, head: previous }
  return { ok: true, says: `${n}, consistent in itself, origin not checked.`, head: previous }
}
