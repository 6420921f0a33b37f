import type { Door } from '../doors/door'
import { longestNetworkM } from '../power/ethernet'
import { loopOhm } from '../power/run'
import type { Planned } from '../wiring/volts'
import { endCauses, glassCauses, loopCauses, voltCauses, type Cause } from './causes'
import { atBatteryEnd, expectedReading, leastInsulationMohm, type Expected } from './expected'
import { readingFacts, readingText, type Reading } from './records'

export interface ReadingVerdict {
  in: boolean
  /** What is judged: the raw value, the meter's leads taken off where they were measured. */
  value: number
  expected: Expected
  /** One line, the likeliest cause at its end. */
  says: string
  /** Ranked, the likeliest first; empty for a reading inside its window. */
  causes: Cause[]
}

const takesLeads = (kind: Reading['kind']) => kind === 'loop' || kind === 'endOfLine'

/** Judges a raw reading against the plan as it is now; null while the plan lacks what it takes. @param others newest readings of the same cable */
export function judgeReading(
  reading: Reading,
  door: Door,
  planned: Planned,
  others: readonly Reading[] = [],
): ReadingVerdict | null {
  const zeroed = takesLeads(reading.kind) && reading.leadsOhm !== undefined
  const expected = expectedReading(door, reading.cable, reading.kind, planned, zeroed)
  if (!expected) return null
  const value = zeroed ? Math.max(0, reading.value - (reading.leadsOhm ?? 0)) : reading.value
  const inside = value >= expected.from && value <= expected.to
  if (inside) return { in: true, value, expected, says: `In tolerance (${windowWords(expected)}).`, causes: [] }
  const causes = causesOf(reading, value, expected, door, planned, others)
  return {
    in: false,
    value,
    expected,
    says: `Out of tolerance (${windowWords(expected)}). ${causes[0]?.says ?? ''}`,
    causes,
  }
}

/** `0.50 to 1.10 Ω`, `at least 0.50 MΩ`. */
export function windowWords(expected: Expected): string {
  return expected.to === Infinity
    ? `at least ${readingText(expected.from)} ${expected.unit}`
    : `${readingText(expected.from)} to ${readingText(expected.to)} ${expected.unit}`
}

function causesOf(
  reading: Reading,
  value: number,
  expected: Expected,
  door: Door,
  planned: Planned,
  others: readonly Reading[],
): Cause[] {
  const cable = door.cables.find((c) => c.id === reading.cable)
  if (!cable) return []
  switch (reading.kind) {
    case 'loop':
      return loopCauses(value, expected, door, cable, planned.sheets)
    case 'endOfLine':
      return door.ends ? endCauses(value, door.ends, loopOhm(cable.type, cable.lengthM)) : []
    case 'networkLength':
      return value > longestNetworkM
        ? [
            {
              rule: 'long',
              says: `A network cable reaches ${longestNetworkM} m.`,
              tell: 'Put a switch on the way, or go round another way.',
            },
          ]
        : [
            {
              rule: 'length',
              says: `The length is entered wrong, or a coil of it lies in the ceiling: ${value} m, not ${cable.lengthM} m.`,
              tell: 'Read the metre marks at both ends.',
            },
          ]
    case 'insulation':
      return [
        {
          rule: 'wet',
          says: `Under ${leastInsulationMohm} MΩ: damp, a crushed sheath or a screw through it.`,
          tell: 'Measure core by core against earth: the lowest is the hurt one.',
        },
      ]
    default: {
      if (door.parts.find((p) => p.id === cable.part)?.role === 'breakGlass')
        return glassCauses(value, expected, reading.kind === 'voltsPressed')
      const loop = others.find((r) => r.kind === 'loop')
      const verdict = loop ? judgeReading(loop, door, planned) : null
      const atEnd =
        readingFacts[reading.kind].unit === 'V' && expected.value > 0 ? atBatteryEnd(door, cable.part, planned) : null
      const copper = verdict?.in ? 'good' : 'bad'
      return voltCauses(value, expected, verdict ? copper : 'none', atEnd)
    }
  }
}
