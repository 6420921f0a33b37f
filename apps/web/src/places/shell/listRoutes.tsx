import type { Facts } from '@rauta/core'
import { Slot } from 'expo-router'
import type { ComponentType } from 'react'
import { Beside } from '../../parts/Beside'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'
import { useChosen } from './chosen'

type List = ComponentType<{ chosen?: string | undefined }>
type First = (facts: Facts) => { id: string } | undefined

/** Layout of a place that is a list: on a wide screen it stands beside whatever of it is open. */
export function listLayout(Shown: List, first: First, share?: number) {
  return function ListLayout() {
    const id = useChosen()
    const facts = useFacts()
    if (!useWide()) return <Slot />
    return (
      <Beside list={<Shown chosen={id ?? first(facts)?.id} />} {...(share ? { share } : {})}>
        <Slot />
      </Beside>
    )
  }
}

/** The place itself: the list on a phone; on a wide screen, where it stands beside already, the first of it. @param Empty what stands there while the list is empty; the list itself where nothing can be added there */
export function listIndex(
  Shown: List,
  first: First,
  Detail: ComponentType<{ id: string }>,
  Empty: ComponentType = Shown,
) {
  return function ListIndex() {
    const wide = useWide()
    const facts = useFacts()
    if (!wide) return <Shown />
    const one = first(facts)
    return one ? <Detail key={one.id} id={one.id} /> : <Empty />
  }
}
