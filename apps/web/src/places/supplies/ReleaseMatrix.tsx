import { releaseCases, releaseWords, type ReleaseCase, type ReleaseRow } from '@rauta/core'
import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table'
import { router } from 'expo-router'
import { useMemo } from 'react'
import { View } from 'react-native'
import { Line } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'
import { inWords, outWords, toneOf } from './releaseWords'

const features = tableFeatures({})
const helper = createColumnHelper<typeof features, ReleaseRow>()
const columns = helper.columns([
  helper.accessor((row) => `${row.door.ref} ${row.door.name}`, { id: 'door', header: 'Door' }),
  ...releaseCases.map((which) =>
    helper.accessor((row) => row.answers?.find((a) => a.case === which) ?? null, {
      id: which,
      header: releaseWords[which],
    }),
  ),
])

const caseWidth = 96

/** Every door against every case at once: out large, in beneath; the case that is chosen is marked, and its reason told. */
export function ReleaseMatrix({ rows, chosen }: { rows: readonly ReleaseRow[]; chosen: ReleaseCase }) {
  const ground = useGround()
  const data = useMemo(() => [...rows], [rows])
  const table = useTable({ features, columns, data })
  return (
    <View role="table" aria-label="What opens when, door by door">
      {table.getHeaderGroups().map((group) => (
        <View
          key={group.id}
          role="row"
          style={{ flexDirection: 'row', paddingHorizontal: 16, borderBottomWidth: 1, borderColor: ground.ink }}
        >
          {group.headers.map((header) => (
            <View
              key={header.id}
              role="columnheader"
              style={{
                ...(header.id === 'door' ? { flex: 1 } : { width: caseWidth }),
                paddingVertical: 8,
                paddingRight: 8,
                borderBottomWidth: header.id === chosen ? 4 : 0,
                borderColor: ground.oxide,
              }}
            >
              <T face="mid">{String(header.column.columnDef.header)}</T>
            </View>
          ))}
        </View>
      ))}
      {table.getRowModel().rows.map(({ id, original }) => (
        <View key={id} role="row">
          <Line
            label={`${original.door.ref} ${original.door.name}`}
            onPress={() => router.push(`/doors/${original.door.id}/plan`)}
          >
            <MatrixRow row={original} chosen={chosen} />
          </Line>
        </View>
      ))}
    </View>
  )
}

function MatrixRow({ row: { door, answers }, chosen }: { row: ReleaseRow; chosen: ReleaseCase }) {
  const told = answers?.find((a) => a.case === chosen)
  return (
    <View>
      <View style={{ flexDirection: 'row' }}>
        <View role="cell" style={{ flex: 1, flexDirection: 'row', gap: 8, minWidth: 0 }}>
          <T face="mono" size={15}>
            {door.ref}
          </T>
          <T face="strong" numberOfLines={1} style={{ flex: 1 }}>
            {door.name}
          </T>
        </View>
        {releaseCases.map((which) => {
          const a = answers?.find((x) => x.case === which)
          return (
            <View key={which} role="cell" style={{ width: caseWidth }}>
              <T face={a?.out === 'shut' ? 'strong' : 'mid'} tone={a ? toneOf(a) : 'quiet'}>
                {a ? outWords[a.out] : 'not known'}
              </T>
              <T size={13} tone="quiet">
                {a ? `in ${inWords[a.in]}` : ''}
              </T>
            </View>
          )
        })}
      </View>
      {told ? (
        <T size={13} tone={told.out === 'shut' ? 'madder' : 'quiet'} numberOfLines={1}>
          {told.says}
        </T>
      ) : null}
    </View>
  )
}
