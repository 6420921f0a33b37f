import { all, jobOf, periodWords } from '@rauta/core'
import { router } from 'expo-router'
import { Suspense } from 'react'
import { Action } from '../../parts/Action'
import { Line, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { SpecialDays } from '../lazyForms'
import { Week } from './Week'

/** @param chosen the schedule that stands beside the list */
export function TimePage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  return (
    <Screen
      title="Time"
      under={`Wall clock of ${jobOf(facts)?.zone ?? ''}`}
      bar={<Action label="Add a schedule" onPress={() => router.push('/time/new')} />}
    >
      <Sheet flush title="Schedules">
        {all(facts, 'schedule').map((s) => (
          <Line key={s.id} label={s.name} chosen={s.id === chosen} onPress={() => router.push(`/time/${s.id}`)}>
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
      <Suspense fallback={null}>
        <SpecialDays />
      </Suspense>
    </Screen>
  )
}
