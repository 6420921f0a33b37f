import { areaLinks, areaTree, type Area, type Door } from '@rauta/core'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import Svg, { Circle, Path, Text as SvgText } from 'react-native-svg'
import { T } from '../parts/Text'
import { faces, useGround } from '../theme'

const row = 48
const room = 132

/** Areas in their tree, and beside them what leads where: an arc for each two areas with a door between, with how many. */
export function AreaMap({ areas, doors }: { areas: readonly Area[]; doors: readonly Door[] }) {
  const ground = useGround()
  const [chosen, setChosen] = useState<string | null>(null)
  const lines = areaTree(areas)
  const links = areaLinks(lines, doors)
  const y = new Map(lines.map((l, i) => [l.area.id, i * row + row / 2]))
  const mine = links.filter((l) => l.a === chosen || l.b === chosen)
  const name = (id: string) => areas.find((a) => a.id === id)?.name ?? id
  const furthest = Math.max(1, ...links.map((l) => Math.abs((y.get(l.a) ?? 0) - (y.get(l.b) ?? 0))))
  return (
    <View>
      <View style={{ flexDirection: 'row' }}>
        <View style={{ flex: 1 }}>
          {lines.map(({ area, depth }) => (
            <Pressable
              key={area.id}
              role="button"
              aria-pressed={chosen === area.id}
              aria-label={`${area.code} ${area.name}`}
              onPress={() => setChosen(chosen === area.id ? null : area.id)}
              style={{ height: row, flexDirection: 'row', alignItems: 'center', gap: 8, paddingLeft: depth * 18 }}
            >
              {depth ? (
                <View
                  style={{
                    width: 8,
                    height: row / 2,
                    borderLeftWidth: 1.5,
                    borderBottomWidth: 1.5,
                    borderColor: ground.quiet,
                    marginTop: -row / 2,
                  }}
                />
              ) : null}
              <T face="mono" style={{ width: 34 }}>
                {area.code}
              </T>
              <T face={chosen === area.id ? 'strong' : 'text'} numberOfLines={1} style={{ flex: 1 }}>
                {area.name}
              </T>
            </Pressable>
          ))}
        </View>
        <View
          role="img"
          aria-label={`What leads where: ${links.map((l) => `${name(l.a)} and ${name(l.b)}, ${l.doors.length}`).join('; ')}`}
        >
          <Svg width={room} height={lines.length * row}>
            {links.map((l) => {
              const [from, to] = [y.get(l.a) ?? 0, y.get(l.b) ?? 0]
              const on = chosen === null || l.a === chosen || l.b === chosen
              const out = from === to ? 22 : 26 + (Math.abs(from - to) / furthest) * (room - 62)
              const stroke = on ? (chosen ? ground.oxide : ground.ink) : ground.line
              const [top, low] = from === to ? [from - 10, from + 10] : [from, to]
              return (
                <Path
                  key={`${l.a}/${l.b}`}
                  d={`M 4 ${top} C ${out * 1.33} ${top}, ${out * 1.33} ${low}, 4 ${low}`}
                  fill="none"
                  stroke={stroke}
                  strokeWidth={Math.min(6, 1 + l.doors.length / 3)}
                />
              )
            })}
            {links.map((l) => {
              const [from, to] = [y.get(l.a) ?? 0, y.get(l.b) ?? 0]
              const on = l.a === chosen || l.b === chosen
              const out = from === to ? 22 : 26 + (Math.abs(from - to) / furthest) * (room - 62)
              return on ? (
                <SvgText
                  key={`${l.a}/${l.b}`}
                  x={out + 5}
                  y={(from + to) / 2 + 5}
                  fontSize={13}
                  fontFamily={faces.mono}
                  fill={ground.ink}
                  stroke={ground.sheet}
                  strokeWidth={0}
                >
                  {String(l.doors.length)}
                </SvgText>
              ) : null
            })}
            {lines.map((l) => (
              <Circle key={l.area.id} cx={4} cy={y.get(l.area.id) ?? 0} r={3.5} fill={ground.ink} />
            ))}
          </Svg>
        </View>
      </View>
      {chosen ? (
        <View style={{ paddingTop: 8, gap: 4 }}>
          {mine.length === 0 ? (
            <T tone="quiet">No door leads there yet.</T>
          ) : (
            mine.map((l) => (
              <T key={`${l.a}/${l.b}`}>
                <T face="strong">{l.a === l.b ? 'Inside it' : `To ${name(l.a === chosen ? l.b : l.a)}`}</T>
                {`: ${l.doors.join(', ')}`}
              </T>
            ))
          )}
        </View>
      ) : null}
    </View>
  )
}
