import { partRoles, roleFacts, type Behaviour, type Door, type PartRole } from '../doors/door'
import type { Area } from '../job/records'
import { AreasToCome, type NewArea } from '../areas/coming'
import { openingWords } from '../doors/openings'
import type { CellFault, RowState } from '../columns/fault'
import type { ListedDoor, ListedRow } from './read'

/** One row against the job: what would happen to it, told in words. */
export interface RowPreview {
  row: number
  ref: string
  name: string
  state: RowState
  /** Id of the door that it is about, empty for a new one. */ door: string
  says: string[]
  faults: CellFault[]
  notes: string[]
  listed: ListedDoor
}
export interface Preview {
  rows: RowPreview[]
  counts: Record<RowState, number>
  areas: NewArea[]
}

/** Lays rows beside the job's doors. A bad row is told and left out; the others go on. */
export function previewRows(rows: Iterable<ListedRow>, doors: readonly Door[], areas: readonly Area[]): Preview {
  const byRef = new Map(doors.map((d) => [d.ref.toUpperCase(), d]))
  const seen = new Map<string, number>()
  const fresh = new AreasToCome(areas)
  const out: Preview = { rows: [], counts: { new: 0, changed: 0, same: 0, bad: 0 }, areas: fresh.list }
  for (const row of rows) {
    const made = previewRow(row, byRef, seen, fresh)
    out.rows.push(made)
    out.counts[made.state]++
  }
  return out
}

function previewRow(
  { row, door: listed, faults, notes }: ListedRow,
  byRef: ReadonlyMap<string, Door>,
  seen: Map<string, number>,
  fresh: AreasToCome,
): RowPreview {
  const key = listed.ref.toUpperCase()
  const before = byRef.get(key)
  const problems = [...faults]
  const twin = key ? seen.get(key) : undefined
  const whole = (column: string, says: string, mend: string) =>
    problems.push({ cell: `row ${row}`, column, says, mend })
  if (twin !== undefined)
    whole(
      'Reference',
      `${listed.ref} stands in row ${twin} as well`,
      'Each reference once: change or take out one of the two.',
    )
  else if (key) seen.set(key, row)
  if (!before && !problems.length) {
    if (!listed.name) whole('Name', 'a new door needs a name', 'Fill in its name.')
    if (!listed.from)
      whole(
        'From area',
        'a new door needs the area it leads from',
        'Fill in an area, or choose the column that tells it.',
      )
    if (!listed.to)
      whole('To area', 'a new door needs the area it leads to', 'Fill in an area, or choose the column that tells it.')
  }
  const base = {
    row,
    ref: listed.ref,
    name: listed.name ?? before?.name ?? '',
    door: before?.id ?? '',
    faults: problems,
    notes,
    listed,
  }
  if (problems.length) return { ...base, state: 'bad', says: [] }
  const from = listed.from === undefined ? undefined : fresh.idOf(listed.from)
  const to = listed.to === undefined ? undefined : fresh.idOf(listed.to)
  const says = before ? differences(before, listed, from, to) : []
  if (!before) return { ...base, state: 'new', says }
  return { ...base, state: says.length ? 'changed' : 'same', says }
}

/** What the row would change at a door, in words; empty for nothing. */
function differences(door: Door, listed: ListedDoor, from: string | undefined, to: string | undefined): string[] {
  const says: string[] = []
  const yes = (on: boolean) => (on ? 'yes' : 'no')
  const word = (v: unknown) => (typeof v === 'boolean' ? yes(v) : String(v))
  const compare = (what: string, before: unknown, after: unknown) => {
    if (after !== undefined && before !== after)
      says.push(`${what}: ${word(before ?? 'not said')}, will be ${word(after)}`)
  }
  compare('Name', door.name, listed.name)
  if (from !== undefined && from !== door.from) says.push(`Leads from ${listed.from}`)
  if (to !== undefined && to !== door.to) says.push(`Leads to ${listed.to}`)
  compare('Opening', openingWords[door.opening ?? 'door'], listed.opening && openingWords[listed.opening])
  compare('Escape route', door.escapeRoute, listed.escapeRoute)
  compare('Handle', door.handle, listed.handle)
  compare('Out of doors', door.outdoor ?? false, listed.outdoor)
  compare('Passages per day', door.passagesPerDay, listed.passagesPerDay)
  compare('Walking order', door.walk, listed.walk)
  for (const key of ['releaseS', 'heldOpenS'] as const satisfies readonly (keyof Behaviour)[])
    compare(key === 'releaseS' ? 'Release time, s' : 'Open time, s', door.behaviour[key], listed.behaviour?.[key])
  for (const role of partRoles) {
    const wanted = listed.hardware?.[role as PartRole]
    if (wanted !== undefined)
      compare(roleFacts[role].says, door.parts.find((p) => p.role === role)?.sheet ?? '', wanted)
  }
  compare('East, m', door.at?.x, listed.at?.x)
  compare('North, m', door.at?.y, listed.at?.y)
  for (const [cabinet, m] of Object.entries(listed.distances ?? {}))
    compare(`Metres to ${cabinet}`, door.distances?.[cabinet], m)
  if (listed.lengthM !== undefined && door.cables.some((c) => c.lengthM !== listed.lengthM))
    says.push(`Cables: ${listed.lengthM} m`)
  return says
}
