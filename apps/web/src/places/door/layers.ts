import { all, lockVolts, partOf, plannedOf, type Door, type Facts } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'

/** Words under parts on the volts layer: what the lock sees. */
export function doorNotes(facts: Facts, door: Door): Record<string, string> {
  const lock = partOf(door, 'lock')
  const volts = lockVolts(door, plannedOf(facts, sheetsFor(facts)))
  return lock && volts ? { [lock.id]: volts.pullV === null ? 'collapses' : `${volts.pullV.toFixed(1)} V` } : {}
}

/** Parts that spoke in the newest event of the door. */
export function litParts(facts: Facts, door: Door): Set<string> {
  const newest = all(facts, 'event').filter((e) => e.door === door.id).sort((a, b) => b.at - a.at)[0]
  if (!newest) return new Set()
  const role = { leaf: 'contact', alarm: 'contact', lock: 'lock', exit: 'exit' }[newest.kind as string]
  const part = newest.reader || (role ? (door.parts.find((p) => p.role === role)?.id ?? '') : '')
  return new Set(part ? [part] : [])
}
