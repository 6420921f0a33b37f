import { Text, type TextProps } from 'react-native'
import { faces, useGround, type Face } from '../theme'
import type { Ground } from '../theme/grounds'

export type Tone = keyof Omit<Ground, 'name'>
interface Props extends TextProps {
  size?: 11 | 13 | 15 | 17 | 22 | 28 | 34
  face?: Face
  tone?: Tone
  level?: 1 | 2 | 3
}

/** Text on the ground it stands on; `level` makes it a heading. */
export function T({ size = 15, face = 'text', tone = 'ink', level, style, ...rest }: Props) {
  const ground = useGround()
  const heading = level ? { role: 'heading' as const, 'aria-level': level } : {}
  return (
    <Text
      {...heading}
      {...rest}
      style={[
        { fontFamily: faces[face], fontSize: size, lineHeight: Math.round(size * 1.32), color: ground[tone] },
        style,
      ]}
    />
  )
}
