import { all, areaTree, isInside, type Rule } from '@rauta/core'
import { router } from 'expo-router'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'
import { useAfter } from '../shell/after'

/** All doors into an area, and into those inside it, in one tap; tapped again they are off. */
function AreaTicks({ chosen, onChange }: { chosen: readonly string[]; onChange: (doors: string[]) => void }) {
  const facts = useFacts()
  const doors = doorsInOrder(facts)
  const areas = areaTree(all(facts, 'area'))
    .map(({ area }) => ({ area, ids: doors.filter((d) => isInside(facts, d.to, area.id)).map((d) => d.id) }))
    .filter(({ ids }) => ids.length > 0)
  return (
    <View
      role="group"
      aria-label="All doors into an area"
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}
    >
      {areas.map(({ area, ids }) => {
        const on = ids.every((id) => chosen.includes(id))
        const without = chosen.filter((id) => !ids.includes(id))
        return (
          <Tick
            key={area.id}
            label={`${area.name}, ${counted(ids.length, 'door')}`}
            on={on}
            onPress={() => onChange(on ? without : [...without, ...ids])}
          />
        )
      })}
    </View>
  )
}

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
          options={groups.map((g) => ({ value: g.id, label: g.name }))}
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
        <AreaTicks chosen={value.doors} onChange={(doors) => put({ doors })} />
        {doorsInOrder(facts).map((d) => (
          <Tick
            key={d.id}
            label={`${d.ref} ${d.name}`}
            on={value.doors.includes(d.id)}
            onPress={() =>
              put({
                doors: value.doors.includes(d.id) ? value.doors.filter((x) => x !== d.id) : [...value.doors, d.id],
              })
            }
          />
        ))}
      </Sheet>
      {before ? <TakeAway kind="rule" id={before.id} name="this rule" onGone={() => router.push('/access')} /> : null}
    </Screen>
  )
}
