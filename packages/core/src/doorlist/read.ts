import { isKind, type DeviceSheet, type Sheets } from '../devices/sheet'
import { roleFacts, type Behaviour, type OpeningKind, type PartRole } from '../doors/door'
import { partedFault, type CellFault } from '../columns/fault'
import { repeatsHeader } from '../columns/header'
import { cellName, plain, textOf, type Cell, type Table } from '../columns/table'
import { yesNo, type Taken } from '../columns/value'
import { meaningWords, type DoorColumn } from './meanings'
import { coordinate, count, metres, opening, reference, seconds } from './values'

/** A row as it was understood. Only what the file tells is there. */
export interface ListedDoor {
  ref: string
  name?: string
  /** Area codes or names, as paths from the largest: `Terminal / Crew flats`. */
  from?: string
  to?: string
  opening?: OpeningKind
  escapeRoute?: boolean
  handle?: boolean
  outdoor?: boolean
  passagesPerDay?: number
  walk?: number
  behaviour?: Partial<Pick<Behaviour, 'releaseS' | 'heldOpenS'>>
  lengthM?: number
  at?: { x: number; y: number }
  distances?: Record<string, number>
  /** Sheet ids by role; an empty one takes the part away. */
  hardware?: Partial<Record<PartRole, string>>
}
export interface ListedRow {
  /** As the spreadsheet counts: from 1. */ row: number
  door: ListedDoor
  faults: CellFault[]
  notes: string[]
}

/** Reads every row under the titles; empty rows and titles said over again are left out. */
export function* readRows(
  table: Table,
  headerRow: number,
  columns: readonly DoorColumn[],
  sheets: Sheets,
): Generator<ListedRow> {
  const used = columns.filter((c) => c.meaning !== 'ignore')
  const names = sheetNames(sheets)
  for (let row = headerRow + 1; row < table.rows.length; row++) {
    const cells = table.rows[row] ?? []
    if (cells.every((c) => textOf(c) === '')) continue
    if (repeatsHeader(cells, columns, (i) => textOf(cells[i]))) continue
    const read = readRow(cells, row, used, names)
    const parted = table.byComma ? partedFault(cells, row, table.rows[headerRow] ?? [], meaningWords('ignore')) : null
    yield parted ? { ...read, faults: [parted, ...read.faults] } : read
  }
}

interface SheetNames {
  byWord: ReadonlyMap<string, DeviceSheet>
  all: readonly DeviceSheet[]
}
function sheetNames(sheets: Sheets): SheetNames {
  const all = Object.values(sheets)
  return { all, byWord: new Map(all.flatMap((s) => [[plain(s.name), s] as const, [plain(s.id), s] as const])) }
}

function readRow(cells: readonly Cell[], row: number, columns: readonly DoorColumn[], names: SheetNames): ListedRow {
  const out: ListedRow = { row: row + 1, door: { ref: '' }, faults: [], notes: [] }
  const place: { x?: number; y?: number } = {}
  for (const column of columns) {
    const cell = cells[column.index] ?? null
    const text = textOf(cell)
    if (text === '') continue
    const fault = (says: string, mend: string) =>
      out.faults.push({ cell: cellName(row, column.index), column: meaningWords(column.meaning), says, mend })
    if (typeof cell === 'object' && cell && 'broken' in cell) {
      fault(`the formula gives ${cell.broken}`, 'Mend the formula, or write the value itself.')
      continue
    }
    if (typeof cell === 'object' && cell && column.meaning !== 'ignore') {
      fault(`the spreadsheet made a date of it (${cell.date})`, 'Set the column to text and write the value again.')
      continue
    }
    const into = <T>(taken: Taken<T>, put: (value: T) => void) => {
      if (taken.ok) {
        put(taken.value)
        if (taken.note) out.notes.push(taken.note)
      } else fault(taken.says, taken.mend)
    }
    takeCell(out, place, column, cell, text, names, into, fault)
  }
  if (place.x !== undefined && place.y !== undefined) out.door.at = { x: place.x, y: place.y }
  if (!out.door.ref && !out.faults.some((f) => f.column === meaningWords('ref'))) {
    const column = columns.find((c) => c.meaning === 'ref')
    out.faults.push({
      cell: cellName(row, column?.index ?? 0),
      column: meaningWords('ref'),
      says: 'there is no reference',
      mend: 'Give the door a reference, or take the row out.',
    })
  }
  return out
}

type Into = <T>(taken: Taken<T>, put: (value: T) => void) => void

function takeCell(
  out: ListedRow,
  place: { x?: number; y?: number },
  column: DoorColumn,
  cell: Cell,
  text: string,
  names: SheetNames,
  into: Into,
  fault: (says: string, mend: string) => void,
): void {
  const { door } = out
  const { meaning, unit } = column
  if (meaning.startsWith('distance:')) {
    into(metres(text, unit), (v) => {
      ;(door.distances ??= {})[meaning.slice(9)] = v
    })
    return
  }
  switch (meaning) {
    case 'ref':
      into(reference(text), (v) => {
        door.ref = v
      })
      if (typeof cell === 'number') out.notes.push(`${text} is a number in the file: noughts before it would be lost.`)
      return
    case 'name':
      if (text.length > 120) fault(`the name has ${text.length} letters`, 'Shorten it to 120.')
      else door.name = text
      return
    case 'from':
      door.from = text
      return
    case 'to':
      door.to = text
      return
    case 'opening':
      into(opening(text), (v) => {
        door.opening = v
      })
      return
    case 'escapeRoute':
      into(yesNo(text), (v) => {
        door.escapeRoute = v
      })
      return
    case 'handle':
      into(yesNo(text), (v) => {
        door.handle = v
      })
      return
    case 'outdoor':
      into(yesNo(text), (v) => {
        door.outdoor = v
      })
      return
    case 'passages':
      into(count(text), (v) => {
        door.passagesPerDay = v
      })
      return
    case 'walk':
      into(count(text), (v) => {
        door.walk = v
      })
      return
    case 'releaseS':
      into(within(seconds(text, unit), 0.5, 3600, 's'), (v) => {
        door.behaviour = { ...door.behaviour, releaseS: v }
      })
      return
    case 'heldOpenS':
      into(within(seconds(text, unit), 1, 3600, 's'), (v) => {
        door.behaviour = { ...door.behaviour, heldOpenS: v }
      })
      return
    case 'lengthM':
      into(within(metres(text, unit), 0, 2000, 'm'), (v) => {
        door.lengthM = v
      })
      return
    case 'x':
      into(coordinate(text), (v) => {
        place.x = v
      })
      return
    case 'y':
      into(coordinate(text), (v) => {
        place.y = v
      })
      return
    case 'ignore':
      return
    default:
      into(hardware(text, meaning as PartRole, names), (v) => {
        ;(door.hardware ??= {})[meaning as PartRole] = v
      })
  }
}

function within(taken: Taken<number>, least: number, most: number, unit: string): Taken<number> {
  if (!taken.ok || (taken.value >= least && taken.value <= most)) return taken
  return {
    ok: false,
    says: `${taken.value} ${unit} is outside ${least} to ${most} ${unit}`,
    mend: `Write a value from ${least} to ${most} ${unit}.`,
  }
}

/** What is taken where a list only says yes. A lock is never guessed: it decides whether people get out. */
const usualSheets: Readonly<Partial<Record<PartRole, string>>> = {
  entryReader: 'reader-slim',
  exitReader: 'reader-slim',
  contact: 'contact-frame',
  contact2: 'contact-frame',
  exit: 'button-exit',
  exitSensor: 'sensor-exit',
  deskButton: 'button-desk',
  breakGlass: 'break-glass',
}

function hardware(text: string, role: PartRole, names: SheetNames): Taken<string> {
  const { kind, says } = roleFacts[role]
  const word = yesNo(text)
  if (word.ok && !word.value) return { ok: true, value: '' }
  const there = names.all.filter((s) => isKind(s, kind))
  const found = names.byWord.get(plain(text))
  if (found && isKind(found, kind)) return { ok: true, value: found.id }
  const like = there.filter((s) =>
    plain(s.name)
      .split(' ')
      .some((w) => w.length > 3 && plain(text).includes(w)),
  )
  const some = (like.length ? like : there)
    .slice(0, 3)
    .map((s) => s.name)
    .join('; ')
  const usual = word.ok ? usualSheets[role] : undefined
  const sheet = usual === undefined ? undefined : names.all.find((s) => s.id === usual)
  if (sheet && isKind(sheet, kind))
    return {
      ok: true,
      value: sheet.id,
      note: `${says}: yes, so ${sheet.name} is taken. Choose another where it is one.`,
    }
  if (word.ok)
    return {
      ok: false,
      says: `it says yes, but not which ${says.toLowerCase()}`,
      mend: `Name one, for example: ${some}.`,
    }
  return {
    ok: false,
    says: found ? `${found.name} is not fit as ${says.toLowerCase()}` : `no device sheet is called “${text}”`,
    mend: `Name one that there is, for example: ${some}. Or add a device sheet.`,
  }
}
