import { sheetOf, type DeviceSheet, type LockFacts, type Sheets } from '../devices/sheet'
import type { Door, Part } from '../doors/door'
import type { ReadingKind } from './records'

const isLock = (part: Part): boolean => part.role === 'lock' || part.role === 'lock2'
const partOn = (door: Door, cable: string): Part | undefined =>
  door.parts.find((p) => p.id === door.cables.find((c) => c.id === cable)?.part)
const hasEnds = (door: Door, part: Part, sheets: Sheets, board: DeviceSheet | null): boolean =>
  !!door.ends && !!board?.controller?.supervised && sheetOf(sheets, part.sheet).leads.some((l) => l.kind === 'contactA')

/** Readings that Wire calls for on a cable: its loop, the lock's volts, the end-of-line value of a supervised pair. A network cable is measured by its length. */
export function readingsFor(door: Door, cable: string, sheets: Sheets, board: DeviceSheet | null): ReadingKind[] {
  const part = partOn(door, cable)
  if (!part) return []
  if (isLock(part)) return ['loop', 'voltsRest', 'voltsDriven']
  if (onNetworkOnly(part, sheets)) return ['networkLength']
  return hasEnds(door, part, sheets, board) ? ['loop', 'endOfLine'] : ['loop']
}

/** Readings that may be entered besides. */
export function readingsBesides(door: Door, cable: string, sheets: Sheets): ReadingKind[] {
  const part = partOn(door, cable)
  if (!part || onNetworkOnly(part, sheets)) return []
  const leads = sheetOf(sheets, part.sheet).leads.map((l) => l.kind)
  if (part.role === 'breakGlass')
    return [
      ...(locksOf(door, sheets).some((l) => l.fail === 'safe') ? (['voltsRest', 'voltsPressed'] as const) : []),
      'insulation',
    ]
  if (isLock(part))
    return [...(door.drive && door.drive.holdShare < 1 ? (['voltsHold'] as const) : []), 'polarity', 'insulation']
  return leads.includes('supply+') ? ['voltsRest', 'polarity', 'insulation'] : ['insulation']
}

const locksOf = (door: Door, sheets: Sheets): LockFacts[] =>
  door.parts.flatMap((p) => sheetOf(sheets, p.sheet).lock ?? [])
const onNetworkOnly = (part: Part, sheets: Sheets): boolean => {
  const sheet = sheetOf(sheets, part.sheet)
  return sheet.leads.length === 0 && !!sheet.network && !sheet.ownBattery
}
