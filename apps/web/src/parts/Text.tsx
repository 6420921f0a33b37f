import { StyleSheet, Text, type TextProps, type TextStyle } from 'react-native'
import { faces, useGround, type Face } from '../theme'
import type { Ground } from '../theme/grounds'

export type Tone = keyof Omit<Ground, 'name'>
interface Props extends TextProps {
  size?: 11 | 13 | 15 | 17 | 22 | 28 | 34
  face?: Face
  tone?: Tone
  level?: 1 | 2 | 3
}

const made = new Map<string, TextStyle>()

/** A style that is made once: one made anew at each text is what a long list would spend its time on. */
function styleOf(face: Face, size: number, color: string): TextStyle {
  const key = `${face} ${size} ${color}`
  let style = made.get(key)
  if (!style) {
    style = StyleSheet.create({
      text: { fontFamily: faces[face], fontSize: size, lineHeight: Math.round(size * 1.32), color },
    }).text
    made.set(key, style)
  }
  return style
}

/** Text on the ground it stands on; `level` makes it a heading. */
export function T({ size = 15, face = 'text', tone = 'ink', level, style, ...rest }: Props) {
  const ground = useGround()
  const heading = level ? { role: 'heading' as const, 'aria-level': level } : {}
  return <Text {...heading} {...rest} style={[styleOf(face, size, ground[tone]), style]} />
}
