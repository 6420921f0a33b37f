import { drawnDays, periodFault, type Period, type Span } from '@rauta/core'
import { View } from 'react-native'
import { useGround } from '../../theme'

const share = (minute: number) => `${(minute / 1440) * 100}%` as const

/** One day from midnight to midnight, with what is in force on it. */
export function DayStrip({ spans, high = 7, over }: { spans: readonly Span[]; high?: number; over?: Span | null }) {
  const ground = useGround()
  const bar = ({ from, to }: Span, colour: string, i: number | string) => (
    <View
      key={i}
      style={{
        position: 'absolute',
        left: share(from),
        width: share(to - from),
        height: high,
        backgroundColor: colour,
      }}
    />
  )
  return (
    <View style={{ height: high, backgroundColor: ground.line, pointerEvents: 'none' }}>
      {spans.map((s, i) => bar(s, ground.slate, i))}
      {over ? bar(over, ground.oxide, 'over') : null}
    </View>
  )
}

/** The week as seven strips of a day each. */
export function Week({ periods }: { periods: readonly Period[] }) {
  const sound = periods.filter((p) => !periodFault(p))
  return (
    <View role="img" aria-label="The week" style={{ gap: 2, marginTop: 6 }}>
      {drawnDays(sound).map((spans, i) => (
        <DayStrip key={i} spans={spans} />
      ))}
    </View>
  )
}
