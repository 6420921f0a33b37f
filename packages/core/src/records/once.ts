import { sameJson } from '../config/canonical'
import type { Change } from '../job/change'
import { declarationOf } from './kinds'

/** A change that would put another record in the place of one that is evidence, or move one to another door; null where none does. */
export function replacedEvidence(changes: readonly Change[]): Change | null {
  const doorOf = (record: unknown): unknown => (record as { door?: unknown }).door
  return (
    changes.find(({ kind, before, after }) => {
      if (before === null || after === null) return false
      const declaration = declarationOf(kind)
      if (declaration?.once) return !sameJson(before, after)
      return declaration?.recorded !== undefined && doorOf(before) !== doorOf(after)
    }) ?? null
  )
}
