import type { Cause } from '@rauta/core'
import { View } from 'react-native'
import { T } from '../../parts/Text'
import { TwoLines } from '../../parts/TwoLines'

/** Ranked, each with the reading that tells it from the next. */
export function Causes({ causes }: { causes: readonly Cause[] }) {
  return (
    <View role="list" aria-label="Likely causes" style={{ gap: 6 }}>
      {causes.slice(0, 4).map((c, i) => (
        <View key={c.says} role="listitem" style={{ flexDirection: 'row', gap: 8 }}>
          <T face="mono" tone="quiet">{`${i + 1}`}</T>
          <TwoLines says={c.says} under={c.tell} />
        </View>
      ))}
    </View>
  )
}
