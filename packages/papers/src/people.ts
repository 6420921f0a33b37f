import { groupPath, type Facts, type Person } from '@rauta/core'
import { cardCell, personMeaningWords, type PersonMeaning } from '@rauta/core/peoplelist'
import { stringify } from 'csv-stringify/sync'
import { listXlsx } from './list'
import { csvStyle } from './tables'

/** What a list of people is written from. */
export interface PeopleSource {
  people: readonly Person[]
  groups: Facts['group']
}

/** As they are read back: whatever is written here is the same to the job. */
const columns = [
  'number',
  'name',
  'groups',
  'cards',
  'company',
  'contact',
  'remark',
  'validFrom',
  'validUntil',
  'longer',
] as const satisfies readonly PersonMeaning[]

const tips: Readonly<Record<(typeof columns)[number], string>> = {
  number: 'Each once. Left empty, somebody new gets the next one. The column is text: 007 keeps its noughts.',
  name: 'First and last name.',
  groups: 'Several are parted by semicolons. A path makes groups inside groups: Staff / Night.',
  cards:
    'Facility and number, for example 61 04423; another format before it, 34 bits: 61 04423. Several are parted by semicolons.',
  company: 'Whom they work for.',
  contact: 'Telephone or e-mail.',
  remark: 'Anything that the next engineer should know.',
  validFrom: 'First day, for example 2027-01-31.',
  validUntil: 'Last day, for example 2027-06-30.',
  longer: 'yes where doors are to release and stay open for longer.',
}

/** Cards that are not in use are not handed on. */
function rowOf(person: Person, groups: Facts['group']): string[] {
  const cell: Record<(typeof columns)[number], string> = {
    number: person.number,
    name: person.name,
    groups: person.groups.map((g) => groupPath(groups, g)).join('; '),
    cards: person.cards
      .filter((c) => c.state === 'in use')
      .map(cardCell)
      .join('; '),
    company: person.company ?? '',
    contact: person.contact ?? '',
    remark: person.remark ?? '',
    validFrom: (person.validFrom ?? '').replace('T', ' '),
    validUntil: (person.validUntil ?? '').replace('T', ' '),
    longer: person.longer ? 'yes' : 'no',
  }
  return columns.map((c) => cell[c])
}

const bodyOf = ({ people, groups }: PeopleSource): string[][] => people.map((p) => rowOf(p, groups))

/** People as CSV in UTF-8 with its mark; cells that look like formulas are made harmless. */
export const peopleCsv = (source: PeopleSource): string =>
  stringify([columns.map(personMeaningWords), ...bodyOf(source)], csvStyle)

/** People as a workbook: the same shape as the template. */
export const peopleXlsx = (source: PeopleSource): Promise<Uint8Array> =>
  listXlsx({
    name: 'People',
    columns: columns.map((c) => ({
      title: personMeaningWords(c),
      tip: tips[c],
      choices: c === 'longer' ? ['yes', 'no'] : [],
    })),
    rows: bodyOf(source),
  })
