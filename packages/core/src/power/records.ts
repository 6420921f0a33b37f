import { doorsAtHub } from '../devices/records'
import { recordKind } from '../job/kind'

/** How one controller's cabinet is fed in the plan; its id is the controller's. */
export interface PowerPlan {
  id: string
  /** Batteries that are planned, ampere-hours each; 0 for none. */
  batteryAh: number
  batteryCount: number
  wiring: 'series' | 'parallel'
  /** Hours without mains that the client asks for. */
  hours: number
  celsius: number
  /** Movements of each door in those hours. */
  movements: number
  /** Whether the fire signal's relay cuts this supply's fail-safe locks. */
  fireRelay: boolean
  /** Locks that may pull in at once; the others wait their turn. All at once where it is not said. */
  queue?: number
}
export const defaultPowerPlan = (id: string): PowerPlan => ({
  id,
  batteryAh: 7,
  batteryCount: 1,
  wiring: 'parallel',
  hours: 4,
  celsius: 20,
  movements: 20,
  fireRelay: false,
})

/** A planned device that is neither a door's part nor a controller: a network switch, midspan, hub, expander's supply. */
export interface Unit {
  id: string
  ref: string
  sheet: string
  cabinet: string
  /** Empty for one without an address. */ address: string
}

/** Which network port feeds a device; its id is the device's (`controller/a1`, `part/D-01/R1`). */
export interface UnitFeed {
  id: string
  unit: string
  port: string
  lengthM: number
}

declare module '../job/facts' {
  interface RecordTypes {
    powerPlan: PowerPlan
    unit: Unit
    unitFeed: UnitFeed
  }
}

export const powerPlanKind = recordKind('powerPlan', {
  fields: {
    id: 'text',
    batteryAh: 'number',
    batteryCount: 'number',
    wiring: 'text',
    hours: 'number',
    celsius: 'number',
    movements: 'number',
    fireRelay: 'flag',
    queue: 'number?',
  },
  touches: ({ id }) => ({ feeds: [id] }),
})
export const unitKind = recordKind('unit', {
  fields: { id: 'text', ref: 'text', sheet: 'text', cabinet: 'text', address: 'text' },
  touches: ({ id }, facts) => ({ doors: doorsAtHub(facts, id) }),
})
export const unitFeedKind = recordKind('unitFeed', {
  fields: { id: 'text', unit: 'text', port: 'text', lengthM: 'number' },
})
