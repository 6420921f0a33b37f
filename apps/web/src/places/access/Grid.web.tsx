import { useEffect, useId, useRef, type KeyboardEvent } from 'react'
import { useInView } from '../../parts/inView'
import { T } from '../../parts/Text'
import { useGround, useWide } from '../../theme'
import type { GridProps } from './Grid'

const rowHeight = 48
const headHeight = 56
const doorWidth = 250
const cellWidth = 150

const step: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** Doors down, groups across; only the rows in view are drawn. Arrows move, a tap or Enter chooses. */
export function Grid({ label, rows, columns, headOf, cellOf, at, onChoose }: GridProps) {
  const ground = useGround()
  const wide = useWide()
  const box = useRef<HTMLDivElement>(null)
  const id = useId()
  const moved = useRef(false)
  const { virtual } = useInView(box, { count: rows.length, rowHeight, overscan: 6, head: headHeight })
  const cellId = (door: string, group: string) => `${id}-${door}-${group}`
  const row = rows.findIndex((d) => d.id === at?.door)
  const column = columns.findIndex((g) => g.id === at?.group)
  // Only after a key: whoever sets the chosen cell below stays where they are.
  useEffect(() => {
    if (!moved.current || !at) return
    moved.current = false
    virtual.scrollToIndex(row)
    document.getElementById(cellId(at.door, at.group))?.focus()
  })
  const move = (event: KeyboardEvent) => {
    const way = Object.hasOwn(step, event.key) ? step[event.key] : undefined
    if (!way) return
    event.preventDefault()
    const door = rows[Math.min(rows.length - 1, Math.max(0, row + way[0]))]
    const group = columns[Math.min(columns.length - 1, Math.max(0, column + way[1]))]
    if (!door || !group) return
    moved.current = true
    onChoose({ door: door.id, group: group.id })
  }
  if (rows.length === 0 || columns.length === 0) return null
  const template = wide ? `${doorWidth}px repeat(${columns.length}, ${cellWidth}px)` : '1fr 150px'
  const line = `1px solid ${ground.line}`
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
          display: 'grid',
          gridTemplateColumns: template,
          height: headHeight,
          alignItems: 'end',
          borderBottom: `2px solid ${ground.ink}`,
        }}
      >
        <div role="columnheader" style={{ padding: '0 16px 8px' }}>
          <T face="mid">Door</T>
        </div>
        {columns.map((g) => (
          <div role="columnheader" key={g.id} style={{ padding: '0 8px 8px' }}>
            <T face="mid" numberOfLines={2}>
              {headOf(g)}
            </T>
          </div>
        ))}
      </div>
      <div role="rowgroup" style={{ position: 'relative', height: rows.length * rowHeight, minWidth: 'max-content' }}>
        {virtual.getVirtualItems().map(({ index }) => {
          const door = rows[index]
          if (!door) return null
          return (
            <div
              key={door.id}
              role="row"
              aria-rowindex={index + 2}
              style={{
                position: 'absolute',
                left: 0,
                right: 0,
                top: index * rowHeight,
                height: rowHeight,
                boxSizing: 'border-box',
                display: 'grid',
                gridTemplateColumns: template,
                borderBottom: line,
                backgroundColor: ground.sheet,
              }}
            >
              <div
                role="rowheader"
                style={{ display: 'flex', gap: 10, alignItems: 'center', padding: '0 16px', overflow: 'hidden' }}
              >
                <T face="mono">{door.ref}</T>
                <T numberOfLines={1} style={{ flex: 1 }}>
                  {door.name}
                </T>
              </div>
              {columns.map((g) => {
                const { own, through } = cellOf(door, g)
                const chosen = at?.door === door.id && at.group === g.id
                const first = !at && index === 0 && g === columns[0]
                return (
                  <div
                    key={g.id}
                    id={cellId(door.id, g.id)}
                    role="gridcell"
                    tabIndex={chosen || first ? 0 : -1}
                    aria-selected={chosen}
                    aria-label={`${headOf(g)} at ${door.ref}: ${own || through || 'refused'}`}
                    onClick={() => onChoose({ door: door.id, group: g.id })}
                    style={{
                      cursor: 'pointer',
                      display: 'flex',
                      alignItems: 'center',
                      padding: '0 8px',
                      overflow: 'hidden',
                      borderLeft: line,
                      boxShadow: chosen ? `inset 0 0 0 3px ${ground.oxide}` : 'none',
                    }}
                  >
                    <T face={own ? 'strong' : 'text'} size={15} tone={own ? 'ink' : 'quiet'} numberOfLines={2}>
                      {own || through || '–'}
                    </T>
                  </div>
                )
              })}
            </div>
          )
        })}
      </div>
    </div>
  )
}
