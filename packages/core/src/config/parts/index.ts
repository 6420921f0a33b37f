import { accessPointKind } from './accessPoint'
import { behaviourKind } from './behaviour'
import { cardFormatKind } from './cardFormat'
import { credentialKind } from './credential'
import { doorKind } from './door'
import type { PartKind } from './kind'
import { profileKind } from './profile'
import { radioKind } from './radio'
import { reactionsKind } from './reactions'
import { scheduleKind } from './schedule'
import { specialDaysKind } from './specialDays'
import { terminalsKind } from './terminals'

export type { PartKind } from './kind'
export { keepsStandby } from './radio'
export { membersProfile, testReactions } from './reactions'
export { testSchedules } from './schedule'
export { momentText } from './credential'

/** Every kind of part, in the order in which they are written: what others refer to comes first. Removals go the other way. */
export const partKinds: readonly PartKind[] = [
  specialDaysKind,
  scheduleKind,
  doorKind,
  accessPointKind,
  cardFormatKind,
  terminalsKind,
  behaviourKind,
  radioKind,
  profileKind,
  reactionsKind,
  credentialKind,
]

const byName = new Map(partKinds.map((kind, order) => [kind.name, { kind, order }]))

/** Parts under this prefix are the test cards': they make nothing stale. */
const testPrefix = 'test/'

/** A key taken apart: the only place where one is. `kind` is null for what no kind of ours stands for. */
export interface PartKey {
  kind: PartKind | null
  /** Name as it stands in the key, whether or not a kind has it. */
  name: string
  token: string
  test: boolean
  order: number
}

export function readKey(key: string): PartKey {
  const test = key.startsWith(testPrefix)
  const bare = test ? key.slice(testPrefix.length) : key
  const slash = bare.indexOf('/')
  const name = slash < 0 ? bare : bare.slice(0, slash)
  const found = byName.get(name)
  return {
    kind: found?.kind ?? null,
    name,
    token: slash < 0 ? '' : bare.slice(slash + 1),
    test,
    order: found?.order ?? -1,
  }
}

export const partKey = (name: string, token: string, test = false): string =>
  `${test ? testPrefix : ''}${name}/${token}`
export const isTestPart = (key: string): boolean => key.startsWith(testPrefix)
