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
  const oneAddress = sharing(heard, (f) => f.address, areSeveral)
  const oneMac = sharing(
    heard,
    (f) => plainMac(f.mac),
    (all) => new Set(all.map((f) => f.address)).size > 1,
  )
  return [
    ...oneAddress.map(([shared, all]): FoundConflict => ({
      kind: 'oneAddress',
      shared,
      found: all.map((f) => f.id),
      says: `${manyOf(all)} at one address, ${shared}. Take the power off all but one, and give each an address of its own.`,
    })),
    ...oneMac.map(([shared, all]): FoundConflict => ({
      kind: 'oneMac',
      shared,
      found: all.map((f) => f.id),
      says: `One MAC, ${shared}, answers at ${listed([...new Set(all.map((f) => f.address))])}. Either a device has two addresses, or one of them says it is another: compare both with their labels.`,
    })),
  ]
}

/** It was asked by hand at its address, and may be one that was heard as well. */
const byHand = (f: Found): boolean => f.id.startsWith('at-') || f.id.includes('-at-')

/** Whether those at one address are more than one device. Asked there, one of them answers for all: what tells them apart is that each greets under a name of its own. */
const areSeveral = (all: readonly Found[]): boolean =>
  new Set(all.filter((f) => !byHand(f)).map((f) => f.id)).size > 1 ||
  new Set(all.map((f) => `${f.serial} ${plainMac(f.mac)}`)).size > 1

function manyOf(all: readonly Found[]): string {
  const names = [...new Set(all.map(nameOf))]
  return names.length > 1
    ? `${listed(names)} answer`
    : `${all.length} devices answer, ${names[0] ?? 'one of them'} for all of them,`
}

/** Those that share a key, are there together, and are in each other's way. */
function sharing(
  heard: readonly Found[],
  key: (f: Found) => string,
  clash: (all: readonly Found[]) => boolean,
): [string, Found[]][] {
  const groups = new Map<string, Found[]>()
  for (const f of heard) if (key(f)) groups.set(key(f), [...(groups.get(key(f)) ?? []), f])
  return [...groups].flatMap(([shared, all]): [string, Found[]][] => {
    const newest = all.at(-1)
    const now = all.filter((f) => newest && newest.seenAt - f.seenAt <= togetherMs)
    return clash(now) ? [[shared, now]] : []
  })
}

const listed = (words: readonly string[]): string => `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
