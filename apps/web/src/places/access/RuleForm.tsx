import { all } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

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
