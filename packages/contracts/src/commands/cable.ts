import { flag, object } from './command'

const cores = { type: 'integer', minimum: 1, maximum: 24 } as const
const make = { cores, perConductor: { type: 'integer', minimum: 1, maximum: 4 }, clad: flag } as const
/** What a cable is, as every command that names one says it. */
export const cableType = {
  anyOf: [
    object({ kind: { const: 'iec' }, conductorClass: { enum: [2, 5] }, mm2: { enum: [0.5, 0.75, 1, 1.5, 2.5] }, ...make }, ['perConductor', 'clad']),
    object({ kind: { const: 'awg' }, gauge: { type: 'integer', minimum: 10, maximum: 28 }, ...make }, ['perConductor', 'clad']),
  ],
}
