import { dayNames, drawn, drawnDays, minuteText, periodFault, type Period, type Span } from '@rauta/core'
import { useRef, useState } from 'react'
import { View, type GestureResponderEvent } from 'react-native'
import { T } from '../../parts/Text'
import { DayStrip } from './Week'

const rowHigh = 36
const gap = 4
/** What a finger can hit: half an hour. Anything finer is typed. */
const stepMin = 30

interface Stroke {
  /** Where it began, and where the finger is: day from Monday, 0 to 6; half hours since midnight. */
  first: { day: number; step: number }
  last: { day: number; step: number }
  on: boolean
}

const between = (a: number, b: number) => ({ least: Math.min(a, b), most: Math.max(a, b) })
const stretchOf = ({ first, last }: Stroke): Span => {
  const { least, most } = between(first.step, last.step)
  return { from: least * stepMin, to: (most + 1) * stepMin }
}
const daysOf = ({ first, last }: Stroke): number[] => {
  const { least, most } = between(first.day, last.day)
  return Array.from({ length: most - least + 1 }, (_, i) => least + i)
}

/** The week, drawn on with a finger: from a free place on it puts in force, from a taken one it takes away. Several days at once where the finger goes down. */
export function DrawnWeek({
  periods,
  onChange,
}: {
  periods: readonly Period[]
  onChange: (periods: Period[]) => void
}) {
  const [stroke, setStroke] = useState<Stroke | null>(null)
  const wide = useRef(1)
  const sound = periods.filter((p) => !periodFault(p))
  const days = drawnDays(sound)
  const placeOf = ({ nativeEvent: e }: GestureResponderEvent) => ({
    day: Math.max(0, Math.min(6, Math.floor(e.locationY / (rowHigh + gap)))),
    step: Math.max(0, Math.min(47, Math.floor((e.locationX / wide.current) * 48))),
  })
  const begin = (e: GestureResponderEvent) => {
    const first = placeOf(e)
    const taken = days[first.day]?.some((s) => s.from <= first.step * stepMin && first.step * stepMin < s.to)
    setStroke({ first, last: first, on: !taken })
  }
  const end = () => {
    if (!stroke) return
    onChange(daysOf(stroke).reduce<Period[]>((now, day) => drawn(now, day + 1, stretchOf(stroke), stroke.on), sound))
    setStroke(null)
  }
  const over = stroke ? stretchOf(stroke) : null
  const covered = new Set(stroke ? daysOf(stroke) : [])
  return (
    <View style={{ gap: 4 }}>
      <T tone="quiet" size={13}>
        {stroke && over
          ? `${stroke.on ? 'In force' : 'Not in force'} ${minuteText(over.from)} to ${minuteText(over.to)}, ${[...covered].map((d) => dayNames[d]).join(' ')}`
          : 'Draw with a finger, or type below.'}
      </T>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={{ width: 32, gap }}>
          {dayNames.map((name) => (
            <View key={name} style={{ height: rowHigh, justifyContent: 'center' }}>
              <T size={13} face="mid">
                {name}
              </T>
            </View>
          ))}
        </View>
        <View
          role="img"
          aria-label="Week to draw on"
          style={[{ flex: 1, gap }, { touchAction: 'none', cursor: 'crosshair', userSelect: 'none' } as object]}
          onLayout={(e) => (wide.current = e.nativeEvent.layout.width || 1)}
          onStartShouldSetResponder={() => true}
          onResponderTerminationRequest={() => false}
          onResponderGrant={begin}
          onResponderMove={(e) => {
            const last = placeOf(e)
            setStroke((now) => now && { ...now, last })
          }}
          onResponderRelease={end}
          onResponderTerminate={() => setStroke(null)}
        >
          {days.map((spans, day) => (
            <DayStrip key={day} spans={spans} high={rowHigh} over={covered.has(day) ? over : null} />
          ))}
        </View>
      </View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', paddingLeft: 40 }}>
        {[0, 6, 12, 18, 24].map((h) => (
          <T key={h} face="mono" size={13} tone="quiet">
            {String(h).padStart(2, '0')}
          </T>
        ))}
      </View>
    </View>
  )
}
