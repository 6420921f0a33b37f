import { all, marks, type Door, type Facts, type Mark } from '@rauta/core'
import { router } from 'expo-router'
import { useEffect, useMemo, useRef, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Screen } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { MarkCounts, markWord, Rungs, signTone } from '../../signs/Rungs'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { doorsInOrder, marksFor } from '../../state/worked'
import { useGround, useWide } from '../../theme'
import { nextAction } from './next'

/** Columns under the counts on a wide screen, px for each mark. */
const widePitch = 38

type Filter = { area: string; missing: 'any' | Mark; find: string }

function shown(facts: Facts, filter: Filter): Door[] {
  const text = filter.find.trim().toLowerCase()
  return doorsInOrder(facts).filter((door) => {
    if (filter.area !== 'all' && door.to !== filter.area && door.from !== filter.area) return false
    const sign = filter.missing === 'any' ? null : marksFor(facts, door)[filter.missing].sign
    if (sign === 'given' || sign === 'notNeeded') return false
    return !text || `${door.ref} ${door.name}`.toLowerCase().includes(text)
  })
}

/** Home: doors by marks, in the order you walk. */
export function Board({ chosen }: { chosen?: string }) {
  const facts = useFacts()
  const wide = useWide()
  const me = useSession((s) => s.me)
  const [filter, setFilter] = useState<Filter>({ area: 'all', missing: 'any', find: '' })
  const [finding, setFinding] = useState(false)
  const doors = shown(facts, filter)
  const everything = doorsInOrder(facts)
  const counts = useMemo(() => Object.fromEntries(marks.map((m) => [m, everything.filter((d) => { const s = marksFor(facts, d)[m].sign; return s === 'given' || s === 'notNeeded' }).length])) as Record<Mark, number>, [facts, everything])
  const areas = all(facts, 'area')
  useKeys(doors, chosen, () => setFinding(true))
  return (
    <Screen title={`${everything.length} doors`} {...(wide ? { under: "in the order you walk · / finds, arrows move, Enter opens" } : {})}
      aside={wide ? <MarkCounts counts={counts} total={everything.length} pitch={widePitch} /> : <View style={{ width: 96 }}><Action kind="plain" label="Find" onPress={() => setFinding(!finding)} /></View>}
      head={<View style={{ gap: 12, marginTop: 8 }}>
        {wide ? null : <MarkCounts counts={counts} total={everything.length} />}
        {finding ? <Field label="Find a door" value={filter.find} onChange={(find) => setFilter({ ...filter, find })} /> : null}
        <Chips label="Area" value={filter.area} onChange={(area) => setFilter({ ...filter, area })} options={[{ value: 'all', label: 'All' }, ...areas.map((a) => ({ value: a.id, label: wide ? a.name : a.code }))]} />
        {finding ? <Chips label="Missing mark" value={filter.missing} onChange={(missing) => setFilter({ ...filter, missing })} options={[{ value: 'any' as const, label: 'Any mark' }, ...marks.map((m) => ({ value: m, label: `No ${markWord[m]}` }))]} /> : null}
      </View>}
      bar={canFit(me) ? <Action kind={everything.length ? 'plain' : 'main'} label="Add a door" onPress={() => router.push('/doors/new')} /> : null}>
      {everything.length === 0 ? <T style={{ padding: 16 }}>No door yet. A door is any opening: door, gate, shutter, cabinet. Add the first one, with what hangs on it.</T> : null}
      {everything.length > 0 && doors.length === 0 ? <T style={{ padding: 16 }}>No door matches. Take a filter away.</T> : null}
      <View role="list" aria-label="Doors">
        {doors.map((door) => <DoorRow key={door.id} door={door} on={door.id === chosen} />)}
      </View>
    </Screen>
  )
}

function DoorRow({ door, on }: { door: Door; on: boolean }) {
  const facts = useFacts()
  const ground = useGround()
  const wide = useWide()
  const state = marksFor(facts, door)
  const next = nextAction(door.id, state)
  const says = next ? `${markWord[next.mark]}: ${next.says}` : state.sign.says
  return (
    <View role="listitem" style={wide ? { borderLeftWidth: 4, borderColor: on ? ground.oxide : 'transparent' } : undefined}>
      <Line label={`${door.ref} ${door.name}. ${says}`} onPress={() => router.push(`/doors/${door.id}`)}>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline' }}>
              <T face="mono" size={15}>{door.ref}</T>
              <T face="strong" size={15} numberOfLines={1} style={{ flex: 1 }}>{door.name}</T>
            </View>
            <T size={13} tone={next ? signTone[state[next.mark].sign] : 'verdigris'} numberOfLines={wide ? 1 : 2}>{says}</T>
          </View>
          <Rungs state={state} pitch={wide ? widePitch : 14} />
        </View>
      </Line>
    </View>
  )
}

/** On a keyboard: arrows move, Enter opens, / finds. */
function useKeys(doors: readonly Door[], chosen: string | undefined, find: () => void): void {
  const latest = useRef({ doors, chosen, find })
  useEffect(() => { latest.current = { doors, chosen, find } })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return
      const { doors: list, chosen: id } = latest.current
      const at = list.findIndex((d) => d.id === id)
      if (event.key === '/') { event.preventDefault(); latest.current.find() }
      if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
      const next = list[event.key === 'ArrowDown' ? at + 1 : Math.max(0, at - 1)]
      if (next) { event.preventDefault(); router.replace(`/doors/${next.id}`) }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
