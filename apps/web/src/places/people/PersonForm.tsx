import { all, isSerial, numberedCard, serialCard, usualFormat, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { FormatPick } from '../../parts/FormatPick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { useAfter } from '../shell/after'
import { Missing } from '../shell/Missing'

interface CardForm {
  id: string
  format: string
  /** Of a format that is a bare serial number. */
  serial: string
  facility: string
  number: string
  state: 'in use' | 'lost'
}

/** One person: name, number, cards, groups. */
export function PersonForm({ id }: { id?: string }) {
  const facts = useFacts()
  const after = useAfter('/people')
  const person = id ? facts.person[id] : undefined
  const form = useCommandForm<'person.put', PersonFields>({
    command: 'person.put',
    draft: `person-${id ?? 'new'}`,
    first: fieldsOf(person),
    payload: personOf,
    onSent: (p) => after(p.id),
  })
  if (id && !person) return <Missing what="person" which={id} />
  const { value, set, put, error } = form
  const setCard = (i: number, card: Partial<CardForm>) =>
    put({ cards: value.cards.map((c, n) => (n === i ? { ...c, ...card } : c)) })
  return (
    <Screen
      title={person ? person.name : 'Add a person'}
      bar={<Action label="Save the person" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Field label="Name" value={value.name} onChange={set('name')} error={error('name')} />
        <Field label="Number" value={value.number} onChange={set('number')} mono error={error('number')} />
      </Sheet>
      <Sheet title="Cards">
        {value.cards.map((c, i) => (
          <View key={c.id} style={{ gap: 4 }}>
            <FormatPick
              label={`Format, card ${i + 1}`}
              value={c.format}
              onChange={(format) => setCard(i, { format })}
            />
            {isSerial(c.format) ? (
              <Field
                label={`Serial number, card ${i + 1}`}
                value={c.serial}
                onChange={(serial) => setCard(i, { serial })}
                error={error(`cards.${i}.serial`)}
                mono
              />
            ) : (
              <View style={{ flexDirection: 'row', gap: 12 }}>
                <View style={{ flex: 1 }}>
                  <Field
                    label={`Facility, card ${i + 1}`}
                    value={c.facility}
                    onChange={(facility) => setCard(i, { facility })}
                    error={error(`cards.${i}.facility`)}
                    keyboard="numeric"
                    mono
                  />
                </View>
                <View style={{ flex: 2 }}>
                  <Field
                    label={`Number, card ${i + 1}`}
                    value={c.number}
                    onChange={(number) => setCard(i, { number })}
                    error={error(`cards.${i}.number`)}
                    keyboard="numeric"
                    mono
                  />
                </View>
              </View>
            )}
            {error(`cards.${i}`) ? <Notice tone="madder">{error(`cards.${i}`)}</Notice> : null}
            <Chips
              label={`State of card ${i + 1}`}
              value={c.state}
              onChange={(state) => setCard(i, { state })}
              options={[
                { value: 'in use', label: 'In use' },
                { value: 'lost', label: 'Lost' },
              ]}
            />
            <Action
              kind="plain"
              label={`Take card ${i + 1} away`}
              onPress={() => put({ cards: value.cards.filter((_, n) => n !== i) })}
            />
          </View>
        ))}
        <Action
          kind="plain"
          label="Add a card"
          onPress={() =>
            put({
              cards: [
                ...value.cards,
                { id: v7(), format: usualFormat, facility: '', number: '', serial: '', state: 'in use' },
              ],
            })
          }
        />
      </Sheet>
      <Sheet title="Groups">
        {all(facts, 'group').map((g) => (
          <Tick
            key={g.id}
            label={g.name}
            on={value.groups.includes(g.id)}
            onPress={() =>
              put({
                groups: value.groups.includes(g.id) ? value.groups.filter((x) => x !== g.id) : [...value.groups, g.id],
              })
            }
          />
        ))}
        {all(facts, 'group').length === 0 ? <T tone="quiet">No group yet. Make one under Access.</T> : null}
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
  groups: string[]
}

const fieldsOf = (p: Person | undefined): PersonFields => ({
  id: p?.id ?? v7(),
  name: p?.name ?? '',
  number: p?.number ?? '',
  groups: p?.groups ?? [],
  cards: (p?.cards ?? []).map((c): CardForm => ({
    id: c.id,
    format: c.format ?? usualFormat,
    facility: c.serial === undefined ? String(c.facility) : '',
    number: c.serial === undefined ? String(c.number) : '',
    serial: c.serial ?? '',
    state: c.state,
  })),
})

/** What is no whole number goes as none: the check says so at its field. */
const personOf = ({ id, number, name, cards, groups }: PersonFields): Person => ({
  id,
  number: number.trim(),
  name: name.trim(),
  cards: cards.map((c) => ({
    id: c.id,
    ...(isSerial(c.format)
      ? serialCard(c.format, c.serial)
      : numberedCard(c.format, numberIn(c.facility) ?? NaN, numberIn(c.number) ?? NaN)),
    state: c.state,
  })),
  groups,
})
