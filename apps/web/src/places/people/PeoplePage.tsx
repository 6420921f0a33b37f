import { all, cardName } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { counted } from '../../parts/count'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'

export function PeoplePage() {
  const facts = useFacts()
  const [find, setFind] = useState('')
  const people = all(facts, 'person')
    .sort((a, b) => a.name.localeCompare(b.name))
    .filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(find.trim().toLowerCase()))
  return (
    <Screen
      title={counted(all(facts, 'person').length, 'person', 'people')}
      bar={<Action label="Add a person" onPress={() => router.push('/people/new')} />}
    >
      <View style={{ padding: 16, paddingBottom: 0 }}>
        <Field label="Find a person" value={find} onChange={setFind} />
      </View>
      {all(facts, 'person').length === 0 ? (
        <T style={{ padding: 16 }}>Nobody yet. People are let through by the groups they are in.</T>
      ) : null}
      {people.map((p) => (
        <Line key={p.id} label={p.name} onPress={() => router.push(`/people/${p.id}`)}>
          <View style={{ flexDirection: 'row', gap: 10 }}>
            <T face="mono" size={13} style={{ width: 44 }}>
              {p.number}
            </T>
            <View style={{ flex: 1 }}>
              <T face="strong">{p.name}</T>
              <T size={13} tone={p.groups.length ? 'quiet' : 'ochre'}>
                {p.groups.map((g) => facts.group[g]?.name ?? g).join(', ') || 'in no group: refused everywhere'}
              </T>
            </View>
            <View>
              {p.cards.map((c) => (
                <T
                  key={c.id}
                  face="mono"
                  size={13}
                  tone={c.state === 'lost' ? 'madder' : 'ink'}
                >{`${cardName(c)}${c.state === 'lost' ? ' lost' : ''}`}</T>
              ))}
              {p.cards.length === 0 ? (
                <T size={13} tone="ochre">
                  no card
                </T>
              ) : null}
            </View>
          </View>
        </Line>
      ))}
    </Screen>
  )
}
