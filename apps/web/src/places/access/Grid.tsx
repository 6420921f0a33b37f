import type { Door, Group } from '@rauta/core'
import { View } from 'react-native'
import { T } from '../../parts/Text'

/** The cell that is chosen. */
export interface At {
  door: string
  group: string
}

export interface GridCell {
  /** By rules of the group's own; empty for none. */
  own: string
  /** By rules of a group that it is in. */
  through: string
}
export interface GridProps {
  label: string
  rows: readonly Door[]
  columns: readonly Group[]
  headOf: (group: Group) => string
  cellOf: (door: Door, group: Group) => GridCell
  at: At | null
  onChoose: (at: At) => void
}

/** Doors by groups, all of them, where there is no page that tells which part is in view. */
export function Grid({ label, rows, columns, cellOf, onChoose }: GridProps) {
  return (
    <View aria-label={label}>
      {rows.map((door) => (
        <View key={door.id} style={{ flexDirection: 'row', gap: 8, minHeight: 48 }}>
          <T face="mono">{door.ref}</T>
          {columns.map((group) => (
            <T key={group.id} onPress={() => onChoose({ door: door.id, group: group.id })}>
              {cellOf(door, group).own || cellOf(door, group).through || '–'}
            </T>
          ))}
        </View>
      ))}
    </View>
  )
}
