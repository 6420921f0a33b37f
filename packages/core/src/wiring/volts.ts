import { partOf, type Door } from '../doors/door'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { loopOhm, longestRunM, voltsAtLock, type SingleRun } from '../power/run'

export interface LockVolts {
  run: SingleRun
  /** Volts at the lock's terminals while it draws its current. */
  volts: number
  amps: number
  leastV: number
  /** Where a lock with this cable type would still see its least volts. */
  longestM: number
  enough: boolean
  /** Volts at the lock with its relay at rest: fed for fail-safe, none for fail-secure. */
  restV: number
}

/**
 * Volts at the door's lock from the plan: the controller's feed, break glass and lock cable in series.
 * Null while there is no lock, no placement, or a cable of the path has no length.
 */
export function lockVolts(door: Door, controller: DeviceSheet, sheets: Sheets, celsius = 20): LockVolts | null {
  const lock = partOf(door, 'lock')
  const facts = lock && sheetOf(sheets, lock.sheet).lock
  if (!lock || !facts || !controller.controller) return null
  const breakGlass = partOf(door, 'breakGlass')
  const cables = door.cables.filter((c) => c.part === lock.id || c.part === breakGlass?.id)
  const own = cables.find((c) => c.part === lock.id)
  if (!own || cables.some((c) => c.lengthM <= 0)) return null
  const ohm = (list: typeof cables) => list.reduce((sum, c) => sum + loopOhm(c.type, c.lengthM, celsius), 0)
  const run: SingleRun = { sourceV: controller.controller.feedVolts, sourceOhm: 0, copperOhm: ohm(cables), lockA: facts.pullA, lockNominalV: facts.nominalV }
  const { volts, amps } = voltsAtLock(run)
  const others = ohm(cables.filter((c) => c !== own))
  return {
    run, volts, amps, leastV: facts.leastV,
    longestM: longestRunM({ ...run, sourceOhm: others }, own.type, facts.leastV, celsius),
    enough: volts >= facts.leastV,
    restV: facts.fail === 'safe' ? volts : 0,
  }
}
