import { all, jobOf, type DeviceEvent } from '@rauta/core'
import { View } from 'react-native'
import { T } from '../parts/Text'
import { clockTime } from '../state/time'
import { useFacts } from '../state/job'
import { useGround } from '../theme'

/** Live events as a narrow paper tape, newest first: time, door, what happened. */
export function Tape({
  controller,
  doors,
  since = 0,
  limit = 30,
  older = [],
  wide,
}: {
  controller?: string
  doors?: readonly string[]
  since?: number
  limit?: number
  /** Events that this phone has no more, fetched from the server. */
  older?: readonly DeviceEvent[]
  /** With controller and card in columns of their own, and the door chosen by its line. */
  wide?: { chosen: string | undefined; onDoor: (door: string) => void }
}) {
  const facts = useFacts()
  const ground = useGround()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const mine = (e: DeviceEvent) =>
    e.kind === 'gap' ? !controller || e.controller === controller : !doors || doors.includes(e.door)
  const events = [...older.filter((e) => !facts.event[e.id]), ...all(facts, 'event')]
    .filter((e) => e.received >= since && mine(e))
    .sort((a, b) => b.at - b.offsetMs - (a.at - a.offsetMs) || b.seq - a.seq)
    .slice(0, limit)
  return (
    <View role="log" aria-label="Tape">
      {events.length === 0 ? (
        <T tone="quiet" style={{ paddingHorizontal: 16, paddingVertical: 12 }}>
          Nothing has been heard yet.
        </T>
      ) : null}
      {events.map((e, i) => (
        <View
          key={e.id}
          {...(wide && facts.door[e.door]
            ? ({
                role: 'button',
                tabIndex: 0,
                'aria-label': `${facts.door[e.door]?.ref}: ${e.says}`,
                'aria-current': e.door === wide.chosen ? 'true' : undefined,
                onClick: () => wide.onDoor(e.door),
                onKeyDown: ({ key }: { key: string }) => {
                  if (key === 'Enter') wide.onDoor(e.door)
                },
              } as object)
            : {})}
          style={{
            ...(wide ? { minHeight: 44, alignItems: 'center', cursor: 'pointer' } : {}),
            flexDirection: 'row',
            gap: 12,
            paddingVertical: 8,
            paddingHorizontal: 16,
            borderTopWidth: i ? 1 : 0,
            borderStyle: 'dashed',
            borderColor: ground.line,
            ...(e.kind === 'gap' ? { borderLeftWidth: 4, borderLeftColor: ground.ochre } : {}),
          }}
        >
          <T face="mono" size={13} tone={i ? 'quiet' : 'ink'} style={wide ? { width: 104 } : undefined}>
            {clockTime(e.at - e.offsetMs, zone, true)}
          </T>
          {wide ? (
            <T face="mono" size={13} tone="quiet" style={{ width: 30 }}>
              {facts.controller[e.controller]?.ref ?? ''}
            </T>
          ) : null}
          {doors?.length === 1 ? null : (
            <T face="mono" size={13} style={{ width: 44 }}>
              {facts.door[e.door]?.ref ?? ''}
            </T>
          )}
          <T
            size={15}
            tone={e.kind === 'alarm' && e.state !== 'none' ? 'madder' : i ? 'quiet' : 'ink'}
            style={{ flex: 1 }}
          >
            {e.says}
          </T>
          {wide && e.card ? (
            <T face="mono" size={13} tone="quiet">
              {e.card}
            </T>
          ) : null}
        </View>
      ))}
    </View>
  )
}
