import { all, specialDayWords, type SpecialDay } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Notice, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'

interface DayForm {
  id: string
  date: string
  until: string
  yearly: boolean
  name: string
  which: 'all' | 'some'
  schedules: string[]
  periods: { from: string; to: string }[]
}
const noDay = (): DayForm => ({
  id: v7(),
  date: '',
  until: '',
  yearly: false,
  name: '',
  which: 'all',
  schedules: [],
  periods: [],
})
const formOf = (d: SpecialDay): DayForm => ({
  id: d.id,
  date: d.date,
  until: d.until ?? '',
  yearly: d.yearly ?? false,
  name: d.name,
  which: d.schedules ? 'some' : 'all',
  schedules: d.schedules ?? [],
  periods: d.periods,
})

/** Days on which the week does not count, with their hours. */
export function SpecialDays() {
  const facts = useFacts()
  const [edited, setEdited] = useState<string | null>(null)
  const form = useCommandForm<'specialDay.put', DayForm>({
    command: 'specialDay.put',
    draft: 'special-days',
    first: noDay(),
    payload: (f) => ({
      id: f.id,
      date: f.date,
      name: f.name.trim(),
      periods: f.periods,
      ...(f.until ? { until: f.until } : {}),
      ...(f.yearly ? { yearly: true as const } : {}),
      ...(f.which === 'some' ? { schedules: f.schedules } : {}),
    }),
    onSent: () => {
      setEdited(null)
      form.again(noDay())
    },
  })
  const { value, set, put, error } = form
  const schedules = all(facts, 'schedule')
  const toggle = (id: string) =>
    put({
      schedules: value.schedules.includes(id) ? value.schedules.filter((s) => s !== id) : [...value.schedules, id],
    })
  const days = all(facts, 'specialDay').sort((a, b) => a.date.localeCompare(b.date))
  return (
    <>
      <Sheet title="Special days" flush>
        {days.map((d) => (
          <Line
            key={d.id}
            label={`${specialDayWords(d)} ${d.name}`}
            chosen={d.id === edited}
            onPress={() => {
              setEdited(d.id)
              form.again(formOf(d))
            }}
          >
            <T face="strong">{d.name}</T>
            <T face="mono" size={13}>
              {specialDayWords(d)}
            </T>
            <T size={13} tone="quiet">
              {`${d.periods.length ? d.periods.map((p) => `${p.from}–${p.to}`).join(' ') : 'closed all day'}${
                d.schedules ? `, ${d.schedules.map((s) => facts.schedule[s]?.name ?? s).join(', ')}` : ''
              }`}
            </T>
          </Line>
        ))}
        {days.length === 0 ? (
          <T style={{ padding: 16 }}>None. On a special day its hours count instead of the week’s.</T>
        ) : null}
      </Sheet>
      <Sheet title={edited ? 'Change the special day' : 'Add a special day'}>
        {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
        <Field label="What for" value={value.name} onChange={set('name')} error={error('name')} />
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <When kind="date" label="Date" value={value.date} onChange={set('date')} error={error('date')} />
          </View>
          <View style={{ flex: 1 }}>
            <When
              kind="date"
              label="Last day, if several"
              value={value.until}
              onChange={set('until')}
              error={error('until')}
            />
          </View>
        </View>
        <Tick label="Every year" on={value.yearly} onPress={() => set('yearly')(!value.yearly)} />
        <Chips
          label="Which schedules it replaces"
          value={value.which}
          onChange={set('which')}
          options={[
            { value: 'all', label: 'Every schedule' },
            { value: 'some', label: 'Some of them' },
          ]}
        />
        {value.which === 'some' ? (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
            {schedules.map((s) => (
              <Tick key={s.id} label={s.name} on={value.schedules.includes(s.id)} onPress={() => toggle(s.id)} />
            ))}
          </View>
        ) : null}
        {error('schedules') ? <T tone="madder">{error('schedules')}</T> : null}
        <Hours periods={value.periods} error={error} onChange={(periods) => put({ periods })} />
        <Action kind="plain" label={edited ? 'Save the day' : 'Add the day'} onPress={form.submit} />
        {edited ? (
          <>
            <Action
              kind="plain"
              label="Close without changing it"
              onPress={() => {
                setEdited(null)
                form.again(noDay())
              }}
            />
            <TakeAway
              inSheet
              kind="specialDay"
              id={edited}
              name={value.date}
              onGone={() => {
                setEdited(null)
                form.again(noDay())
              }}
            />
          </>
        ) : null}
      </Sheet>
    </>
  )
}

interface HoursProps {
  periods: DayForm['periods']
  error: (field: string) => string | undefined
  onChange: (periods: DayForm['periods']) => void
}

/** The hours of a special day; none of them means closed all day. */
function Hours({ periods, error, onChange }: HoursProps) {
  const set = (i: number, part: Partial<DayForm['periods'][number]>) =>
    onChange(periods.map((p, n) => (n === i ? { ...p, ...part } : p)))
  return (
    <View style={{ gap: 4 }}>
      {periods.length === 0 ? <T tone="quiet">Closed all day.</T> : null}
      {periods.map((p, i) => (
        <View key={i}>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <When
                kind="time"
                label={`Open from, ${i + 1}`}
                value={p.from}
                onChange={(from) => set(i, { from })}
                error={error(`periods.${i}`)}
              />
            </View>
            <View style={{ flex: 1 }}>
              {/* A clock has no 24:00: an end at midnight is the end of the day. */}
              <When
                kind="time"
                label={`Open to, ${i + 1}`}
                value={p.to === '24:00' ? '00:00' : p.to}
                onChange={(to) => set(i, { to: to === '00:00' ? '24:00' : to })}
              />
            </View>
          </View>
          <Action
            kind="plain"
            label={`Take hours ${i + 1} out`}
            onPress={() => onChange(periods.filter((_, n) => n !== i))}
          />
        </View>
      ))}
      {periods.length < 10 ? (
        <Action
          kind="plain"
          label={periods.length ? 'Add more hours' : 'Open for some hours'}
          onPress={() => onChange([...periods, { from: '10:00', to: '14:00' }])}
        />
      ) : null}
    </View>
  )
}
