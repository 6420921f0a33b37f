import { personMeanings, personMeaningWords } from '@rauta/core/peoplelist'
import { ListPage, type ListKind } from './ListPage'

const people: ListKind = {
  path: '/people-list',
  title: 'List of people',
  under: 'Everybody with cards and groups, in and out',
  picks: 'File with the people',
  one: 'person',
  more: 'people',
  to: { label: 'To the people', href: '/people' },
  about:
    'A spreadsheet (.xlsx) or text with commas, semicolons or tabs: names, numbers, groups (Staff / Night), cards (61 04423), days. Titles in English, Finnish, Swedish, German, French or Spanish. An empty cell leaves what is there; a card is added, none is taken away.',
  telling: 'a name, a number or a card',
  noRef: 'next no',
  meanings: () => (['ignore', ...personMeanings] as const).map((m) => ({ value: m, label: personMeaningWords(m) })),
}

/** The people of the job, in and out. @param at a list that lies on the server already */
export const PeopleListPage = ({ at }: { at?: string | undefined }) => (
  <ListPage list={people} {...(at ? { at } : {})} />
)
