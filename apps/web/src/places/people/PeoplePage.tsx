import { cardName, groupPath, whoCannotPass, type Facts, type Hindrance, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { counted } from '../../parts/count'
import { Line, Screen, Sheet } from '../../parts/Screen'
import { LazyTable } from '../../parts/LazyTable'
import type { TableColumn } from '../../parts/Table'
import { T } from '../../parts/Text'
import { peopleInOrder } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { configsOf } from '../../state/worked'
import { useWide } from '../../theme'

/** @param chosen whoever stands beside the list */
export function PeoplePage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const wide = useWide()
  const [find, setFind] = useState('')
  const [which, setWhich] = useState<'all' | 'cannot'>('all')
  const everybody = peopleInOrder(facts)
  const cannot = useMemo(() => whoCannotPass(facts, configsOf(facts), Date.now()), [facts])
  const people = everybody
    .filter((p) => which === 'all' || cannot.has(p.id))
    .filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(find.trim().toLowerCase()))
  const columns = useMemo((): TableColumn<Person>[] => columnsOf(facts, cannot), [facts, cannot])
  return (
    <Screen
      title={counted(everybody.length, 'person', 'people')}
      bar={
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Action kind="plain" label="Add a person" onPress={() => router.push('/people/new')} />
          </View>
          <View style={{ flex: 1 }}>
            <Action label="Read cards in" onPress={() => router.push('/people/enrol')} />
          </View>
        </View>
      }
    >
      <View style={{ padding: 16, paddingBottom: 0, gap: 8 }}>
        <Field label="Find a person" value={find} onChange={setFind} />
        <Chips
          label="Whom"
          value={which}
          onChange={setWhich}
          options={[
            { value: 'all', label: `All ${everybody.length}` },
            { value: 'cannot', label: `Cannot pass yet ${cannot.size}` },
          ]}
        />
      </View>
      {everybody.length === 0 ? (
        <T style={{ padding: 16 }}>
          Nobody yet. Bring a list, add somebody, or read cards in. People are let through by the groups they are in.
        </T>
      ) : null}
      {everybody.length > 0 && people.length === 0 ? (
        <T style={{ padding: 16 }}>
          {find.trim() ? 'Nobody is called so.' : 'Everybody passes where they may, read back.'}
        </T>
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
                  <Why says={cannot.get(p.id)?.says} />
                </View>
                <Cards person={p} />
              </View>
            </Line>
          ))}
      <Sheet>
        <Action kind="plain" label="A list of people, in or out" onPress={() => router.push('/people/list')} />
      </Sheet>
    </Screen>
  )
}

const Why = ({ says }: { says: string | undefined }) =>
  says ? (
    <T size={13} tone="ochre">
      {says}
    </T>
  ) : null

const columnsOf = (facts: Facts, cannot: ReadonlyMap<string, Hindrance>): TableColumn<Person>[] => [
  { id: 'name', head: 'Name', value: (p) => p.name },
  { id: 'number', head: 'Number', value: (p) => p.number, cell: (p) => <T face="mono">{p.number}</T>, width: 92 },
  {
    id: 'groups',
    head: 'Groups',
    value: (p) => groupsOf(facts, p),
    cell: (p) => (
      <View>
        <Groups facts={facts} person={p} />
        <Why says={cannot.get(p.id)?.says} />
      </View>
    ),
  },
  {
    id: 'cards',
    head: 'Cards',
    value: (p) => p.cards.map(cardName).join(' '),
    cell: (p) => <Cards person={p} />,
    width: 132,
  },
]

const groupsOf = (facts: Facts, person: Person): string =>
  person.groups.map((g) => groupPath(facts.group, g)).join(', ')

const Groups = ({ facts, person }: { facts: Facts; person: Person }) => (
  <T size={13} tone="quiet">
    {groupsOf(facts, person)}
  </T>
)

const Cards = ({ person }: { person: Person }) => (
  <View>
    {person.cards.map((c) => (
      <T
        key={c.id}
        face="mono"
        size={13}
        tone={c.state === 'in use' ? 'ink' : 'madder'}
      >{`${cardName(c)}${c.state === 'in use' ? '' : ` ${c.state}`}`}</T>
    ))}
  </View>
)
