import { all, areaTree, isInside } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

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
  const send = useJob((s) => s.send)
  const before = id ? facts.rule[id] : undefined
  const groups = all(facts, 'group')
  const schedules = all(facts, 'schedule')
  const [form, setForm] = useState(
    before ?? { id: v7(), group: groups[0]?.id ?? '', schedule: schedules[0]?.id ?? '', doors: [] as string[] },
  )
  const [wrong, setWrong] = useState('')
  const keep = () =>
    send('rule.put', form)
      .then(() => router.push('/access'))
      .catch((e: unknown) => setWrong(saysOf(e)))
  if (groups.length === 0 || schedules.length === 0)
    return (
      <Screen title="Add a rule" bar={<Action label="Back" onPress={() => router.push('/access')} />}>
        <Notice tone="slate">
          {groups.length === 0 ? 'Make a group first.' : 'Make a schedule first, under Time.'}
        </Notice>
      </Screen>
    )
  return (
    <Screen title={before ? 'Edit the rule' : 'Add a rule'} bar={<Action label="Save the rule" onPress={keep} />}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Sheet>
        <Pick
          label="Group"
          value={form.group}
          options={groups.map((g) => ({ value: g.id, label: g.name }))}
          onChange={(group) => setForm({ ...form, group })}
        />
        <Pick
          label="Schedule"
          value={form.schedule}
          options={schedules.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(schedule) => setForm({ ...form, schedule })}
        />
      </Sheet>
      <Sheet title="Doors">
        <AreaTicks chosen={form.doors} onChange={(doors) => setForm({ ...form, doors })} />
        {doorsInOrder(facts).map((d) => (
          <Tick
            key={d.id}
            label={`${d.ref} ${d.name}`}
            on={form.doors.includes(d.id)}
            onPress={() =>
              setForm({
                ...form,
                doors: form.doors.includes(d.id) ? form.doors.filter((x) => x !== d.id) : [...form.doors, d.id],
              })
            }
          />
        ))}
      </Sheet>
      {before ? <TakeAway kind="rule" id={before.id} name="this rule" onGone={() => router.push('/access')} /> : null}
    </Screen>
  )
}
