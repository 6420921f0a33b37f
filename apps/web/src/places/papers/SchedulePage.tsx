import type { Meaning } from '@rauta/core'
import { meaningWords, plainMeanings } from '@rauta/core/doorlist'
import { cabinetsOf } from '@rauta/contracts'
import { ListPage, type ListKind } from './ListPage'

const schedule: ListKind = {
  path: '/door-schedule',
  title: 'Door schedule',
  under: 'The list of doors, in and out',
  picks: 'File with the door schedule',
  one: 'door',
  more: 'doors',
  to: { label: 'To the doors', href: '/doors' },
  about:
    'A spreadsheet (.xlsx) or text with commas, semicolons or tabs. Titles may stand anywhere near the top, in English, Finnish, Swedish, German, French or Spanish.',
  telling: 'a reference or a name',
  noRef: 'none',
  meanings(facts, own) {
    const to = [...cabinetsOf(facts).map((c) => `distance:${c}`), ...(own.startsWith('distance:') ? [own] : [])]
    return ['ignore', ...plainMeanings, ...new Set(to)].map((m) => ({ value: m, label: meaningWords(m as Meaning) }))
  },
}

/** The door schedule, in and out. */
export const SchedulePage = () => <ListPage list={schedule} />
