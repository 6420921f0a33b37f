import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useMemo, useRef, type ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { useGround } from '../theme'
import { Icon } from './Icon'
import { T } from './Text'

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
})

export interface TableColumn<R> {
  id: string
  head: string
  /** What it is sorted by, and shown as where no cell is given. */
  value: (row: R) => string
  cell?: (row: R) => ReactNode
  /** px; without one it takes its share of what is left. */
  width?: number
  /** What is looked at now: its head is underlined. */
  marked?: boolean
}

export interface TableProps<R> {
  label: string
  rows: readonly R[]
  columns: readonly TableColumn<R>[]
  chosen?: string | undefined
  /** What a row is called by whoever hears it. */
  nameOf: (row: R) => string
  onOpen: (row: R) => void
}

/** A table for wide screens: sorted by its heads, gone through with the arrows, opened with Enter. */
export function Table<R extends { id: string }>({ label, rows, columns, chosen, nameOf, onOpen }: TableProps<R>) {
  const ground = useGround()
  const root = useRef<View>(null)
  const data = useMemo(() => [...rows], [rows])
  const defined = useMemo(() => {
    const helper = createColumnHelper<typeof features, R>()
    return helper.columns(
      columns.map((c) => helper.accessor(c.value, { id: c.id, header: c.head, sortFn: 'alphanumeric' })),
    )
  }, [columns])
  const table = useTable({ features, columns: defined, data, getRowId: (row: R) => row.id })
  const shown = table.getRowModel().rows
  const inTabOrder = shown.some((r) => r.id === chosen) ? chosen : shown[0]?.id
  const widthOf = (id: string) => {
    const width = columns.find((c) => c.id === id)?.width
    return { ...(width ? { width } : { flex: 1, minWidth: 0 }), paddingRight: 12 }
  }
  const move = (from: number, key: string) => {
    const to = { ArrowDown: from + 1, ArrowUp: from - 1, Home: 0, End: shown.length - 1 }[key]
    if (to === undefined || to < 0 || to >= shown.length) return false
    const rowsDrawn = (root.current as unknown as HTMLElement).querySelectorAll<HTMLElement>('[data-row]')
    rowsDrawn[to]?.focus()
    return true
  }
  return (
    <View ref={root} role="table" aria-label={label}>
      <View
        role="row"
        style={{ flexDirection: 'row', paddingHorizontal: 16, borderBottomWidth: 1, borderColor: ground.ink }}
      >
        {table.getFlatHeaders().map((header) => {
          const sorted = header.column.getIsSorted()
          return (
            <View
              key={header.id}
              role="columnheader"
              {...({ 'aria-sort': sorted ? sortWords[sorted] : 'none' } as object)}
              style={{
                ...widthOf(header.column.id),
                borderBottomWidth: 4,
                borderColor: columns.some((c) => c.marked && c.id === header.column.id) ? ground.oxide : 'transparent',
              }}
            >
              <Pressable
                role="button"
                aria-label={`Sort by ${String(header.column.columnDef.header)}`}
                onPress={() => header.column.toggleSorting()}
                style={{ minHeight: 44, flexDirection: 'row', alignItems: 'center', gap: 4 }}
              >
                <T face="mid" tone={sorted ? 'ink' : 'quiet'}>
                  {String(header.column.columnDef.header)}
                </T>
                {sorted ? <Icon name={sorted === 'asc' ? 'up' : 'down'} size={16} /> : null}
              </Pressable>
            </View>
          )
        })}
      </View>
      {shown.map(({ id, original }, i) => (
        <View
          key={id}
          role="row"
          {...({ onClick: () => onOpen(original) } as object)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            minHeight: 48,
            paddingRight: 16,
            paddingLeft: 12,
            borderBottomWidth: 1,
            borderColor: ground.line,
            borderLeftWidth: 4,
            borderLeftColor: id === chosen ? ground.oxide : 'transparent',
            backgroundColor: ground.sheet,
            ...({ cursor: 'pointer' } as object),
          }}
        >
          {columns.map((c, n) => {
            const cell = c.cell ? c.cell(original) : <T face={n ? 'text' : 'strong'}>{c.value(original)}</T>
            return (
              <View key={c.id} role="cell" style={widthOf(c.id)}>
                {n ? (
                  cell
                ) : (
                  <View
                    {...({
                      role: 'button',
                      tabIndex: id === inTabOrder ? 0 : -1,
                      'aria-label': nameOf(original),
                      'aria-current': id === chosen ? 'true' : undefined,
                      dataSet: { row: id },
                      onKeyDown: (e: { key: string; preventDefault: () => void }) => {
                        if (e.key === 'Enter' || e.key === ' ') onOpen(original)
                        else if (!move(i, e.key)) return
                        e.preventDefault()
                      },
                    } as object)}
                    style={{ minHeight: 48, justifyContent: 'center' }}
                  >
                    {cell}
                  </View>
                )}
              </View>
            )
          })}
        </View>
      ))}
    </View>
  )
}

const sortWords = { asc: 'ascending', desc: 'descending' } as const
