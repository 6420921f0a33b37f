import { sheetOf, type Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import { byRef, byWalk } from '../job/order'
import { cableList } from './cables'

/** A label: lines as they are printed, and the path that its code opens. */
export interface Label {
  for: 'cable' | 'door' | 'controller'
  lines: string[]
  path: string
}

/** Two labels for each cable (one an end), one for each door and each controller. */
export function labels(facts: Facts, sheets: Sheets): Label[] {
  const cables = cableList(facts, sheets)
    .filter((r) => r.door)
    .flatMap((r): Label[] =>
      ['door end', 'cabinet end'].map((end) => ({
        for: 'cable',
        lines: [
          r.name,
          end === 'door end' ? `to ${r.to}` : `to ${r.from}`,
          `${r.kind}${r.lengthM === null ? '' : `, ${r.lengthM} m`}`,
        ],
        path: `/doors/${r.door}/wire`,
      })),
    )
  const doors = all(facts, 'door')
    .sort(byWalk)
    .map((d): Label => ({
      for: 'door',
      lines: [d.ref, d.name, facts.controller[d.placement?.controller ?? '']?.ref ?? ''],
      path: `/doors/${d.id}`,
    }))
  const controllers = all(facts, 'controller')
    .sort(byRef)
    .map((c): Label => ({
      for: 'controller',
      lines: [c.ref, sheetOf(sheets, c.sheet).name, [c.cabinet, c.address].filter(Boolean).join(', ')],
      path: `/controllers/${c.id}`,
    }))
  return [...doors, ...controllers, ...cables]
}
