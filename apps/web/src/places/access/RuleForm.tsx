import { all, groupPath, groupTree, ruleFault, type Rule } from '@rauta/core'
import { router } from 'expo-router'
import { v7 } from 'uuid'
import { Action, Chips, Tick } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Pick } from '../../parts/Pick'
import { FromUntil } from '../../parts/FromUntil'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { peopleInOrder } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { DoorTicks } from '../doors/DoorTicks'
import { useAfter } from '../shell/after'
import { Missing } from '../shell/Missing'

/** What a new rule begins with, by where somebody comes from. */
interface From {
  group?: string | undefined
  person?: string | undefined
  door?: string | undefined
}

/** A rule: which group, or which one person, passes which doors on which schedule, and until when. */
export function RuleForm({ id, from = {} }: { id?: string; from?: From }) {
  const facts = useFacts()
  const afterList = useAfter('/access')
  const before = id ? facts.rule[id] : undefined
  const groups = groupTree(facts)
  const people = peopleInOrder(facts)
  const schedules = all(facts, 'schedule')
  const sets = all(facts, 'doorSet')
  const form = useCommandForm<'rule.put', RuleFields>({
    command: 'rule.put',
    draft: `rule-${id ?? ['new', from.group, from.person, from.door].filter(Boolean).join('-')}`,
    first: fieldsOf(before, {
      group: from.group ?? groups[0]?.group.id ?? '',
      person: from.person ?? people[0]?.id ?? '',
      whose: from.person !== undefined || groups.length === 0 ? 'person' : 'group',
      schedule: schedules[0]?.id ?? '',
      doors: from.door === undefined ? [] : [from.door],
    }),
    payload: ruleOf,
    also: (rule) => {
      const fault = ruleFault(rule)
      return fault ? [{ path: fault.field, says: fault.says }] : []
    },
    onSent: (rule) => {
      if (from.person !== undefined) router.push(`/people/${from.person}`)
      else if (from.door !== undefined) router.push(`/doors/${from.door}`)
      else afterList(rule.id)
    },
  })
  if (id && !before) return <Missing what="rule" which={id} />
  const { value, put, set, error } = form
  if ((groups.length === 0 && people.length === 0) || schedules.length === 0)
    return (
      <Screen title="Add a rule" bar={<Action label="Back" onPress={() => router.push('/access')} />}>
        <Notice tone="slate">
          {schedules.length === 0 ? 'Make a schedule first, under Time.' : 'Make a group, or add a person, first.'}
        </Notice>
      </Screen>
    )
  const toggleSet = (one: string) =>
    put({ sets: value.sets.includes(one) ? value.sets.filter((s) => s !== one) : [...value.sets, one] })
  return (
    <Screen
      title={before ? 'Edit the rule' : 'Add a rule'}
      bar={<Action label="Save the rule" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Chips
          label="Whom it is for"
          value={value.whose}
          options={[
            { value: 'group', label: 'A group' },
            { value: 'person', label: 'One person' },
          ]}
          onChange={set('whose')}
        />
        {value.whose === 'group' ? (
          <Pick
            label="Group"
            value={value.group}
            options={groups.map(({ group: g }) => ({ value: g.id, label: groupPath(facts.group, g.id) }))}
            onChange={set('group')}
            error={error('group')}
          />
        ) : (
          <Pick
            label="Person"
            value={value.person}
            options={people.map((p) => ({ value: p.id, label: p.name }))}
            onChange={set('person')}
            error={error('person')}
          />
        )}
        <Pick
          label="Schedule"
          value={value.schedule}
          options={schedules.map((s) => ({ value: s.id, label: s.name }))}
          onChange={set('schedule')}
          error={error('schedule')}
        />
      </Sheet>
      <Sheet title="From when, until when">
        <FromUntil verb="Counts" value={value} set={set} error={error} />
      </Sheet>
      <Sheet title="Doors">
        {error('doors') ? <Notice tone="madder">{error('doors')}</Notice> : null}
        {sets.map((s) => (
          <Tick
            key={s.id}
            label={`${s.name}, ${counted(s.doors.length, 'door')}`}
            on={value.sets.includes(s.id)}
            onPress={() => toggleSet(s.id)}
          />
        ))}
        <DoorTicks chosen={value.doors} onChange={(doors) => put({ doors })} />
      </Sheet>
      {before ? <TakeAway kind="rule" id={before.id} name="this rule" onGone={() => router.push('/access')} /> : null}
    </Screen>
  )
}

interface RuleFields {
  id: string
  whose: 'group' | 'person'
  group: string
  person: string
  doors: string[]
  sets: string[]
  schedule: string
  validFrom: string
  validUntil: string
}

const fieldsOf = (
  rule: Rule | undefined,
  first: Pick<RuleFields, 'whose' | 'group' | 'person' | 'schedule' | 'doors'>,
): RuleFields => ({
  id: rule?.id ?? v7(),
  whose: rule ? (rule.group === undefined ? 'person' : 'group') : first.whose,
  group: rule?.group ?? first.group,
  person: rule?.person ?? first.person,
  doors: rule?.doors ?? first.doors,
  sets: rule?.sets ?? [],
  schedule: rule?.schedule ?? first.schedule,
  validFrom: rule?.validFrom ?? '',
  validUntil: rule?.validUntil ?? '',
})

const ruleOf = ({ id, whose, group, person, doors, sets, schedule, validFrom, validUntil }: RuleFields): Rule => ({
  id,
  ...(whose === 'group' ? { group } : { person }),
  doors,
  ...(sets.length ? { sets } : {}),
  schedule,
  ...(validFrom.trim() ? { validFrom: validFrom.trim() } : {}),
  ...(validUntil.trim() ? { validUntil: validUntil.trim() } : {}),
})
