import type { StoredCard } from '../cards/card'
import { partedFault, type CellFault } from '../columns/fault'
import { repeatsHeader } from '../columns/header'
import { cellName, textOf, type Cell, type Table } from '../columns/table'
import { yesNo, type Taken } from '../columns/value'
import { personMeaningWords, type PersonColumn, type PersonMeaning } from './meanings'
import { cardFormat, cardsIn, dayIn, listIn } from './values'

/** A row as it was understood. Only what the file tells is there. */
export interface ListedPerson {
  number?: string
  name?: string
  /** Paths from the largest: `Staff / Night`. */
  groups?: string[]
  /** Added to those that they have. */
  cards?: StoredCard[]
  company?: string
  contact?: string
  remark?: string
  validFrom?: string
  validUntil?: string
  longer?: boolean
}
export interface ListedPersonRow {
  /** As the spreadsheet counts: from 1. */ row: number
  person: ListedPerson
  faults: CellFault[]
  notes: string[]
}

/** Reads every row under the titles; empty rows and titles said over again are left out. */
export function* readPeople(
  table: Table,
  headerRow: number,
  columns: readonly PersonColumn[],
): Generator<ListedPersonRow> {
  const used = columns.filter((c) => c.meaning !== 'ignore')
  for (let row = headerRow + 1; row < table.rows.length; row++) {
    const cells = table.rows[row] ?? []
    if (cells.every((c) => textOf(c) === '')) continue
    if (repeatsHeader(cells, columns, (i) => textOf(cells[i]))) continue
    const read = readPerson(cells, row, used)
    const parted = table.byComma
      ? partedFault(cells, row, table.rows[headerRow] ?? [], personMeaningWords('ignore'))
      : null
    yield parted ? { ...read, faults: [parted, ...read.faults] } : read
  }
}

const dates: ReadonlySet<PersonMeaning | 'ignore'> = new Set(['validFrom', 'validUntil'])
/** Letters that each text may have; the same as on the form. */
const longest = { number: 200, name: 120, company: 120, contact: 120, remark: 500 } as const
type Text = keyof typeof longest

function readPerson(cells: readonly Cell[], row: number, columns: readonly PersonColumn[]): ListedPersonRow {
  const out: ListedPersonRow = { row: row + 1, person: {}, faults: [], notes: [] }
  const has = new Map<PersonMeaning, { cell: Cell; text: string; at: string }>()
  const wrong = (at: string, meaning: PersonMeaning, says: string, mend: string) =>
    out.faults.push({ cell: at, column: personMeaningWords(meaning), says, mend })
  for (const { index, meaning } of columns) {
    const cell = cells[index] ?? null
    const text = listed(cell)
    if (text === '' || meaning === 'ignore') continue
    const at = cellName(row, index)
    if (typeof cell === 'object' && cell && 'broken' in cell)
      wrong(at, meaning, `the formula gives ${cell.broken}`, 'Mend the formula, or write the value itself.')
    else if (typeof cell === 'object' && cell && !dates.has(meaning))
      wrong(
        at,
        meaning,
        `the spreadsheet made a date of it (${textOf(cell)})`,
        'Set the column to text and write the value again.',
      )
    else has.set(meaning, { cell, text, at })
  }
  const into = <T>(meaning: PersonMeaning, read: (text: string, cell: Cell) => Taken<T>, put: (value: T) => void) => {
    const found = has.get(meaning)
    if (!found) return
    const taken = read(found.text, found.cell)
    if (taken.ok) put(taken.value)
    else wrong(found.at, meaning, taken.says, taken.mend)
  }
  const { person } = out
  for (const field of Object.keys(longest) as Text[])
    into(
      field,
      (text) => short(text, longest[field]),
      (value) => (person[field] = value),
    )
  wholeName(person, has.get('firstName')?.text, has.get('lastName')?.text)
  if ((person.name ?? '').length > longest.name)
    wrong(`row ${row + 1}`, 'name', `the name has ${person.name?.length} letters`, `Shorten it to ${longest.name}.`)
  if (typeof has.get('number')?.cell === 'number')
    out.notes.push(`${person.number} is a number in the file: noughts before it would be lost.`)
  into(
    'groups',
    (text) => ({ ok: true, value: listIn(text, /[;|\n]/) }),
    (value) => (person.groups = value),
  )
  into('longer', yesNo, (value) => (person.longer = value))
  into(
    'validFrom',
    (text, cell) => dayIn(cell, text),
    (value) => (person.validFrom = value),
  )
  into(
    'validUntil',
    (text, cell) => dayIn(cell, text),
    (value) => (person.validUntil = value),
  )
  readCards(into, person)
  return out
}

type Into = <T>(meaning: PersonMeaning, read: (text: string, cell: Cell) => Taken<T>, put: (value: T) => void) => void

/** Cards need what stands in two other columns, where there are such. */
function readCards(into: Into, person: ListedPerson): void {
  let facility: number | null = null
  let format: string | null = null
  let sound = true
  const refused = <T>(taken: Taken<T>): Taken<T> => {
    sound &&= taken.ok
    return taken
  }
  into(
    'facility',
    (text) =>
      refused(
        /^\d{1,5}$/.test(text)
          ? { ok: true, value: Number(text) }
          : { ok: false, says: `“${text}” is no facility`, mend: 'Write a whole number, for example 61.' },
      ),
    (value) => (facility = value),
  )
  into(
    'format',
    (text) => refused(cardFormat(text)),
    (value) => (format = value),
  )
  // Read with a facility or format that is not known they would be other cards.
  if (sound)
    into(
      'cards',
      (text) => cardsIn(text, facility, format),
      (value) => (person.cards = value),
    )
}

/** Lines within a cell stay apart: they part cards and groups. */
const listed = (cell: Cell): string =>
  typeof cell === 'string'
    ? cell
        .split(/\r?\n/)
        .map((line) => textOf(line))
        .filter(Boolean)
        .join('\n')
    : textOf(cell)

const short = (text: string, most: number): Taken<string> => {
  const plain = textOf(text)
  return plain.length > most
    ? { ok: false, says: `it has ${plain.length} letters`, mend: `Shorten it to ${most}.` }
    : { ok: true, value: plain }
}

function wholeName(person: ListedPerson, first: string | undefined, last: string | undefined): void {
  const parted = textOf([first, last].filter(Boolean).join(' '))
  if (person.name === undefined && parted) person.name = parted
}
