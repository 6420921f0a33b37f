import { createPrivateKey, createPublicKey, sign, verify, type KeyObject } from 'node:crypto'
import { declarationOf, put, type Change, type ChainHead, type ChainRecord, type Facts } from '@rauta/core'
import { firstPrevious, sealRecord, type SignatureCheck, type Signer } from '@rauta/core/chain'

/** PKCS #8 frame of an Ed25519 secret key, RFC 8410. */
const pkcs8 = Buffer.from('302e020100300506032b657004220420', 'hex')
const keys = new Map<string, KeyObject>()

/** Node's own Ed25519, compiled: a whole door schedule would wait for the one in JavaScript. */
export const signNatively: Signer = (hash, secret) => {
  let key = keys.get(secret)
  if (!key)
    keys.set(
      secret,
      (key = createPrivateKey({
        key: Buffer.concat([pkcs8, Buffer.from(secret, 'hex')]),
        format: 'der',
        type: 'pkcs8',
      })),
    )
  return sign(null, Buffer.from(hash, 'hex'), key).toString('hex')
}

/** Frame of an Ed25519 public key, RFC 8410. */
const spki = Buffer.from('302a300506032b6570032100', 'hex')
const publicKeys = new Map<string, KeyObject>()

/** The same for checking. */
export const holdsNatively: SignatureCheck = (signature, hash, publicKey) => {
  try {
    let key = publicKeys.get(publicKey)
    if (!key)
      publicKeys.set(
        publicKey,
        (key = createPublicKey({
          key: Buffer.concat([spki, Buffer.from(publicKey, 'hex')]),
          format: 'der',
          type: 'spki',
        })),
      )
    return verify(null, Buffer.from(hash, 'hex'), key, Buffer.from(signature, 'hex'))
  } catch {
    return false
  }
}

/** What these changes add to the doors' chains: the records, sealed with the job's key, and where each chain then ends. */
export interface Linked {
  records: ChainRecord[]
  heads: Change[]
}

const recordedOf = (facts: Facts, list: readonly Change[]) =>
  list.flatMap(({ kind, before, after }) =>
    after === null ? [] : (declarationOf(kind)?.recorded?.(after, before, facts) ?? []),
  )

/** Whether any of these belongs into a door's chain. */
export const goesIntoChain = (facts: Facts, list: readonly Change[]): boolean => recordedOf(facts, list).length > 0

/** What a record in the chain says of how it came, where it did not come at once from whoever made it. Milliseconds before it was received. */
export interface Waited {
  /** By the phone's own clock. */
  claimedMs: number
  /** No longer than since the newest thing that this phone had heard from here. */
  plausibleMs: number
  broughtInBy?: string
}

/** How a record came; null for one that came at once. */
export const waitedOf = ({ body }: ChainRecord): Waited | null => (body as { waited?: Waited } | null)?.waited ?? null

/** A record behind the end of its door's chain. */
export const nextRecord = (
  { id: door, n, hash }: ChainHead,
  said: Pick<ChainRecord, 'kind' | 'at' | 'by' | 'body'>,
  secret: string,
): ChainRecord => sealRecord({ id: `${door}#${n + 1}`, door, n: n + 1, previous: hash, ...said }, secret, signNatively)

/** @param facts those after the changes */
export function chainChanges(
  facts: Facts,
  list: readonly Change[],
  secret: string,
  { at, by, waited }: { at: number; by: string; waited: Waited | undefined },
): Linked {
  const ends = new Map<string, ChainHead>()
  const records = recordedOf(facts, list).map(({ door, kind, body }) => {
    const record = nextRecord(
      ends.get(door) ?? facts.head[door] ?? { id: door, n: 0, hash: firstPrevious },
      { kind, at, by, body: waited && typeof body === 'object' ? { ...body, waited } : body },
      secret,
    )
    ends.set(door, { id: door, n: record.n, hash: record.hash })
    return record
  })
  return { records, heads: [...ends.values()].map((head) => put(facts, 'head', head)) }
}
