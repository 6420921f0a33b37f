import { boardOf, layoutDoor, netOf, sheetOf, type Controller, type Door, type DoorLayout, type PartRole, type PlacedPart } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { Circle, G, Line, Path, Polyline, Rect, Text as SvgText } from 'react-native-svg'
import { useFacts } from '../state/job'
import { faces, useGround } from '../theme'
import type { Ground } from '../theme/grounds'
import { edged, wireColours } from './wireColours'

export type Layer = 'parts' | 'conductors' | 'volts' | 'live'
interface Props {
  door: Door
  controller: Controller
  from: string
  to: string
  layer?: Layer
  /** Part or cable that is in hand: its conductors stand out. */
  chosen?: string | null
  onPart?: (part: string) => void
  /** Words under a part, for example its volts. */
  notes?: Readonly<Record<string, string>>
  /** Parts that spoke last. */
  lit?: ReadonlySet<string>
  /** Conductors that are under their screws; the others are drawn broken. Without it all are drawn whole. */
  ended?: ReadonlySet<string>
  /** The one conductor in hand. */
  inHand?: string | null
  onConductor?: (conductor: string) => void
}

/** A door as a picture computed from its data: the wall in section, its parts, and each conductor down to its terminal. */
export function DoorDrawing({ door, controller, from, to, layer = 'parts', chosen, onPart, notes, lit, ended, inHand, onConductor }: Props) {
  const ground = useGround()
  const [width, setWidth] = useState(0)
  const facts = useFacts()
  const sheet = boardOf(sheetsFor(facts), controller)
  const layout = width ? layoutDoor(door, netOf(door, sheet, sheetsFor(facts)), width, { fromRight: sheet.controller?.terminalOneAt === 'right' }) : null
  const words = `${door.ref}: ${door.parts.map((p) => `${p.id} ${sheetOf(sheetsFor(facts), p.sheet).name}`).join(', ')}, on ${controller.ref}`
  return (
    <View style={{ paddingHorizontal: 12 }} onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width) - 24)}>
      {layout ? (
        <Svg width={layout.width} height={layout.height} role="img" aria-label={`Door drawing. ${words}`}>
          <Wall layout={layout} from={from} to={to} ground={ground} />
          {layout.links.map((l, i) => <Path key={i} d={`M${l.from.x} ${l.from.y} v-10 H${l.to.x} v10`} fill="none" stroke={ground.ink} strokeWidth={2} />)}
          {layout.conductors.map(({ conductor, points }) => {
            const mine = inHand ? conductor.id === inHand : chosen === undefined || chosen === null || conductor.part === chosen || conductor.cable === chosen
            const plain = !mine
            const dash = ended && !ended.has(conductor.id) ? { strokeDasharray: '7 4' } : {}
            const colour = plain ? ground.line : (wireColours[conductor.colour] ?? ground.ink)
            const line = points.map((p) => `${p.x},${p.y}`).join(' ')
            return (
              <G key={conductor.id}>
                <Polyline points={line} fill="none" stroke={ground.sheet} strokeWidth={6} />
                {!plain && edged(conductor.colour, ground.name === 'plant') ? <Polyline points={line} fill="none" stroke={ground.quiet} strokeWidth={4.6} /> : null}
                <Polyline points={line} fill="none" stroke={colour} strokeWidth={plain ? 2 : inHand ? 4 : 2.6} {...dash} />
                {onConductor ? <Polyline points={line} fill="none" stroke="transparent" strokeWidth={16} {...({ onClick: () => onConductor(conductor.id), style: { cursor: 'pointer' } } as object)} /> : null}
              </G>
            )
          })}
          {layout.spares.map((s) => <G key={`${s.part}.${s.lead.id}`}><Line x1={s.at.x} y1={s.at.y} x2={s.at.x} y2={s.at.y + 12} stroke={wireColours[s.lead.colour] ?? ground.ink} strokeWidth={2.6} /><Line x1={s.at.x - 4} y1={s.at.y + 13} x2={s.at.x + 4} y2={s.at.y + 13} stroke={ground.ink} strokeWidth={2.6} /></G>)}
          {layout.parts.map((p) => <PartBox key={p.part.id} placed={p} ground={ground} on={chosen === p.part.id || (layer === 'live' && (lit?.has(p.part.id) ?? false))} note={layer === 'volts' ? notes?.[p.part.id] : undefined} />)}
          <StripFoot layout={layout} ground={ground} />
        </Svg>
      ) : null}
      {layout && onPart ? layout.parts.map((p) => (
        <View key={p.part.id} role="button" tabIndex={0} aria-label={`${p.part.id}, ${sheetOf(sheetsFor(facts), p.part.sheet).name}`}
          {...({ onClick: () => onPart(p.part.id), onKeyDown: (e: { key: string }) => { if (e.key === 'Enter') onPart(p.part.id) } } as object)}
          style={{ position: 'absolute', left: 12 + p.x - 3, top: p.y - 12, width: p.w + 6, height: 52, cursor: 'pointer' }} />
      )) : null}
    </View>
  )
}

const partWord: Record<PartRole, string> = { entryReader: 'reader', exitReader: 'reader', lock: 'lock', lock2: 'lock', contact: 'contact', contact2: 'contact', boltContact: 'bolt', exit: 'exit', exitSensor: 'sensor', deskButton: 'desk', breakGlass: 'glass', opener: 'opener' }

function PartBox({ placed, ground, on, note }: { placed: PlacedPart; ground: Ground; on: boolean; note?: string | undefined }) {
  const { part, x, y, w, h } = placed
  const edge = part.role === 'breakGlass' ? ground.madder : ground.ink
  return (
    <G>
      <SvgText x={x + w / 2} y={y - 5} fontSize={12} fontFamily={faces.text} fill={ground.quiet} textAnchor="middle">{note ?? partWord[part.role]}</SvgText>
      <Rect x={x} y={y} width={w} height={h} fill={on ? ground.oxide : ground.sheet} stroke={edge} strokeWidth={2} />
      <SvgText x={x + w / 2} y={y + 20} fontSize={14} fontFamily={faces.strong} fill={on ? ground.onOxide : ground.ink} textAnchor="middle">{part.id}</SvgText>
    </G>
  )
}

/** The wall in section, the leaf between, and each part as a letter where it sits. */
function Wall({ layout, from, to, ground }: { layout: DoorLayout; from: string; to: string; ground: Ground }) {
  const middle = layout.width / 2
  const top = layout.wallY
  const at: Record<PlacedPart['side'], number> = { unsecured: middle - 68, leaf: middle, secured: middle + 42 }
  const count: Record<string, number> = {}
  return (
    <G>
      <SvgText x={0} y={top + 12} fontSize={13} fontFamily={faces.mid} fill={ground.ink}>{from}</SvgText>
      <SvgText x={layout.width} y={top + 12} fontSize={13} fontFamily={faces.mid} fill={ground.ink} textAnchor="end">{to}</SvgText>
      {[[-84, -30], [30, 84]].map(([a, b]) => (
        <G key={a}>
          <Rect x={middle + (a ?? 0)} y={top + 22} width={(b ?? 0) - (a ?? 0)} height={9} fill={ground.sheet} stroke={ground.ink} />
          {[8, 20, 32, 44].map((d) => <Line key={d} x1={middle + (a ?? 0) + d} y1={top + 31} x2={middle + (a ?? 0) + d + 7} y2={top + 22} stroke={ground.quiet} />)}
        </G>
      ))}
      <Line x1={middle - 30} y1={top + 26.5} x2={middle + 30} y2={top + 26.5} stroke={ground.ink} strokeWidth={4} />
      {layout.parts.map(({ part, side }) => {
        const n = (count[side] = (count[side] ?? 0) + 1)
        return <SvgText key={part.id} x={at[side] + (n - 1) * 24 - (side === 'leaf' ? 12 : side === 'unsecured' ? 16 : 0)} y={top + 46} fontSize={12} fontFamily={faces.mono} fill={ground.quiet}>{part.id}</SvgText>
      })}
    </G>
  )
}

function StripFoot({ layout, ground }: { layout: DoorLayout; ground: Ground }) {
  return (
    <G>
      {layout.terminals.map((t) => { const y = t.y; const small = t.w < 25; return (
        <G key={`${t.id} ${t.y}`}>
          <Rect x={t.x + 0.5} y={y} width={t.w - 1} height={38} fill={ground.sheet} stroke={ground.ink} strokeWidth={1.3} {...(t.again ? { strokeDasharray: '3 3' } : {})} />
          <Circle cx={t.x + t.w / 2} cy={y + 11} r={small ? 5 : 6} fill={t.conductors ? ground.ink : 'none'} stroke={ground.ink} />
          {t.conductors ? <Line x1={t.x + t.w / 2 - 3} y1={y + 13} x2={t.x + t.w / 2 + 3} y2={y + 9} stroke={ground.sheet} strokeWidth={1.6} /> : null}
          <SvgText x={t.x + t.w / 2} y={y + 32} fontSize={t.w < 10 * t.id.length ? 11 : small ? 12 : 14} fontFamily={faces.mono} fill={ground.ink} textAnchor="middle">{t.id}</SvgText>
          <SvgText x={t.x + t.w / 2} y={y + 52} fontSize={small ? 10 : 12} fontFamily={faces.mid} fill={ground.quiet} textAnchor="middle">{t.label}</SvgText>
        </G>
      ) })}
    </G>
  )
}
