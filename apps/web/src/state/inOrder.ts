import {
  all,
  deviceKinds,
  supplyOf,
  type Controller,
  type DeviceSheet,
  type Door,
  type DoorMarks,
  type Facts,
  type Person,
  type Rule,
  type Schedule,
  type SupplyReport,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { controllersInOrder, doorsInOrder, marksFor, reportFor } from './worked'

// What each list shows, in its order, and the first of it: on a wide screen that one stands beside the list where nothing was chosen.

export const peopleInOrder = (facts: Facts): Person[] =>
  all(facts, 'person').sort((a, b) => a.name.localeCompare(b.name))
export const firstPerson = (facts: Facts): Person | undefined => peopleInOrder(facts)[0]

export const firstRule = (facts: Facts): Rule | undefined => all(facts, 'rule')[0]
export const firstSchedule = (facts: Facts): Schedule | undefined => all(facts, 'schedule')[0]
export const firstController = (facts: Facts): Controller | undefined => controllersInOrder(facts)[0]

export function sheetsByKind(facts: Facts): DeviceSheet[] {
  const sheets = Object.values(sheetsFor(facts))
  return deviceKinds.flatMap((kind) => sheets.filter((s) => s.kind === kind))
}
export const firstSheet = (facts: Facts): DeviceSheet | undefined => sheetsByKind(facts)[0]

/** What of a supply must be mended: its own faults, and locks that fall short before the end of the battery. */
export const faultsOf = (r: SupplyReport): number =>
  r.faults.length + r.locks.filter((l) => !l.enough && !l.onlyAtEnd).length

/** Controllers that have a supply of their own. */
export const withSupply = (facts: Facts): Controller[] =>
  controllersInOrder(facts).filter((c) => supplyOf(c, facts.controller).id === c.id)

/** Controllers that have a supply of their own, what is wrong first. */
export const suppliesInOrder = (facts: Facts): { controller: Controller; report: SupplyReport }[] =>
  withSupply(facts)
    .map((controller) => ({ controller, report: reportFor(facts, controller) }))
    .sort((a, b) => faultsOf(b.report) - faultsOf(a.report))
export const firstSupply = (facts: Facts): Controller | undefined => suppliesInOrder(facts)[0]?.controller

const rank = (sign: string) => ({ stopped: 0, stale: 1, underWay: 2, todo: 3, given: 5 })[sign] ?? 4

/** Doors to prove: those that are ready first. */
export const toProve = (facts: Facts): { door: Door; marks: DoorMarks }[] =>
  doorsInOrder(facts)
    .map((door) => ({ door, marks: marksFor(facts, door) }))
    .filter(({ marks }) => marks.load.sign === 'given' || marks.prove.sign !== 'todo')
    .sort((a, b) => rank(a.marks.prove.sign) - rank(b.marks.prove.sign))
export const firstToProve = (facts: Facts): Door | undefined => toProve(facts)[0]?.door
