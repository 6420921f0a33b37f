import Check from 'lucide-react-native/icons/check'
import ChevronDown from 'lucide-react-native/icons/chevron-down'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import ArrowDown from 'lucide-react-native/icons/arrow-down'
import ArrowUp from 'lucide-react-native/icons/arrow-up'
import Search from 'lucide-react-native/icons/search'
import { View } from 'react-native'
import { useGround } from '../theme'
import type { Tone } from './Text'

const signs = {
  done: Check,
  unfolds: ChevronDown,
  leadsOn: ChevronRight,
  down: ArrowDown,
  up: ArrowUp,
  find: Search,
} as const

/** A general sign beside words that say the same: never read out by itself. Ideas of our own have signs of our own, under `signs/`. */
export function Icon({ name, size = 20, tone = 'ink' }: { name: keyof typeof signs; size?: number; tone?: Tone }) {
  const ground = useGround()
  const Sign = signs[name]
  return (
    <View aria-hidden style={{ width: size, height: size }}>
      <Sign size={size} color={ground[tone]} strokeWidth={2.25} />
    </View>
  )
}
