import {
  accessNotes,
  all,
  byRef,
  groupPath,
  groupTree,
  groupsUpwards,
  decide,
  doorsOfRule,
  jobOf,
  limitWords,
  momentIn,
  nextChange,
  wallText,
  whereTo,
  whoWords,
  whoPasses,
  type Door,
  periodWords,
  type Facts,
  type Group,
  type Person,
  type Rule,
} from '@rauta/core'
import { router } from 'expo-router'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { counted } from '../../parts/count'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { LazyTable } from '../../parts/LazyTable'
import type { TableColumn } from '../../parts/Table'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { dayTime } from '../../state/time'
import { peopleInOrder } from '../../state/inOrder'
import { doorsInOrder } from '../../state/worked'
import { useWide } from '../../theme'

const scheduleOf = (facts: Facts, { schedule }: Rule) => facts.schedule[schedule]?.name ?? schedule
const refsOf = (facts: Facts, rule: Rule): string[] =>
  [...doorsOfRule(facts, rule)]
    .map((d) => ({ ref: facts.door[d]?.ref ?? d }))
    .sort(byRef)
    .map((d) => d.ref)

/** References of a rule's doors; a line breaks between two, never within one. */
function Refs({ rule }: { rule: Rule }) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14 }}>
      {refsOf(useFacts(), rule).map((ref) => (
        <T key={ref} face="mono" size={13}>
          {ref}
        </T>
      ))}
    </View>
  )
}

/** Which group passes which doors on which schedule, and why somebody would or would not pass. @param chosen the rule that stands beside the list */
export function AccessPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const wide = useWide()
  return (
    <Screen
      title="Access"
      under="No rule means refused"
      bar={<Action label="Add a rule" onPress={() => router.push('/access/new')} />}
    >
      {accessNotes(facts).map((n) => (
        <Notice key={`${n.code} ${n.rule}`} tone={n.code === 'everything' ? 'madder' : 'ochre'}>
          {n.says}
        </Notice>
      ))}
      {wide ? null : <Why />}
      <Sheet flush title="Rules">
        {wide ? <RuleTable chosen={chosen} /> : all(facts, 'rule').map((r) => <RuleLine key={r.id} rule={r} />)}
        {all(facts, 'rule').length === 0 ? (
          <T style={{ padding: 16 }}>No rule yet: everybody is refused at every door.</T>
        ) : null}
      </Sheet>
      {wide ? <Why /> : null}
      <Sheet>
        <Action kind="plain" label="Groups by doors, at a glance" onPress={() => router.push('/matrix')} />
      </Sheet>
      <Groups />
      <Sets />
    </Screen>
  )
}

function RuleLine({ rule }: { rule: Rule }) {
  const facts = useFacts()
  return (
    <Line>
      <T face="strong">{`${whoWords(facts, rule)} on ${scheduleOf(facts, rule)}`}</T>
      <Refs rule={rule} />
      <T size={13} tone="quiet">
        {[facts.schedule[rule.schedule]?.periods.map(periodWords).join(', '), limitWords(rule)]
          .filter(Boolean)
          .join(' · ')}
      </T>
      <View style={{ marginTop: 6 }}>
        <Action kind="plain" label="Edit" onPress={() => router.push(`/access/${rule.id}`)} />
      </View>
    </Line>
  )
}

function RuleTable({ chosen }: { chosen: string | undefined }) {
  const facts = useFacts()
  const columns = useMemo(
    (): TableColumn<Rule>[] => [
      { id: 'group', head: 'Who', value: (r) => whoWords(facts, r), width: 132 },
      { id: 'schedule', head: 'On', value: (r) => scheduleOf(facts, r), width: 132 },
      { id: 'limit', head: 'Days', value: (r) => limitWords(r), width: 136 },
      { id: 'doors', head: 'Doors', value: (r) => refsOf(facts, r).join(' '), cell: (r) => <Refs rule={r} /> },
    ],
    [facts],
  )
  return (
    <LazyTable
      label="Rules"
      rows={all(facts, 'rule')}
      columns={columns}
      chosen={chosen}
      nameOf={(r) => `${whoWords(facts, r)} on ${scheduleOf(facts, r)}`}
      onOpen={(r) => router.push(`/access/${r.id}`)}
    />
  )
}

function Sets() {
  const sets = all(useFacts(), 'doorSet')
  return (
    <Sheet title="Sets of doors">
      {sets.map((s) => (
        <Action
          key={s.id}
          kind="plain"
          label={s.name}
          aside={counted(s.doors.length, 'door')}
          onPress={() => router.push(`/sets/${s.id}`)}
        />
      ))}
      <Action kind="plain" label="Add a set of doors" onPress={() => router.push('/sets/new')} />
    </Sheet>
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
      {groupTree(facts).map(({ group, depth }) => (
        <GroupRow key={group.id} group={group} depth={depth} />
      ))}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Field label="New group" value={name} onChange={setName} />
      <Action kind="plain" label="Add the group" onPress={add} />
    </Sheet>
  )
}

/** A group with how many are in it; opened, its name, the one it is part of, and how to take it away. */
function GroupRow({ group, depth }: { group: Group; depth: number }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [open, setOpen] = useState(false)
  const [name, setName] = useState(group.name)
  const [parent, setParent] = useState(group.parent ?? '')
  const [wrong, setWrong] = useState('')
  const members = all(facts, 'person').filter((p) => p.groups.includes(group.id)).length
  const says = counted(members, 'person', 'people')
  if (!open)
    return (
      <Action
        kind="plain"
        label={`${'– '.repeat(depth)}${group.name}`}
        name={`${group.name}, ${says}`}
        aside={says}
        onPress={() => setOpen(true)}
      />
    )
  const save = () =>
    send('group.put', { id: group.id, name: name.trim(), ...(parent ? { parent } : {}) })
      .then(() => setOpen(false))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View style={{ gap: 8 }}>
      <Field label={`Name of ${group.name}`} value={name} onChange={setName} error={wrong || undefined} />
      <Pick
        label={`${group.name} is part of`}
        value={parent}
        options={[
          { value: '', label: 'no other group' },
          ...groupTree(facts)
            .filter(({ group: g }) => !groupsUpwards(facts.group, g.id).includes(group.id))
            .map(({ group: g }) => ({ value: g.id, label: groupPath(facts.group, g.id) })),
        ]}
        onChange={setParent}
      />
      <Action kind="plain" label="Save the group" onPress={save} />
      <Action
        kind="plain"
        label={`Add a rule for ${group.name}`}
        onPress={() => router.push({ pathname: '/access/new', params: { group: group.id } })}
      />
      <TakeAway inSheet kind="group" id={group.id} name={group.name} />
      <Action kind="plain" label="Close" onPress={() => setOpen(false)} />
    </View>
  )
}

/** Everybody who may come in at the door then, and everywhere the person may. */
function ThenAndThere({ door, person, at }: { door: Door; person: Person; at: number }) {
  const facts = useFacts()
  const [open, setOpen] = useState(false)
  if (!open)
    return (
      <Action kind="plain" label="Who else comes in there then, and where else they do" onPress={() => setOpen(true)} />
    )
  const people = whoPasses(facts, door, at).map((p) => p.name)
  const doors = whereTo(facts, person, at).map((d) => d.ref)
  return (
    <View style={{ gap: 8 }}>
      <T>{`${door.ref} then lets in ${counted(people.length, 'person', 'people')}: ${people.join(', ') || 'nobody'}.`}</T>
      <T>{`${person.name} then comes in at ${counted(doors.length, 'door')}: ${doors.join(', ') || 'none'}.`}</T>
    </View>
  )
}

/** For a person, a door and a moment: what would happen and which rule decides. */
function Why() {
  const facts = useFacts()
  const people = peopleInOrder(facts)
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
  const next = answer && nextChange(facts, who, where, typed)
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
      <When
        kind="datetime-local"
        label="Moment, empty for now"
        value={when}
        onChange={setWhen}
        error={answer ? undefined : 'This moment is left out here: clocks are put forward over it.'}
      />
      {answer ? (
        <Notice tone={answer.passes ? 'verdigris' : 'madder'}>{`${dayTime(typed, zone)}: ${answer.says}`}</Notice>
      ) : null}
      {answer ? (
        <T tone="quiet">
          {next
            ? `So until ${wallText(next.at, zone)}. Then: ${next.decision.says}`
            : 'It stays so for the next two weeks.'}
        </T>
      ) : null}
      {answer ? <ThenAndThere door={where} person={who} at={typed} /> : null}
    </Sheet>
  )
}
