import {
  boardOf,
  layoutDoor,
  ownUnitOf,
  netOf,
  sheetOf,
  type Controller,
  type Door,
  type DoorLayout,
  type PartRole,
  type PlacedPart,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import Svg from 'react-native-svg'
import { useFacts } from '../state/job'
import { faces, useGround } from '../theme'
import type { Ground } from '../theme/grounds'
import { tapped } from './tapped'
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
  /** How its leaves stand, on the live layer. */
  leaves?: { first: 'open' | 'shut' | null; second: 'open' | 'shut' | null }
  /** Conductors that are under their screws; the others are drawn broken. Without it all are drawn whole. */
  ended?: ReadonlySet<string>
  /** The one conductor in hand. */
  inHand?: string | null
  onConductor?: (conductor: string) => void
}

/**
 * A door as a picture computed from its data: the wall in section, its parts, and each conductor down to its terminal. Inside the drawing
 * stand plain SVG elements: a component for each of some two hundred took most of the time to the paint.
 */
/** Size at which a terminal's number fits its box: those of an expander are long. */
const idSize = ({ w, id }: { w: number; id: string }): number => {
  if (w >= 10 * id.length) return 14
  return w >= 7.5 * id.length ? 11 : 9.5
}

export function DoorDrawing({
  door,
  controller,
  from,
  to,
  layer = 'parts',
  chosen,
  onPart,
  notes,
  lit,
  leaves,
  ended,
  inHand,
  onConductor,
}: Props) {
  const ground = useGround()
  const [width, setWidth] = useState(0)
  const facts = useFacts()
  const sheet = boardOf(sheetsFor(facts), controller)
  const unit = ownUnitOf(door, sheet)
  const layout = width
    ? layoutDoor(door, netOf(door, sheet, sheetsFor(facts)), width, {
        fromRight: sheet.controller?.terminalOneAt === 'right',
        unit: unit?.id,
      })
    : null
  // From the layout to the paint, for whoever measures it.
  useEffect(() => {
    if (width)
      requestAnimationFrame(() => {
        setTimeout(() => {
          performance.measure('rauta.drawing', { start: 'rauta.layout', end: performance.now() })
        })
      })
  }, [width])
  const words = `${door.ref}: ${door.parts.map((p) => `${p.id} ${sheetOf(sheetsFor(facts), p.sheet).name}`).join(', ')}, on ${unit ? 'its own unit ' : ''}${controller.ref}`
  return (
    <View
      style={{ paddingHorizontal: 12 }}
      onLayout={(e) => {
        const wide = Math.floor(e.nativeEvent.layout.width) - 24
        if (wide !== width) {
          performance.mark('rauta.layout')
          setWidth(wide)
        }
      }}
    >
      {layout ? (
        <View
          {...(onConductor
            ? tapped((x, y) => {
                const id = nearest(layout, x, y)
                if (id) onConductor(id)
              })
            : {})}
        >
          <Svg width={layout.width} height={layout.height} role="img" aria-label={`Door drawing. ${words}`}>
            <Wall
              layout={layout}
              from={from}
              to={to}
              ground={ground}
              two={hasTwoLeaves(door)}
              leaves={layer === 'live' ? leaves : undefined}
            />
            {layout.links.map((l, i) => (
              <path
                key={i}
                d={`M${l.from.x} ${l.from.y} v-10 H${l.to.x} v10`}
                fill="none"
                stroke={ground.ink}
                strokeWidth={2}
              />
            ))}
            {strokesOf(layout, { ground, chosen: chosen ?? null, inHand: inHand ?? null, ended }).map(
              ({ key, ...stroke }) => (
                <path key={key} fill="none" {...stroke} />
              ),
            )}
            {layout.spares.map((s) => (
              <g key={`${s.part}.${s.lead.id}`}>
                <line
                  x1={s.at.x}
                  y1={s.at.y}
                  x2={s.at.x}
                  y2={s.at.y + 12}
                  stroke={wireColours[s.lead.colour] ?? ground.ink}
                  strokeWidth={2.6}
                />
                <line
                  x1={s.at.x - 4}
                  y1={s.at.y + 13}
                  x2={s.at.x + 4}
                  y2={s.at.y + 13}
                  stroke={ground.ink}
                  strokeWidth={2.6}
                />
              </g>
            ))}
            {layout.parts.map((p) => (
              <PartBox
                key={p.part.id}
                placed={p}
                ground={ground}
                on={chosen === p.part.id || (layer === 'live' && (lit?.has(p.part.id) ?? false))}
                note={layer === 'volts' ? notes?.[p.part.id] : undefined}
              />
            ))}
            <StripFoot layout={layout} ground={ground} />
          </Svg>
        </View>
      ) : null}
      {layout && onPart
        ? layout.parts.map((p) => (
            <View
              key={p.part.id}
              role="button"
              tabIndex={0}
              aria-label={`${p.part.id}, ${sheetOf(sheetsFor(facts), p.part.sheet).name}`}
              {...({
                onClick: () => onPart(p.part.id),
                onKeyDown: (e: { key: string }) => {
                  if (e.key === 'Enter') onPart(p.part.id)
                },
              } as object)}
              style={{
                position: 'absolute',
                left: 12 + p.x - 3,
                top: p.y - 12,
                width: p.w + 6,
                height: 52,
                cursor: 'pointer',
              }}
            />
          ))
        : null}
    </View>
  )
}

const partWord: Record<PartRole, string> = {
  entryReader: 'reader',
  exitReader: 'reader',
  lock: 'lock',
  lock2: 'lock',
  contact: 'contact',
  contact2: 'contact',
  boltContact: 'bolt',
  exit: 'exit',
  exitSensor: 'sensor',
  deskButton: 'desk',
  breakGlass: 'glass',
  opener: 'opener',
  tamper: 'tamper',
  spare: 'spare',
  sounder: 'sounder',
  signal: 'signal',
  panelSet: 'set',
  panelUnset: 'unset',
  panelToggle: 'turn',
  panelState: 'panel',
}

function PartBox({
  placed,
  ground,
  on,
  note,
}: {
  placed: PlacedPart
  ground: Ground
  on: boolean
  note?: string | undefined
}) {
  const { part, x, y, w, h } = placed
  const edge = part.role === 'breakGlass' ? ground.madder : ground.ink
  return (
    <g>
      <text x={x + w / 2} y={y - 5} fontSize={13} fontFamily={faces.text} fill={ground.quiet} textAnchor="middle">
        {note ?? partWord[part.role]}
      </text>
      <rect x={x} y={y} width={w} height={h} fill={on ? ground.oxide : ground.sheet} stroke={edge} strokeWidth={2} />
      <text
        x={x + w / 2}
        y={y + 20}
        fontSize={14}
        fontFamily={faces.strong}
        fill={on ? ground.onOxide : ground.ink}
        textAnchor="middle"
      >
        {part.id}
      </text>
    </g>
  )
}

const hasTwoLeaves = (door: Door): boolean =>
  door.opening === 'doubleDoor' || door.parts.some((p) => p.role === 'lock2' || p.role === 'contact2')

/** Each leaf from its hinge to where it ends while shut, from the middle of the opening. */
function leafLines(
  two: boolean,
  leaves: Props['leaves'],
): { key: string; hinge: number; end: number; open: boolean }[] {
  const first = leaves?.first === 'open'
  if (!two) return [{ key: 'first', hinge: -30, end: 30, open: first }]
  // A gap between the two, so that they are seen to be two.
  return [
    { key: 'first', hinge: -30, end: -2, open: first },
    { key: 'second', hinge: 30, end: 2, open: leaves?.second === 'open' || (leaves?.second === null && first) },
  ]
}

function leafWords({ first, second }: NonNullable<Props['leaves']>): string {
  if (first === 'open' && second === 'open') return 'both leaves open'
  if (second === 'open') return 'second leaf open'
  if (first === 'open') return 'leaf open'
  return first === null ? 'leaf not seen' : 'shut'
}

/** The wall in section, the leaf between, and each part as a letter where it sits. */
function Wall({
  layout,
  from,
  to,
  ground,
  two,
  leaves,
}: {
  layout: DoorLayout
  from: string
  to: string
  ground: Ground
  two: boolean
  leaves: Props['leaves']
}) {
  const middle = layout.width / 2
  const top = layout.wallY
  const at: Record<PlacedPart['side'], number> = { unsecured: middle - 68, leaf: middle, secured: middle + 42 }
  const count: Record<string, number> = {}
  return (
    <g>
      <text x={0} y={top + 12} fontSize={13} fontFamily={faces.mid} fill={ground.ink}>
        {from}
      </text>
      <text x={layout.width} y={top + 12} fontSize={13} fontFamily={faces.mid} fill={ground.ink} textAnchor="end">
        {to}
      </text>
      {[
        [-84, -30],
        [30, 84],
      ].map(([a, b]) => (
        <g key={a}>
          <rect
            x={middle + (a ?? 0)}
            y={top + 22}
            width={(b ?? 0) - (a ?? 0)}
            height={9}
            fill={ground.sheet}
            stroke={ground.ink}
          />
          {[8, 20, 32, 44].map((d) => (
            <line
              key={d}
              x1={middle + (a ?? 0) + d}
              y1={top + 31}
              x2={middle + (a ?? 0) + d + 7}
              y2={top + 22}
              stroke={ground.quiet}
            />
          ))}
        </g>
      ))}
      {leafLines(two, leaves).map(({ key, hinge, end, open }) => (
        <line
          key={key}
          x1={middle + hinge}
          y1={top + 26.5}
          x2={open ? middle + hinge + (end - hinge) * 0.35 : middle + end}
          y2={open ? top + 26.5 - Math.abs(end - hinge) * 0.55 : top + 26.5}
          stroke={open ? ground.oxide : ground.ink}
          strokeWidth={4}
        />
      ))}
      {leaves ? (
        <text
          x={middle}
          y={top + 12}
          fontSize={13}
          fontFamily={faces.strong}
          fill={leaves.first === 'open' || leaves.second === 'open' ? ground.oxide : ground.quiet}
          textAnchor="middle"
        >
          {leafWords(leaves)}
        </text>
      ) : null}
      {layout.parts.map(({ part, side }) => {
        const n = (count[side] = (count[side] ?? 0) + 1)
        return (
          <text
            key={part.id}
            x={at[side] + (n - 1) * 24 - (side === 'leaf' ? 12 : side === 'unsecured' ? 16 : 0)}
            y={top + 46}
            fontSize={13}
            fontFamily={faces.mono}
            fill={ground.quiet}
          >
            {part.id}
          </text>
        )
      })}
    </g>
  )
}

function StripFoot({ layout, ground }: { layout: DoorLayout; ground: Ground }) {
  return (
    <g>
      <path
        d={layout.terminals
          .filter((t) => !t.again)
          .map(cellOf)
          .join('')}
        fill={ground.sheet}
        stroke={ground.ink}
        strokeWidth={1.3}
      />
      {layout.terminals.some((t) => t.again) ? (
        <path
          d={layout.terminals
            .filter((t) => t.again)
            .map(cellOf)
            .join('')}
          fill={ground.sheet}
          stroke={ground.ink}
          strokeWidth={1.3}
          strokeDasharray="3 3"
        />
      ) : null}
      <path
        d={layout.terminals
          .filter((t) => t.conductors)
          .map((t) => screwOf(t))
          .join('')}
        fill={ground.ink}
        stroke={ground.ink}
      />
      <path
        d={layout.terminals
          .filter((t) => !t.conductors)
          .map((t) => screwOf(t))
          .join('')}
        fill="none"
        stroke={ground.ink}
      />
      <path
        d={layout.terminals
          .filter((t) => t.conductors)
          .map((t) => `M${t.x + t.w / 2 - 3} ${t.y + 13}l6 -4`)
          .join('')}
        fill="none"
        stroke={ground.sheet}
        strokeWidth={1.6}
      />
      {layout.terminals.map((t) => (
        <text
          key={`${t.id} ${t.y}`}
          x={t.x + t.w / 2}
          y={t.y + 32}
          fontSize={idSize(t)}
          fontFamily={faces.mono}
          fill={ground.ink}
          textAnchor="middle"
        >
          {t.id}
        </text>
      ))}
      {layout.terminals.map((t) => (
        <text
          key={`${t.id} ${t.y}`}
          x={t.x + t.w / 2}
          y={t.y + 52}
          fontSize={t.w < 25 ? 10 : 12}
          fontFamily={faces.mid}
          fill={ground.quiet}
          textAnchor="middle"
        >
          {t.label}
        </text>
      ))}
    </g>
  )
}

type Terminal = DoorLayout['terminals'][number]
const cellOf = (t: Terminal): string => `M${t.x + 0.5} ${t.y}h${t.w - 1}v38h${1 - t.w}z`
const screwOf = (t: Terminal): string => {
  const r = t.w < 25 ? 5 : 6
  return `M${t.x + t.w / 2 - r} ${t.y + 11}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`
}

interface Stroke {
  key: string
  d: string
  stroke: string
  strokeWidth: number
  strokeDasharray?: string
}

/** Conductors as few strokes: all that look alike are one; what is in hand lies on top, and light leads have an edge. */
function strokesOf(
  layout: DoorLayout,
  {
    ground,
    chosen,
    inHand,
    ended,
  }: { ground: Ground; chosen: string | null; inHand: string | null; ended: ReadonlySet<string> | undefined },
): Stroke[] {
  const groups = new Map<string, Stroke & { rank: number }>()
  const add = (rank: number, stroke: string, strokeWidth: number, dashed: boolean, d: string) => {
    const key = `${rank} ${stroke} ${strokeWidth} ${dashed}`
    const group = groups.get(key)
    if (group) group.d += d
    else groups.set(key, { key, rank, d, stroke, strokeWidth, ...(dashed ? { strokeDasharray: '7 4' } : {}) })
  }
  for (const { conductor, points } of layout.conductors) {
    const d = points.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join('')
    const plain = inHand
      ? conductor.id !== inHand
      : chosen !== null && conductor.part !== chosen && conductor.cable !== chosen
    const dashed = !!ended && !ended.has(conductor.id)
    if (plain) {
      add(0, ground.line, 2, dashed, d)
      continue
    }
    add(1, ground.sheet, 6, false, d)
    if (edged(conductor.colour, ground.name === 'plant')) add(2, ground.quiet, 4.6, false, d)
    add(3, wireColours[conductor.colour] ?? ground.ink, inHand ? 4 : 2.6, dashed, d)
  }
  return [...groups.values()].sort((a, b) => a.rank - b.rank).map(({ rank: _rank, ...stroke }) => stroke)
}

/** The conductor nearest to a place on the drawing, within a finger's reach; null where none is. */
function nearest(layout: DoorLayout, x: number, y: number): string | null {
  let best: { id: string; far: number } | null = null
  for (const { conductor, points } of layout.conductors)
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1], points[i]]
      if (!a || !b) continue
      const far = Math.hypot(
        x - Math.min(Math.max(x, Math.min(a.x, b.x)), Math.max(a.x, b.x)),
        y - Math.min(Math.max(y, Math.min(a.y, b.y)), Math.max(a.y, b.y)),
      )
      if (far < (best?.far ?? 14)) best = { id: conductor.id, far }
    }
  return best?.id ?? null
}
