import {
  all,
  actWords,
  causeFacts,
  doorsOn,
  drivenParts,
  groupPath,
  groupTree,
  isDriven,
  isOfInput,
  reactionFault,
  reactionWords,
  tellingParts,
  turnsBlindly,
  twiceWithinS,
  type Door,
  type Reaction,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Action, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { Missing } from '../shell/Missing'
import { actsFor, causesFor, fieldsOf, firstFields, reactionOf, type ReactionFields } from './reactionFields'

/** One reaction of a door: what happens, for whom and when it counts, and what follows. */
export function ReactionForm({ id, reaction }: { id: string; reaction?: string | undefined }) {
  const facts = useFacts()
  const door = facts.door[id]
  const before = reaction === undefined ? undefined : facts.reaction[reaction]
  if (!door) return <Missing what="door" which={id} />
  if (reaction !== undefined && !before) return <Missing what="reaction" which={reaction} />
  return <FormOf door={door} before={before} />
}

function FormOf({ door, before }: { door: Door; before: Reaction | undefined }) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const { id } = door
  const others = doorsOn(facts, door.placement?.controller ?? '').filter((d) => d.id !== id)
  const first = firstFields(door, others, sheets)
  const form = useCommandForm<'reaction.put', ReactionFields>({
    command: 'reaction.put',
    draft: `reaction-${before?.id ?? `new-${id}`}`,
    first: before ? fieldsOf(before, first) : first,
    payload: (typed) => reactionOf(typed, turnsBlindly(door, typed.then)),
    also(wanted) {
      const fault = reactionFault(wanted)
      return fault ? [{ path: fault.field, says: fault.says }] : []
    },
    onSent: () => router.push(`/doors/${id}/reactions`),
  })
  const { value, put, set, error } = form
  const groups = groupTree(facts)
  const acts = actsFor(door, others, value.when, before?.then)
  return (
    <Screen
      mono={door.ref}
      title={before ? 'Edit the reaction' : 'Add a reaction'}
      under={reactionWords(facts, reactionOf(value, false))}
      bar={<Action label="Save the reaction" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet title="When this happens">
        <Pick
          label="What happens"
          value={value.when}
          options={causesFor(door, sheets, value.when).map((when) => ({ value: when, label: causeFacts[when].says }))}
          onChange={(when) => {
            const next = actsFor(door, others, when)
            put({ when, ...(next.includes(value.then) ? {} : { then: next[0] ?? value.then }) })
          }}
          error={error('when')}
        />
        {isOfInput(value.when) ? (
          <Pick
            label="Which input"
            value={value.part}
            options={tellingParts(door).map((p) => ({ value: p.id, label: p.id }))}
            onChange={set('part')}
            error={error('part')}
          />
        ) : null}
        {value.when === 'granted' ? (
          <Pick
            label="Who it is"
            value={value.group}
            options={[
              { value: '', label: 'Anybody' },
              ...groups.map(({ group }) => ({ value: group.id, label: groupPath(facts.group, group.id) })),
            ]}
            onChange={set('group')}
            error={error('group')}
          />
        ) : null}
        {value.when === 'granted' ? (
          <Tick
            label={`Only where the same card is shown twice within ${twiceWithinS} s`}
            on={value.twice}
            onPress={() => set('twice')(!value.twice)}
          />
        ) : null}
        <Pick
          label="In which hours"
          value={value.schedule}
          options={[
            { value: '', label: 'At any time' },
            ...all(facts, 'schedule').map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={set('schedule')}
          error={error('schedule')}
        />
      </Sheet>
      <Sheet title="Then that">
        {acts.length === 0 ? (
          <Notice tone="slate">
            Nothing can follow here yet: plan a sounder, a line that signals elsewhere or a line to the alarm panel with
            the door, or place another door on its controller.
          </Notice>
        ) : null}
        <Pick
          label="What follows"
          value={value.then}
          options={acts.map((then) => ({ value: then, label: actWords[then] }))}
          onChange={set('then')}
          error={error('then')}
        />
        {isDriven(value.then) ? (
          <Pick
            label="Which output"
            value={value.output}
            options={drivenParts(door).map((p) => ({ value: p.id, label: p.id }))}
            onChange={set('output')}
            error={error('output')}
          />
        ) : null}
        {value.then === 'pulse' ? (
          <Field
            label="For how long, s"
            value={value.seconds}
            onChange={set('seconds')}
            error={error('seconds')}
            keyboard="decimal"
            mono
          />
        ) : null}
        {value.then === 'release' ? (
          <Pick
            label="Which door"
            value={value.lets}
            options={others.map((d) => ({ value: d.id, label: `${d.ref} ${d.name}` }))}
            onChange={set('lets')}
            error={error('lets')}
          />
        ) : null}
        {turnsBlindly(door, value.then) ? (
          <Field
            label="The lead’s word: why the panel may be turned round with nothing that tells how it stands"
            value={value.blind}
            onChange={set('blind')}
            error={error('blind')}
          />
        ) : null}
      </Sheet>
      {before ? (
        <TakeAway
          kind="reaction"
          id={before.id}
          name="this reaction"
          onGone={() => router.push(`/doors/${id}/reactions`)}
        />
      ) : null}
    </Screen>
  )
}
