import { accessCell, groupPath, groupTree, type Facts } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Chips } from '../../parts/Action'
import { Pick } from '../../parts/Pick'
import { Notice, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { doorsInOrder } from '../../state/worked'
import { useWide } from '../../theme'
import { Grid, type GridCell, type GridLine } from './Grid'

/** Which of the two stands in rows on a wide screen; on a phone, of which one is chosen. */
type Way = 'group' | 'door'

/** Groups by doors: when each passes each, either way round. On a phone one group, or one door, at a time. A cell is chosen, and its schedule set below. */
export function MatrixPage() {
  const facts = useFacts()
  const wide = useWide()
  const groups = groupTree(facts).map(({ group }): GridLine => ({
    id: group.id,
    name: groupPath(facts.group, group.id),
  }))
  const doors = doorsInOrder(facts).map((d): GridLine => ({ id: d.id, ref: d.ref, name: d.name }))
  const [way, setWay] = useState<Way>('group')
  const [one, setOne] = useState('')
  const [at, setAt] = useState<AccessAt | null>(null)
  // By group its doors stand in rows, by door its groups do.
  const [rows, across] = way === 'group' ? [doors, groups] : [groups, doors]
  const single = across.find((line) => line.id === one) ?? across[0]
  const columns = wide ? across : single ? [single] : []
  const of = (row: string, column: string): AccessAt =>
    way === 'group' ? { door: row, group: column } : { door: column, group: row }
  const chosen = at && (way === 'group' ? { row: at.door, column: at.group } : { row: at.group, column: at.door })
  return (
    <Screen
      title="Groups by doors"
      under="When each group passes each door. No rule means refused."
      full
      bar={at ? <CellEditor at={at} /> : null}
    >
      {groups.length === 0 || doors.length === 0 ? <T style={{ padding: 16 }}>Add groups and doors first.</T> : null}
      <View style={{ padding: 16, paddingBottom: 0, gap: 12 }}>
        <Chips
          label="How it stands"
          value={way}
          options={
            wide
              ? [
                  { value: 'group', label: 'Doors in rows' },
                  { value: 'door', label: 'Groups in rows' },
                ]
              : [
                  { value: 'group', label: 'By group' },
                  { value: 'door', label: 'By door' },
                ]
          }
          onChange={(next) => {
            setWay(next)
            setOne('')
            setAt(null)
          }}
        />
        {wide || !single ? null : (
          <Pick
            label={way === 'group' ? 'Group' : 'Door'}
            value={single.id}
            options={across.map((line) => ({
              value: line.id,
              label: line.ref ? `${line.ref} ${line.name}` : line.name,
            }))}
            onChange={(id) => {
              setOne(id)
              setAt(null)
            }}
          />
        )}
      </View>
      <Grid
        key={way}
        label="Groups by doors"
        corner={way === 'group' ? 'Door' : 'Group'}
        rows={rows}
        columns={columns}
        cellOf={(row, column) => cellOf(facts, of(row, column))}
        at={chosen}
        onChoose={({ row, column }) => setAt(of(row, column))}
      />
    </Screen>
  )
}

/** A group at a door. */
interface AccessAt {
  door: string
  group: string
}

function cellOf(facts: Facts, { door, group }: AccessAt): GridCell {
  const { own, through } = accessCell(facts, group, door)
  const nameOf = (schedule: string) => facts.schedule[schedule]?.name ?? schedule
  return {
    own: own.map(nameOf).join(' + '),
    through: through.map((t) => `${nameOf(t.schedule)} (${facts.group[t.group]?.name ?? ''})`).join(' + '),
    name: `${groupPath(facts.group, group)} at ${facts.door[door]?.ref ?? door}`,
  }
}

/** The cell that is chosen: on which schedule, or not at all. */
function CellEditor({ at }: { at: AccessAt }) {
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
