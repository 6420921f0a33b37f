import { groupTree, nextNumber, validityFault, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { FromUntil } from '../../parts/FromUntil'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { useAfter } from '../shell/after'
import { Missing } from '../shell/Missing'
import { OwnRights } from '../access/RightLines'
import { Arrivals } from './Arrivals'
import { codeFaults, CodeSheet } from './CodeSheet'
import { CardFields, cardForm, cardOfForm, emptyCard, type CardForm } from './CardFields'
import { PastCards } from './PastCards'

/** One person: name, number, cards, groups, days; and whether their rights have arrived. */
export function PersonForm({ id }: { id?: string }) {
  const facts = useFacts()
  const after = useAfter('/people')
  const person = id ? facts.person[id] : undefined
  const form = useCommandForm<'person.put', PersonFields>({
    command: 'person.put',
    draft: `person-${id ?? 'new'}`,
    first: fieldsOf(person, nextNumber(facts)),
    payload: personOf,
    also: (p) => {
      const fault = validityFault(p)
      return [...(fault ? [{ path: fault.field, says: fault.says }] : []), ...codeFaults(p)]
    },
    onSent: (p) => after(p.id),
  })
  if (id && !person) return <Missing what="person" which={id} />
  const { value, set, put, error } = form
  const setCard = (i: number, card: Partial<CardForm>) =>
    put({ cards: value.cards.map((c, n) => (n === i ? { ...c, ...card } : c)) })
  const groups = groupTree(facts)
  return (
    <Screen
      title={person ? person.name : 'Add a person'}
      bar={<Action label="Save the person" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      {person ? <Arrivals person={person} /> : null}
      <Sheet>
        <Field label="Name" value={value.name} onChange={set('name')} error={error('name')} />
        <Field label="Number" value={value.number} onChange={set('number')} mono error={error('number')} />
      </Sheet>
      <Sheet title="Cards">
        {value.cards.map((c, i) => (
          <CardFields
            key={c.id}
            card={c}
            i={i}
            error={error}
            onChange={(part) => setCard(i, part)}
            onTakeAway={() => put({ cards: value.cards.filter((_, n) => n !== i) })}
          />
        ))}
        {person ? (
          <Action
            kind="plain"
            label="Read a card in"
            onPress={() => router.push({ pathname: '/people/enrol', params: { person: person.id } })}
          />
        ) : null}
        <Action kind="plain" label="Add a card" onPress={() => put({ cards: [...value.cards, emptyCard(v7())] })} />
        {person ? <PastCards person={person} /> : null}
      </Sheet>
      <CodeSheet value={value} put={put} error={error} />
      <Sheet title="Groups">
        {groups.map(({ group: g, depth }) => (
          <Tick
            key={g.id}
            label={`${'– '.repeat(depth)}${g.name}`}
            on={value.groups.includes(g.id)}
            onPress={() =>
              put({
                groups: value.groups.includes(g.id) ? value.groups.filter((x) => x !== g.id) : [...value.groups, g.id],
              })
            }
          />
        ))}
        {groups.length === 0 ? <T tone="quiet">No group yet. Make one under Access.</T> : null}
      </Sheet>
      {person ? <OwnRights person={person} /> : null}
      <Sheet title="When, and how long">
        <FromUntil verb="Valid" value={value} set={set} error={error} />
        <Tick
          label="Needs longer: doors release and stay open for the longer times"
          on={value.longer}
          onPress={() => put({ longer: !value.longer })}
        />
      </Sheet>
      <Sheet title="Besides">
        <Field label="Company" value={value.company} onChange={set('company')} error={error('company')} />
        <Field label="Telephone or e-mail" value={value.contact} onChange={set('contact')} error={error('contact')} />
        <Field label="Remark" value={value.remark} onChange={set('remark')} error={error('remark')} lines={2} />
      </Sheet>
      {person ? (
        <TakeAway kind="person" id={person.id} name={person.name} onGone={() => router.push('/people')} />
      ) : null}
    </Screen>
  )
}

interface PersonFields {
  id: string
  number: string
  name: string
  cards: CardForm[]
  /** Cards that were there when it was opened: another that is read in meanwhile is not taken away by saving. */
  knew: string[]
  groups: string[]
  company: string
  contact: string
  remark: string
  validFrom: string
  validUntil: string
  longer: boolean
  code: string
  duress: string
}

const fieldsOf = (p: Person | undefined, number: string): PersonFields => ({
  id: p?.id ?? v7(),
  name: p?.name ?? '',
  number: p?.number ?? number,
  groups: p?.groups ?? [],
  cards: (p?.cards ?? []).map(cardForm),
  knew: (p?.cards ?? []).map((c) => c.id),
  company: p?.company ?? '',
  contact: p?.contact ?? '',
  remark: p?.remark ?? '',
  validFrom: p?.validFrom ?? '',
  validUntil: p?.validUntil ?? '',
  longer: p?.longer ?? false,
  code: p?.code ?? '',
  duress: p?.duress ?? '',
})

/** What is left empty is not said. */
const said = <K extends string>(key: K, text: string) =>
  text.trim() ? ({ [key]: text.trim() } as { [P in K]: string }) : {}

const personOf = (form: PersonFields): Omit<Person, 'past'> & { knew: string[] } => ({
  id: form.id,
  number: form.number.trim(),
  name: form.name.trim(),
  cards: form.cards.map(cardOfForm),
  groups: form.groups,
  knew: form.knew,
  ...said('company', form.company),
  ...said('contact', form.contact),
  ...said('remark', form.remark),
  ...said('validFrom', form.validFrom),
  ...said('validUntil', form.validUntil),
  ...said('code', form.code),
  ...said('duress', form.duress),
  ...(form.longer ? { longer: true } : {}),
})
