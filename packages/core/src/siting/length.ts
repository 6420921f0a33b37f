import type { CabinetPlace } from '../devices/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'

/** Metres added to a way along the grid: up from the door, down into the cabinet, and ends to work with. */
export const gridAllowanceM = 8

/** Metres of cable from a door to a cabinet: as given, or along the grid's two directions. Null where neither is known. */
export function runLengthM(
  door: Pick<Door, 'distances' | 'at'>,
  cabinet: string,
  places: Readonly<Record<string, CabinetPlace>>,
): number | null {
  const given = door.distances?.[cabinet]
  if (given !== undefined) return given
  const place = places[cabinet]
  return door.at && place ? Math.abs(door.at.x - place.x) + Math.abs(door.at.y - place.y) + gridAllowanceM : null
}

/** Longest run in metres that what the door's readers speak can bear: Wiegand 150 m (common practice, no source), a bus 1200 m (EIA-485). */
export function longestReaderRunM(door: Door, sheets: Sheets): number {
  const wired = door.parts.map((p) => sheetOf(sheets, p.via ?? p.sheet)).filter((s) => s.leads.length > 0)
  if (wired.some((s) => s.leads.some((l) => l.kind === 'd0'))) return 150
  return wired.some((s) => s.leads.some((l) => l.kind === 'busA')) ? 1200 : 500
}
