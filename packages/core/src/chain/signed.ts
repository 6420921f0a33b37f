import { ed25519 } from '@noble/curves/ed25519.js'
import { hexToBytes } from '@noble/hashes/utils.js'

/** Checks an Ed25519 signature (hex) over a hash (hex) by a key (hex). */
export type SignatureCheck = (signature: string, hash: string, publicKey: string) => boolean

/** Whether a signature (hex) over a hash (hex) is by a key (hex); false for what is none of these. */
export function signatureHolds(signature: string, hash: string, publicKey: string): boolean {
  try {
    return ed25519.verify(hexToBytes(signature), hexToBytes(hash), hexToBytes(publicKey))
  } catch {
    return false
  }
}
