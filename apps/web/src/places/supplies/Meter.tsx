import { View } from 'react-native'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'

/** How much of what there is is used: a bar with its mark at the limit, and the figures in words. */
export function Meter({ used, most, unit }: { used: number | null; most: number; unit: string }) {
  const ground = useGround()
  const share = used === null || most <= 0 ? 1 : used / most
  const over = used === null || used > most
  const width = 84
  const scale = Math.max(1, share)
  return (
    <View
      role="img"
      aria-label={used === null ? 'collapses' : `${used.toFixed(1)} of ${most} ${unit}`}
      style={{ width, alignItems: 'flex-end' }}
    >
      <T face="mono" size={13} tone={over ? 'madder' : 'ink'}>
        {used === null ? 'collapses' : `${used.toFixed(1)}/${most} ${unit}`}
      </T>
      <View style={{ width, height: 10, borderWidth: 1, borderColor: ground.ink, marginTop: 2 }}>
        <View
          style={{
            width: `${(Math.min(share, scale) / scale) * 100}%`,
            height: '100%',
            backgroundColor: over ? ground.madder : ground.ink,
          }}
        />
        {share > 1 ? (
          <View
            style={{
              position: 'absolute',
              left: `${100 / scale}%`,
              top: -3,
              bottom: -3,
              width: 2,
              backgroundColor: ground.ink,
            }}
          />
        ) : null}
      </View>
    </View>
  )
}
