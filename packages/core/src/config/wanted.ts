import { doorsOn, type Controller } from '../devices/records'
import { boardOf } from '../devices/board'
import type { DeviceSheet, Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import type { Facts } from '../job/facts'
import { controllerFacts } from '../wiring/placement'
import { partKey, partKinds } from './parts'
import type { Scene, Timers } from './parts/kind'
import type { Config, Json } from './records'

/** A value that the device cannot keep exactly, told before it is sent. */
export interface Rounding {
  door: string
  says: string
}
export interface Wanted {
  config: Config
  roundings: Rounding[]
}

/** What a controller shall hold, worked out from the job kind by kind and brought to the form that its sheet can keep. */
export function wantedConfig(facts: Facts, controller: Controller, sheets: Sheets): Wanted {
  const board = boardOf(sheets, controller)
  const doors = doorsOn(facts, controller.id).sort((a, b) => a.ref.localeCompare(b.ref))
  const roundings: Rounding[] = []
  const scene: Scene = { facts, controller, board, sheets, doors, timers: (door) => timersOf(board, door, roundings) }
  const config: Record<string, Json> = {}
  for (const kind of partKinds)
    for (const [token, value] of Object.entries(kind.want(scene))) config[partKey(kind.name, token)] = value
  const forTests = partsForTests(
    scene,
    doors.filter((d) => !d.testCardsOff),
  )
  return { config: { ...config, ...forTests }, roundings }
}

/** What the test cards need so that they pass these doors. */
function partsForTests(scene: Scene, doors: readonly Door[]): Config {
  const kit = scene.facts.testCards['kit']
  const config: Record<string, Json> = {}
  if (!kit || doors.length === 0) return config
  for (const kind of partKinds)
    for (const [token, value] of Object.entries(kind.wantForTests?.({ doors, kit }, scene) ?? {}))
      config[partKey(kind.name, token, true)] = value
  return config
}

/** All that the test cards can ever have been given on a controller: whatever else stands under their names is somebody else's. */
export function everyTestPart(facts: Facts, controller: Controller, sheets: Sheets): Config {
  const board = boardOf(sheets, controller)
  const doors = doorsOn(facts, controller.id)
  return partsForTests({ facts, controller, board, sheets, doors, timers: (door) => timersOf(board, door, []) }, doors)
}

/** Every time of a door goes through here, so that what is wanted is what can be held, and what is rounded is told. */
function timersOf(board: DeviceSheet, door: Door, roundings: Rounding[]): Timers {
  const { releaseStepS: step, longestReleaseS } = controllerFacts(board)
  return (name, wanted, longest = longestReleaseS) => {
    const value = Number(Math.min(longest, Math.max(step, Math.round(wanted / step) * step)).toFixed(3))
    if (value !== wanted)
      roundings.push({ door: door.ref, says: `${name} ${wanted} s becomes ${value} s on this device.` })
    return value
  }
}
