import { dayNames, periodFault, periodWords, type Period, type Schedule } from '@rauta/core'
import { router } from 'expo-router'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { useAfter } from '../shell/after'
import { AsRun } from './AsRun'
import { DrawnWeek } from './DrawnWeek'
import { UsedBy } from './UsedBy'

/** A schedule: its days and hours. */
export function ScheduleForm({ id }: { id?: string }) {
  const facts = useFacts()
  const after = useAfter('/time')
  const before = id ? facts.schedule[id] : undefined
  const form = useCommandForm<'schedule.put', Schedule>({
    command: 'schedule.put',
    draft: `schedule-${id ?? 'new'}`,
    first: before ?? { id: v7(), name: '', periods: [{ days: [1, 2, 3, 4, 5], from: '07:00', to: '17:00' }] },
    payload: ({ id: own, name, periods, everyDay }) => ({
      id: own,
      name: name.trim(),
      periods,
      ...(everyDay ? { everyDay } : {}),
    }),
    onSent: (s) => after(s.id),
  })
  const { value, put } = form
  const set = (i: number, period: Partial<Period>) =>
    put({ periods: value.periods.map((p, n) => (n === i ? { ...p, ...period } : p)) })
  return (
    <Screen
      title={before ? before.name : 'Add a schedule'}
      bar={<Action label="Save the schedule" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Sheet>
        <Field label="Name" value={value.name} onChange={form.set('name')} error={form.error('name')} />
        <DrawnWeek periods={value.periods} onChange={(periods) => put({ periods })} />
        <Tick
          label="Runs every week alike: special days do not touch it"
          on={value.everyDay ?? false}
          onPress={() => put({ everyDay: value.everyDay ? undefined : true } as Partial<Schedule>)}
        />
      </Sheet>
      {value.periods.map((period, i) => (
        <PeriodSheet
          key={i}
          n={i + 1}
          period={period}
          error={form.error(`periods.${i}`)}
          onChange={(part) => set(i, part)}
          onOut={() => put({ periods: value.periods.filter((_, n) => n !== i) })}
        />
      ))}
      <Sheet>
        <Action
          kind="plain"
          label="Add a period"
          onPress={() => put({ periods: [...value.periods, { days: [6, 7], from: '08:00', to: '12:00' }] })}
        />
      </Sheet>
      <AsRun schedule={value} />
      {before ? <UsedBy id={before.id} /> : null}
      {before ? (
        <TakeAway kind="schedule" id={before.id} name={before.name} onGone={() => router.push('/time')} />
      ) : null}
    </Screen>
  )
}

interface PeriodSheetProps {
  n: number
  period: Period
  error: string | undefined
  onChange: (part: Partial<Period>) => void
  onOut: () => void
}

function PeriodSheet({ n, period, error, onChange, onOut }: PeriodSheetProps) {
  const { days, from, to } = period
  const fault = periodFault(period)
  const toggle = (day: number) =>
    onChange({ days: days.includes(day) ? days.filter((x) => x !== day) : [...days, day].sort() })
  return (
    <Sheet title={`Period ${n}`}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {dayNames.map((name, d) => (
          <Tick key={name} under label={name} on={days.includes(d + 1)} onPress={() => toggle(d + 1)} />
        ))}
      </View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <When kind="time" label={`From, period ${n}`} value={from} onChange={(next) => onChange({ from: next })} />
        </View>
        <View style={{ flex: 1 }}>
          {/* A clock has no 24:00: an end at midnight is the end of the day. */}
          <When
            kind="time"
            label={`To, period ${n}`}
            value={to === '24:00' ? '00:00' : to}
            onChange={(next) => onChange({ to: next === '00:00' ? '24:00' : next })}
          />
        </View>
      </View>
      {error && error !== fault ? <Notice tone="madder">{error}</Notice> : null}
      {fault && error ? <Notice tone="madder">{fault}</Notice> : null}
      {fault && !error ? <T tone="madder">{fault}</T> : null}
      {fault ? null : (
        <T size={13} tone="quiet">
          {periodWords(period)}
        </T>
      )}
      <Action kind="plain" label={`Take period ${n} out`} onPress={onOut} />
    </Sheet>
  )
}
