import { View } from 'react-native'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'

/** Seconds running against the window they should end in. */
export function Dial({ label, seconds, from, to }: { label: string; seconds: number; from: number; to: number }) {
  const ground = useGround()
  const end = to * 1.2
  const part = (s: number) => `${Math.min(100, (s / end) * 100)}%` as const
  return (
    <View style={{ backgroundColor: ground.sheet, borderWidth: 1, borderColor: ground.line, padding: 14, gap: 8 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <T face="strong">{label}</T>
        <T face="mono" size={28}>{`${seconds.toFixed(1)} s`}</T>
      </View>
      <View style={{ height: 24, justifyContent: 'center' }}>
        <View style={{ height: 8, backgroundColor: ground.line }}>
          <View style={{ height: 8, width: part(seconds), backgroundColor: ground.slate }} />
        </View>
        <View
          style={{
            position: 'absolute',
            left: part(from),
            width: `${((to - from) / end) * 100}%`,
            height: 22,
            borderWidth: 2,
            borderColor: ground.verdigris,
          }}
        />
      </View>
      <T face="mono" size={13} tone="quiet">{`${from}–${to} s`}</T>
    </View>
  )
}
