import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useState, type RefObject } from 'react'
import { usePageScroll } from './Screen'

interface Rows {
  count: number
  /** How high every row is, px. */
  rowHeight: number
  /** Rows drawn beyond each edge of the screen. */
  overscan: number
  /** What stands above the rows within their own box, px. */
  head?: number
}

/** Which rows of a box in a place are in view; only on a page. @returns `above`: where the box begins in what scrolls, px, null until it is measured */
export function useInView(box: RefObject<HTMLElement | null>, { count, rowHeight, overscan, head = 0 }: Rows) {
  const page = usePageScroll()
  const [above, setAbove] = useState<number | null>(null)
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scrollerOf(page),
    estimateSize: () => rowHeight,
    overscan,
    scrollMargin: (above ?? 0) + head,
    // What stands in view at the first look, before anything is measured.
    initialRect: { width: 390, height: 844 },
  })
  // What stands above, its head and what else was found, grows and shrinks.
  // Not before what scrolls is there: it comes after what stands in it.
  useEffect(() => {
    const outer = scrollerOf(page)
    const content = outer?.firstElementChild
    if (!outer || !content) return undefined
    const look = () => {
      const at = box.current
      if (at) setAbove(Math.round(at.getBoundingClientRect().top - outer.getBoundingClientRect().top + outer.scrollTop))
    }
    look()
    const sizes = new ResizeObserver(look)
    sizes.observe(content)
    return () => sizes.disconnect()
  }, [page, box])
  return { virtual, above, page }
}

/** What scrolls the place; null where nothing is drawn yet. */
export const scrollerOf = (page: ReturnType<typeof usePageScroll>): HTMLElement | null =>
  (page.current?.getScrollableNode() as HTMLElement | undefined) ?? null
