import type { Door } from '../doors/door'
import type { Unit } from '../power/records'
import { boardOf } from './board'
import type { Controller } from './records'
import { isKind, sheetOf, type DeviceKind, type Sheets } from './sheet'
import { kindWords } from './words'

/** What hangs on a controller against what its sheet allows, and whether its wireless locks have hubs enough in its cabinet. In words. */
export function carriesFaults(
  controller: Controller,
  doors: readonly Door[],
  units: readonly Unit[],
  sheets: Sheets,
): string[] {
  const board = boardOf(sheets, controller)
  const parts = doors
    .filter((d) => d.placement?.controller === controller.id)
    .flatMap((d) => d.parts.map((p) => sheetOf(sheets, p.sheet)))
  const near = units.filter((u) => u.cabinet === controller.cabinet).map((u) => sheetOf(sheets, u.sheet))
  const count = (kind: DeviceKind): number => {
    if (kind === 'expander') return controller.expanders?.length ?? 0
    if (kind === 'hub') return near.filter((s) => isKind(s, 'hub')).length
    return parts.filter((s) => isKind(s, kind) && (kind !== 'reader' || s.leads.length > 0)).length
  }
  const faults = (board.carries ?? [])
    .filter(({ kind, most }) => count(kind) > most)
    .map(
      ({ kind, most }) =>
        `${controller.ref} carries ${most} ${kindWords[kind][1].toLowerCase()}; ${count(kind)} are planned on it.`,
    )
  const locks = count('wirelessLock')
  const joined = near
    .filter((s) => isKind(s, 'hub'))
    .reduce((sum, s) => sum + (s.carries?.find((c) => c.kind === 'wirelessLock')?.most ?? 0), 0)
  if (locks > joined)
    faults.push(
      `${locks} wireless locks hang on ${controller.ref}; the hubs in ${controller.cabinet} join ${joined}. Plan ${joined === 0 ? 'a hub' : 'another hub'} there.`,
    )
  return faults
}
