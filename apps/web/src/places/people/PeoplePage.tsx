import { cardName, type Facts, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { counted } from '../../parts/count'
import { Line, Screen } from '../../parts/Screen'
import { LazyTable } from '../../parts/LazyTable'
import type { TableColumn } from '../../parts/Table'
import { T } from '../../parts/Text'
import { peopleInOrder } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** @param chosen whoever stands beside the list */
export function PeoplePage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const wide = useWide()
  const [find, setFind] = useState('')
  const everybody = peopleInOrder(facts)
  const people = everybody.filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(find.trim().toLowerCase()))
  const columns = useMemo((): TableColumn<Person>[] => columnsOf(facts), [facts])
  return (
    <Screen
      title={counted(everybody.length, 'person', 'people')}
      bar={<Action label="Add a person" onPress={() => router.push('/people/new')} />}
    >
      <View style={{ padding: 16, paddingBottom: 0 }}>
        <Field label="Find a person" value={find} onChange={setFind} />
      </View>
      {everybody.length === 0 ? (
        <T style={{ padding: 16 }}>Nobody yet. People are let through by the groups they are in.</T>
      ) : null}
      {wide && people.length ? (
        <LazyTable
          label="People"
          rows={people}
          columns={columns}
          chosen={chosen}
          nameOf={(p) => p.name}
          onOpen={(p) => router.push(`/people/${p.id}`)}
        />
      ) : null}
      {wide
        ? null
        : people.map((p) => (
            <Line key={p.id} label={p.name} onPress={() => router.push(`/people/${p.id}`)}>
              <View style={{ flexDirection: 'row', gap: 10 }}>
                <T face="mono" size={13} style={{ width: 44 }}>
                  {p.number}
                </T>
                <View style={{ flex: 1 }}>
                  <T face="strong">{p.name}</T>
                  <Groups facts={facts} person={p} />
                </View>
                <Cards person={p} />
              </View>
            </Line>
          ))}
    </Screen>
  )
}

const columnsOf = (facts: Facts): TableColumn<Person>[] => [
  { id: 'name', head: 'Name', value: (p) => p.name },
  { id: 'number', head: 'Number', value: (p) => p.number, cell: (p) => <T face="mono">{p.number}</T>, width: 92 },
  { id: 'groups', head: 'Groups', value: (p) => groupsOf(facts, p), cell: (p) => <Groups facts={facts} person={p} /> },
  {
    id: 'cards',
    head: 'Cards',
    value: (p) => p.cards.map(cardName).join(' '),
    cell: (p) => <Cards person={p} />,
    width: 132,
  },
]

const groupsOf = (facts: Facts, person: Person): string =>
  person.groups.map((g) => facts.group[g]?.name ?? g).join(', ')

const Groups = ({ facts, person }: { facts: Facts; person: Person }) => (
  <T size={13} tone={person.groups.length ? 'quiet' : 'ochre'}>
    {groupsOf(facts, person) || 'in no group: refused everywhere'}
  </T>
)

const Cards = ({ person }: { person: Person }) => (
  <View>
    {person.cards.map((c) => (
      <T
        key={c.id}
        face="mono"
        size={13}
        tone={c.state === 'lost' ? 'madder' : 'ink'}
      >{`${cardName(c)}${c.state === 'lost' ? ' lost' : ''}`}</T>
    ))}
    {person.cards.length === 0 ? (
      <T size={13} tone="ochre">
        no card
      </T>
    ) : null}
  </View>
)
