import { all, type Door, type Facts, type MomentAnswer } from '@rauta/core'
import { reportFor } from '../../state/worked'

/** Moments that say something about this door, with the supply as set: at rest, this door alone, everybody at once. */
export function doorMoments(facts: Facts, door: Door): MomentAnswer[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  return controller
    ? reportFor(facts, controller).moments.filter(
        (m) => m.state === 'nominal' && (!('door' in m.moment) || m.moment.door === door.id),
      )
    : []
}

/** Words under parts on the volts layer: what each sees in a moment; `off` for a lock that is not fed then. */
export function voltNotes(door: Door, moment: MomentAnswer | undefined): Record<string, string> {
  const solved = moment?.solved
  if (!solved) return {}
  return Object.fromEntries(
    door.parts.flatMap((part) => {
      if (!solved.ok) return [[part.id, 'collapses']]
      const node = `${door.id}/${part.id}`
      const volts = solved.volts[node]
      return volts === undefined ? [] : [[part.id, (solved.amps[node] ?? 0) > 0 ? `${volts.toFixed(1)} V` : 'off']]
    }),
  )
}

/** How the leaves of a door stand: open, or shut where nothing else was told. Of a door without a contact nobody knows. */
export interface Leaves {
  first: 'open' | 'shut' | null
  /** Null for a door of one leaf too. */
  second: 'open' | 'shut' | null
}

/** As the controller told it last: with two contacts each leaf by its own, else the leaf as a whole. */
export function leavesNow(facts: Facts, door: Door): Leaves {
  const mine = all(facts, 'event')
    .filter((e) => e.door === door.id)
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
  const byPart = (role: 'contact' | 'contact2') => {
    const part = door.parts.find((p) => p.role === role)?.id
    const told = mine.filter((e) => e.kind === 'input' && e.part === part).at(-1)
    return part && told ? (told.state === 'active' ? 'open' : 'shut') : null
  }
  const told = mine.filter((e) => e.kind === 'leaf').at(-1)
  const whole = told ? (told.state === 'open' ? 'open' : 'shut') : null
  const known = door.parts.some((p) => p.role === 'contact') ? (whole ?? 'shut') : null
  const second = door.parts.some((p) => p.role === 'contact2') ? (byPart('contact2') ?? 'shut') : null
  return { first: byPart('contact') ?? known, second }
}

/** Parts that spoke in the newest event of the door. */
export function litParts(facts: Facts, door: Door): Set<string> {
  const newest = all(facts, 'event')
    .filter((e) => e.door === door.id)
    .sort((a, b) => b.at - a.at)[0]
  if (!newest) return new Set()
  const role = { leaf: 'contact', alarm: 'contact', lock: 'lock', exit: 'exit' }[newest.kind as string]
  const part = newest.part || newest.reader || (role ? (door.parts.find((p) => p.role === role)?.id ?? '') : '')
  return new Set(part ? [part] : [])
}
