import {
  layoutCabinet,
  type CabinetLayout,
  type Fitted,
  type Inside,
  type PlacedFitted,
  type PlacedLink,
  type PlacedScrew,
} from '@rauta/core/inside'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { G, Path, Rect, Text as SvgText } from 'react-native-svg'
import { T } from '../parts/Text'
import { faces, useGround } from '../theme'
import type { Ground } from '../theme/grounds'
import { tapped } from './tapped'

/** The inside of a cabinet: what hangs there in the order of the power, every screw, and what joins them. A screw that is tapped says what is on it. */
export function CabinetPicture({
  name,
  inside,
  onOpen,
}: {
  name: string
  inside: Inside
  onOpen: (fitted: Fitted) => void
}) {
  const ground = useGround()
  const [width, setWidth] = useState(0)
  const [inHand, setInHand] = useState<{ fitted: string; screw: string } | null>(null)
  const layout = width ? layoutCabinet(inside, width) : null
  const held = layout && inHand ? find(layout, inHand) : null
  const words = `Inside of ${name}. ${inside.fitted.map((f) => `${f.ref} ${f.says}`).join(', ')}`
  return (
    <View style={{ paddingHorizontal: 12 }} onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width) - 24)}>
      {layout ? (
        <View {...tapped((x, y) => setInHand(screwAt(layout, x, y)))}>
          <Svg width={layout.width} height={layout.height} role="img" aria-label={words}>
            {layout.links.map((l, i) => (
              <LinkLine key={i} placed={l} ground={ground} />
            ))}
            {layout.fitted.map((f) => (
              <Box
                key={f.fitted.id}
                placed={f}
                ground={ground}
                held={held?.screw.screw.id && inHand?.fitted === f.fitted.id ? held.screw : null}
              />
            ))}
          </Svg>
          {layout.fitted.map((f) => (
            <View
              key={f.fitted.id}
              role="button"
              tabIndex={0}
              aria-label={`Open ${f.fitted.ref}, ${f.fitted.says}`}
              {...({
                onClick: () => onOpen(f.fitted),
                onKeyDown: (e: { key: string }) => {
                  if (e.key === 'Enter') onOpen(f.fitted)
                },
              } as object)}
              style={{ position: 'absolute', left: f.x, top: f.y - 4, width: f.w, height: 48, cursor: 'pointer' }}
            />
          ))}
          {held ? <Says held={held} /> : null}
        </View>
      ) : null}
    </View>
  )
}

interface Held {
  fitted: Fitted
  screw: PlacedScrew
}
function find(layout: CabinetLayout, { fitted, screw }: { fitted: string; screw: string }): Held | null {
  const box = layout.fitted.find((f) => f.fitted.id === fitted)
  const placed = box?.groups.flatMap((g) => g.screws).find((s) => s.screw.id === screw)
  return box && placed ? { fitted: box.fitted, screw: placed } : null
}

function screwAt(layout: CabinetLayout, x: number, y: number): { fitted: string; screw: string } | null {
  for (const f of layout.fitted)
    for (const g of f.groups)
      for (const s of g.screws)
        if (x >= s.x && x < s.x + s.w && y >= s.y - 2 && y < s.y + s.h + 2)
          return { fitted: f.fitted.id, screw: s.screw.id }
  return null
}

/** What is on the screw, right under it. */
function Says({
  held: {
    fitted,
    screw: { screw, y, h },
  },
}: {
  held: Held
}) {
  const ground = useGround()
  return (
    <View
      role="status"
      style={{
        position: 'absolute',
        left: 0,
        right: 0,
        top: y + h + 4,
        backgroundColor: ground.sheet,
        borderWidth: 2,
        borderColor: ground.oxide,
        padding: 10,
        pointerEvents: 'none',
      }}
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'baseline' }}>
        <T face="mono" size={22}>
          {screw.id}
        </T>
        <T face="strong" size={17}>
          {screw.label}
        </T>
        <T tone="quiet">{fitted.ref}</T>
      </View>
      {screw.on.length ? (
        screw.on.map((on, i) => (
          <T key={`${on} ${i}`} size={17}>
            {on}
          </T>
        ))
      ) : (
        <T tone="quiet">Nothing goes on it.</T>
      )}
    </View>
  )
}

function LinkLine({ placed: { link, points, mark, side }, ground }: { placed: PlacedLink; ground: Ground }) {
  const d = points.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join('')
  const end = points.at(-1)
  return (
    <G>
      <Path
        d={d}
        fill="none"
        stroke={link.kind === 'power' ? ground.oxide : ground.ink}
        strokeWidth={link.kind === 'power' ? 3 : 1.6}
        {...(link.kind === 'network' ? { strokeDasharray: '2 3' } : {})}
      />
      {mark && end ? (
        <SvgText
          x={end.x + side * 3}
          y={end.y + 4.5}
          fontSize={13}
          fontFamily={faces.mono}
          fill={ground.ink}
          textAnchor={side < 0 ? 'end' : 'start'}
        >
          {mark}
        </SvgText>
      ) : null}
    </G>
  )
}

function Box({
  placed: { fitted, x, y, w, h, groups },
  ground,
  held,
}: {
  placed: PlacedFitted
  ground: Ground
  held: PlacedScrew | null
}) {
  const screws = groups.flatMap((g) => g.screws)
  const cell = (s: PlacedScrew) => `M${s.x} ${s.y}h${s.w}v${s.h}h${-s.w}z`
  const dot = (s: PlacedScrew) => `M${s.x + s.w / 2 - 4} ${s.y + 8}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`
  return (
    <G>
      <Rect
        x={x}
        y={y}
        width={w}
        height={h}
        fill={ground.sheet}
        stroke={ground.ink}
        strokeWidth={fitted.kind === 'board' ? 2 : 1.2}
        {...(fitted.kind === 'battery' ? { strokeDasharray: '6 3' } : {})}
      />
      <SvgText x={x + 10} y={y + 17} fontSize={15} fontFamily={faces.strong} fill={ground.ink}>
        {fitted.ref}
      </SvgText>
      <SvgText x={x + 10} y={y + 33} fontSize={13} fontFamily={faces.text} fill={ground.quiet}>
        {fitted.says}
      </SvgText>
      {fitted.cables ? (
        <SvgText
          x={x + w - 10}
          y={y + 17}
          fontSize={13}
          fontFamily={faces.text}
          fill={ground.quiet}
          textAnchor="end"
        >{`${fitted.cables} cables`}</SvgText>
      ) : null}
      {groups.map((g) => (
        <SvgText key={`${g.x} ${g.y}`} x={g.x} y={g.y + 13} fontSize={13} fontFamily={faces.mid} fill={ground.ink}>
          {g.title}
        </SvgText>
      ))}
      <Path d={screws.map(cell).join('')} fill="none" stroke={ground.ink} strokeWidth={1} />
      {held ? (
        <Rect x={held.x} y={held.y} width={held.w} height={held.h} fill="none" stroke={ground.oxide} strokeWidth={3} />
      ) : null}
      <Path
        d={screws
          .filter((s) => s.screw.on.length)
          .map(dot)
          .join('')}
        fill={ground.ink}
        stroke={ground.ink}
      />
      <Path
        d={screws
          .filter((s) => !s.screw.on.length)
          .map(dot)
          .join('')}
        fill="none"
        stroke={ground.ink}
      />
      {screws.map((s) => (
        <SvgText
          key={s.screw.id}
          x={s.x + s.w / 2}
          y={s.y + 27}
          fontSize={14}
          fontFamily={faces.mono}
          fill={ground.ink}
          textAnchor="middle"
        >
          {s.screw.number}
        </SvgText>
      ))}
    </G>
  )
}
