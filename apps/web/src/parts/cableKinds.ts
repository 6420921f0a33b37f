import type { CableType } from '@rauta/core'

/** Kinds of cable that are offered to choose from, by a short code. */
export const cableKinds = [
  { value: 'iec-2-0.5', label: '0.5 mm², class 2' },
  { value: 'iec-2-0.75', label: '0.75 mm², class 2' },
  { value: 'iec-2-1', label: '1.0 mm², class 2' },
  { value: 'iec-2-1.5', label: '1.5 mm², class 2' },
  { value: 'iec-2-2.5', label: '2.5 mm², class 2' },
  { value: 'iec-5-0.75', label: '0.75 mm², class 5' },
  { value: 'iec-5-1', label: '1.0 mm², class 5' },
  { value: 'iec-5-1.5', label: '1.5 mm², class 5' },
  { value: 'awg-24', label: '24 AWG' },
  { value: 'awg-22', label: '22 AWG' },
  { value: 'awg-18', label: '18 AWG' },
]

export const codeOf = (type: CableType): string =>
  type.kind === 'awg' ? `awg-${type.gauge}` : `iec-${type.conductorClass}-${type.mm2}`
const makeOf = ({ cores, perConductor, clad }: CableType) => ({
  cores,
  ...(perConductor ? { perConductor } : {}),
  ...(clad ? { clad } : {}),
})

/** The kind of a code, made (cores, doubled, clad) like another. */
export function typeOf(code: string, like: CableType): CableType {
  const [kind, a, b] = code.split('-')
  return kind === 'awg'
    ? { kind: 'awg', gauge: Number(a), ...makeOf(like) }
    : { kind: 'iec', conductorClass: a === '5' ? 5 : 2, mm2: Number(b), ...makeOf(like) }
}
