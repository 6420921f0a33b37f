import { createPrivateKey, sign, type KeyObject } from 'node:crypto'
import { all, readKey, type Change, type ChainRecord, type Door, type Facts } from '@rauta/core'
import { firstPrevious, sealRecord, type Signer } from '@rauta/core/chain'

/** PKCS #8 frame of an Ed25519 secret key, RFC 8410. */
const pkcs8 = Buffer.from('302e020100300506032b657004220420', 'hex')
const keys = new Map<string, KeyObject>()

/** Node's own Ed25519, compiled: a whole door schedule would wait for the one in JavaScript. */
const signNatively: Signer = (hash, secret) => {
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

interface Link {
  door: string
  kind: ChainRecord['kind']
  body: unknown
}

const doorsOn = (facts: Facts, controller: string): Door[] =>
  all(facts, 'door').filter((d) => d.placement?.controller === controller)

/** Which changes become records of which doors' chains. What can be worked out again from others is left out. */
function linksOf(facts: Facts, change: Change): Link[] {
  const after = change.after
  if (after === null) return []
  switch (change.kind) {
    case 'door':
      return [{ door: change.id, kind: 'plan', body: after }]
    case 'tick':
    case 'reading':
    case 'proof':
    case 'snag':
    case 'signature':
    case 'photo':
      return [{ door: (after as { door: string }).door, kind: change.kind, body: after }]
    case 'cabinet':
      return doorsOn(facts, change.id).map((d) => ({ door: d.id, kind: 'cabinet', body: after }))
    case 'reach': {
      const before = change.before as Facts['reach'][string] | null
      const now = after as Facts['reach'][string]
      if (
        !now.owned ||
        (before?.owned &&
          before.serial === now.serial &&
          before.firmware === now.firmware &&
          !!before.firmwareAccepted === !!now.firmwareAccepted)
      )
        return []
      const { address, serial, mac, firmware, firmwareAccepted, erasedAt, zoneHeld } = now
      return doorsOn(facts, change.id).map((d) => ({
        door: d.id,
        kind: 'taken',
        body: { controller: change.id, address, serial, mac, firmware, firmwareAccepted, erasedAt, zoneHeld },
      }))
    }
    case 'load': {
      const load = after as Facts['load'][string]
      if (load.state !== 'held' || (change.before as Facts['load'][string] | null)?.state === 'held') return []
      return doorsOn(facts, load.controller).map((d) => ({
        door: d.id,
        kind: 'load',
        body: { ...load, parts: doorParts(facts, d) },
      }))
    }
    default:
      return []
  }
}

/** What the controller holds for a door, as it was read back. */
function doorParts(facts: Facts, door: Door): Record<string, unknown> {
  const held = facts.held[door.placement?.controller ?? '']?.config ?? {}
  const own = Object.entries(held).filter(([key]) => {
    const { kind, token } = readKey(key)
    return kind?.doorOf(token) === door.id
  })
  return Object.fromEntries(own)
}

/** Heads of the doors' chains, kept so that the next record can be linked without reading the whole chain. */
export class Heads {
  private readonly heads = new Map<string, { n: number; hash: string }>()
  private constructor(private readonly under: Heads | null) {}
  static of(facts: Facts): Heads {
    const heads = new Heads(null)
    for (const record of all(facts, 'chain')) heads.note(record)
    return heads
  }
  /** Heads that go on from these without altering them, until `settle`. */
  over(): Heads {
    return new Heads(this)
  }
  settle(): void {
    for (const [door, head] of this.heads) this.under?.heads.set(door, head)
  }
  of(door: string): { n: number; hash: string } {
    return this.heads.get(door) ?? this.under?.of(door) ?? { n: 0, hash: firstPrevious }
  }
  note(record: ChainRecord): void {
    if (record.n > this.of(record.door).n) this.heads.set(record.door, { n: record.n, hash: record.hash })
  }
}

/** The chain records that these changes add, sealed with the job's key. `facts` are those after the changes. */
export function chainChanges(
  facts: Facts,
  list: readonly Change[],
  heads: Heads,
  secret: string,
  at: number,
  by: string,
): Change[] {
  const ends = new Map<string, { n: number; hash: string }>()
  return list
    .flatMap((change) => linksOf(facts, change))
    .map(({ door, kind, body }) => {
      const end = ends.get(door) ?? heads.of(door)
      const n = end.n + 1
      const record = sealRecord(
        { id: `${door}#${n}`, door, n, previous: end.hash, kind, at, by, body },
        secret,
        signNatively,
      )
      ends.set(door, { n, hash: record.hash })
      return { kind: 'chain', id: record.id, before: null, after: record }
    })
}
