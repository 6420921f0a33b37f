import { sheetOf } from '../devices/sheet'
import { partOf, type Door } from '../doors/door'
import { longestNetworkM } from '../power/ethernet'
import { loopOhm } from '../power/run'
import { seenOhm } from '../power/supervised'
import type { Moment } from '../supplies/net'
import { lockHere, voltsAt, voltsOn, waysOf, type Planned } from '../wiring/volts'
import { readingFacts, type ReadingKind, type ReadingUnit } from './records'

/** What a reading should be, with its window; `unit` is printed after it. */
export interface Expected {
  value: number
  from: number
  to: number
  unit: ReadingUnit
  says: string
}

/** Tolerances, relative and absolute together (common practice, no source). IEC 60228 gives the most that a conductor may have, so a good cable reads lower. */
export const tolerances = {
  loop: { below: 0.2, above: 0.1, absolute: 0.3, /** Once the meter's leads are taken off. */ zeroed: 0.1 },
  volts: { below: 0.04, above: 0.04, absolute: 0.1 },
  endOfLine: { below: 0.02, above: 0.02, absolute: 1 },
  length: { below: 0.1, above: 0.1, absolute: 2 },
}
/** Least insulation of an extra-low-voltage circuit, megohms, at 250 V. IEC 60364-6 table 6A (from memory). */
export const leastInsulationMohm = 0.5

const around = (value: number, t: { below: number; above: number; absolute: number }) => ({
  from: Math.max(0, value * (1 - t.below) - t.absolute),
  to: value * (1 + t.above) + t.absolute,
})

/** What the meter should show, or null while the plan lacks what it is worked out from. @param zeroed whether the meter's leads are taken off @param opened conductors that are cut, by id, within the door */
export function expectedReading(
  door: Door,
  cable: string,
  kind: ReadingKind,
  planned: Planned,
  zeroed = false,
  opened: ReadonlySet<string> = new Set(),
): Expected | null {
  const run = door.cables.find((c) => c.id === cable)
  if (!run) return null
  const unit = readingFacts[kind].unit
  if (kind === 'insulation')
    return {
      value: leastInsulationMohm,
      from: leastInsulationMohm,
      to: Infinity,
      unit,
      says: 'between any two cores, and each to earth, at 250 V',
    }
  if (run.lengthM <= 0) return null
  switch (kind) {
    case 'loop': {
      const cut = [...opened].some((id) => id.startsWith(`${run.part}.`))
      const value = cut ? Infinity : loopOhm(run.type, run.lengthM)
      return {
        value,
        ...around(value, { ...tolerances.loop, absolute: zeroed ? tolerances.loop.zeroed : tolerances.loop.absolute }),
        unit,
        says: 'far end joined, both conductors in series',
      }
    }
    case 'networkLength':
      return {
        value: run.lengthM,
        ...around(run.lengthM, tolerances.length),
        to: Math.min(longestNetworkM, around(run.lengthM, tolerances.length).to),
        unit,
        says: 'as the tester tells it',
      }
    case 'endOfLine': {
      if (!door.ends) return null
      const value = seenOhm(door.ends, loopOhm(run.type, run.lengthM), 'closed')
      return {
        value,
        ...around(value, tolerances.endOfLine),
        unit,
        says: 'at the controller’s end, off its terminals, contact closed',
      }
    }
    default:
      if (run.part === partOf(door, 'breakGlass')?.id) return glassReading(door, kind, planned, opened)
      if (isLock(door, run.part)) return lockReading(door, run.part, kind, planned, opened)
      return fedReading(door, run.part, kind, planned, opened)
  }
}

type VoltKind = 'voltsRest' | 'voltsDriven' | 'voltsHold' | 'voltsPressed' | 'polarity'

/** From the supply as set to the supply on charge: a meter meets either. */
const between = (value: number, onCharge: number) => ({
  from: around(Math.min(value, onCharge), tolerances.volts).from,
  to: around(Math.max(value, onCharge), tolerances.volts).to,
})

const isLock = (door: Door, part: string): boolean =>
  door.parts.some((p) => p.id === part && (p.role === 'lock' || p.role === 'lock2'))

function lockReading(
  door: Door,
  which: string,
  kind: VoltKind,
  planned: Planned,
  opened: ReadonlySet<string>,
): Expected | null {
  const lock = lockHere(door, planned, opened, which)
  if (!lock) return null
  const { facts, ways, node, pulls, part } = lock
  /** Volts with the supply as set, and with it on charge. */
  const seen = (moment: Moment): readonly [number, number] | null => {
    const set = voltsAt(ways, node, moment, 'nominal')
    return set === null ? null : [set, voltsAt(ways, node, moment, 'floating') ?? set]
  }
  const rest = seen({ kind: 'rest' })
  const pull = seen(pulls)
  if (!rest || !pull) return null
  const fed = facts.fail === 'safe' ? rest : pull
  const share = door.drive?.holdShare ?? 1
  const always = facts.principle === 'magnetic'
  switch (kind) {
    case 'voltsRest':
      return { value: rest[0], ...between(...rest), unit: 'V', says: 'at the lock, nobody passing' }
    case 'voltsHold':
      return {
        value: fed[0] * share,
        ...between(fed[0] * share, fed[1] * share),
        unit: 'V',
        says: 'at the lock, two seconds after it was driven',
      }
    case 'voltsPressed':
      return null
    case 'polarity':
      return {
        value: fed[0],
        ...between(...fed),
        unit: 'V',
        says: `red lead on ${plusLead(sheetOf(planned.sheets, part.sheet).leads)}, while the lock is fed`,
      }
    case 'voltsDriven': {
      const driven = always || facts.fail === 'secure' ? fed : ([0, 0] as const)
      const window = between(...driven)
      return {
        value: driven[0],
        ...window,
        from: driven[0] > 0 ? Math.max(window.from, facts.leastV) : window.from,
        unit: 'V',
        says: always ? 'at the lock while it holds the leaf' : 'at the lock while it is driven',
      }
    }
  }
}

const plusLead = (leads: readonly { kind: string; name: string; colour: string }[]): string => {
  const lead = leads.find((l) => l.kind.endsWith('+'))
  return lead ? `${lead.name} (${lead.colour})` : 'plus'
}

/** Most that a closed contact and its two screws may keep, volts (common practice, no source). */
export const contactKeepsV = 0.2

/** Volts across a break glass in the feed of a fail-safe lock: next to none while it is whole, all of the board's once it is pressed in. */
function glassReading(door: Door, kind: VoltKind, planned: Planned, opened: ReadonlySet<string>): Expected | null {
  const lock = lockHere(door, planned, opened)
  const here = lock?.ways.locks.find((l) => l.node === lock.node)
  if (!lock || !here || lock.facts.fail !== 'safe') return null
  if (kind === 'voltsRest')
    return {
      value: 0,
      from: 0,
      to: contactKeepsV,
      unit: 'V',
      says: 'from screw to screw, the glass whole, the lock fed',
    }
  if (kind !== 'voltsPressed') return null
  // Pressed in, its lock draws nothing: as if this door were released.
  const seen = (state: 'nominal' | 'floating') =>
    here.whole ? voltsOn(lock.ways, here.board, { kind: 'pull', door: door.id }, state) : 0
  const [set, floating] = [seen('nominal'), seen('floating')]
  return set === null
    ? null
    : {
        value: set,
        ...between(set, floating ?? set),
        unit: 'V',
        says: 'from screw to screw while it is pressed, the lock let go',
      }
}

/** Volts at a reader or another fed device. */
function fedReading(
  door: Door,
  partId: string,
  kind: VoltKind,
  planned: Planned,
  opened: ReadonlySet<string>,
): Expected | null {
  const part = door.parts.find((p) => p.id === partId)
  const controller = planned.controllers[door.placement?.controller ?? '']
  if (!part || !controller || kind === 'voltsDriven' || kind === 'voltsHold' || kind === 'voltsPressed') return null
  const ways = waysOf(door, planned, opened)
  const node = `${door.id}/${part.id}`
  if (![...ways.readers, ...ways.locks].some((c) => c.node === node)) return null
  const [value, floating] = [
    voltsAt(ways, node, { kind: 'rest' }, 'nominal'),
    voltsAt(ways, node, { kind: 'rest' }, 'floating'),
  ]
  if (value === null) return null
  return {
    value,
    ...between(value, floating ?? value),
    unit: 'V',
    says:
      kind === 'polarity'
        ? `red lead on ${plusLead(sheetOf(planned.sheets, part.sheet).leads)}`
        : 'at the device, its cable on',
  }
}

/** Volts that the lock would see with the supply at the end of its battery: what a reading that is too low may mean. */
export function atBatteryEnd(door: Door, part: string, planned: Planned): number | null {
  const lock = lockHere(door, planned, new Set(), isLock(door, part) ? part : undefined)
  if (!lock || lock.ways.board.feeds) return null
  return voltsAt(lock.ways, lock.node, lock.facts.fail === 'safe' ? { kind: 'rest' } : lock.pulls, 'batteryEnd')
}
