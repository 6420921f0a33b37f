import { momentText } from '@rauta/core'
import type { CredentialProfile } from '@rauta/protocols'
import { text, type Dict } from './json'

/** A moment in whatever way a device writes it, in ours; what is none stays as it was told, and so differs. */
export function asMoment(told: string): string {
  const at = Date.parse(told)
  return Number.isNaN(at) ? told : momentText(at)
}

const isLimited = (p: CredentialProfile): boolean => p.validFrom !== undefined || p.validTo !== undefined

/** Profiles that count as long as the credential does, by name. */
export const plainOf = (profiles: readonly CredentialProfile[]): string[] =>
  profiles
    .filter((p) => !isLimited(p))
    .map((p) => p.token)
    .sort()

/** Profiles that count between two moments, as a part's value has them; nothing where there is none. */
export function limitedOf(profiles: readonly CredentialProfile[]): Dict {
  const limited = profiles
    .filter(isLimited)
    .map((p) => ({
      profile: p.token,
      ...(p.validFrom === undefined ? {} : { from: asMoment(p.validFrom) }),
      ...(p.validTo === undefined ? {} : { until: asMoment(p.validTo) }),
    }))
    .sort((a, b) => a.profile.localeCompare(b.profile))
  return limited.length ? { limited } : {}
}

/** As the device is told both. */
export const profilesOf = (value: Dict): CredentialProfile[] => [
  ...(value['profiles'] as string[]).map((token) => ({ token })),
  ...((value['limited'] ?? []) as Dict[]).map((l) => ({
    token: text(l['profile']),
    ...(l['from'] === undefined ? {} : { validFrom: text(l['from']) }),
    ...(l['until'] === undefined ? {} : { validTo: text(l['until']) }),
  })),
]
