import { Text } from 'react-native'

/** The empty shell that the first load is measured against: the same stack, one heading. */
export default function Empty() {
  return (
    <Text role="heading" aria-level={1}>
      Empty
    </Text>
  )
}
