import { all, jobOf, periodFault, periodWords, type Period, type Schedule } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { useGround } from '../../theme'

export function TimePage() {
  const facts = useFacts()
  return (
    <Screen title="Time" under={`Wall clock of ${jobOf(facts)?.zone ?? ''}`} bar={<Action label="Add a schedule" onPress={() => router.push('/time/new')} />}>
      <Sheet flush title="Schedules">
        {all(facts, 'schedule').map((s) => <Line key={s.id} label={s.name} onPress={() => router.push(`/time/${s.id}`)}><T face="strong">{s.name}</T>{s.periods.map((p, i) => <T key={i} face="mono" size={13} tone="quiet">{periodWords(p)}</T>)}<Week periods={s.periods} /></Line>)}
        {all(facts, 'schedule').length === 0 ? <T style={{ padding: 16 }}>No schedule yet. A rule says which group passes which doors on which schedule.</T> : null}
      </Sheet>
      <SpecialDays />
    </Screen>
  )
}

/** The week as seven strips of a day each. */
function Week({ periods }: { periods: readonly Period[] }) {
  const ground = useGround()
  const minute = (t: string) => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5))
  const spans = (day: number) => periods.flatMap((p) => {
    if (periodFault(p)) return []
    const from = minute(p.from)
    const to = minute(p.to)
    const before = p.days.includes(day === 1 ? 7 : day - 1) && to <= from ? [{ from: 0, to }] : []
    return p.days.includes(day) ? [...before, { from, to: to <= from ? 1440 : to }] : before
  })
  return (
    <View role="img" aria-label="The week" style={{ gap: 2, marginTop: 6 }}>
      {[1, 2, 3, 4, 5, 6, 7].map((day) => <View key={day} style={{ height: 7, backgroundColor: ground.line }}>{spans(day).map((s, i) => <View key={i} style={{ position: 'absolute', left: `${(s.from / 1440) * 100}%`, width: `${((s.to - s.from) / 1440) * 100}%`, height: 7, backgroundColor: ground.slate }} />)}</View>)}
    </View>
  )
}

const dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

export function ScheduleForm({ id }: { id?: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const before = id ? facts.schedule[id] : undefined
  const [form, setForm, forget] = useDraft<Schedule>(`schedule-${id ?? 'new'}`, before ?? { id: v7(), name: '', periods: [{ days: [1, 2, 3, 4, 5], from: '07:00', to: '17:00' }] })
  const [wrong, setWrong] = useState('')
  const set = (i: number, period: Partial<Period>) => setForm({ ...form, periods: form.periods.map((p, n) => (n === i ? { ...p, ...period } : p)) })
  const keep = () => send('schedule.put', form).then(() => { forget(); router.push('/time') }).catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Screen title={before ? before.name : 'Add a schedule'} bar={<Action label="Keep the schedule" onPress={keep} />}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Sheet><Field label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} /><Week periods={form.periods} /></Sheet>
      {form.periods.map((p, i) => (
        <Sheet key={i} title={`Period ${i + 1}`}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>{dayNames.map((name, d) => <Tick key={name} under label={name} on={p.days.includes(d + 1)} onPress={() => set(i, { days: p.days.includes(d + 1) ? p.days.filter((x) => x !== d + 1) : [...p.days, d + 1] })} />)}</View>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}><Field label={`From, period ${i + 1}`} value={p.from} onChange={(from) => set(i, { from })} mono /></View>
            <View style={{ flex: 1 }}><Field label={`To, period ${i + 1}`} value={p.to} onChange={(to) => set(i, { to })} mono /></View>
          </View>
          <T size={13} tone={periodFault(p) ? 'madder' : 'quiet'}>{periodFault(p) ?? periodWords(p)}</T>
          <Action kind="plain" label={`Take period ${i + 1} out`} onPress={() => setForm({ ...form, periods: form.periods.filter((_, n) => n !== i) })} />
        </Sheet>
      ))}
      <Sheet><Action kind="plain" label="Add a period" onPress={() => setForm({ ...form, periods: [...form.periods, { days: [6, 7], from: '08:00', to: '12:00' }] })} /></Sheet>
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
      {all(facts, 'specialDay').sort((a, b) => a.date.localeCompare(b.date)).map((d) => <T key={d.id}><T face="mono">{d.date}</T>{`  ${d.name}, ${d.periods.length ? d.periods.map((p) => `${p.from}–${p.to}`).join(' ') : 'closed all day'}`}</T>)}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 12 }}><View style={{ flex: 1 }}><Field label="Date" value={form.date} onChange={(date) => setForm({ ...form, date })} hint="2027-12-24" mono /></View><View style={{ flex: 1 }}><Field label="What for" value={form.name} onChange={(name) => setForm({ ...form, name })} /></View></View>
      <View style={{ flexDirection: 'row', gap: 12 }}><View style={{ flex: 1 }}><Field label="Open from, or empty" value={form.from} onChange={(from) => setForm({ ...form, from })} mono /></View><View style={{ flex: 1 }}><Field label="Open to, or empty" value={form.to} onChange={(to) => setForm({ ...form, to })} mono /></View></View>
      <Action kind="plain" label="Add the day" onPress={add} />
    </Sheet>
  )
}
