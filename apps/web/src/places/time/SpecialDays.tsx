import { all } from '@rauta/core'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'

interface DayForm {
  id: string
  date: string
  name: string
  from: string
  to: string
}
const noDay = (): DayForm => ({ id: v7(), date: '', name: '', from: '', to: '' })

/** Days on which the week does not count, with their hours. */
export function SpecialDays() {
  const facts = useFacts()
  const form = useCommandForm<'specialDay.put', DayForm>({
    command: 'specialDay.put',
    draft: 'special-day',
    first: noDay(),
    payload: ({ id, date, name, from, to }) => ({
      id,
      date,
      name: name.trim(),
      periods: from || to ? [{ from, to }] : [],
    }),
    fields: { periods: 'from', 'periods.0': 'from' },
    onSent: () => form.again(noDay()),
  })
  const { value, set, error } = form
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
            <TakeAway inSheet kind="specialDay" id={d.id} name={d.date} />
          </View>
        ))}
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <When kind="date" label="Date" value={value.date} onChange={set('date')} error={error('date')} />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="What for" value={value.name} onChange={set('name')} error={error('name')} />
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <When
            kind="time"
            label="Open from, or empty"
            value={value.from}
            onChange={set('from')}
            error={error('from')}
          />
        </View>
        <View style={{ flex: 1 }}>
          <When
            kind="time"
            label="Open to, or empty"
            value={value.to === '24:00' ? '00:00' : value.to}
            onChange={(to) => set('to')(to === '00:00' ? '24:00' : to)}
          />
        </View>
      </View>
      <Action kind="plain" label="Add the day" onPress={form.submit} />
    </Sheet>
  )
}
