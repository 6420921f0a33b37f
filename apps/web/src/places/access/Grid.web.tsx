import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useId, useRef, type CSSProperties, type KeyboardEvent } from 'react'
import { useInView } from '../../parts/inView'
import { T } from '../../parts/Text'
import { useGround, useWide } from '../../theme'
import type { GridCell, GridLine, GridProps } from './Grid'

const rowHeight = 48
const headHeight = 56
const headWidth = 250
const cellWidth = 150

const step: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** Rows by columns; only what is in view is drawn, either way. Arrows move, a tap or Enter chooses. */
export function Grid({ label, corner, rows, columns, cellOf, at, onChoose }: GridProps) {
  const ground = useGround()
  const wide = useWide()
  const box = useRef<HTMLDivElement>(null)
  const id = useId()
  const moved = useRef(false)
  const { virtual } = useInView(box, { count: rows.length, rowHeight, overscan: 6, head: headHeight })
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => box.current,
    estimateSize: () => cellWidth,
    overscan: 3,
    initialRect: { width: 1280, height: 800 },
  })
  const cellId = (row: string, column: string) => `${id}-${row}-${column}`
  const row = rows.findIndex((r) => r.id === at?.row)
  const column = columns.findIndex((c) => c.id === at?.column)
  // Only after a key: whoever sets the chosen cell below stays where they are.
  useEffect(() => {
    if (!moved.current || !at) return
    moved.current = false
    virtual.scrollToIndex(row)
    across.scrollToIndex(column)
    document.getElementById(cellId(at.row, at.column))?.focus()
  })
  const move = (event: KeyboardEvent) => {
    const way = Object.hasOwn(step, event.key) ? step[event.key] : undefined
    if (!way) return
    event.preventDefault()
    const nextRow = rows[Math.min(rows.length - 1, Math.max(0, row + way[0]))]
    const nextColumn = columns[Math.min(columns.length - 1, Math.max(0, column + way[1]))]
    if (!nextRow || !nextColumn) return
    moved.current = true
    onChoose({ row: nextRow.id, column: nextColumn.id })
  }
  if (rows.length === 0 || columns.length === 0) return null
  const line = `1px solid ${ground.line}`
  // On a phone the one column stands at the right; on a wide screen the columns in view stand where they belong.
  const shown = wide
    ? across.getVirtualItems().map((v) => ({ index: v.index, start: v.start }))
    : [{ index: 0, start: 0 }]
  const width = wide ? headWidth + columns.length * cellWidth : undefined
  const placed = (start: number): CSSProperties =>
    wide
      ? { position: 'absolute', left: headWidth + start, width: cellWidth, height: '100%', boxSizing: 'border-box' }
      : { width: cellWidth, boxSizing: 'border-box' }
  const header: CSSProperties = wide
    ? { position: 'sticky', left: 0, width: headWidth, zIndex: 1, boxSizing: 'border-box' }
    : { flex: 1, minWidth: 0 }
  return (
    <div
      ref={box}
      role="grid"
      aria-label={label}
      aria-rowcount={rows.length + 1}
      aria-colcount={columns.length + 1}
      onKeyDown={move}
      style={{ overflowX: 'auto', overflowY: 'hidden', flexShrink: 0 }}
    >
      <div
        role="row"
        style={{
          position: 'relative',
          display: 'flex',
          width,
          height: headHeight,
          alignItems: 'end',
          borderBottom: `2px solid ${ground.ink}`,
        }}
      >
        <div role="columnheader" style={{ ...header, padding: '0 16px 8px', backgroundColor: ground.paper }}>
          <T face="mid">{corner}</T>
        </div>
        {shown.map(({ index, start }) => {
          const c = columns[index]
          if (!c) return null
          return (
            <div
              role="columnheader"
              key={c.id}
              aria-colindex={index + 2}
              style={{ ...placed(start), display: 'flex', alignItems: 'end', padding: '0 8px 8px' }}
            >
              <T face="mid" numberOfLines={2}>
                {c.ref ? `${c.ref} ${c.name}` : c.name}
              </T>
            </div>
          )
        })}
      </div>
      <div role="rowgroup" style={{ position: 'relative', height: rows.length * rowHeight, width }}>
        {virtual.getVirtualItems().map(({ index }) => {
          const r = rows[index]
          if (!r) return null
          return (
            <div
              key={r.id}
              role="row"
              aria-rowindex={index + 2}
              style={{
                position: 'absolute',
                left: 0,
                right: 0,
                top: index * rowHeight,
                height: rowHeight,
                boxSizing: 'border-box',
                display: 'flex',
                borderBottom: line,
                backgroundColor: ground.sheet,
              }}
            >
              <RowHead line={r} style={{ ...header, backgroundColor: ground.sheet }} />
              {shown.map((at2) => {
                const c = columns[at2.index]
                if (!c) return null
                const chosen = at?.row === r.id && at.column === c.id
                return (
                  <Cell
                    key={c.id}
                    id={cellId(r.id, c.id)}
                    cell={cellOf(r.id, c.id)}
                    column={at2.index}
                    chosen={chosen}
                    reached={chosen || (!at && index === 0 && at2.index === 0)}
                    style={{ ...placed(at2.start), borderLeft: line }}
                    onChoose={() => onChoose({ row: r.id, column: c.id })}
                  />
                )
              })}
            </div>
          )
        })}
      </div>
    </div>
  )
}

function RowHead({ line, style }: { line: GridLine; style: CSSProperties }) {
  return (
    <div
      role="rowheader"
      style={{ ...style, display: 'flex', gap: 10, alignItems: 'center', padding: '0 16px', overflow: 'hidden' }}
    >
      {line.ref ? <T face="mono">{line.ref}</T> : null}
      <T numberOfLines={1} style={{ flex: 1 }}>
        {line.name}
      </T>
    </div>
  )
}

interface CellProps {
  id: string
  cell: GridCell
  /** Its count among all columns, from 0. */
  column: number
  chosen: boolean
  /** Whether the key that leads into the grid comes here. */
  reached: boolean
  style: CSSProperties
  onChoose: () => void
}

function Cell({ id, cell: { own, through, name }, column, chosen, reached, style, onChoose }: CellProps) {
  const ground = useGround()
  return (
    <div
      id={id}
      role="gridcell"
      tabIndex={reached ? 0 : -1}
      aria-selected={chosen}
      aria-colindex={column + 2}
      aria-label={`${name}: ${own || through || 'refused'}`}
      onClick={onChoose}
      style={{
        ...style,
        cursor: 'pointer',
        display: 'flex',
        alignItems: 'center',
        padding: '0 8px',
        overflow: 'hidden',
        boxShadow: chosen ? `inset 0 0 0 3px ${ground.oxide}` : 'none',
      }}
    >
      <T face={own ? 'strong' : 'text'} size={15} tone={own ? 'ink' : 'quiet'} numberOfLines={2}>
        {own || through || '–'}
      </T>
    </div>
  )
}
