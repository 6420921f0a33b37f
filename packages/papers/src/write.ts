import { stringify } from 'csv-stringify/sync'
import {
  isKind,
  openingKinds,
  openingWords,
  partRoles,
  roleFacts,
  sheetOf,
  type Area,
  type Door,
  type Meaning,
  type PartRole,
  type Sheets,
} from '@rauta/core'
import { meaningWords } from '@rauta/core/doorlist'
import { listXlsx } from './list'
import { csvStyle } from './tables'

/** What a door schedule is written from. */
export interface ScheduleSource {
  doors: readonly Door[]
  areas: readonly Area[]
  cabinets: readonly string[]
  sheets: Sheets
}

const fixed: readonly Meaning[] = [
  'ref',
  'name',
  'from',
  'to',
  'opening',
  'escapeRoute',
  'handle',
  'outdoor',
  'passages',
  'walk',
  'releaseS',
  'heldOpenS',
  ...partRoles,
  'x',
  'y',
]
const meaningsFor = (source: ScheduleSource): Meaning[] => [
  ...fixed,
  ...source.cabinets.map((c): Meaning => `distance:${c}`),
]

type Value = string | number | null

/** One door as a row, in the order of the columns. An area is told by the path of its names. */
function rowOf(door: Door, columns: readonly Meaning[], source: ScheduleSource): Value[] {
  const area = (id: string): string => {
    const a = source.areas.find((x) => x.id === id)
    if (!a) return ''
    return a.parent ? `${area(a.parent)} / ${a.name}` : a.name
  }
  const yes = (on: boolean) => (on ? 'yes' : 'no')
  return columns.map((meaning): Value => {
    if (meaning.startsWith('distance:')) return door.distances?.[meaning.slice(9)] ?? null
    switch (meaning) {
      case 'ref':
        return door.ref
      case 'name':
        return door.name
      case 'from':
        return area(door.from)
      case 'to':
        return area(door.to)
      case 'opening':
        return openingWords[door.opening ?? 'door']
      case 'escapeRoute':
        return yes(door.escapeRoute)
      case 'handle':
        return yes(door.handle)
      case 'outdoor':
        return yes(door.outdoor ?? false)
      case 'passages':
        return door.passagesPerDay
      case 'walk':
        return door.walk
      case 'releaseS':
        return door.behaviour.releaseS
      case 'heldOpenS':
        return door.behaviour.heldOpenS
      case 'x':
        return door.at?.x ?? null
      case 'y':
        return door.at?.y ?? null
      default: {
        const part = door.parts.find((p) => p.role === (meaning as PartRole))
        return part ? sheetOf(source.sheets, part.sheet).name : 'none'
      }
    }
  })
}

/** The door schedule as CSV in UTF-8 with its mark, so that spreadsheets open it rightly; cells that look like formulas are made harmless. */
export function scheduleCsv(source: ScheduleSource): string {
  const columns = meaningsFor(source)
  return stringify([columns.map(meaningWords), ...source.doors.map((d) => rowOf(d, columns, source))], csvStyle)
}

/** The door schedule as a workbook, with the lists to choose from and tips on each column: the same shape as the template. */
export function scheduleXlsx(source: ScheduleSource): Promise<Uint8Array> {
  const columns = meaningsFor(source)
  return listXlsx({
    name: 'Doors',
    columns: columns.map((m) => ({ title: meaningWords(m), tip: tipOf(m), choices: choicesOf(m, source) })),
    rows: source.doors.map((d) => rowOf(d, columns, source)),
  })
}

function choicesOf(meaning: Meaning, source: ScheduleSource): string[] {
  if (meaning === 'escapeRoute' || meaning === 'handle' || meaning === 'outdoor') return ['yes', 'no']
  if (meaning === 'opening') return openingKinds.map((k) => openingWords[k])
  if (meaning === 'from' || meaning === 'to') return source.areas.map((a) => a.name)
  if ((partRoles as readonly string[]).includes(meaning))
    return [
      'none',
      ...Object.values(source.sheets)
        .filter((s) => isKind(s, roleFacts[meaning as PartRole].kind))
        .map((s) => s.name),
    ]
  return []
}

/** A tip that the spreadsheet shows beside a cell of the column. */
function tipOf(meaning: Meaning): string {
  if (meaning.startsWith('distance:'))
    return `Metres of cable from the door to ${meaning.slice(9)}, for example 35. Leave it empty where nobody knows.`
  const tips: Partial<Record<Meaning, string>> = {
    ref: 'Up to 20 letters and digits, each once, for example Q-07. The column is text: 007 keeps its noughts.',
    name: 'What people call the door.',
    from: 'The area on its unsecured side. A path makes areas inside areas: Terminal / Crew flats.',
    to: 'The area on its secured side.',
    opening: 'What kind of opening it is; a door where it is empty.',
    escapeRoute: 'yes or no',
    handle: 'yes where a handle opens it from the secured side without any current.',
    outdoor: 'yes where its unsecured side is out of doors.',
    passages: 'How often it is passed on a day, for example 120.',
    walk: 'Its place in the order in which you walk.',
    releaseS: 'Seconds for which the lock is released, for example 5.',
    heldOpenS: 'Seconds that it may stand open before the alarm.',
    x: 'Metres east on the site’s grid.',
    y: 'Metres north on the site’s grid.',
  }
  return tips[meaning] ?? 'Choose the device from the list, or none.'
}
