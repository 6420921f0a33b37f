import { all, isKind, roleFacts, type DeviceSheet, type Facts, type PartRole } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'

/** The type that this job has most of already, among those that fit; else the first that there is a sheet for. */
function commonest(facts: Facts, fits: (sheet: DeviceSheet) => boolean, used: readonly string[]): string {
  const sheets = Object.values(sheetsFor(facts)).filter(fits)
  const count = (id: string) => used.filter((u) => u === id).length
  return (
    sheets.reduce<DeviceSheet | undefined>((best, s) => (best && count(best.id) >= count(s.id) ? best : s), undefined)
      ?.id ?? ''
  )
}

export const usualController = (facts: Facts): string =>
  commonest(
    facts,
    (s) => !!s.controller && s.controller.ownReader === undefined,
    all(facts, 'controller').map((c) => c.sheet),
  )
export const usualSupply = (facts: Facts): string =>
  commonest(
    facts,
    (s) => !!s.supply,
    all(facts, 'controller').map((c) => c.supply),
  )
/** Hardware of a role as most doors of this job have it; before there are any, a lock that needs nothing beside it. */
export const usualPart = (facts: Facts, role: PartRole): string =>
  commonest(
    facts,
    (s) => isKind(s, roleFacts[role].kind) && (used(facts, role).includes(s.id) || s.lock?.principle !== 'magnetic'),
    used(facts, role),
  )

const used = (facts: Facts, role: PartRole): string[] =>
  all(facts, 'door').flatMap((d) => d.parts.filter((p) => p.role === role).map((p) => p.sheet))
