import { all, decide, jobOf, momentIn, periodWords, type Group } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { counted } from '../../parts/count'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { dayTime } from '../../state/time'
import { doorsInOrder } from '../../state/worked'

/** Which group passes which doors on which schedule, and why somebody would or would not pass. */
export function AccessPage() {
  const facts = useFacts()
  return (
    <Screen
      title="Access"
      under="No rule means refused"
      bar={<Action label="Add a rule" onPress={() => router.push('/access/new')} />}
    >
      <Why />
      <Sheet flush title="Rules">
        {all(facts, 'rule').map((r) => (
          <Line key={r.id}>
            <T face="strong">{`${facts.group[r.group]?.name ?? r.group} on ${facts.schedule[r.schedule]?.name ?? r.schedule}`}</T>
            <T face="mono" size={13}>
              {r.doors.map((d) => facts.door[d]?.ref ?? d).join('  ')}
            </T>
            <T size={13} tone="quiet">
              {facts.schedule[r.schedule]?.periods.map(periodWords).join(', ') ?? ''}
            </T>
            <View style={{ flexDirection: 'row', gap: 8, marginTop: 6 }}>
              <View style={{ flex: 1 }}>
                <Action kind="plain" label="Edit" onPress={() => router.push(`/access/${r.id}`)} />
              </View>
            </View>
          </Line>
        ))}
        {all(facts, 'rule').length === 0 ? (
          <T style={{ padding: 16 }}>No rule yet: everybody is refused at every door.</T>
        ) : null}
      </Sheet>
      <Groups />
    </Screen>
  )
}

function Groups() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [name, setName] = useState('')
  const [wrong, setWrong] = useState('')
  const add = () =>
    send('group.put', { id: v7(), name: name.trim() })
      .then(() => {
        setName('')
        setWrong('')
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Sheet title="Groups">
      {all(facts, 'group').map((g) => (
        <GroupRow key={g.id} group={g} />
      ))}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Field label="New group" value={name} onChange={setName} />
      <Action kind="plain" label="Add the group" onPress={add} />
    </Sheet>
  )
}

/** A group with how many are in it; opened, its name and how to take it away. */
function GroupRow({ group }: { group: Group }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [open, setOpen] = useState(false)
  const [name, setName] = useState(group.name)
  const [wrong, setWrong] = useState('')
  const members = all(facts, 'person').filter((p) => p.groups.includes(group.id)).length
  const says = counted(members, 'person', 'people')
  if (!open) return <Action kind="plain" label={group.name} aside={says} onPress={() => setOpen(true)} />
  const save = () =>
    send('group.put', { id: group.id, name: name.trim() })
      .then(() => setOpen(false))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View style={{ gap: 8 }}>
      <Field label={`Name of ${group.name}`} value={name} onChange={setName} error={wrong || undefined} />
      <Action kind="plain" label="Save the name" onPress={save} />
      <TakeAway kind="group" id={group.id} name={group.name} />
      <Action kind="plain" label="Close" onPress={() => setOpen(false)} />
    </View>
  )
}

/** For a person, a door and a moment: what would happen and which rule decides. */
function Why() {
  const facts = useFacts()
  const people = all(facts, 'person').sort((a, b) => a.name.localeCompare(b.name))
  const doors = doorsInOrder(facts)
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const [person, setPerson] = useState('')
  const [door, setDoor] = useState('')
  const [when, setWhen] = useState('')
  const who = facts.person[person] ?? people[0]
  const where = facts.door[door] ?? doors[0]
  if (!who || !where) return null
  const typed = when.trim() ? (momentIn(zone, when) ?? NaN) : Date.now()
  const answer = Number.isNaN(typed) ? null : decide(facts, who, where, typed)
  return (
    <Sheet title="Why">
      <Pick
        label="Person"
        value={who.id}
        options={people.map((p) => ({ value: p.id, label: p.name }))}
        onChange={setPerson}
      />
      <Pick
        label="Door"
        value={where.id}
        options={doors.map((d) => ({ value: d.id, label: `${d.ref} ${d.name}` }))}
        onChange={setDoor}
      />
      <Field
        label="Moment, empty for now"
        value={when}
        onChange={setWhen}
        hint="2027-01-04 06:15"
        mono
        error={answer ? undefined : 'Write the moment as 2027-01-04 06:15.'}
      />
      {answer ? (
        <Notice tone={answer.passes ? 'verdigris' : 'madder'}>{`${dayTime(typed, zone)}: ${answer.says}`}</Notice>
      ) : null}
    </Sheet>
  )
}
