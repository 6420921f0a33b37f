import { all, type Facts } from '../job/facts'
import { onServerClock, type DeviceEvent } from './events'
import type { Proof, Trial } from './records'

/** So many events of a failed test are kept with it. */
const mostTold = 60

/** What the controller of a door told since a test began, oldest first. */
export function toldDuring(facts: Facts, trial: Trial): DeviceEvent[] {
  const controller = facts.door[trial.id]?.placement?.controller
  return all(facts, 'event')
    .filter((e) => e.controller === controller && e.kind !== 'gap' && onServerClock(e) >= trial.startedAt - 200)
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
    .slice(-mostTold)
}

/** The device events among what a proof rests on. */
export const eventsOf = (proof: Proof): DeviceEvent[] =>
  proof.evidence.filter(
    (e): e is DeviceEvent => typeof e === 'object' && e !== null && 'kind' in e && 'says' in e && 'seq' in e,
  )
