import { all, jobOf, type DeviceEvent, type Facts } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { Tape } from '../../signs/Tape'
import { get, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

/** Lines of the tape at first, and with each look further back. */
const page = 120

export const lastDoorHeard = (facts: Facts): string | undefined =>
  all(facts, 'event')
    .filter((e) => facts.door[e.door])
    .reduce<DeviceEvent | undefined>((last, e) => (last && last.received >= e.received ? last : e), undefined)?.door

interface LiveProps {
  /** The door that stands beside it. */ chosen?: string
  onDoor?: (door: string) => void
}

/** What the doors say, as it happens; older events are fetched from the server. */
export function LivePage({ chosen, onDoor }: LiveProps) {
  const facts = useFacts()
  const [area, setArea] = useState('all')
  const [limit, setLimit] = useState(page)
  const [older, setOlder] = useState<readonly DeviceEvent[]>([])
  const [says, setSays] = useState('')
  const doors = doorsInOrder(facts)
    .filter((d) => area === 'all' || d.to === area || d.from === area)
    .map((d) => d.id)
  const here = all(facts, 'event')
  const furtherBack = async () => {
    if (here.length + older.length > limit) return setLimit(limit + page)
    const oldest = Math.min(...[...older, ...here].map((e) => e.received))
    try {
      const { events } = await get<{ events: DeviceEvent[] }>(
        `/events${Number.isFinite(oldest) ? `?before=${oldest}` : ''}`,
      )
      setOlder([...older, ...events])
      setLimit(limit + events.length)
      setSays(events.length ? '' : 'There is nothing older.')
    } catch (error) {
      setSays(saysOf(error))
    }
  }
  return (
    <Screen title="Live" under={`Times in ${jobOf(facts)?.zone ?? 'UTC'}`}>
      <View style={{ padding: 16, paddingBottom: 0 }}>
        <Chips
          label="Area"
          value={area}
          onChange={setArea}
          options={[{ value: 'all', label: 'All' }, ...all(facts, 'area').map((a) => ({ value: a.id, label: a.name }))]}
        />
      </View>
      <Sheet flush>
        <Tape
          {...(area === 'all' ? {} : { doors })}
          limit={limit}
          older={older}
          {...(onDoor ? { wide: { chosen, onDoor } } : {})}
        />
        {says ? <Notice tone="slate">{says}</Notice> : null}
        <View style={{ padding: 12 }}>
          <Action kind="plain" label="Show older events" onPress={furtherBack} />
        </View>
      </Sheet>
    </Screen>
  )
}
