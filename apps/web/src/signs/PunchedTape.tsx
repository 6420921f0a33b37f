import { bitRoles, type BitRole, type Bits, type Sending } from '@rauta/core'
import { View } from 'react-native'
import Svg, { Circle, Line, Rect } from 'react-native-svg'
import { T } from '../parts/Text'
import { useGround } from '../theme'

/** What fits beside each other on a phone. */
const mostPerRow = 30

const roleWords: Readonly<Record<BitRole, string>> = {
  facility: 'facility',
  number: 'number',
  parity: 'parity',
  other: 'not read',
}

/** The bits that came as a punched tape: a hole is a 1. Under them which are the facility, the number and the parity. */
export function PunchedTape({ bits, sending }: { bits: Bits; sending: Pick<Sending, 'format' | 'order'> | undefined }) {
  const ground = useGround()
  const roles = sending ? bitRoles(sending.format, sending.order) : bits.map((): BitRole => 'other')
  const count = Math.ceil(bits.length / mostPerRow)
  const perRow = Math.ceil(bits.length / count)
  // As large as a phone's width lets it be, so that it reads at arm's length.
  const cell = Math.min(18, Math.floor(340 / perRow))
  const rows = Array.from({ length: count }, (_, r) => r * perRow)
  const used = sending ? [...new Set(roles)] : []
  return (
    <View
      role="img"
      aria-label={`${bits.length} bits: ${bits.join('')}${sending ? `; ${runsText(roles)}` : ''}`}
      style={{ gap: 4 }}
    >
      {rows.map((start) => {
        const part = bits.slice(start, start + perRow)
        return (
          <Svg key={start} width={part.length * cell} height={26}>
            <Rect x={0} y={0} width={part.length * cell} height={18} fill={ground.sheet} stroke={ground.line} />
            {part.map((bit, i) => (
              <Circle
                key={i}
                cx={i * cell + cell / 2}
                cy={9}
                r={bit ? cell * 0.38 : 1}
                fill={bit ? ground.ink : ground.quiet}
              />
            ))}
            {part.map((_, i) => (
              <RoleMark key={`r${i}`} role={roles[start + i] ?? 'other'} x={i * cell} y={23} width={cell} />
            ))}
          </Svg>
        )
      })}
      {used.length > 0 ? (
        <View style={{ flexDirection: 'row', gap: 14, flexWrap: 'wrap' }}>
          {used
            .filter((role) => role !== 'other')
            .map((role) => (
              <View key={role} style={{ flexDirection: 'row', gap: 6, alignItems: 'center' }}>
                <Svg width={18} height={6}>
                  <RoleMark role={role} x={0} y={3} width={18} />
                </Svg>
                <T size={13} tone="quiet">
                  {roleWords[role]}
                </T>
              </View>
            ))}
        </View>
      ) : null}
    </View>
  )
}

/** What a bit is, drawn under it: a dot, a whole line, or a broken one; nothing under what is not read. */
function RoleMark({ role, x, y, width }: { role: BitRole; x: number; y: number; width: number }) {
  const ground = useGround()
  if (role === 'other') return null
  if (role === 'parity') return <Circle cx={x + width / 2} cy={y} r={2} fill={ground.quiet} />
  const facility = role === 'facility'
  return (
    <Line
      x1={x}
      x2={x + width}
      y1={y}
      y2={y}
      stroke={facility ? ground.slate : ground.oxide}
      strokeWidth={4}
      {...(facility ? { strokeDasharray: '3 2' } : {})}
    />
  )
}

/** Counted from 1: `parity bit 1; facility bits 2 to 9; …` */
function runsText(roles: readonly BitRole[]): string {
  const runs: { role: BitRole; from: number; to: number }[] = []
  for (const [i, role] of roles.entries()) {
    const last = runs.at(-1)
    if (last?.role === role) last.to = i
    else runs.push({ role, from: i, to: i })
  }
  return runs
    .map(({ role, from, to }) => `${roleWords[role]} bit${from === to ? ` ${from + 1}` : `s ${from + 1} to ${to + 1}`}`)
    .join('; ')
}
