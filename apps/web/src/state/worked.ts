import {
  waitingForHands,
  type HandAt,
  all,
  byRef,
  byWalk,
  difference,
  Keeper,
  wantedConfig,
  type Controller,
  type Difference,
  type Door,
  type DoorMarks,
  type Facts,
  type SupplyReport,
  type WorkedConfigs,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'

const keeper = new Keeper()

/** What is worked out of the job, at these facts. */
export function keeperOf(facts: Facts): Keeper {
  keeper.take(facts, sheetsFor(facts))
  return keeper
}

export const configsOf = (facts: Facts): WorkedConfigs => keeperOf(facts).configs
/** The six marks of a door; worked out again only when something changed that they hang on. */
export const marksFor = (facts: Facts, door: Door): DoorMarks => keeperOf(facts).marksOf(door)
export const reportFor = (facts: Facts, controller: Controller): SupplyReport => keeperOf(facts).reportOf(controller)

export const doorsInOrder = (facts: Facts): Door[] => all(facts, 'door').sort(byWalk)
export const controllersInOrder = (facts: Facts): Controller[] => all(facts, 'controller').sort(byRef)

interface Differing {
  controller: Controller
  differences: Difference[]
}

/** Controllers that are in service and do not hold what the job wants, with what differs; what was sent and waits for a hand is none of it. */
export const unsent = (facts: Facts): Differing[] =>
  differing(facts).filter((u) => waitingForHands(u.differences) === null)

/** Controllers that hold what they were sent but for what waits for a hand at a door. */
export const waitingAtDoors = (facts: Facts): { controller: Controller; hands: HandAt[] }[] =>
  differing(facts).flatMap(({ controller, differences }) => {
    const hands = waitingForHands(differences)
    return hands ? [{ controller, hands }] : []
  })

function differing(facts: Facts): Differing[] {
  const { configs } = keeperOf(facts)
  return controllersInOrder(facts)
    .filter((c) => facts.reach[c.id]?.owned)
    .map((controller) => {
      const { held, wanted } = configs(controller.id)
      return { controller, differences: difference(held, wanted) }
    })
    .filter((u) => u.differences.length > 0)
}

export const roundingsOf = (facts: Facts, controller: Controller) =>
  wantedConfig(facts, controller, sheetsFor(facts)).roundings
