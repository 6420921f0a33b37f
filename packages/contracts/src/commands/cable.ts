import type { CableType } from '@rauta/core'
import { flag, object, Refusal } from './command'

const cores = { type: 'integer', minimum: 1, maximum: 24 } as const
const make = { cores, perConductor: { type: 'integer', minimum: 1, maximum: 4 }, clad: flag } as const
/** What a cable is, as every command that names one says it. */
export const cableType = {
  anyOf: [
    object(
      { kind: { const: 'iec' }, conductorClass: { enum: [2, 5] }, mm2: { enum: [0.5, 0.75, 1, 1.5, 2.5] }, ...make },
      ['perConductor', 'clad'],
    ),
    object({ kind: { const: 'awg' }, gauge: { type: 'integer', minimum: 10, maximum: 28 }, ...make }, [
      'perConductor',
      'clad',
    ]),
  ],
}

/** Two conductors need their cores. @throws Refusal */
export function checkCores(type: CableType | undefined, field: string): void {
  if (type && type.cores < (type.perConductor ?? 1) * 2)
    throw new Refusal(
      `${type.cores} cores do not make two conductors of ${type.perConductor} cores each. Take a cable with more cores, or fewer a conductor.`,
      field,
    )
}
