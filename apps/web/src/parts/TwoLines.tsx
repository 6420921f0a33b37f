import { View } from 'react-native'
import { T, type Tone } from './Text'

/** A sentence, and a smaller one under it that says more. */
export function TwoLines({ says, under, tone = 'ink' }: { says: string; under: string; tone?: Tone }) {
  return (
    <View style={{ flex: 1 }}>
      <T tone={tone}>{says}</T>
      <T size={13} tone="quiet">
        {under}
      </T>
    </View>
  )
}
