import { doorsOn } from '../devices/records'
import { recordKind } from '../job/kind'
import { heldConfig } from './held'
import { readKey } from './parts'
import type { Load } from './records'

declare module '../job/facts' {
  interface RecordTypes {
    load: Load
  }
}

/** A load that reached its device whole goes into the chain of each door, with what was read back of it, and what waits at a door as that. */
export const reachedWhole = (load: Load | null): boolean => load?.state === 'held' || load?.state === 'atDoors'

export const loadKind = recordKind('load', {
  fields: {
    id: 'text',
    controller: 'text',
    only: 'text?',
    state: 'text',
    total: 'number',
    done: 'number',
    says: 'text',
    by: 'text',
    startedAt: 'number',
    endedAt: 'number',
    digest: 'text',
  },
  touches: ({ controller }) => ({ controllers: [controller] }),
  recorded(after, before, facts) {
    if (!reachedWhole(after) || reachedWhole(before)) return []
    const parts = Object.entries(heldConfig(facts, after.controller)).map(([key, value]) => {
      const { kind, token } = readKey(key)
      return { key, value, door: kind?.doorOf(token) ?? null }
    })
    return doorsOn(facts, after.controller).map((d) => ({
      door: d.id,
      kind: 'load',
      body: { ...after, parts: Object.fromEntries(parts.filter((p) => p.door === d.id).map((p) => [p.key, p.value])) },
    }))
  },
})
