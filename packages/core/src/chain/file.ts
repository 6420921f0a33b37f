import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { canonicalJson } from '../config/canonical'
import { successorsOf, type KeyChange } from './keys'
import type { ChainRecord } from './link'
import { signHere, verifyChain, type ChainVerdict, type Signer } from './record'
import { signatureHolds } from './signed'

/** A door's record as a file: the chain that shows any later edit, and a seal over what the file says of it. */
export interface RecordFile {
  format: 'rauta-record/2'
  job: { name: string; client: string; site: string; zone: string }
  door: { id: string; ref: string; name: string }
  /** How many records the chain has. */
  count: number
  /** Hash of the last record. */
  head: string
  publicKey: string
  /** Where the job's key was changed: each change, signed by the key until then. */
  changes?: KeyChange[]
  chain: ChainRecord[]
  /** Ed25519 by the job's key over all of this but the chain, which the head stands for. */
  seal: string
}

/** What the seal covers: SHA-256 of its RFC 8785 form, as hex. */
function sealedHash({
  format,
  job,
  door,
  count,
  head,
  publicKey,
  changes,
}: Omit<RecordFile, 'chain' | 'seal'>): string {
  const said = { format, job, door, count, head, publicKey, ...(changes ? { changes } : {}) }
  return bytesToHex(sha256(utf8ToBytes(canonicalJson(said))))
}

/** Seals a file. @param secret Ed25519 secret key, 32 bytes as hex */
export const sealFile = (file: Omit<RecordFile, 'seal'>, secret: string, sign: Signer = signHere): RecordFile => ({
  ...file,
  seal: sign(sealedHash(file), secret),
})

export interface FileTrust {
  /** The job's public key, 64 hexadecimal digits. */
  publicKey?: string
  /** The printed head, with or without its count. */
  head?: string
}

const bad = (says: string): ChainVerdict => ({ ok: false, says, firstBad: null })

/**
 * Checks a door's record: its chain, that it is all of it, and that it is this door's. With the job's key also that the
 * file is what that job gave out, to its last record; with the printed head that it is what was printed. A file that was
 * given out earlier and is whole is told by the head alone.
 */
export function verifyFile(file: RecordFile, trust: FileTrust = {}): ChainVerdict {
  const { chain, door, count, head } = file
  if (chain.length === 0) return bad('The chain is empty: nothing is recorded of this door.')
  const stranger = chain.findIndex((r) => r.door !== door.id || r.id !== `${door.id}#${r.n}`)
  if (stranger >= 0) return { ok: false, says: `Record ${stranger + 1} is of another door.`, firstBad: stranger + 1 }
  const [, printedCount, printed] = /^(?:(\d+):)?([0-9a-f]{64})$/i.exec(trust.head ?? '') ?? []
  if (trust.head !== undefined && printed === undefined)
    return bad('The head is none: 64 hexadecimal digits, as printed.')
  // Without the job's own key the file's is good for this much: that nothing in it was altered alone.
  const publicKey = trust.publicKey ?? file.publicKey
  const verdict = verifyChain(chain, {
    publicKey,
    changes: file.changes ?? [],
    ...(printed === undefined ? {} : { head: printed }),
  })
  if (!verdict.ok) return verdict
  if (chain.length !== count || verdict.head !== head)
    return bad(`The file says that it has ${count} records up to ${head.slice(0, 16)}; records were left out or added.`)
  if (printedCount !== undefined && Number(printedCount) !== count)
    return bad(`${printedCount} records are printed, the file has ${count}.`)
  const named = [...chain].reverse().find((r) => r.kind === 'plan')?.body as
    { ref?: unknown; name?: unknown } | undefined
  if (named && (named.ref !== door.ref || named.name !== door.name))
    return bad(
      `The file is called ${door.ref} ${door.name}; its records are of ${String(named.ref)} ${String(named.name)}.`,
    )
  if (trust.publicKey !== undefined && !successorsOf(trust.publicKey, file.changes ?? []).includes(file.publicKey))
    return bad('The file names another key than this job’s.')
  if (!signatureHolds(file.seal, sealedHash(file), file.publicKey))
    return bad('What the file says of itself (job, door, number of records, head) is not sealed with the job’s key.')
  return trust.publicKey === undefined && printed === undefined
    ? { ...verdict, says: `${chain.length} records, consistent in themselves, origin not checked.` }
    : verdict
}
