import { all, difference, marksOf, workedConfigs, wantedConfig, type Controller, type Difference, type Door, type DoorMarks, type Facts, type WorkedConfigs } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'

interface Worked { configs: WorkedConfigs; marks: Map<string, DoorMarks> }
const kept = new WeakMap<Facts, Worked>()

function worked(facts: Facts): Worked {
  let found = kept.get(facts)
  if (!found) kept.set(facts, (found = { configs: workedConfigs(facts, sheetsFor(facts)), marks: new Map() }))
  return found
}

export const configsOf = (facts: Facts): WorkedConfigs => worked(facts).configs

/** The six marks of a door, worked out once for each state of the facts. */
export function marksFor(facts: Facts, door: Door): DoorMarks {
  const { configs, marks } = worked(facts)
  let found = marks.get(door.id)
  if (!found) marks.set(door.id, (found = marksOf(facts, door, sheetsFor(facts), configs)))
  return found
}

export const doorsInOrder = (facts: Facts): Door[] => all(facts, 'door').sort((a, b) => a.walk - b.walk || a.ref.localeCompare(b.ref))
export const controllersInOrder = (facts: Facts): Controller[] => all(facts, 'controller').sort((a, b) => a.ref.localeCompare(b.ref))

/** Controllers that are in service and do not hold what the job wants, with what differs. */
export function unsent(facts: Facts): { controller: Controller; differences: Difference[] }[] {
  const { configs } = worked(facts)
  return controllersInOrder(facts).filter((c) => facts.reach[c.id]?.owned).map((controller) => {
    const { held, wanted } = configs(controller.id)
    return { controller, differences: difference(held, wanted) }
  }).filter((u) => u.differences.length > 0)
}

export const roundingsOf = (facts: Facts, controller: Controller) => wantedConfig(facts, controller, sheetsFor(facts)).roundings
