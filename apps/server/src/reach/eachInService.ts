import { all } from '@rauta/core'
import type { Context } from '../context'

/**
 * One loop for each device on the network that is in service, begun as soon as it is in service and again when it comes back: one that is slow,
 * or never ends, holds up no other.
 * @param loop goes on for as long as `inService` says so
 */
export function eachInService(context: Context, loop: (id: string, inService: () => boolean) => Promise<void>): void {
  const { ending, log, logger } = context
  const followed = new Set<string>()
  const follow = (id: string): void => {
    const inService = () =>
      !ending.aborted && log.facts.controller[id] !== undefined && log.facts.reach[id]?.owned === true
    if (followed.has(id) || !inService()) return
    followed.add(id)
    void loop(id, inService)
      .catch((error: Error) => logger.error(error))
      .finally(() => {
        followed.delete(id)
        follow(id) // it may have come back into service meanwhile
      })
  }
  log.onCommit((entry) => {
    for (const change of entry.changes) if (change.kind === 'reach') follow(change.id)
  })
  for (const reach of all(log.facts, 'reach')) follow(reach.id)
}
