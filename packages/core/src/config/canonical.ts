import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import canonicalize from 'canonicalize'

/** RFC 8785 form of a JSON value. @throws where the value is no JSON (NaN, lone surrogates) */
export function canonicalJson(value: unknown): string {
  const text = canonicalize(value)
  if (text === undefined) throw new TypeError('This value has no JSON form.')
  return text
}

/** SHA-256 of the RFC 8785 form, 64 hex digits: the digest of a part. */
export function digestOf(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(canonicalJson(value))))
}

const kept = new WeakMap<object, string>()
/** The RFC 8785 form of a value that is never altered where it lies: written out once. */
export function keptJson(value: object): string {
  let text = kept.get(value)
  if (text === undefined) kept.set(value, (text = canonicalJson(value)))
  return text
}

/** Whether two JSON values are the same. Objects are never altered where they lie. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  return keptJson(a) === keptJson(b)
}
