import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { supplyReport } from './report'

/** The smallest supply of the volts a board is fed with that carries it and its doors in every moment; null where there is none. */
export function supplyThatCarries(controller: Controller, doors: readonly Door[], sheets: Sheets): string | null {
  const board = boardOf(sheets, controller)
  if (board.feeds) return null
  const wanted = board.controller?.feedVolts ?? 12
  const sizes = Object.values(sheets)
    .flatMap((s) =>
      s.supply && s.supply.volts >= wanted * 0.95 && s.supply.volts <= wanted * 1.25
        ? [{ id: s.id, supply: s.supply }]
        : [],
    )
    .sort((a, b) => a.supply.amps - b.supply.amps)
  return (
    sizes.find(({ id }) => supplyReport({ ...controller, supply: id }, doors, sheets).overloads.length === 0)?.id ??
    sizes.at(-1)?.id ??
    null
  )
}

/** The supply of fewest volts, then of fewest amps: no type is known by its name. */
export const smallestSupply = (sheets: Sheets): string =>
  Object.values(sheets)
    .flatMap((s) => (s.supply ? [{ id: s.id, ...s.supply }] : []))
    .sort((a, b) => a.volts - b.volts || a.amps - b.amps)[0]?.id ?? ''
