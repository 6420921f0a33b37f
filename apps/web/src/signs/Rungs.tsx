import { marks, type DoorMarks, type Mark, type MarkState, type Sign } from '@rauta/core'
import { View } from 'react-native'
import Svg, { Line, Path, Rect } from 'react-native-svg'
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

/** Where a mark is drawn: a bar with its foot at `y + h`. */
interface Bar {
  x: number
  y: number
  w: number
  h: number
}
/** What of a mark is filled with a colour, as the `d` of a path; `line` is the outline of what is still empty. */
type Shapes = Partial<Record<'verdigris' | 'quiet' | 'ochre' | 'madder' | 'slate' | 'line', string>>

const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}z`
const dot = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`

function shapesOf({ x, y, w, h }: Bar, state: Pick<MarkState, 'sign' | 'share'>): Shapes {
  switch (state.sign) {
    case 'given':
      return { verdigris: box(x, y, w, h) }
    case 'notNeeded':
      return { quiet: dot(x + w / 2, y + h - 2, 2.5) }
    case 'stale':
      return {
        ochre: `M${x} ${y}h${w}v${h * 0.34}l${-w} ${h * 0.22}zM${x} ${y + h}h${w}v${-h * 0.5}l${-w} ${h * 0.22}z`,
      }
    case 'stopped':
      return { madder: box(x - w * 0.2, y, w, h * 0.43) + box(x + w * 0.2, y + h * 0.57, w, h * 0.43) }
    default: {
      const filled = state.sign === 'underWay' ? Math.max(2, h * state.share) : 0
      return {
        line: box(x + 0.75, y + 0.75, w - 1.5, h - 1.5),
        ...(filled ? { slate: box(x, y + h - filled, w, filled) } : {}),
      }
    }
  }
}

/** Marks as few shapes: what has one colour is one path, since lists draw hundreds of them. */
function Bars({
  bars,
  ground,
}: {
  bars: readonly (readonly [Bar, Pick<MarkState, 'sign' | 'share'>])[]
  ground: Ground
}) {
  const all = bars.map(([bar, state]) => shapesOf(bar, state))
  const d = (key: keyof Shapes) => all.map((shapes) => shapes[key] ?? '').join('')
  const line = d('line')
  return (
    <>
      {line ? <Path d={line} fill="none" stroke={ground.quiet} strokeWidth={1.5} /> : null}
      {(['verdigris', 'quiet', 'ochre', 'madder', 'slate'] as const).map((key) =>
        d(key) ? <Path key={key} d={d(key)} fill={ground[key]} /> : null,
      )}
    </>
  )
}

export const inWords = (state: DoorMarks): string =>
  marks.map((m) => `${markWord[m]} ${signWord[state[m].sign]}`).join(', ')

/** The six marks of a door as a ladder lying down. */
export function Rungs({ state, pitch = 15 }: { state: DoorMarks | null; pitch?: number }) {
  const ground = useGround()
  const w = 9
  const width = pitch * 6
  return (
    <Svg width={width} height={30} role="img" aria-label={state ? inWords(state) : 'Marks are being worked out'}>
      <Line x1={0} y1={28} x2={width} y2={28} stroke={ground.ink} strokeWidth={1.5} />
      {state ? (
        <Bars
          bars={marks.map((m, i) => [{ x: pitch * i + (pitch - w) / 2, y: 3, w, h: 23 }, state[m]] as const)}
          ground={ground}
        />
      ) : null}
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
            <Bars bars={[[{ x: 7, y: 3, w: 20, h: 40 }, state[m]]]} ground={ground} />
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
