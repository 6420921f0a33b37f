import { View } from 'react-native'
import { T } from '../../parts/Text'

/** A row or a column: a door with its reference, or a group. */
export interface GridLine {
  id: string
  ref?: string
  name: string
}

/** The cell that is chosen, by the ids of its row and its column. */
export interface At {
  row: string
  column: string
}

export interface GridCell {
  /** By rules of the group's own; empty for none. */
  own: string
  /** By rules of a group that it is in. */
  through: string
  /** Whose cell it is, in words: `Staff at Q-01`. */
  name: string
}
export interface GridProps {
  label: string
  /** What its rows are. */
  corner: string
  rows: readonly GridLine[]
  columns: readonly GridLine[]
  cellOf: (row: string, column: string) => GridCell
  at: At | null
  onChoose: (at: At) => void
}

/** All of it, where there is no page that tells which part is in view. */
export function Grid({ label, rows, columns, cellOf, onChoose }: GridProps) {
  return (
    <View aria-label={label}>
      {rows.map((row) => (
        <View key={row.id} style={{ flexDirection: 'row', gap: 8, minHeight: 48 }}>
          <T face="mono">{row.ref ?? row.name}</T>
          {columns.map((column) => {
            const { own, through } = cellOf(row.id, column.id)
            return (
              <T key={column.id} onPress={() => onChoose({ row: row.id, column: column.id })}>
                {own || through || '–'}
              </T>
            )
          })}
        </View>
      ))}
    </View>
  )
}
