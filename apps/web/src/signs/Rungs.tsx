import { marks, type DoorMarks, type Mark, type MarkState, type Sign } from '@rauta/core'
import { View } from 'react-native'
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg'
import { T, type Tone } from '../parts/Text'
import { useGround } from '../theme'
import type { Ground } from '../theme/grounds'

export const markWord: Record<Mark, string> = {
  plan: 'Plan',
  wire: 'Wire',
  reach: 'Reach',
  load: 'Load',
  prove: 'Prove',
  sign: 'Sign',
}
export const signWord: Record<Sign, string> = {
  todo: 'to do',
  underWay: 'under way',
  given: 'done',
  stale: 'stale',
  stopped: 'stopped',
  notNeeded: 'not needed',
}
export const signTone: Record<Sign, Tone> = {
  todo: 'quiet',
  underWay: 'slate',
  given: 'verdigris',
  stale: 'ochre',
  stopped: 'madder',
  notNeeded: 'quiet',
}

/** One mark drawn as a bar `w` by `h` with its foot at `y + h`. */
export function Rung({
  x,
  y,
  w,
  h,
  state,
  ground,
}: {
  x: number
  y: number
  w: number
  h: number
  state: Pick<MarkState, 'sign' | 'share'>
  ground: Ground
}) {
  switch (state.sign) {
    case 'given':
      return <Rect x={x} y={y} width={w} height={h} fill={ground.verdigris} />
    case 'notNeeded':
      return <Circle cx={x + w / 2} cy={y + h - 2} r={2.5} fill={ground.quiet} />
    case 'stale':
      return (
        <>
          <Path d={`M${x} ${y}h${w}v${h * 0.34}l${-w} ${h * 0.22}z`} fill={ground.ochre} />
          <Path d={`M${x} ${y + h}h${w}v${-h * 0.5}l${-w} ${h * 0.22}z`} fill={ground.ochre} />
        </>
      )
    case 'stopped':
      return (
        <>
          <Rect x={x - w * 0.2} y={y} width={w} height={h * 0.43} fill={ground.madder} />
          <Rect x={x + w * 0.2} y={y + h * 0.57} width={w} height={h * 0.43} fill={ground.madder} />
        </>
      )
    default: {
      const filled = state.sign === 'underWay' ? Math.max(2, h * state.share) : 0
      return (
        <>
          <Rect
            x={x + 0.75}
            y={y + 0.75}
            width={w - 1.5}
            height={h - 1.5}
            fill="none"
            stroke={ground.quiet}
            strokeWidth={1.5}
          />
          {filled ? <Rect x={x} y={y + h - filled} width={w} height={filled} fill={ground.slate} /> : null}
        </>
      )
    }
  }
}

export const inWords = (state: DoorMarks): string =>
  marks.map((m) => `${markWord[m]} ${signWord[state[m].sign]}`).join(', ')

/** The six marks of a door as a ladder lying down. */
export function Rungs({ state, pitch = 15 }: { state: DoorMarks; pitch?: number }) {
  const ground = useGround()
  const w = 9
  const width = pitch * 6
  return (
    <Svg width={width} height={30} role="img" aria-label={inWords(state)}>
      <Line x1={0} y1={28} x2={width} y2={28} stroke={ground.ink} strokeWidth={1.5} />
      {marks.map((m, i) => (
        <Rung key={m} x={pitch * i + (pitch - w) / 2} y={3} w={w} h={23} state={state[m]} ground={ground} />
      ))}
    </Svg>
  )
}

/** The same sign, larger, with words: the head of a door's page. */
export function BigRungs({ state }: { state: DoorMarks }) {
  const ground = useGround()
  return (
    <View role="list" aria-label="The six marks" style={{ flexDirection: 'row', borderBottomWidth: 0 }}>
      {marks.map((m) => (
        <View
          key={m}
          role="listitem"
          aria-label={`${markWord[m]}: ${signWord[state[m].sign]}`}
          style={{ flex: 1, alignItems: 'center' }}
        >
          <Svg width={34} height={46}>
            <Rung x={7} y={3} w={20} h={40} state={state[m]} ground={ground} />
          </Svg>
          <View style={{ height: 2, alignSelf: 'stretch', backgroundColor: ground.ink }} />
          <T face="strong" size={13} style={{ marginTop: 4 }}>
            {markWord[m]}
          </T>
          <T size={13} tone={signTone[state[m].sign]} style={{ textAlign: 'center' }}>
            {signWord[state[m].sign]}
          </T>
        </View>
      ))}
    </View>
  )
}

/** How many doors have each mark, as vessels filled so far. */
export function MarkCounts({
  counts,
  total,
  pitch,
}: {
  counts: Record<Mark, number> | null
  total: number
  pitch?: number
}) {
  const ground = useGround()
  const share = (m: Mark) => (counts && total ? counts[m] / total : 0)
  return (
    <View
      role="list"
      aria-label="Doors by marks"
      style={{ flexDirection: 'row', ...(pitch ? { width: pitch * 6 } : {}) }}
    >
      {marks.map((m) => (
        <View
          key={m}
          role="listitem"
          aria-label={counts ? `${markWord[m]}: ${counts[m]} of ${total}` : `${markWord[m]}: worked out …`}
          style={{ flex: 1, alignItems: 'center' }}
        >
          <Svg width={26} height={38}>
            <Rect x={1} y={1} width={24} height={37} fill="none" stroke={ground.quiet} strokeWidth={1.5} />
            <Rect x={1} y={1 + 37 * (1 - share(m))} width={24} height={37 * share(m)} fill={ground.verdigris} />
          </Svg>
          <View style={{ height: 2, alignSelf: 'stretch', backgroundColor: ground.ink }} />
          <T face="strong" size={13} style={{ marginTop: 2 }}>
            {markWord[m]}
          </T>
          <T face="mono" size={13} tone="quiet">
            {counts ? counts[m] : '…'}
          </T>
        </View>
      ))}
    </View>
  )
}
