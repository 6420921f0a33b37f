import { endedBy, type Conductor, type Door, type Facts } from '@rauta/core'

/** Conductors that are under their screws: ticked one by one, or with their cable. */
export const endedCores = (facts: Facts, door: Door, conductors: readonly Conductor[]): Set<string> =>
  new Set(conductors.filter((c) => endedBy(facts.tick[`${door.id}/${c.cable}`], c.id)).map((c) => c.id))
