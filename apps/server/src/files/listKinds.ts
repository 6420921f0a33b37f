import { all, type Column, type Facts, type ListedDoor, type ListedPerson } from '@rauta/core'
import { columnsAt, findHeader, previewRows, readRows, type Header, type Table } from '@rauta/core/doorlist'
import { findPersonHeader, personColumnsAt, previewPeople, readPeople } from '@rauta/core/peoplelist'
import { sheetsFor, type PaperView } from '@rauta/contracts'

type Remembered = Readonly<Record<string, string>>
type Seen = Pick<PaperView, 'counts' | 'areas' | 'groups'> & { rows: PaperView['rows'] }

/** What one kind of list that is brought is, from its titles to what is taken over. */
interface ListKind<Row> {
  /** Under which the meanings of its columns are remembered in the job. */
  remembered: string
  findHeader(table: Table, remembered: Remembered): Header
  columnsAt(table: Table, row: number, remembered: Remembered, chosen: Remembered): Column[]
  /** Every row against the job, and those that would be taken over. */
  look(table: Table, headerRow: number, columns: readonly Column[], job: Facts): Seen & { good: Row[] }
}

const isGood = ({ state }: { state: string }) => state === 'new' || state === 'changed'

const doors: ListKind<ListedDoor> = {
  remembered: 'doors',
  findHeader,
  columnsAt,
  look(table, headerRow, columns, job) {
    const read =
      headerRow < 0 ? [] : readRows(table, headerRow, columns as ReturnType<typeof columnsAt>, sheetsFor(job))
    const { rows, counts, areas } = previewRows(read, all(job, 'door'), all(job, 'area'))
    return {
      rows,
      counts,
      areas: areas.map(({ path, code }) => ({ path, code })),
      groups: [],
      good: rows.filter(isGood).map((r) => r.listed),
    }
  },
}

const people: ListKind<ListedPerson> = {
  remembered: 'people',
  findHeader: findPersonHeader,
  columnsAt: personColumnsAt,
  look(table, headerRow, columns, job) {
    const read = headerRow < 0 ? [] : readPeople(table, headerRow, columns as ReturnType<typeof personColumnsAt>)
    const { rows, counts, groups } = previewPeople(read, job)
    return {
      rows: rows.map((r) => ({ ...r, ref: r.number })),
      counts,
      areas: [],
      groups: groups.map(({ path }) => path),
      good: rows.filter(isGood).map((r) => r.listed),
    }
  },
}

export const listKinds = { doors, people }
export type ListKindName = keyof typeof listKinds
