import type { Door } from '../doors/door'
import { partOf } from '../doors/door'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { loopOhm } from '../power/run'
import type { ReadingKind } from './records'
import { lockVolts } from './volts'

/** What a reading should be, with its window; `unit` is printed after it. */
export interface Expected {
  value: number
  from: number
  to: number
  unit: 'Ω' | 'V'
  says: string
}
export interface ReadingVerdict { in: boolean; expected: Expected; says: string }

/** Tolerance of a loop reading: 10 % either way, 0.3 ohm for the meter's leads (common practice, no source). */
const loopTolerance = { relative: 0.1, absolute: 0.3 }
/** Tolerance of a reading of volts: 4 % and a tenth of a volt (common practice, no source). */
const voltTolerance = { relative: 0.04, absolute: 0.1 }

const around = (value: number, t: { relative: number; absolute: number }) => {
  const by = Math.abs(value) * t.relative + t.absolute
  return { from: Math.max(0, value - by), to: value + by }
}

/** Readings that a cable calls for: its loop, and for the lock's own cable the volts at rest and driven. */
export function readingsFor(door: Door, cable: string): ReadingKind[] {
  const part = door.parts.find((p) => p.id === door.cables.find((c) => c.id === cable)?.part)
  return part?.role === 'lock' ? ['loop', 'voltsRest', 'voltsDriven'] : ['loop']
}

/** What the meter should show, or null while the plan lacks what it is worked out from. */
export function expectedReading(door: Door, cable: string, kind: ReadingKind, controller: DeviceSheet | null, sheets: Sheets): Expected | null {
  const planned = door.cables.find((c) => c.id === cable)
  if (!planned || planned.lengthM <= 0) return null
  if (kind === 'loop') {
    const value = loopOhm(planned.type, planned.lengthM)
    return { value, ...around(value, loopTolerance), unit: 'Ω', says: 'far end joined, both conductors in series' }
  }
  const volts = controller && lockVolts(door, controller, sheets)
  const lock = partOf(door, 'lock')
  const facts = lock && sheetOf(sheets, lock.sheet).lock
  if (!volts || !facts) return null
  const value = kind === 'voltsRest' ? volts.restV : facts.principle === 'magnetic' ? volts.volts : facts.fail === 'secure' ? volts.volts : 0
  const says = kind === 'voltsRest' ? 'at the lock, nobody passing' : facts.principle === 'magnetic' ? 'at the lock while it holds the leaf' : 'at the lock while it is driven'
  const window = around(value, voltTolerance)
  const least = kind === 'voltsDriven' && value > 0 ? Math.max(window.from, facts.leastV) : window.from
  return { value, from: least, to: window.to, unit: 'V', says }
}

/** Judges a raw reading against what was worked out. */
export function judgeReading(value: number, expected: Expected): ReadingVerdict {
  const inside = value >= expected.from && value <= expected.to
  const show = (n: number) => n.toFixed(2)
  const window = `${show(expected.from)} to ${show(expected.to)} ${expected.unit}`
  if (inside) return { in: true, expected, says: `In tolerance (${window}).` }
  const ratio = expected.value > 0 ? value / expected.value : Infinity
  return { in: false, expected, says: `Out of tolerance (${window}). ${likelyCause(expected.unit, ratio, value)}` }
}

function likelyCause(unit: 'Ω' | 'V', ratio: number, value: number): string {
  if (unit === 'V') {
    if (value < 0.5) return 'No volts: look at the feed, the break glass and the relay contact.'
    return ratio < 1 ? 'Too few volts: the run is longer or thinner than planned, or a joint is bad.' : 'Too many volts: is the supply set for the lock?'
  }
  if (ratio > 20) return 'Open: a conductor is broken or the far end is not joined.'
  if (ratio > 1.6) return 'Far too much: a bad joint, or the cable is much longer than planned.'
  if (ratio > 1) return 'Too much: the cable is longer or thinner than planned.'
  return value < 0.1 ? 'A short: the conductors touch on the way.' : 'Too little: the cable is shorter or thicker than planned, or joined half way.'
}
