import type { ReactNode } from 'react'
import { View } from 'react-native'

export interface LongListProps<R extends { id: string }> {
  label: string
  rows: readonly R[]
  /** How high every row is, px. */
  rowHeight: number
  /** Brought into view when another is chosen. */
  chosen?: string | undefined
  draw: (row: R) => ReactNode
}

/** A list in a place, all of it, where there is no page that tells which part of it is in view. */
export function LongList<R extends { id: string }>({ label, rows, rowHeight, draw }: LongListProps<R>) {
  return (
    <View role="list" aria-label={label}>
      {rows.map((row) => (
        <View key={row.id} role="listitem" style={{ height: rowHeight }}>
          {draw(row)}
        </View>
      ))}
    </View>
  )
}
