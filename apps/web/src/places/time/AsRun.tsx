import {
  addDays,
  all,
  changeWords,
  clockChanges,
  dayAsRun,
  dayNames,
  isDate,
  jobOf,
  minuteText,
  mondayOf,
  periodFault,
  wallClock,
  weekAsRun,
  type DayAsRun,
  type Schedule,
} from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { useFacts } from '../../state/job'
import { DayStrip } from './Week'

/** Any week of a schedule as the devices run it, special days and the nights on which clocks change included. */
export function AsRun({ schedule }: { schedule: Schedule }) {
  const facts = useFacts()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const today = wallClock(Date.now(), zone).date
  const [date, setDate] = useState(today)
  const sound = { ...schedule, periods: schedule.periods.filter((p) => !periodFault(p)) }
  const specials = all(facts, 'specialDay')
  const monday = mondayOf(isDate(date) ? date : today)
  const coming = clockChanges(today, zone).slice(0, 2)
  return (
    <Sheet title="As the devices run it">
      <When kind="date" label="Week of" value={date} onChange={setDate} />
      {weekAsRun(sound, specials, monday, zone).map((day) => (
        <Day key={day.date} day={day} />
      ))}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Action kind="plain" label="Week before" onPress={() => setDate(addDays(monday, -7))} />
        </View>
        <View style={{ flex: 1 }}>
          <Action kind="plain" label="Next week" onPress={() => setDate(addDays(monday, 7))} />
        </View>
      </View>
      {coming.map((change) => (
        <View key={change.date} style={{ gap: 4 }}>
          <Action kind="plain" label={`Clocks change ${change.date}`} onPress={() => setDate(change.date)} />
          <T size={13}>{changeWords(dayAsRun(sound, specials, change.date, zone))}</T>
        </View>
      ))}
      {coming.length === 0 ? <T tone="quiet">{`Clocks do not change in ${zone} within the next year.`}</T> : null}
    </Sheet>
  )
}

function Day({ day }: { day: DayAsRun }) {
  const hours = day.spans.map((s) => `${minuteText(s.from)}–${s.to === 1440 ? '24:00' : minuteText(s.to)}`).join(' ')
  const odd = day.change ? changeWords(day) : ''
  return (
    <View style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <T face="mono" size={13} style={{ width: 84 }}>
          {`${dayNames[day.weekday - 1]} ${day.date.slice(5)}`}
        </T>
        <T size={13} style={{ flex: 1 }}>
          {`${hours || 'not in force'}${day.special ? `, ${day.special.name || 'special day'}` : ''}`}
        </T>
      </View>
      <DayStrip spans={day.spans} over={day.change} />
      {odd ? (
        <T size={13} tone="ochre">
          {odd}
        </T>
      ) : null}
    </View>
  )
}
