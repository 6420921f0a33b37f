import { all, limitWords, ruleValidAt, rulesAt, whereWords, whoWords, type Door, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Line, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'

/** The rules that pass a door: who, when, until when; each leads to it. */
export function DoorRights({ door }: { door: Door }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const rules = rulesAt(facts, door.id)
  return (
    <Sheet flush title="Who may come in">
      {rules.map((rule) => (
        <RightLine key={rule.id} rule={rule} says={whoWords(facts, rule)} />
      ))}
      {rules.length === 0 ? <T style={{ padding: 16 }}>Nobody: no rule passes it.</T> : null}
      {canFit(me) ? (
        <View style={{ padding: 12 }}>
          <Action
            kind="plain"
            label="Add a rule for this door"
            onPress={() => router.push({ pathname: '/access/new', params: { door: door.id } })}
          />
        </View>
      ) : null}
    </Sheet>
  )
}

/** Rights that somebody has alone, besides those of their groups. */
export function OwnRights({ person }: { person: Person }) {
  const facts = useFacts()
  const rules = all(facts, 'rule').filter((rule) => rule.person === person.id)
  return (
    <Sheet flush title="Rights of their own">
      {rules.map((rule) => (
        <RightLine key={rule.id} rule={rule} says={whereWords(facts, rule)} />
      ))}
      <View style={{ padding: 12 }}>
        <Action
          kind="plain"
          label="Add a right of their own"
          onPress={() => router.push({ pathname: '/access/new', params: { person: person.id } })}
        />
      </View>
    </Sheet>
  )
}

function RightLine({ rule, says }: { rule: Parameters<typeof whoWords>[1]; says: string }) {
  const facts = useFacts()
  const limit = limitWords(rule)
  const stands = ruleValidAt(facts, rule, Date.now())
  const when = facts.schedule[rule.schedule]?.name ?? rule.schedule
  return (
    <Line label={`${says} on ${when}`} onPress={() => router.push(`/access/${rule.id}`)}>
      <T face="strong">{`${says} on ${when}`}</T>
      {limit ? (
        <T size={13} tone={stands === 'valid' ? 'quiet' : 'ochre'}>
          {`${stands === 'expired' ? 'Ended: ' : stands === 'notYet' ? 'Not yet: ' : ''}${limit}`}
        </T>
      ) : null}
    </Line>
  )
}
