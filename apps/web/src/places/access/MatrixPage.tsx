import { accessCell, groupPath, groupTree, type Door, type Facts, type Group } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Pick } from '../../parts/Pick'
import { Notice, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { doorsInOrder } from '../../state/worked'
import { useWide } from '../../theme'
import { Grid, type At, type GridCell } from './Grid'

/** Groups by doors: when each passes each. On a phone one group at a time. A cell is chosen, and its schedule set below. */
export function MatrixPage() {
  const facts = useFacts()
  const wide = useWide()
  const every = groupTree(facts).map((g) => g.group)
  const doors = doorsInOrder(facts)
  const [one, setOne] = useState('')
  const [at, setAt] = useState<At | null>(null)
  const single = facts.group[one] ?? every[0]
  const groups = wide ? every : every.filter((g) => g.id === single?.id)
  return (
    <Screen
      title="Groups by doors"
      under="When each group passes each door. No rule means refused."
      full
      bar={at ? <CellEditor at={at} /> : null}
    >
      {every.length === 0 || doors.length === 0 ? <T style={{ padding: 16 }}>Add groups and doors first.</T> : null}
      {wide || !single ? null : (
        <View style={{ padding: 16, paddingBottom: 0 }}>
          <Pick
            label="Group"
            value={single.id}
            options={every.map((g) => ({ value: g.id, label: groupPath(facts.group, g.id) }))}
            onChange={(id) => {
              setOne(id)
              setAt(null)
            }}
          />
        </View>
      )}
      <Grid
        label="Groups by doors"
        rows={doors}
        columns={groups}
        headOf={(g) => groupPath(facts.group, g.id)}
        cellOf={(door, group) => cellOf(facts, door, group)}
        at={at}
        onChoose={setAt}
      />
    </Screen>
  )
}

function cellOf(facts: Facts, door: Door, group: Group): GridCell {
  const { own, through } = accessCell(facts, group.id, door.id)
  const nameOf = (schedule: string) => facts.schedule[schedule]?.name ?? schedule
  return {
    own: own.map(nameOf).join(' + '),
    through: through.map((t) => `${nameOf(t.schedule)} (${facts.group[t.group]?.name ?? ''})`).join(' + '),
  }
}

/** The cell that is chosen: on which schedule, or not at all. */
function CellEditor({ at }: { at: At }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [wrong, setWrong] = useState('')
  const door = facts.door[at.door]
  if (!door) return null
  const { own, through } = accessCell(facts, at.group, at.door)
  const several = own.length > 1
  const title = `${groupPath(facts.group, at.group)} at ${door.ref}`
  const set = (schedule: string) =>
    void send('access.cell', { ...at, schedule: schedule || null })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View style={{ maxWidth: 560 }}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {through.length ? (
        <T size={13} tone="quiet">
          {`Passes already by ${through.map((t) => `${facts.group[t.group]?.name ?? ''} on ${facts.schedule[t.schedule]?.name ?? ''}`).join(', ')}.`}
        </T>
      ) : null}
      {canFit(me) ? (
        <Pick
          label={title}
          value={several ? 'several' : (own[0] ?? '')}
          options={[
            ...(several ? [{ value: 'several', label: own.map((s) => facts.schedule[s]?.name ?? s).join(' + ') }] : []),
            { value: '', label: 'by no rule of its own' },
            ...Object.values(facts.schedule).map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={(schedule) => {
            if (schedule !== 'several') set(schedule)
          }}
        />
      ) : (
        <T>{title}</T>
      )}
    </View>
  )
}
