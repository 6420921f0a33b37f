import { all, jobOf, periodWords } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { Week } from './Week'

export function TimePage() {
  const facts = useFacts()
  return (
    <Screen
      title="Time"
      under={`Wall clock of ${jobOf(facts)?.zone ?? ''}`}
      bar={<Action label="Add a schedule" onPress={() => router.push('/time/new')} />}
    >
      <Sheet flush title="Schedules">
        {all(facts, 'schedule').map((s) => (
          <Line key={s.id} label={s.name} onPress={() => router.push(`/time/${s.id}`)}>
            <T face="strong">{s.name}</T>
            {s.periods.map((p, i) => (
              <T key={i} face="mono" size={13} tone="quiet">
                {periodWords(p)}
              </T>
            ))}
            <Week periods={s.periods} />
          </Line>
        ))}
        {all(facts, 'schedule').length === 0 ? (
          <T style={{ padding: 16 }}>No schedule yet. A rule says which group passes which doors on which schedule.</T>
        ) : null}
      </Sheet>
      <SpecialDays />
    </Screen>
  )
}

function SpecialDays() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [form, setForm] = useState({ date: '', name: '', from: '', to: '' })
  const [wrong, setWrong] = useState('')
  const add = async () => {
    const periods = form.from || form.to ? [{ from: form.from, to: form.to }] : []
    try {
      await send('specialDay.put', { id: v7(), date: form.date.trim(), name: form.name.trim(), periods })
      setForm({ date: '', name: '', from: '', to: '' })
      setWrong('')
    } catch (e) {
      setWrong(saysOf(e))
    }
  }
  return (
    <Sheet title="Special days">
      {all(facts, 'specialDay')
        .sort((a, b) => a.date.localeCompare(b.date))
        .map((d) => (
          <View key={d.id} style={{ gap: 6 }}>
            <T>
              <T face="mono">{d.date}</T>
              {`  ${d.name}, ${d.periods.length ? d.periods.map((p) => `${p.from}–${p.to}`).join(' ') : 'closed all day'}`}
            </T>
            <TakeAway kind="specialDay" id={d.id} name={d.date} />
          </View>
        ))}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field
            label="Date"
            value={form.date}
            onChange={(date) => setForm({ ...form, date })}
            hint="2027-12-24"
            mono
          />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="What for" value={form.name} onChange={(name) => setForm({ ...form, name })} />
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label="Open from, or empty" value={form.from} onChange={(from) => setForm({ ...form, from })} mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="Open to, or empty" value={form.to} onChange={(to) => setForm({ ...form, to })} mono />
        </View>
      </View>
      <Action kind="plain" label="Add the day" onPress={add} />
    </Sheet>
  )
}
