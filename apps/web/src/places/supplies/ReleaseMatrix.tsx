import { releaseCases, releaseWords, type ReleaseCase, type ReleaseRow } from '@rauta/core'
import { router } from 'expo-router'
import { useMemo } from 'react'
import { View } from 'react-native'
import { LazyTable } from '../../parts/LazyTable'
import type { TableColumn } from '../../parts/Table'
import { T } from '../../parts/Text'
import { inWords, outWords, toneOf } from './releaseWords'

type Row = ReleaseRow & { id: string }

/** Every door against every case at once: out large, in beneath; the case that is chosen is marked, and its reason told. */
export function ReleaseMatrix({ rows, chosen }: { rows: readonly ReleaseRow[]; chosen: ReleaseCase }) {
  const columns = useMemo(
    (): TableColumn<Row>[] => [
      {
        id: 'door',
        head: 'Door',
        value: ({ door }) => `${door.ref} ${door.name}`,
        cell: (row) => <DoorCell row={row} chosen={chosen} />,
      },
      ...releaseCases.map((which): TableColumn<Row> => ({
        id: which,
        head: releaseWords[which],
        marked: which === chosen,
        value: (row) => outOf(row, which),
        cell: (row) => <CaseCell row={row} which={which} />,
        width: 112,
      })),
    ],
    [chosen],
  )
  return (
    <LazyTable
      label="What opens when, door by door"
      rows={rows.map((row) => ({ ...row, id: row.door.id }))}
      columns={columns}
      nameOf={({ door }) => `${door.ref} ${door.name}`}
      onOpen={({ door }) => router.push(`/doors/${door.id}/plan`)}
    />
  )
}

const answerOf = ({ answers }: ReleaseRow, which: ReleaseCase) => answers?.find((a) => a.case === which)
const outOf = (row: ReleaseRow, which: ReleaseCase): string => {
  const a = answerOf(row, which)
  return a ? outWords[a.out] : 'not known'
}

function DoorCell({ row, chosen }: { row: ReleaseRow; chosen: ReleaseCase }) {
  const told = answerOf(row, chosen)
  return (
    <View style={{ paddingVertical: 6 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline' }}>
        <T face="mono" size={15}>
          {row.door.ref}
        </T>
        <T face="strong" numberOfLines={1} style={{ flex: 1 }}>
          {row.door.name}
        </T>
      </View>
      {told ? (
        <T size={13} tone={told.out === 'shut' ? 'madder' : 'quiet'} numberOfLines={2}>
          {told.says}
        </T>
      ) : null}
    </View>
  )
}

function CaseCell({ row, which }: { row: ReleaseRow; which: ReleaseCase }) {
  const a = answerOf(row, which)
  return (
    <>
      <T face={a?.out === 'shut' ? 'strong' : 'mid'} tone={a ? toneOf(a) : 'quiet'}>
        {outOf(row, which)}
      </T>
      <T size={13} tone="quiet">
        {a ? `in ${inWords[a.in]}` : ''}
      </T>
    </>
  )
}
