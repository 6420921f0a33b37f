import { drop, put, type Change } from '../job/change'
import type { Facts } from '../job/facts'
import { recordKind } from '../job/kind'
import { sameJson } from './canonical'
import { isTestPart, readKey } from './parts'
import type { Config, Held, HeldParts, Json } from './records'

/** Cards are many: each lies in one of so many shares of its device, by its token. */
const shares = 32

function hashed(token: string): number {
  let hash = 0
  for (let i = 0; i < token.length; i++) hash = (Math.imul(hash, 31) + token.charCodeAt(i)) >>> 0
  return hash % shares
}

const idOf = (controller: string, share: string): string => `${controller}~${share}`

/** The share of a device's configuration that a part lies in. */
function shareOf(key: string): string {
  if (isTestPart(key)) return 'test'
  const { kind, token } = readKey(key)
  if (!kind) return 'besides'
  return kind.many ? `${kind.name}.${hashed(token)}` : kind.name
}

/** A configuration taken apart into the records in which it is kept. */
export function heldParts(controller: string, config: Config): HeldParts[] {
  const found = new Map<string, Record<string, Json>>()
  for (const [key, value] of Object.entries(config)) {
    const share = shareOf(key)
    let parts = found.get(share)
    if (!parts) found.set(share, (parts = {}))
    parts[key] = value
  }
  return [...found].map(([share, parts]) => ({ id: idOf(controller, share), controller, parts }))
}

const byController = new WeakMap<Facts['heldParts'], Map<string, HeldParts[]>>()
function sharesOf(facts: Facts, controller: string): readonly HeldParts[] {
  let index = byController.get(facts.heldParts)
  if (!index) {
    index = new Map()
    for (const record of Object.values(facts.heldParts)) {
      const list = index.get(record.controller)
      if (list) list.push(record)
      else index.set(record.controller, [record])
    }
    byController.set(facts.heldParts, index)
  }
  return index.get(controller) ?? []
}

/** All that a device was last read to hold; empty where it was never read. */
export function heldConfig(facts: Facts, controller: string): Config {
  return Object.assign({}, ...sharesOf(facts, controller).map((s) => s.parts)) as Config
}

/** The parts of one kind that a device was last read to hold; the same object as long as none of them changes. */
export const heldOfKind = (facts: Facts, controller: string, kind: string): Config =>
  facts.heldParts[idOf(controller, kind)]?.parts ?? noParts
const noParts: Config = {}

/** What a reading changes: nothing where the device holds what it held and was understood before, too. */
export function readingChanges(facts: Facts, controller: string, config: Config, at: number): Change[] {
  const now = heldParts(controller, config)
  const ids = new Set(now.map((share) => share.id))
  const changes = [
    ...now
      .filter((share) => !sameParts(facts.heldParts[share.id]?.parts, share.parts))
      .map((share) => put(facts, 'heldParts', share)),
    ...sharesOf(facts, controller)
      .filter((share) => !ids.has(share.id))
      .flatMap((share) => drop(facts, 'heldParts', share.id)),
  ]
  const before = facts.held[controller]
  if (before && !before.fault && changes.length === 0) return []
  return [...changes, put(facts, 'held', { id: controller, readAt: at, fault: '' })]
}

/** Takes away all that is known of what a device holds. */
export const forgetHeld = (facts: Facts, controller: string): Change[] => [
  ...sharesOf(facts, controller).flatMap((share) => drop(facts, 'heldParts', share.id)),
  ...drop(facts, 'held', controller),
]

export function sameParts(a: Config | undefined, b: Config): boolean {
  if (a === undefined) return false
  if (a === b) return true
  const keys = Object.keys(b)
  return keys.length === Object.keys(a).length && keys.every((key) => Object.hasOwn(a, key) && sameJson(a[key], b[key]))
}

declare module '../job/facts' {
  interface RecordTypes {
    held: Held
    heldParts: HeldParts
  }
}

export const heldKind = recordKind('held', {
  fields: { id: 'text', readAt: 'number', fault: 'text' },
  touches: ({ id }) => ({ controllers: [id] }),
})

/** What is of no door alone reaches a door's Load only; the rest reaches its tests too. */
export const heldPartsKind = recordKind('heldParts', {
  fields: { id: 'text', controller: 'text', parts: 'object' },
  touches: ({ controller, parts }) =>
    Object.keys(parts).some((key) => {
      const { kind, token, test } = readKey(key)
      return !test && kind?.doorOf(token) !== null
    })
      ? { controllers: [controller] }
      : { access: [controller] },
})
