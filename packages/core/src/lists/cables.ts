import { boardOf } from '../devices/board'
import { sheetOf, type Sheets } from '../devices/sheet'
import type { Cable, Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { byWalk, inNameOrder } from '../job/order'
import { cableName } from '../power/conductor'

/** One cable of the job, with both its ends. */
export interface CableRow {
  /** `Q-01 W2`. */ name: string
  door: string
  cable: string
  from: string
  to: string
  kind: string
  cores: number
  lengthM: number | null
  plannedM: number | null
  state: 'to pull' | 'pulled' | 'terminated' | 'tested'
}

function stateOf(facts: Facts, door: Door, cable: Cable): CableRow['state'] {
  const tick = facts.tick[`${door.id}/${cable.id}`]
  const furthest = (['tested', 'ended', 'pulled'] as const).find((step) => tick?.[step])
  return furthest === 'ended' ? 'terminated' : (furthest ?? 'to pull')
}

/** Every cable of the job, in the order in which the doors are walked; those between boards that feed each other at the end. */
export function cableList(facts: Facts, sheets: Sheets): CableRow[] {
  const ofDoors = all(facts, 'door')
    .sort(byWalk)
    .flatMap((door) => {
      const controller = facts.controller[door.placement?.controller ?? '']
      return door.cables.map((cable): CableRow => {
        const part = door.parts.find((p) => p.id === cable.part)
        return {
          name: `${door.ref} ${cable.id}`,
          door: door.id,
          cable: cable.id,
          from: `${door.ref} ${cable.part}${part ? ` ${sheetOf(sheets, part.sheet).name}` : ''}`,
          to: controller ? `${controller.ref} in ${controller.cabinet}` : 'no controller yet',
          kind: cableName(cable.type),
          cores: cable.type.cores,
          lengthM: cable.lengthM > 0 ? cable.lengthM : null,
          plannedM: cable.planned?.lengthM ?? null,
          state: stateOf(facts, door, cable),
        }
      })
    })
  const between = all(facts, 'controller').flatMap((c): CableRow[] => {
    const from = c.fedFrom && facts.controller[c.fedFrom.controller]
    return c.fedFrom && from
      ? [
          {
            name: `${from.ref}-${c.ref}`,
            door: '',
            cable: '',
            from: `${from.ref} in ${from.cabinet}`,
            to: `${c.ref} in ${c.cabinet}, ${boardOf(sheets, c).name}`,
            kind: cableName(c.fedFrom.type),
            cores: c.fedFrom.type.cores,
            lengthM: c.fedFrom.lengthM,
            plannedM: null,
            state: 'to pull',
          },
        ]
      : []
  })
  return [...ofDoors, ...between]
}

/** Pieces of one kind of cable, cut from drums. */
export interface CutRow {
  kind: string
  pieces: number
  metres: number
  /** Cables of this kind without a length: they are not in the metres. */ unknown: number
  drums: { pieces: { name: string; lengthM: number }[]; leftM: number }[]
  /** No drum is long enough for these. */ tooLong: string[]
}

/**
 * What to cut from which drum: of each kind the longest pieces first, each on the first drum that still holds it (first fit decreasing: at
 * most 11/9 of the fewest drums and 6/9 of one more; Dósa 2007, from memory). @param drumM metres on a drum @param endsM added to each piece for both its ends
 */
export function cutList(rows: readonly CableRow[], drumM: number, endsM: number): CutRow[] {
  const kinds = new Map<string, CableRow[]>()
  for (const row of rows) if (row.state === 'to pull') kinds.set(row.kind, [...(kinds.get(row.kind) ?? []), row])
  return [...kinds]
    .map(([kind, mine]): CutRow => {
      const pieces = mine
        .flatMap((r) => (r.lengthM === null ? [] : [{ name: r.name, lengthM: r.lengthM + endsM }]))
        .sort((a, b) => b.lengthM - a.lengthM || inNameOrder(a.name, b.name))
      const drums: CutRow['drums'] = []
      const tooLong: string[] = []
      for (const piece of pieces) {
        if (piece.lengthM > drumM) {
          tooLong.push(piece.name)
          continue
        }
        const drum = drums.find((d) => d.leftM >= piece.lengthM)
        if (drum) {
          drum.pieces.push(piece)
          drum.leftM -= piece.lengthM
        } else drums.push({ pieces: [piece], leftM: drumM - piece.lengthM })
      }
      return {
        kind,
        pieces: pieces.length,
        metres: pieces.reduce((sum, p) => sum + p.lengthM, 0),
        unknown: mine.length - pieces.length,
        drums,
        tooLong,
      }
    })
    .sort((a, b) => inNameOrder(a.kind, b.kind))
}
