import type { DeviceSheet, Facts, Sheets } from '@rauta/core'
import { shippedSheets } from './shipped'

const kept = new WeakMap<Facts['sheet'], Sheets>()

/** The sheets that ship with Rauta and those that were added in this job; an added one may not take the name of a shipped one. */
export function sheetsFor(facts: Facts): Sheets {
  let found = kept.get(facts.sheet)
  if (!found) kept.set(facts.sheet, (found = { ...(facts.sheet as Record<string, DeviceSheet>), ...shippedSheets }))
  return found
}
