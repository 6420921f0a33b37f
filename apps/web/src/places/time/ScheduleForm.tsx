import { periodFault, periodWords, type Period, type Schedule } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { Week } from './Week'

const dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** A schedule: its days and hours. */
export function ScheduleForm({ id }: { id?: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const before = id ? facts.schedule[id] : undefined
  const [form, setForm, forget] = useDraft<Schedule>(
    `schedule-${id ?? 'new'}`,
    before ?? { id: v7(), name: '', periods: [{ days: [1, 2, 3, 4, 5], from: '07:00', to: '17:00' }] },
  )
  const [wrong, setWrong] = useState('')
  const set = (i: number, period: Partial<Period>) =>
    setForm({ ...form, periods: form.periods.map((p, n) => (n === i ? { ...p, ...period } : p)) })
  const keep = () =>
    send('schedule.put', form)
      .then(() => {
        forget()
        router.push('/time')
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Screen title={before ? before.name : 'Add a schedule'} bar={<Action label="Save the schedule" onPress={keep} />}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Sheet>
        <Field label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} />
        <Week periods={form.periods} />
      </Sheet>
      {form.periods.map((p, i) => (
        <Sheet key={i} title={`Period ${i + 1}`}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
            {dayNames.map((name, d) => (
              <Tick
                key={name}
                under
                label={name}
                on={p.days.includes(d + 1)}
                onPress={() =>
                  set(i, { days: p.days.includes(d + 1) ? p.days.filter((x) => x !== d + 1) : [...p.days, d + 1] })
                }
              />
            ))}
          </View>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Field label={`From, period ${i + 1}`} value={p.from} onChange={(from) => set(i, { from })} mono />
            </View>
            <View style={{ flex: 1 }}>
              <Field label={`To, period ${i + 1}`} value={p.to} onChange={(to) => set(i, { to })} mono />
            </View>
          </View>
          <T size={13} tone={periodFault(p) ? 'madder' : 'quiet'}>
            {periodFault(p) ?? periodWords(p)}
          </T>
          <Action
            kind="plain"
            label={`Take period ${i + 1} out`}
            onPress={() => setForm({ ...form, periods: form.periods.filter((_, n) => n !== i) })}
          />
        </Sheet>
      ))}
      <Sheet>
        <Action
          kind="plain"
          label="Add a period"
          onPress={() => setForm({ ...form, periods: [...form.periods, { days: [6, 7], from: '08:00', to: '12:00' }] })}
        />
      </Sheet>
      {before ? (
        <TakeAway kind="schedule" id={before.id} name={before.name} onGone={() => router.push('/time')} />
      ) : null}
    </Screen>
  )
}
