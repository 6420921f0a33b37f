import type { DoorFile } from './wiring'

/**
 * What may be wrong with a part and its cable, as copper and iron have it: it shows only through its effects.
 * `loose`: a conductor is off. `data0Loose`, `data1Loose`: that one alone. `dark`: a reader without supply. `bridged`: an input that is
 * always closed, a lock that is fed past relay and break glass. `otherContact`: a lock on the relay’s other contact. `stuck`: a lock that
 * is free and keeps the leaf all the same, a break glass whose contact does not open. `turned`: a contact that rests the other way round.
 */
export const harms = [
  'loose',
  'data0Loose',
  'data1Loose',
  'dark',
  'bridged',
  'otherContact',
  'stuck',
  'turned',
] as const
export type Harm = (typeof harms)[number]

const ofInput: readonly Harm[] = ['loose', 'bridged', 'turned']
const ofLock: readonly Harm[] = ['loose', 'bridged', 'otherContact', 'stuck']
const ofReader: readonly Harm[] = ['loose', 'data0Loose', 'data1Loose', 'dark']

/** Parts of a door that can be harmed, with what can be wrong with each. */
export function harmable(file: DoorFile): Record<string, readonly Harm[]> {
  return {
    K1: ofLock,
    ...(file.lock2 ? { K2: ofLock } : {}),
    ...Object.fromEntries(file.readers.filter((r) => !r.bus).map((r) => [r.id, ofReader])),
    ...(file.contact ? { C1: ofInput } : {}),
    ...(file.contact2 ? { C2: ofInput } : {}),
    ...(file.exit ? { X1: ofInput } : {}),
    ...(file.breakGlass ? { B1: ['stuck'] as const } : {}),
    ...Object.fromEntries(Object.keys(file.worked ?? {}).map((part) => [part, ofInput])),
  }
}

/** What is wrong at one door, by part. */
export class Harms {
  private readonly by = new Map<string, Harm>()
  /** @throws where the door has no such part, or that cannot be wrong with it */
  set(file: DoorFile, part: string, harm: Harm | null): void {
    const possible = harmable(file)
    const those = Object.hasOwn(possible, part) ? possible[part] : undefined
    if (!those) throw new Error(`Door ${file.id} has no ${part} that could be harmed.`)
    if (harm !== null && !those.includes(harm)) throw new Error(`${part} cannot be so. It can be: ${those.join(', ')}.`)
    if (harm) this.by.set(part, harm)
    else this.by.delete(part)
  }
  of(part: string): Harm | null {
    return this.by.get(part) ?? null
  }
  /** Whether an input's circuit is closed, where its part alone would have it so. */
  closed(part: string, alone: boolean): boolean {
    switch (this.of(part)) {
      case 'loose':
        return false
      case 'bridged':
        return true
      case 'turned':
        return !alone
      default:
        return alone
    }
  }
}
