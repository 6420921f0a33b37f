import { periodFault, type Period } from '@rauta/core'
import { View } from 'react-native'
import { useGround } from '../../theme'

/** The week as seven strips of a day each. */
export function Week({ periods }: { periods: readonly Period[] }) {
  const ground = useGround()
  const minute = (t: string) => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5))
  const spans = (day: number) =>
    periods.flatMap((p) => {
      if (periodFault(p)) return []
      const from = minute(p.from)
      const to = minute(p.to)
      const before = p.days.includes(day === 1 ? 7 : day - 1) && to <= from ? [{ from: 0, to }] : []
      return p.days.includes(day) ? [...before, { from, to: to <= from ? 1440 : to }] : before
    })
  return (
    <View role="img" aria-label="The week" style={{ gap: 2, marginTop: 6 }}>
      {[1, 2, 3, 4, 5, 6, 7].map((day) => (
        <View key={day} style={{ height: 7, backgroundColor: ground.line }}>
          {spans(day).map((s, i) => (
            <View
              key={i}
              style={{
                position: 'absolute',
                left: `${(s.from / 1440) * 100}%`,
                width: `${((s.to - s.from) / 1440) * 100}%`,
                height: 7,
                backgroundColor: ground.slate,
              }}
            />
          ))}
        </View>
      ))}
    </View>
  )
}
