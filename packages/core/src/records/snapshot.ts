import type { Change } from '../job/change'
import type { Facts, RecordKind } from '../job/facts'
import { heldParts, sameParts } from '../config/held'
import type { Config, HeldParts, Json } from '../config/records'
import { canonicalJson, keptJson } from '../config/canonical'
import { applyChanges, emptyFacts } from './apply'
import { recordKinds } from './kinds'

/** A job as it is sent and kept: its records in a row. A device's share that is as the job wants it is told by its fingerprint alone. */
export interface Snapshot {
  rev: number
  records: { kind: string; data: unknown }[]
}
/** In place of a share's parts: they are what the job wants, and this is what they come to. */
interface AsWanted {
  id: string
  controller: string
  asWanted: string
}
type WantedOf = (controller: string) => Config

/** All records of a job; secrets are not among them. @param wantedOf what a controller shall hold by these very facts */
export function snapshotOf(facts: Facts, wantedOf: WantedOf): Snapshot {
  const wanted = new Map<string, ReadonlyMap<string, HeldParts>>()
  const wantedShare = (share: HeldParts): HeldParts | undefined => {
    let shares = wanted.get(share.controller)
    if (!shares) wanted.set(share.controller, (shares = sharesWanted(share.controller, wantedOf)))
    return shares.get(share.id)
  }
  const told = (share: HeldParts): HeldParts | AsWanted => {
    const { id, controller, parts } = share
    const same = sameParts(wantedShare(share)?.parts, parts)
    return same ? { id, controller, asWanted: fingerprint(parts) } : share
  }
  return {
    rev: facts.rev,
    records: recordKinds.flatMap((kind): Snapshot['records'] =>
      kind === 'heldParts'
        ? Object.values(facts.heldParts).map((share) => ({ kind, data: told(share) }))
        : Object.values(facts[kind]).map((data) => ({ kind, data })),
    ),
  }
}

/**
 * The facts of a snapshot. `missing` are the shares that this version works out otherwise than the one that made the snapshot: they
 * have to be asked for whole.
 * @param wantsOf what controllers shall hold by the facts handed over
 */
export function factsOf(snapshot: Snapshot, wantsOf: (facts: Facts) => WantedOf): { facts: Facts; missing: string[] } {
  const asWanted: AsWanted[] = []
  const changes: Change[] = []
  for (const { kind, data } of snapshot.records) {
    if (kind === 'heldParts' && 'asWanted' in (data as object)) asWanted.push(data as AsWanted)
    else changes.push(madeOf(kind as RecordKind, data as { id: string }))
  }
  const facts = applyChanges(emptyFacts(), changes, snapshot.rev)
  if (asWanted.length === 0) return { facts, missing: [] }
  const wantedOf = wantsOf(facts)
  const shares = new Map<string, ReadonlyMap<string, HeldParts>>()
  const missing: string[] = []
  const found: Change[] = []
  for (const { id, controller, asWanted: wanted } of asWanted) {
    let known = shares.get(controller)
    if (!known) shares.set(controller, (known = sharesWanted(controller, wantedOf)))
    const share = known.get(id)
    if (share && fingerprint(share.parts) === wanted) found.push(madeOf('heldParts', share))
    else missing.push(id)
  }
  return { facts: applyChanges(facts, found, snapshot.rev), missing }
}

const madeOf = (kind: RecordKind, data: { id: string }): Change =>
  ({ kind, id: data.id, before: null, after: data }) as Change

const sharesWanted = (controller: string, wantedOf: WantedOf): ReadonlyMap<string, HeldParts> =>
  new Map(heldParts(controller, wantedOf(controller)).map((share) => [share.id, share]))

const printed = new WeakMap<object, number>()

/** Of a value that is used on many devices: worked out once. */
function hashOf(value: Json): number {
  if (typeof value !== 'object' || value === null) return hashed(canonicalJson(value))
  let hash = printed.get(value)
  if (hash === undefined) printed.set(value, (hash = hashed(keptJson(value))))
  return hash
}

const half = 2 ** 26
const whole = 2 ** 52

/**
 * Tells two builds of this application apart that work one job out differently; it holds off no attacker, and need not. In whatever
 * order the parts stand it is the same, so every step stays below 2^53.
 */
function fingerprint(parts: Config): string {
  let sum = 0
  for (const [key, value] of Object.entries(parts)) {
    const told = hashOf(value)
    const pair = (hashed(key) % half) * (told % half)
    sum = (((sum + pair) % whole) + told) % whole
  }
  return `${Object.keys(parts).length}.${sum.toString(36)}`
}

/** 52 bits of a text: two multiplications of 32 bits over its characters, mixed at the end. */
function hashed(text: string): number {
  let high = 0xdeadbeef
  let low = 0x41c6ce57
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    high = Math.imul(high ^ c, 0x85ebca6b)
    low = Math.imul(low ^ c, 0xc2b2ae35)
  }
  high = Math.imul(high ^ (high >>> 16), 0xc2b2ae35) ^ (low >>> 13)
  low = Math.imul(low ^ (low >>> 16), 0x85ebca6b) ^ (high >>> 13)
  return (high >>> 0) * (1 << 20) + (low >>> 12)
}
