import type { Conductor, Door, Facts } from '@rauta/core'

/** Conductors that are under their screws: ticked one by one, or with their cable. */
export const endedCores = (facts: Facts, door: Door, conductors: readonly Conductor[]): Set<string> =>
  new Set(conductors.filter((c) => { const tick = facts.tick[`${door.id}/${c.cable}`]; return !!tick?.cores?.[c.id] || !!tick?.ended }).map((c) => c.id))
