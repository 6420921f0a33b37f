import {
  all,
  AreasToCome,
  areaFinder,
  defaultBehaviour,
  partRoles,
  put,
  type Area,
  type Change,
  type Door,
  type Facts,
  type ListedDoor,
  type Sheets,
} from '@rauta/core'
import { cablesFor, partsFrom, refSchema, type Hardware } from './doors'
import { defineCommand, everyFitter, object, Refusal } from './command'

const short = { type: 'string', maxLength: 200 } as const
const flag = { type: 'boolean' } as const
const number = { type: 'number' } as const
const listed = {
  type: 'object',
  additionalProperties: false,
  required: ['ref'],
  properties: {
    ref: refSchema,
    name: short,
    from: short,
    to: short,
    opening: short,
    escapeRoute: flag,
    handle: flag,
    outdoor: flag,
    passagesPerDay: number,
    walk: number,
    behaviour: { type: 'object' },
    lengthM: { ...number, minimum: 0 },
    at: object({ x: number, y: number }),
    distances: { type: 'object', additionalProperties: { ...number, minimum: 0 } },
    hardware: { type: 'object', additionalProperties: short },
  },
} as const

export interface DoorsImport {
  file: string
  doors: ListedDoor[]
  meanings: Record<string, string>
}

/** Takes the good rows of a door schedule over as one change: new doors, changed doors, the areas they speak of, and what the columns meant. */
export const doorsImport = defineCommand<DoorsImport>()({
  name: 'doors.import',
  roles: everyFitter,
  schema: object({
    file: { type: 'string', minLength: 1, maxLength: 200 },
    doors: { type: 'array', minItems: 1, maxItems: 50_000, items: listed },
    meanings: { type: 'object', additionalProperties: short, maxProperties: 500 },
  }),
  apply(facts, p, { id, sheets }) {
    const changes: Change[] = []
    const areas = newAreas(facts, p.doors, id, changes)
    const byRef = new Map(all(facts, 'door').map((d) => [d.ref.toUpperCase(), d]))
    const ids = new Set(Object.keys(facts.door))
    let walk = all(facts, 'door').length
    const seen = new Set<string>()
    p.doors.forEach((row, n) => {
      const key = row.ref.toUpperCase()
      if (seen.has(key)) throw new Refusal(`${row.ref} stands in the list twice.`)
      seen.add(key)
      const before = byRef.get(key)
      const door = before ?? fresh(row, freeId(row.ref, ids, `${id}-${n}`), ++walk)
      changes.push(put(facts, 'door', withRow(door, row, areas, sheets)))
    })
    return [
      ...changes,
      put(facts, 'columns', { id: 'doors', meanings: { ...facts.columns['doors']?.meanings, ...p.meanings } }),
    ]
  },
  words: (f, p) => {
    const known = new Set(all(f, 'door').map((d) => d.ref.toUpperCase()))
    const changed = p.doors.filter((d) => known.has(d.ref.toUpperCase())).length
    return `Took ${p.file} over: ${p.doors.length - changed} doors new, ${changed} changed`
  },
})

function freeId(ref: string, ids: Set<string>, otherwise: string): string {
  const id = /^[A-Za-z0-9_.:-]+$/.test(ref) && !ids.has(ref) ? ref : otherwise
  ids.add(id)
  return id
}

const fresh = (row: ListedDoor, id: string, walk: number): Door => ({
  id,
  ref: row.ref,
  name: '',
  from: '',
  to: '',
  escapeRoute: false,
  passagesPerDay: 0,
  walk,
  handle: false,
  parts: [],
  cables: [],
  placement: null,
  behaviour: defaultBehaviour,
  testCardsOff: false,
})

function withRow(door: Door, row: ListedDoor, areaId: (text: string) => string, sheets: Sheets): Door {
  const { ref: _ref, from, to, behaviour, lengthM, hardware, distances, ...plain } = row
  const next: Door = {
    ...door,
    ...plain,
    behaviour: { ...door.behaviour, ...behaviour },
    ...(distances ? { distances: { ...door.distances, ...distances } } : {}),
  }
  if (from !== undefined) next.from = areaId(from)
  if (to !== undefined) next.to = areaId(to)
  if (!next.name || !next.from || !next.to)
    throw new Refusal(`${row.ref} is new and needs a name and the two areas it leads from and to.`)
  if (
    hardware &&
    partRoles.some(
      (r) => hardware[r] !== undefined && hardware[r] !== (door.parts.find((p) => p.role === r)?.sheet ?? ''),
    )
  ) {
    const wanted: Hardware = Object.fromEntries(
      partRoles.map((r) => [r, hardware[r] ?? door.parts.find((p) => p.role === r)?.sheet ?? '']),
    )
    next.parts = partsFrom(wanted, door.parts, sheets)
    next.cables = cablesFor(next.parts, door.cables, sheets)
    // Other hardware wants other terminals: it is placed again.
    next.placement = null
  }
  if (lengthM !== undefined) next.cables = next.cables.map((c) => ({ ...c, lengthM }))
  return next
}

function newAreas(facts: Facts, doors: readonly ListedDoor[], id: string, changes: Change[]): (text: string) => string {
  const coming = new AreasToCome(all(facts, 'area'))
  for (const d of doors) for (const text of [d.from, d.to]) if (text) coming.idOf(text)
  const ids = new Map<string, string>()
  coming.list.forEach((a, n) => {
    const area: Area = {
      id: `${id}-a${n}`,
      code: a.code,
      name: a.name,
      ...(a.parent ? { parent: ids.get(a.parent) ?? a.parent } : {}),
    }
    ids.set(`new:${a.path}`, area.id)
    changes.push(put(facts, 'area', area))
  })
  const known = areaFinder(all(facts, 'area'))
  return (text) => {
    const there = known(text)
    if (there) return there.id
    const key = coming.idOf(text)
    return ids.get(key) ?? key
  }
}
