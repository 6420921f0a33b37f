import { sheetOf, type Sheets } from '../devices/sheet'
import type { Cable, Door } from '../doors/door'
import { cableName, conductorOhmPerKm, iec60228, type CableType } from '../power/conductor'
import { loopOhm } from '../power/run'
import type { Expected } from './expected'
import { readingText as show } from './records'

/** What may be behind a reading, and the reading that would tell it from the next. */
export interface Cause {
  rule: string
  says: string
  tell: string
}

/** A cause whose ohms follow from the plan: it either explains the reading or it doesn't. */
interface Guess extends Cause {
  ohm: number
}

/** How near a guess must come, beside what a meter's leads add. */
const near = (value: number, guess: number): number => Math.abs(value - guess) / (0.05 * guess + 0.05)

/**
 * Causes of a loop resistance outside its window, the likeliest first: those whose ohms follow from the plan and fit, then those that can be
 * of any size (length, joint). @param value ohms, the meter's leads taken off
 */
export function loopCauses(value: number, expected: Expected, door: Door, cable: Cable, sheets: Sheets): Cause[] {
  if (value > 1000 && value > expected.value * 50)
    return [
      {
        rule: 'open',
        says: 'A conductor is open, or the far end is not joined.',
        tell: 'Join the far end again and measure. Still open: measure from the middle, the side that stays open has the break.',
      },
    ]
  if (value < 0.1 && expected.value > 0.4)
    return [
      {
        rule: 'short',
        says: 'The conductors touch on the way.',
        tell: 'Part the far end: it must read open. If it doesn’t, the touch is in the cable.',
      },
    ]
  const fitting = guesses(door, cable, sheets)
    .map((g) => ({ ...g, off: near(value, g.ohm) }))
    .filter((g) => g.off <= 1)
    .sort((a, b) => a.off - b.off)
  return [...fitting.map(({ rule, says, tell }) => ({ rule, says, tell })), ...anySize(value, expected, cable)]
}

function guesses(door: Door, cable: Cable, sheets: Sheets): Guess[] {
  const { type, lengthM } = cable
  const loop = loopOhm(type, lengthM)
  const one = loop / 2
  const side = type.perConductor ?? 1
  const found: Guess[] = []
  if (side > 1) {
    const cores = side === 2 ? 'one core of a doubled conductor' : `one of ${side} cores of a conductor`
    found.push({
      rule: 'core',
      ohm: one + (one * side) / (side - 1),
      says: `${cores.charAt(0).toUpperCase()}${cores.slice(1)} is open.`,
      tell: `Part the cores at one end and measure each against the other conductor: one of them is open. Whole again it reads ${show(loop)} Ω.`,
    })
    found.push({
      rule: 'pair',
      ohm: (loop * side) / (side - 1),
      says: `A whole pair is missing: ${side - 1} of ${side} pairs carry it.`,
      tell: `Look at both ends for a pair that was left off. With it on, it falls to ${show(loop)} Ω.`,
    })
  } else if (type.cores >= 4)
    found.push({
      rule: 'doubled',
      ohm: loop / 2,
      says: 'The cores are doubled, and the plan says they are not.',
      tell: 'Look at the terminals: two cores under each screw.',
    })
  if (!type.clad)
    found.push({
      rule: 'clad',
      ohm: loopOhm({ ...type, clad: true }, lengthM),
      says: 'It is copper-clad aluminium instead of copper.',
      tell: 'Scrape a core: white metal under the copper. Its length and its print are right then.',
    })
  for (const other of otherSizes(type)) {
    const thinner = conductorOhmPerKm(other) > conductorOhmPerKm(type)
    found.push({
      rule: thinner ? 'thinner' : 'thicker',
      ohm: loopOhm(other, lengthM),
      says: `The cable is ${thinner ? 'thinner' : 'thicker'} than planned: ${cableName(other)} would read ${show(loopOhm(other, lengthM))} Ω.`,
      tell: `Read the print on the sheath. The metre marks are ${lengthM} m apart then.`,
    })
  }
  const lock = sheetOf(sheets, door.parts.find((p) => p.id === cable.part)?.sheet ?? '').lock
  if (lock)
    found.push({
      rule: 'coil',
      ohm: loop + lock.nominalV / lock.pullA,
      says: 'The lock is still on the cable, and its coil is measured with it.',
      tell: `Take the lock off and join the two cores: it falls to ${show(loop)} Ω.`,
    })
  if (door.ends)
    found.push({
      rule: 'ends',
      ohm: loop + door.ends.seriesOhm,
      says: 'The end resistor is measured with the cable.',
      tell: `Join the cores before the resistor: it falls to ${show(loop)} Ω.`,
    })
  return found
}

function otherSizes(type: CableType): CableType[] {
  if (type.kind === 'awg')
    return [-4, -2, 2, 4]
      .map((by) => ({ ...type, gauge: type.gauge + by }))
      .filter((t) => t.gauge >= 10 && t.gauge <= 28)
  return Object.keys(iec60228[type.conductorClass])
    .map(Number)
    .filter((mm2) => mm2 !== type.mm2)
    .map((mm2) => ({ ...type, mm2 }))
}

function anySize(value: number, expected: Expected, cable: Cable): Cause[] {
  const metres = Math.round((value * 1000) / (2 * conductorOhmPerKm(cable.type)))
  const length: Cause = {
    rule: 'length',
    says: `The length is entered wrong: this cable would be ${metres} m long, not ${cable.lengthM} m.`,
    tell: `Read the metre marks at both ends: ${metres} m apart. Enter that as built and it is judged anew.`,
  }
  if (value > expected.value) {
    const joint: Cause = {
      rule: 'joint',
      says: `A bad joint takes ${show(value - expected.value)} Ω.`,
      tell: 'Move each joint while the meter is on: the reading jumps at the bad one.',
    }
    // A cable several times as long is less likely than a joint.
    return metres > cable.lengthM * 2.5 ? [joint, length] : [length, joint]
  }
  return [
    length,
    {
      rule: 'halfway',
      says: `It is joined half way, ${metres} m from here.`,
      tell: 'Part the far end: it must read open. If it doesn’t, the cores touch before the end.',
    },
  ]
}

const tooHigh: Cause = {
  rule: 'high',
  says: 'The supply is set too high, or it is not the supply that was planned.',
  tell: 'Measure at the supply’s own terminals with the locks off.',
}
const nearlyEmpty: Cause = {
  rule: 'battery',
  says: 'The supply runs on its battery, near its end.',
  tell: 'Measure at the supply: look for mains, its fuse, its lamp.',
}

/** Causes of volts outside their window. @param loop whether the newest loop reading of the cable was good, bad, or is not there @param batteryEndV what it would see at the end of the battery */
export function voltCauses(
  value: number,
  expected: Expected,
  loop: 'good' | 'bad' | 'none',
  batteryEndV: number | null,
): Cause[] {
  if (value < -0.5)
    return [
      {
        rule: 'reversed',
        says: 'Plus and minus are swapped.',
        tell: 'Swap the two conductors at one end, at the lock rather than at the board.',
      },
    ]
  if (expected.value === 0)
    return [
      {
        rule: 'fed',
        says: 'It is fed while it should not be: the wrong relay contact (NC for NO), or a path past the relay.',
        tell: 'Take the conductor off the relay’s contact: if the volts stay, there is another path.',
      },
    ]
  if (value < 0.5)
    return [
      {
        rule: 'feed',
        says: 'No volts: the feed, the break glass or the relay contact is open.',
        tell: 'Measure against 0 V along the way of the current: feed, after the break glass, after the relay. The first that has none is behind the fault.',
      },
    ]
  if (value > expected.value) return [tooHigh]
  const copper: Cause = {
    rule: 'copper',
    says: 'The run is longer or thinner than planned.',
    tell: 'Take the loop reading: it would be too high as well.',
  }
  const joint: Cause = {
    rule: 'joint',
    says:
      loop === 'good'
        ? 'The cable is good: a joint at the board, the break glass or the relay takes the volts.'
        : 'A bad joint takes the volts.',
    tell: 'Measure across each joint while the lock is fed: more than 0.1 V is the bad one.',
  }
  const shared: Cause = {
    rule: 'shared',
    says: 'Something else on this supply draws at the same time.',
    tell: 'Measure at the supply while the lock is driven: if it sags there, the load is too much.',
  }
  const onBattery =
    batteryEndV !== null && value < expected.value && Math.abs(value - batteryEndV) < 0.04 * batteryEndV + 0.2
  return [
    ...(onBattery ? [nearlyEmpty] : []),
    ...{ good: [joint, shared], bad: [copper, joint], none: [copper, joint, shared] }[loop],
    ...(onBattery ? [] : [nearlyEmpty]),
  ]
}

/** Causes of volts across a break glass outside their window. @param pressed whether it was pressed in */
export function glassCauses(value: number, expected: Expected, pressed: boolean): Cause[] {
  const half = expected.value / 2
  if (!pressed) {
    const notSet: Cause = {
      rule: 'notSet',
      says: 'Its contact is open: the glass is not set back, or the conductors are on the contact that works the other way round.',
      tell: 'Set it back and measure again. Volts still there: move one conductor to the other contact.',
    }
    const joint: Cause = {
      rule: 'joint',
      says: `A screw or its contact takes ${show(value)} V.`,
      tell: 'Measure from conductor to conductor, then from screw to screw: what goes away sits between the two.',
    }
    return value > 3 ? [notSet, joint] : [joint, notSet]
  }
  if (value > expected.value) return [tooHigh]
  const past: Cause = {
    rule: 'past',
    says: 'The lock is fed past the break glass: pressing it lets nobody out.',
    tell: 'Press it and pull the leaf: the lock holds. Look for a link or a relay contact from the feed to the lock that leaves the glass out.',
  }
  const stuck: Cause = {
    rule: 'stuck',
    says: 'Its contact does not open, or something bridges its two screws.',
    tell: 'Take one conductor off it and press: the meter on its screws must read open.',
  }
  const feed: Cause = {
    rule: 'feed',
    says: 'No volts come to it: the feed or the relay contact before it is open, or the lock’s other conductor.',
    tell: 'Measure each of its screws against 0 V at the board: one of them must have all of the volts.',
  }
  return value < half ? [stuck, past, feed] : [nearlyEmpty, stuck]
}

/** Causes of an end-of-line value outside its window, contact closed. @param loopOhms of the cable as planned */
export function endCauses(value: number, ends: { seriesOhm: number; parallelOhm: number }, loopOhms: number): Cause[] {
  const close = (ohm: number) => near(value, ohm) <= 1
  const cut: Cause = {
    rule: 'cut',
    says: 'A conductor is open.',
    tell: 'Join the pair at the far end, before the resistors: it must fall to the loop of the cable.',
  }
  if (value > 10 * (ends.seriesOhm + ends.parallelOhm)) return [cut]
  if (value < loopOhms + 0.2 * ends.seriesOhm)
    return [
      {
        rule: 'bridged',
        says: 'No resistor is in the pair: it is bridged, or it sits at the controller.',
        tell: 'Look at the far end. Resistors belong in the device, not on the controller’s strip.',
      },
    ]
  const found: Cause[] = []
  if (close(loopOhms + ends.seriesOhm + ends.parallelOhm))
    found.push({
      rule: 'contact',
      says: 'The contact is open.',
      tell: 'Close the leaf, or press and hold, and measure again.',
    })
  if (close(loopOhms + ends.parallelOhm))
    found.push({
      rule: 'swapped',
      says: 'The two resistors have changed places.',
      tell: 'The one in series with the contact is the smaller or the one that the plan names: measure each alone.',
    })
  const both = 1 / (1 / ends.seriesOhm + 1 / ends.parallelOhm)
  if (close(loopOhms + both))
    found.push({
      rule: 'beside',
      says: 'Both resistors lie beside each other.',
      tell: 'One belongs in series with the contact: part them.',
    })
  return found.length
    ? found
    : [
        {
          rule: 'value',
          says: `Another resistor than planned: about ${show(Math.max(0, value - loopOhms))} Ω in place of ${show(ends.seriesOhm)} Ω.`,
          tell: 'Read its rings, or measure it alone.',
        },
        cut,
      ]
}
