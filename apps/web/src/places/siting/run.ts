import { all, type Facts, type SitingInput } from '@rauta/core'
import { cabinetsOf, sheetsFor } from '@rauta/contracts'
import { v7 } from 'uuid'
import type { Ask, Told } from './siting.worker'

export interface Wishes {
  anew: boolean
  spare: number
  most: number | null
  allowed: string[]
}

/** Doors whose cables are ended stay where they are: their conductors are on the screws. */
export const wiredDoors = (facts: Facts): string[] => [
  ...new Set(
    all(facts, 'tick')
      .filter((t) => t.ended)
      .map((t) => t.door),
  ),
]

export function sitingInput(
  facts: Facts,
  wishes: Wishes,
): Omit<SitingInput, 'makeId' | 'fixed'> & { fixed: string[]; ids: string[] } {
  const doors = all(facts, 'door')
  return {
    doors,
    controllers: all(facts, 'controller'),
    cabinets: cabinetsOf(facts),
    places: facts.cabinetPlace,
    sheets: sheetsFor(facts),
    fixed: wiredDoors(facts),
    anew: wishes.anew,
    spare: wishes.spare,
    allowed: wishes.allowed,
    ...(wishes.most === null ? {} : { most: wishes.most }),
    ids: doors.map(() => v7()),
  }
}

/** Searches in a worker, so that the screen stays quick. Returns how to stop it; it then hands over the best so far. */
export function startSiting(
  facts: Facts,
  wishes: Wishes,
  tell: (told: Exclude<Told, { failed: string }>) => void,
  failed: (says: string) => void,
): () => void {
  const worker = new Worker(new URL('./siting.worker', import.meta.url))
  const broke = (why: string) => {
    failed(`The search broke off${why ? `: ${why}` : ''}. Nothing was changed; try again.`)
    worker.terminate()
  }
  worker.onmessage = (event: MessageEvent<Told>) => {
    if ('failed' in event.data) {
      broke(event.data.failed)
      return
    }
    tell(event.data)
    if ('done' in event.data) worker.terminate()
  }
  worker.onerror = (event) => broke(event.message)
  worker.postMessage({ go: sitingInput(facts, wishes) } satisfies Ask)
  return () => worker.postMessage({ stop: true } satisfies Ask)
}
