import { ofItsDoor, recordKind } from '../job/kind'

/**
 * What a meter is asked for. `loop`: far end joined. `voltsRest`, `voltsDriven` (while it pulls in) and `voltsHold`: at the part's own
 * terminals (a break glass: across its two screws). `voltsPressed`: across a break glass that is pressed in. `polarity`: red lead of the meter on the conductor planned for plus. `endOfLine`: at the controller's end, contact closed.
 */
export const readingKinds = [
  'loop',
  'voltsRest',
  'voltsDriven',
  'voltsHold',
  'voltsPressed',
  'polarity',
  'endOfLine',
  'networkLength',
  'insulation',
] as const
export type ReadingKind = (typeof readingKinds)[number]
export type ReadingUnit = 'Ω' | 'V' | 'm' | 'MΩ'

/** How a reading is called, in what it is told, the largest that can be, and what a fitter would write. */
export const readingFacts: Readonly<
  Record<
    ReadingKind,
    { name: string; unit: ReadingUnit; unitName: string; least: number; most: number; example: string }
  >
> = {
  loop: { name: 'loop resistance', unit: 'Ω', unitName: 'ohms', least: 0, most: 1e6, example: '1,14' },
  voltsRest: { name: 'volts at rest', unit: 'V', unitName: 'volts', least: 0, most: 60, example: '12,4' },
  voltsDriven: { name: 'volts driven', unit: 'V', unitName: 'volts', least: 0, most: 60, example: '11,8' },
  voltsHold: { name: 'volts held', unit: 'V', unitName: 'volts', least: 0, most: 60, example: '8,2' },
  voltsPressed: { name: 'volts pressed in', unit: 'V', unitName: 'volts', least: 0, most: 60, example: '13,6' },
  polarity: {
    name: 'polarity',
    unit: 'V',
    unitName: 'volts, with its sign',
    least: -60,
    most: 60,
    example: '12,4 or -12,4',
  },
  endOfLine: { name: 'end-of-line value', unit: 'Ω', unitName: 'ohms', least: 0, most: 1e7, example: '1002' },
  networkLength: { name: 'network length', unit: 'm', unitName: 'metres', least: 0, most: 2000, example: '34' },
  insulation: { name: 'insulation', unit: 'MΩ', unitName: 'megohms', least: 0, most: 1e6, example: '200' },
}

/** Readings in which a meter may show that there is no end. */
export const endlessKinds: ReadonlySet<ReadingKind> = new Set(['loop', 'endOfLine', 'insulation'])
/** What stands for a reading over the meter’s range: the largest that a reading may be. */
export const overRange = 1e7

/** A reading's number as it is shown: two decimals, none from a hundred on. */
export const readingText = (n: number): string => {
  if (n >= overRange) return 'OL'
  return Math.abs(n) >= 100 ? n.toFixed(0) : n.toFixed(2)
}

/** One meter reading, kept raw and never altered; the newest of its kind counts. */
export interface Reading {
  id: string
  door: string
  cable: string
  kind: ReadingKind
  /** Raw, in the unit of its kind. */
  value: number
  by: string
  at: number
  /** Ohms of the meter's own leads as measured that day by the same person; absent where they were not. */
  leadsOhm?: number
  /** Said before an insulation reading: nothing electronic hangs on the cable. */
  disconnected?: true
}

/** The leads of a person's meter, joined and measured; its id is the person's. Counts for that day of the site. */
export interface MeterZero {
  id: string
  ohm: number
  at: number
}

declare module '../job/facts' {
  interface RecordTypes {
    reading: Reading
    meter: MeterZero
  }
}

export const readingKind = recordKind('reading', {
  once: true,
  fields: {
    id: 'text',
    door: 'text',
    cable: 'text',
    kind: 'text',
    value: 'number',
    by: 'text',
    at: 'number',
    leadsOhm: 'number?',
    disconnected: 'flag?',
  },
  ...ofItsDoor('reading'),
})
export const meterKind = recordKind('meter', { fields: { id: 'text', ohm: 'number', at: 'number' } })
