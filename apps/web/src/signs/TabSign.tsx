import Svg, { Circle, Line, Path } from 'react-native-svg'
import { useGround } from '../theme'

export type TabName = 'doors' | 'reach' | 'load' | 'prove' | 'more'

/** Our own signs for the five places: a leaf's swing, two contacts, lines into a strip, a gauge, rungs. */
export function TabSign({ name, on }: { name: TabName; on: boolean }) {
  const ground = useGround()
  const stroke = on ? ground.ink : ground.quiet
  const common = { stroke, strokeWidth: 1.8, fill: 'none' } as const
  return (
    <Svg width={26} height={22} viewBox="0 0 26 22">
      {name === 'doors' && (
        <>
          <Line x1={7} y1={3} x2={7} y2={19} {...common} />
          <Path d="M7 5 C15 5 18 11 18 18" {...common} strokeDasharray="2.5 2" />
          <Line x1={3} y1={19} x2={22} y2={19} {...common} />
        </>
      )}
      {name === 'reach' && (
        <>
          <Line x1={2} y1={11} x2={10} y2={11} {...common} />
          <Line x1={16} y1={11} x2={24} y2={11} {...common} />
          <Line x1={10} y1={6} x2={10} y2={16} {...common} />
          <Line x1={16} y1={6} x2={16} y2={16} {...common} />
        </>
      )}
      {name === 'load' && (
        <>
          <Path d="M16 3h6v16h-6z" {...common} />
          <Line x1={16} y1={8.3} x2={22} y2={8.3} {...common} />
          <Line x1={16} y1={13.6} x2={22} y2={13.6} {...common} />
          <Line x1={3} y1={5.6} x2={13} y2={5.6} {...common} />
          <Line x1={3} y1={11} x2={13} y2={11} {...common} />
          <Line x1={3} y1={16.4} x2={13} y2={16.4} {...common} />
        </>
      )}
      {name === 'prove' && (
        <>
          <Path d="M3 17 A10 10 0 0 1 23 17" {...common} />
          <Line x1={13} y1={17} x2={18} y2={9.5} {...common} />
          <Circle cx={13} cy={17} r={1.6} fill={stroke} />
        </>
      )}
      {name === 'more' && (
        <>
          <Line x1={3} y1={19} x2={23} y2={19} {...common} />
          <Line x1={7} y1={4} x2={7} y2={16} {...common} />
          <Line x1={13} y1={4} x2={13} y2={16} {...common} />
          <Line x1={19} y1={4} x2={19} y2={16} {...common} />
        </>
      )}
    </Svg>
  )
}
