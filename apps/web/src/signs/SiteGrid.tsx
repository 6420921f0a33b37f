import type { CabinetPlace, Door } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg'
import { faces, useGround } from '../theme'
import { tapped } from './tapped'

const height = 340
/** Room around what is drawn, m: a cabinet can be put outside of what is there. */
const marginM = 10

interface SiteGridProps {
  places: readonly CabinetPlace[]
  doors: readonly Pick<Door, 'id' | 'ref' | 'at'>[]
  /** What is being placed, where it is going to hang. */
  inHand: { id: string; x: number | null; y: number | null } | null
  onPlace: (x: number, y: number) => void
}

/** The site from above, north at the top: cabinets by name, doors as dots; a tap says where what is in hand hangs, to the metre. */
export function SiteGrid({ places, doors, inHand, onPlace }: SiteGridProps) {
  const ground = useGround()
  const [width, setWidth] = useState(0)
  const standing = doors.flatMap((d) => (d.at ? [{ ...d.at, id: d.id }] : []))
  const { toX, toY, at, stepM, lines } = scaleOf([...places, ...standing], width)
  const held = inHand && inHand.x !== null && inHand.y !== null ? { x: inHand.x, y: inHand.y } : null
  return (
    <View
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      role="img"
      aria-label={`The site from above, lines every ${stepM} m: ${places.map((p) => `${p.id} at ${p.x} east, ${p.y} north`).join('; ') || 'no cabinet has a place yet'}`}
      style={{ height, backgroundColor: ground.sheet, borderWidth: 1, borderColor: ground.line }}
      {...(inHand
        ? tapped((px, py) => {
            const { x, y } = at(px, py)
            onPlace(Math.round(x), Math.round(y))
          })
        : {})}
    >
      <Svg width={width} height={height}>
        {lines.x.map((x) => (
          <Line key={`x${x}`} x1={toX(x)} x2={toX(x)} y1={0} y2={height} stroke={ground.line} />
        ))}
        {lines.y.map((y) => (
          <Line key={`y${y}`} x1={0} x2={width} y1={toY(y)} y2={toY(y)} stroke={ground.line} />
        ))}
        {standing.map((d) => (
          <Circle key={d.id} cx={toX(d.x)} cy={toY(d.y)} r={2.5} fill={ground.quiet} />
        ))}
        {places.map((p) => (
          <Cabinet
            key={p.id}
            x={toX(p.x)}
            y={toY(p.y)}
            name={p.id}
            width={width}
            colour={p.id === inHand?.id ? ground.quiet : ground.ink}
          />
        ))}
        {held && inHand ? (
          <Cabinet x={toX(held.x)} y={toY(held.y)} name={inHand.id} width={width} colour={ground.oxide} />
        ) : null}
        <SvgText x={8} y={height - 8} fontSize={13} fontFamily={faces.mono} fill={ground.quiet}>
          {`${stepM} m`}
        </SvgText>
      </Svg>
    </View>
  )
}

interface CabinetProps {
  x: number
  y: number
  name: string
  colour: string
  /** Of the drawing: near its edge the name stands before the cabinet. */
  width: number
}

function Cabinet({ x, y, name, colour, width }: CabinetProps) {
  const before = x > width - 110
  return (
    <>
      <Rect x={x - 6} y={y - 8} width={12} height={16} fill="none" stroke={colour} strokeWidth={2.5} />
      <SvgText
        x={x + (before ? -11 : 11)}
        y={y + 5}
        textAnchor={before ? 'end' : 'start'}
        fontSize={13}
        fontFamily={faces.mid}
        fill={colour}
      >
        {name}
      </SvgText>
    </>
  )
}

/** Metres to pixels with as much to a metre eastward as northward, lines at 1, 2 or 5 times a power of ten. */
export function scaleOf(points: readonly { x: number; y: number }[], width: number) {
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  const [left, right] = [Math.min(0, ...xs) - marginM, Math.max(20, ...xs) + marginM]
  const [low, high] = [Math.min(0, ...ys) - marginM, Math.max(20, ...ys) + marginM]
  const perM = Math.min(width / (right - left), height / (high - low)) || 1
  const stepM = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].find((s) => s * perM >= 36) ?? 2000
  const every = (from: number, to: number) =>
    Array.from(
      { length: Math.floor(to / stepM) - Math.ceil(from / stepM) + 1 },
      (_, i) => (Math.ceil(from / stepM) + i) * stepM,
    )
  const toX = (x: number) => (x - left) * perM
  const toY = (y: number) => height - (y - low) * perM
  return {
    toX,
    toY,
    at: (px: number, py: number) => ({ x: left + px / perM, y: low + (height - py) / perM }),
    stepM,
    lines: { x: every(left, left + width / perM), y: every(low, low + height / perM) },
  }
}
