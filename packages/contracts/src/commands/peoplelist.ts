import {
  GroupsToCome,
  mostCards,
  nextNumber,
  numberAfter,
  personDetails,
  put,
  sameCard,
  validityFault,
  type Change,
  type Facts,
  type ListedPerson,
  type Person,
} from '@rauta/core'
import { PeopleKnown } from '@rauta/core/peoplelist'
import { card, optionalOfCard, soundCard } from './cards'
import { defineCommand, everyFitter, name, object, Refusal, text } from './command'
import { detailSchemas } from './people'

const short = { type: 'string', maxLength: 200 } as const
const listed = {
  type: 'object',
  additionalProperties: false,
  properties: {
    number: text,
    name,
    groups: { type: 'array', maxItems: 50, items: { type: 'string', minLength: 1, maxLength: 1000 } },
    cards: { type: 'array', maxItems: mostCards, items: object(card, optionalOfCard) },
    ...detailSchemas,
  },
} as const

export interface PeopleImport {
  file: string
  people: ListedPerson[]
  meanings: Record<string, string>
}

/** Takes the good rows of a list of people over as one change: new people, changed people, the groups they speak of, and what the columns meant. */
export const peopleImport = defineCommand<PeopleImport>()({
  name: 'people.import',
  roles: everyFitter,
  schema: object({
    file: { type: 'string', minLength: 1, maxLength: 200 },
    people: { type: 'array', minItems: 1, maxItems: 50_000, items: listed },
    meanings: { type: 'object', additionalProperties: short, maxProperties: 500 },
  }),
  apply(facts, p, { id }) {
    const groups = new NewGroups(facts, id)
    const known = new PeopleKnown(facts)
    const cards = new Set<string>()
    const seen = new Set<string>()
    let number = nextNumber(facts)
    const taken = new Set(p.people.flatMap((row) => (row.number ? [row.number.trim().toUpperCase()] : [])))
    const people = p.people.map((row, n): Change => {
      const found = known.find(row)
      if (found === 'several') throw new Refusal(`Several people are called ${row.name}. Say which by a number.`)
      const own = found?.id ?? `${id}-${n}`
      if (seen.has(own)) throw new Refusal(`${row.number ?? row.name} stands in the list twice.`)
      seen.add(own)
      while (taken.has(number.toUpperCase())) number = numberAfter(number)
      const before = found ?? { id: own, number: row.number ?? number, name: '', cards: [], groups: [] }
      if (!found && row.number === undefined) number = numberAfter(number)
      for (const c of row.cards ?? []) {
        const holder = known.holderOf(c)
        if (holder && holder.id !== own) throw new Refusal(`A card of ${row.name ?? before.name} is ${holder.name}’s.`)
        soundCard(facts, c, cards)
      }
      return put(
        facts,
        'person',
        withRow(before, row, (path) => groups.idOf(path), `${id}-${n}`),
      )
    })
    return [
      ...groups.changes(),
      ...people,
      put(facts, 'columns', { id: 'people', meanings: { ...facts.columns['people']?.meanings, ...p.meanings } }),
    ]
  },
  words(facts, p) {
    const known = new PeopleKnown(facts)
    const changed = p.people.filter((row) => known.find(row) !== undefined).length
    return `Took ${p.file} over: ${p.people.length - changed} people new, ${changed} changed`
  },
})

/** Groups of a list by their paths; those that the job lacks are made, each inside the one that it is in. */
class NewGroups {
  private readonly coming: GroupsToCome
  constructor(
    private readonly facts: Facts,
    private readonly command: string,
  ) {
    this.coming = new GroupsToCome(facts.group)
  }
  private real(id: string): string {
    const at = this.coming.list.findIndex((g) => `new:${g.path}` === id)
    return at < 0 ? id : `${this.command}-g${at}`
  }
  idOf(path: string): string {
    const fault = this.coming.faultOf(path)
    if (fault) throw new Refusal(`Group “${path.slice(0, 40)}”: ${fault}.`)
    return this.real(this.coming.idOf(path))
  }
  changes(): Change[] {
    return this.coming.list.map(({ name: called, parent }, n) =>
      put(this.facts, 'group', {
        id: `${this.command}-g${n}`,
        name: called,
        ...(parent ? { parent: this.real(parent) } : {}),
      }),
    )
  }
}

function withRow(person: Person, row: ListedPerson, groupId: (path: string) => string, id: string): Person {
  const next: Person = { ...person, ...(row.name === undefined ? {} : { name: row.name }) }
  for (const field of personDetails) if (row[field] !== undefined) Object.assign(next, { [field]: row[field] })
  if (row.longer === false) delete next.longer
  if (!next.name) throw new Refusal('Somebody new in the list has no name.')
  const fault = validityFault(next)
  if (fault) throw new Refusal(`${next.name}: ${fault.says}`)
  if (row.groups) next.groups = [...new Set(row.groups.map(groupId))]
  const fresh = (row.cards ?? []).filter((c) => !person.cards.some((own) => sameCard(own, c)))
  if (person.cards.length + fresh.length > mostCards)
    throw new Refusal(`${next.name} would have more than ${mostCards} cards.`)
  next.cards = [...person.cards, ...fresh.map((c, i) => ({ ...c, id: `${id}-c${i}`, state: 'in use' as const }))]
  return next
}
