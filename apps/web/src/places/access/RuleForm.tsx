import { all, groupPath, groupTree, type Rule } from '@rauta/core'
import { router } from 'expo-router'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { DoorTicks } from '../doors/DoorTicks'
import { useAfter } from '../shell/after'

/** A rule: which group passes which doors on which schedule. */
export function RuleForm({ id }: { id?: string }) {
  const facts = useFacts()
  const after = useAfter('/access')
  const before = id ? facts.rule[id] : undefined
  const groups = all(facts, 'group')
  const schedules = all(facts, 'schedule')
  const form = useCommandForm<'rule.put', Rule>({
    command: 'rule.put',
    draft: `rule-${id ?? 'new'}`,
    first: before ?? { id: v7(), group: groups[0]?.id ?? '', schedule: schedules[0]?.id ?? '', doors: [] },
    payload: (rule) => rule,
    onSent: (rule) => after(rule.id),
  })
  const { value, put, set, error } = form
  if (groups.length === 0 || schedules.length === 0)
    return (
      <Screen title="Add a rule" bar={<Action label="Back" onPress={() => router.push('/access')} />}>
        <Notice tone="slate">
          {groups.length === 0 ? 'Make a group first.' : 'Make a schedule first, under Time.'}
        </Notice>
      </Screen>
    )
  return (
    <Screen
      title={before ? 'Edit the rule' : 'Add a rule'}
      bar={<Action label="Save the rule" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Pick
          label="Group"
          value={value.group}
          options={groupTree(facts).map(({ group: g }) => ({ value: g.id, label: groupPath(facts.group, g.id) }))}
          onChange={set('group')}
          error={error('group')}
        />
        <Pick
          label="Schedule"
          value={value.schedule}
          options={schedules.map((s) => ({ value: s.id, label: s.name }))}
          onChange={set('schedule')}
          error={error('schedule')}
        />
      </Sheet>
      <Sheet title="Doors">
        {error('doors') ? <Notice tone="madder">{error('doors')}</Notice> : null}
        <DoorTicks chosen={value.doors} onChange={(doors) => put({ doors })} />
      </Sheet>
      {before ? <TakeAway kind="rule" id={before.id} name="this rule" onGone={() => router.push('/access')} /> : null}
    </Screen>
  )
}
