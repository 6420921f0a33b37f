import { useEffect, useRef, useState } from 'react'
import { scrollerOf, useInView } from './inView'
import type { LongListProps } from './LongList'

/** Lists of so many rows are drawn whole, so that the browser finds and reads all of them. */
const wholeUpTo = 60
/** Rows that are drawn beyond each edge of the screen at first, and how many more with each turn: as many as a slow phone draws in less than 50 ms. */
const beyond = 4
const moreEachTurn = 4
/** Rows of a longer list are drawn in so many places at least: where another row comes into view, a place takes it over, which costs less than making one. */
const places = 40

/** A list in a place, of which only what is in view and a little beyond is drawn: it opens as fast with 500 rows as with 20. */
export function LongList<R extends { id: string }>({ label, rows, rowHeight, chosen, draw }: LongListProps<R>) {
  const list = useRef<HTMLDivElement>(null)
  const whole = rows.length <= wholeUpTo
  const overscan = useGrowing(whole ? rows.length : beyond)
  const { virtual, above, page } = useInView(list, { count: rows.length, rowHeight, overscan })
  const at = rows.findIndex((r) => r.id === chosen)
  // Brought into view when it is chosen, also where the list comes with it; not when the list around it changes.
  const shown = useRef<string>(undefined)
  useEffect(() => {
    const outer = scrollerOf(page)
    if (above === null || !outer || at < 0 || shown.current === chosen) return
    shown.current = chosen
    const top = above + at * rowHeight
    if (top < outer.scrollTop) outer.scrollTop = top
    else if (top + rowHeight > outer.scrollTop + outer.clientHeight)
      outer.scrollTop = top + rowHeight - outer.clientHeight
  }, [chosen, at, above, rowHeight, page])
  const inView = virtual.getVirtualItems()
  const slots = Math.max(places, inView.length)
  return (
    <div
      ref={list}
      role="list"
      aria-label={label}
      style={{ position: 'relative', height: rows.length * rowHeight, flexShrink: 0 }}
    >
      {inView.map(({ index }) => {
        const row = rows[index]
        return row ? (
          <div
            key={whole ? row.id : index % slots}
            role="listitem"
            aria-setsize={rows.length}
            aria-posinset={index + 1}
            style={{
              position: 'absolute',
              left: 0,
              right: 0,
              top: index * rowHeight,
              height: rowHeight,
              display: 'flex',
              flexDirection: 'column',
              overflow: 'hidden',
            }}
          >
            {draw(row)}
          </div>
        ) : null
      })}
    </div>
  )
}

/** Grows turn by turn up to the number given. */
function useGrowing(to: number): number {
  const [now, setNow] = useState(beyond)
  useEffect(() => {
    if (now >= to) return undefined
    const timer = setTimeout(() => setNow(Math.min(to, now + moreEachTurn)), 0)
    return () => clearTimeout(timer)
  }, [now, to])
  return Math.min(now, to)
}
