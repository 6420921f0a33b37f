import type { Found } from '../devices/records'

/** Two that were heard within so long of each other are there at the same time, ms. Longer apart, one may have been put in the other's place. */
const togetherMs = 60_000

/** Devices that are in each other's way on the network. */
export interface FoundConflict {
  kind: 'oneAddress' | 'oneMac'
  /** The address or MAC that they share. */
  shared: string
  /** Ids of the found devices, in the order in which they were heard. */
  found: string[]
  says: string
}

const nameOf = (f: Found): string => f.serial || f.mac || f.name || 'one without a name'
const plainMac = (mac: string): string => mac.toUpperCase().replaceAll('-', ':')

/** Two answers at one address, and one MAC at two addresses, among devices that were heard at the same time. */
export function foundConflicts(list: readonly Found[]): FoundConflict[] {
  const heard = [...list].sort((a, b) => a.seenAt - b.seenAt)
  return [
    ...sharing(heard, (f) => f.address, whoOf).map(([address, all]): FoundConflict => ({
      kind: 'oneAddress',
      shared: address,
      found: all.map((f) => f.id),
      says: `${listed(all.map(nameOf))} answer at one address, ${address}. Take the power off all but one, and give each an address of its own.`,
    })),
    ...sharing(
      heard,
      (f) => plainMac(f.mac),
      (f) => f.address,
    ).map(([mac, all]): FoundConflict => ({
      kind: 'oneMac',
      shared: mac,
      found: all.map((f) => f.id),
      says: `One MAC, ${mac}, answers at ${listed(all.map((f) => f.address))}. Either a device has two addresses, or one of them says it is another: compare both with their labels.`,
    })),
  ]
}

/** Who a device says it is, apart from where it is. */
const whoOf = (f: Found): string => `${f.serial} ${plainMac(f.mac)}`

/** Those that share a key, differ in something, and are there together. */
function sharing(
  heard: readonly Found[],
  key: (f: Found) => string,
  differs: (f: Found) => string,
): [string, Found[]][] {
  const groups = new Map<string, Found[]>()
  for (const f of heard) if (key(f)) groups.set(key(f), [...(groups.get(key(f)) ?? []), f])
  return [...groups].flatMap(([shared, all]): [string, Found[]][] => {
    const newest = all.at(-1)
    const now = all.filter((f) => newest && newest.seenAt - f.seenAt <= togetherMs)
    return new Set(now.map(differs)).size > 1 ? [[shared, now]] : []
  })
}

const listed = (words: readonly string[]): string => `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
