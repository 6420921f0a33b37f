import { groupPath, GroupsToCome, type NewGroup } from '../access/groups'
import { isTestCard } from '../access/holders'
import { mostCards, personDetails, type Person } from '../access/records'
import { validityFault } from '../access/validity'
import { cardKey, cardName, type StoredCard } from '../cards/card'
import type { CellFault, RowState } from '../columns/fault'
import { textOf } from '../columns/table'
import { all, type Facts } from '../job/facts'
import { personMeaningWords, type PersonMeaning } from './meanings'
import type { ListedPerson, ListedPersonRow } from './read'

/** One row against the job: what would happen, told in words. */
export interface PersonRowPreview {
  row: number
  number: string
  name: string
  state: RowState
  /** Id of the person that it is about, empty for a new one. */ person: string
  says: string[]
  faults: CellFault[]
  notes: string[]
  listed: ListedPerson
}
export interface PeoplePreview {
  rows: PersonRowPreview[]
  counts: Record<RowState, number>
  groups: NewGroup[]
}

const numberKey = (number: string): string => number.trim().toUpperCase()
const nameKey = (name: string): string => textOf(name).toUpperCase()

/** A job's people by what a list may know them by. */
export class PeopleKnown {
  private readonly byNumber = new Map<string, Person>()
  private readonly byName = new Map<string, Person[]>()
  private readonly byCard = new Map<string, Person>()
  constructor(facts: Facts) {
    for (const person of all(facts, 'person')) {
      if (person.number) this.byNumber.set(numberKey(person.number), person)
      this.byName.set(nameKey(person.name), [...(this.byName.get(nameKey(person.name)) ?? []), person])
      for (const card of person.cards) this.byCard.set(cardKey(card), person)
    }
  }

  /** By number, or by name where no number is told and one person has that name. `several`: more than one has it. */
  find({ number, name }: ListedPerson): Person | 'several' | undefined {
    if (number !== undefined) return this.byNumber.get(numberKey(number))
    const named = this.byName.get(nameKey(name ?? '')) ?? []
    return named.length > 1 ? 'several' : named[0]
  }
  holderOf = (card: StoredCard): Person | undefined => this.byCard.get(cardKey(card))
}

/** Lays rows beside the job's people. A bad row is told and left out; the others go on. */
export function previewPeople(rows: Iterable<ListedPersonRow>, facts: Facts): PeoplePreview {
  const groups = new GroupsToCome(facts.group)
  const out: PeoplePreview = { rows: [], counts: { new: 0, changed: 0, same: 0, bad: 0 }, groups: groups.list }
  const look = new Looking(facts, new PeopleKnown(facts), groups)
  for (const row of rows) {
    const made = look.at(row)
    out.rows.push(made)
    out.counts[made.state]++
  }
  return out
}

class Looking {
  private readonly people = new Map<string, number>()
  private readonly cards = new Map<string, number>()
  constructor(
    private readonly facts: Facts,
    private readonly known: PeopleKnown,
    private readonly groups: GroupsToCome,
  ) {}

  at({ row, person: listed, faults, notes }: ListedPersonRow): PersonRowPreview {
    const found = this.known.find(listed)
    const before = found === 'several' ? undefined : found
    const problems = [...faults]
    const whole = (meaning: PersonMeaning, says: string, mend: string) =>
      problems.push({ cell: `row ${row}`, column: personMeaningWords(meaning), says, mend })
    if (found === 'several')
      whole('name', `several people are called ${listed.name}`, 'Say which with the column Number.')
    if (!before && !listed.name && found === undefined) whole('name', 'somebody new needs a name', 'Fill in the name.')
    this.once(listed, before, row, whole)
    for (const group of listed.groups ?? []) {
      const fault = this.groups.faultOf(group)
      if (fault) whole('groups', `“${group.slice(0, 40)}”: ${fault}`, 'Write it as Staff / Night.')
    }
    for (const card of listed.cards ?? []) this.card(card, before, row, whole)
    if ((before?.cards.length ?? 0) + this.fresh(before, listed).length > mostCards)
      whole('cards', `that would be more than ${mostCards} cards`, 'Take some out.')
    const validity = validityFault({ ...before, ...listed })
    if (validity) whole(validity.field, validity.says.replace(/\.$/, ''), 'Put the days right, or leave one empty.')
    const base = {
      row,
      number: listed.number ?? before?.number ?? '',
      name: listed.name ?? before?.name ?? '',
      person: before?.id ?? '',
      faults: problems,
      notes,
      listed,
    }
    if (problems.length) return { ...base, state: 'bad', says: [] }
    const says = this.differences(before, listed)
    if (!before) return { ...base, state: 'new', says }
    return { ...base, state: says.length ? 'changed' : 'same', says }
  }

  /** Each person once: by number, or by the name where that is all that is told. */
  private once(
    listed: ListedPerson,
    before: Person | undefined,
    row: number,
    whole: (m: PersonMeaning, says: string, mend: string) => void,
  ): void {
    const key =
      before?.id ?? (listed.number !== undefined ? `n/${numberKey(listed.number)}` : `p/${nameKey(listed.name ?? '')}`)
    const twin = this.people.get(key)
    const who = listed.number ?? listed.name ?? ''
    if (twin === undefined) this.people.set(key, row)
    else if (who)
      whole(
        listed.number === undefined ? 'name' : 'number',
        `${who} stands in row ${twin} as well`,
        'Each person once: put several cards into one cell, parted by semicolons, or give each a number.',
      )
  }

  private card(
    card: StoredCard,
    before: Person | undefined,
    row: number,
    whole: (m: PersonMeaning, says: string, mend: string) => void,
  ): void {
    const name = cardName(card)
    const twin = this.cards.get(cardKey(card))
    if (twin !== undefined && twin !== row)
      return void whole(
        'cards',
        `card ${name} stands in row ${twin} as well`,
        'One card is one person’s: take it out of one row.',
      )
    this.cards.set(cardKey(card), row)
    const holder = this.known.holderOf(card)
    if (holder && holder.id !== before?.id)
      whole('cards', `card ${name} is ${holder.name}’s`, 'Pass it on there first, or write the right card.')
    if (isTestCard(this.facts, card))
      whole('cards', `card ${name} is one of the test cards`, 'Write another card, or change the test cards under Job.')
  }

  /** What somebody new brings along. */
  private brought(listed: ListedPerson): string[] {
    const groups = [...new Set(listed.groups?.map((g) => this.groups.idOf(g)))]
    return [
      ...(groups.length ? [`Groups: ${listed.groups?.join('; ')}`] : []),
      ...(listed.cards?.length ? [`Cards: ${listed.cards.map(cardName).join('; ')}`] : []),
    ]
  }

  private differences(before: Person | undefined, listed: ListedPerson): string[] {
    if (!before) return this.brought(listed)
    const says: string[] = []
    const yes = (on: boolean) => (on ? 'yes' : 'no')
    const word = (v: unknown) => (typeof v === 'boolean' ? yes(v) : String(v))
    if (listed.name !== undefined && listed.name !== before.name)
      says.push(`Name: ${before.name}, will be ${listed.name}`)
    for (const field of personDetails) {
      const value = listed[field]
      const was = before[field] ?? (field === 'longer' ? false : undefined)
      if (value !== undefined && value !== was)
        says.push(`${personMeaningWords(field)}: ${word(was ?? 'not said')}, will be ${word(value)}`)
    }
    const groups = listed.groups?.map((g) => this.groups.idOf(g))
    if (groups && !sameSet(groups, before.groups))
      says.push(
        `Groups: ${before.groups.map((g) => groupPath(this.facts.group, g)).join('; ') || 'none'}, will be ${listed.groups?.join('; ')}`,
      )
    for (const card of this.fresh(before, listed)) says.push(`Gets card ${cardName(card)}`)
    return says
  }

  /** Cards of a row that are not this person's already. */
  private fresh(before: Person | undefined, { cards = [] }: ListedPerson): StoredCard[] {
    return cards.filter((c) => !before || this.known.holderOf(c)?.id !== before.id)
  }
}

const sameSet = (a: readonly string[], b: readonly string[]): boolean => {
  const one = new Set(a)
  const other = new Set(b)
  return one.size === other.size && [...one].every((x) => other.has(x))
}
