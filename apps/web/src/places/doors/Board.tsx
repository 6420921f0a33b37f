import { all, isInside, marks, type Area, type Door, type DoorMarks, type Facts, type Mark } from '@rauta/core'
import { router } from 'expo-router'
import { lazy, memo, Suspense, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { StyleSheet, View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { LongList } from '../../parts/LongList'
import { Line, lineHeight, Screen } from '../../parts/Screen'
import { T, type Tone } from '../../parts/Text'
import { MarkCounts, markWord, Rungs, signTone } from '../../signs/Rungs'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { marksToShow, useMarksKnown } from '../../state/known'
import { doorsInOrder, marksFor } from '../../state/worked'
import { useWide } from '../../theme'
import { nextAction } from './next'

/** Columns under the counts on a wide screen, px for each mark. */
const widePitch = 38

type Filter = { area: string; missing: 'any' | Mark; find: string }

const given = (facts: Facts, door: Door, mark: Mark): boolean => {
  const { sign } = marksFor(facts, door)[mark]
  return sign === 'given' || sign === 'notNeeded'
}
const countsOf = (facts: Facts, doors: readonly Door[]): Record<Mark, number> =>
  Object.fromEntries(marks.map((m) => [m, doors.filter((d) => given(facts, d, m)).length])) as Record<Mark, number>

function shown(facts: Facts, doors: readonly Door[], filter: Filter): Door[] {
  const text = filter.find.trim().toLowerCase()
  return doors.filter((door) => {
    if (filter.area !== 'all' && !isInside(facts, door.to, filter.area) && !isInside(facts, door.from, filter.area))
      return false
    if (filter.missing !== 'any' && given(facts, door, filter.missing)) return false
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
  const everything = useMemo(() => doorsInOrder(facts), [facts])
  // What is typed is seen at once; the list follows.
  const sought = useDeferredValue(filter)
  const doors = useMemo(() => shown(facts, everything, sought), [facts, everything, sought])
  const known = useMarksKnown(facts, everything)
  const now = useMemo(() => (known ? countsOf(facts, everything) : null), [facts, everything, known])
  const [before, setBefore] = useState<Record<Mark, number> | null>(null)
  useEffect(() => {
    if (now) setBefore(now)
  }, [now])
  const counts = now ?? before
  // The largest areas; those inside them are found with them.
  const areas = all(facts, 'area').filter((a) => !a.parent)
  useKeys(doors, chosen, () => setFinding(true))
  return (
    <Screen
      title={counted(everything.length, 'door')}
      {...(wide ? { under: 'in the order you walk · / finds, arrows move, Enter opens' } : {})}
      aside={
        wide ? (
          <MarkCounts counts={counts} total={everything.length} pitch={widePitch} />
        ) : (
          <View style={{ width: 104 }}>
            <Action kind="plain" sign="find" label="Find" onPress={() => setFinding(!finding)} />
          </View>
        )
      }
      head={
        <View style={{ gap: 12, marginTop: 8 }}>
          {wide ? null : <MarkCounts counts={counts} total={everything.length} />}
          {finding ? (
            <Field
              label="Find a door, person, card, address …"
              value={filter.find}
              onChange={(find) => setFilter({ ...filter, find })}
              focus
            />
          ) : null}
          <AreaFilter areas={areas} value={filter.area} onChange={(area) => setFilter({ ...filter, area })} />
          {finding ? (
            <Chips
              label="Missing mark"
              value={filter.missing}
              onChange={(missing) => setFilter({ ...filter, missing })}
              options={[
                { value: 'any' as const, label: 'Any mark' },
                ...marks.map((m) => ({ value: m, label: `No ${markWord[m]}` })),
              ]}
            />
          ) : null}
        </View>
      }
      bar={
        canFit(me) ? (
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <View style={{ flex: 1 }}>
              <Action kind="plain" label="Add a door" onPress={() => router.push('/doors/new')} />
            </View>
            {everything.length > 1 ? (
              <View style={{ flex: 1 }}>
                <Action kind="plain" label="Change many" onPress={() => router.push('/doors/many')} />
              </View>
            ) : null}
          </View>
        ) : null
      }
    >
      {everything.length === 0 ? <NoDoorYet may={canFit(me)} /> : null}
      {everything.length > 0 && doors.length === 0 && !filter.find.trim() ? (
        <T style={{ padding: 16 }}>No door matches. Take a filter away.</T>
      ) : null}
      {filter.find.trim() ? (
        <Suspense fallback={null}>
          <Elsewhere text={filter.find} noDoor={doors.length === 0} />
        </Suspense>
      ) : null}
      <LongList
        label="Doors"
        rows={doors}
        rowHeight={lineHeight(wide ? 1 : 2)}
        chosen={chosen}
        draw={(door) => (
          <DoorRow door={door} state={marksToShow(facts, door, known)} on={door.id === chosen} wide={wide} />
        )}
      />
    </Screen>
  )
}

const Elsewhere = lazy(() => import('./Elsewhere'))

/** From so many areas on they are a list: as chips they would fill half a phone. */
const mostChips = 6

function AreaFilter({
  areas,
  value,
  onChange,
}: {
  areas: readonly Area[]
  value: string
  onChange: (area: string) => void
}) {
  const wide = useWide()
  if (areas.length <= mostChips)
    return (
      <Chips
        label="Area"
        value={value}
        onChange={onChange}
        options={[
          { value: 'all', label: 'All' },
          ...areas.map((a) => ({ value: a.id, label: wide ? a.name : a.code })),
        ]}
      />
    )
  return (
    <Pick
      label="Area"
      value={value}
      onChange={onChange}
      options={[
        { value: 'all', label: 'All areas' },
        ...areas.map((a) => ({ value: a.id, label: `${a.code} ${a.name}` })),
      ]}
    />
  )
}

/** An empty job leads to the door schedule, which brings all doors at once. */
function NoDoorYet({ may }: { may: boolean }) {
  return (
    <View style={{ padding: 16, gap: 12 }}>
      <T>No door yet. A door is any opening: door, gate, shutter, cabinet.</T>
      {may ? (
        <>
          <Action label="Bring the door schedule" onPress={() => router.push('/schedule')} />
          <T tone="quiet">A spreadsheet or CSV brings all doors at once. Then place them on controllers together.</T>
          <Action kind="plain" label="Place doors on controllers" onPress={() => router.push('/siting')} />
        </>
      ) : null}
    </View>
  )
}

const open = (id: string) => router.push(`/doors/${id}`)

const row = StyleSheet.create({
  whole: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  words: { flex: 1, minWidth: 0 },
  title: { flexDirection: 'row', gap: 8, alignItems: 'baseline' },
  name: { flex: 1 },
})

/** What a door needs next; nothing while its marks are still worked out. */
function nextInWords(door: Door, state: DoorMarks | null): { says: string; tone: Tone } {
  if (!state) return { says: '', tone: 'quiet' }
  const next = nextAction(door.id, state)
  if (!next) return { says: state.sign.says, tone: 'verdigris' }
  return { says: `${markWord[next.mark]}: ${next.says}`, tone: signTone[state[next.mark].sign] }
}

/** A door's line; drawn again only when the door, its marks or its place in hand change. */
const DoorRow = memo(function DoorRow({
  door,
  state,
  on,
  wide,
}: {
  door: Door
  /** Null until they are worked out. */
  state: DoorMarks | null
  on: boolean
  wide: boolean
}) {
  const { says, tone } = nextInWords(door, state)
  return (
    <Line sign="none" label={`${door.ref} ${door.name}. ${says}`.trim()} chosen={on} onPress={() => open(door.id)}>
      <View style={row.whole}>
        <View style={row.words}>
          <View style={row.title}>
            <T face="mono" size={15}>
              {door.ref}
            </T>
            <T face="strong" size={15} numberOfLines={1} style={row.name}>
              {door.name}
            </T>
          </View>
          <T size={13} tone={tone} numberOfLines={wide ? 1 : 2}>
            {says || ' '}
          </T>
        </View>
        <Rungs state={state} pitch={wide ? widePitch : 14} />
      </View>
    </Line>
  )
})

/** On a keyboard: arrows move, Enter opens, / finds. */
function useKeys(doors: readonly Door[], chosen: string | undefined, find: () => void): void {
  const latest = useRef({ doors, chosen, find })
  useEffect(() => {
    latest.current = { doors, chosen, find }
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return
      const { doors: list, chosen: id } = latest.current
      const at = list.findIndex((d) => d.id === id)
      if (event.key === '/') {
        event.preventDefault()
        latest.current.find()
      }
      if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
      const next = list[event.key === 'ArrowDown' ? at + 1 : Math.max(0, at - 1)]
      if (next) {
        event.preventDefault()
        router.replace(`/doors/${next.id}`)
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
