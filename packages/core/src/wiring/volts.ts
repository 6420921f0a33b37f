import { partOf, type Door } from '../doors/door'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import { lockCircuit } from './circuit'
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
 * Volts at the door's lock from the plan: the controller's feed, break glass and lock cable in series, as the net has them.
 * Null while there is no lock, or a cable of the path has no length. A circuit that is open gives 0 V.
 * @param opened conductors that are cut, by id
 */
export function lockVolts(door: Door, controller: DeviceSheet, sheets: Sheets, celsius = 20, opened: ReadonlySet<string> = new Set()): LockVolts | null {
  const lock = partOf(door, 'lock')
  const facts = lock && sheetOf(sheets, lock.sheet).lock
  if (!lock || !facts || !controller.controller) return null
  const circuit = lockCircuit(door, controller, sheets, lock.id, celsius, opened)
  const own = circuit.cables.find((c) => c.part === lock.id)
  if (!own || circuit.ohm === null) return null
  const run: SingleRun = { sourceV: controller.controller.feedVolts, sourceOhm: 0, copperOhm: circuit.ohm, lockA: facts.pullA, lockNominalV: facts.nominalV }
  const whole = circuit.missing.length === 0
  const { volts, amps } = whole ? voltsAtLock(run) : { volts: 0, amps: 0 }
  const others = circuit.ohm - loopOhm(own.type, own.lengthM, celsius)
  return {
    run, volts, amps, leastV: facts.leastV,
    longestM: longestRunM({ ...run, sourceOhm: others }, own.type, facts.leastV, celsius),
    enough: volts >= facts.leastV,
    restV: facts.fail === 'safe' ? volts : 0,
  }
}
