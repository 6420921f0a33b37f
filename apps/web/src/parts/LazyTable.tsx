import { lazy, Suspense } from 'react'
import type { TableProps } from './Table'

const Later = lazy(() => import('./Table').then((m) => ({ default: m.Table })))

/** The table comes when a wide screen shows one: a phone never waits for it. */
export function LazyTable<R extends { id: string }>(props: TableProps<R>) {
  return (
    <Suspense fallback={null}>
      {/* A lazy component has no parameter of its own; the rows it hands back are those that it was given. */}
      <Later {...(props as unknown as TableProps<{ id: string }>)} />
    </Suspense>
  )
}
