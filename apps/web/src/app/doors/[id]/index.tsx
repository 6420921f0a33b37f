import { useLocalSearchParams } from 'expo-router'
import { View } from 'react-native'
import { Board } from '../../../places/doors/Board'
import { DoorPage } from '../../../places/door/DoorPage'
import { useGround, useWide } from '../../../theme'

export default function Door() {
  const { id } = useLocalSearchParams<{ id: string }>()
  const wide = useWide()
  const ground = useGround()
  if (!wide) return <DoorPage id={id} />
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ flex: 1.25 }}>
        <Board chosen={id} />
      </View>
      <View style={{ flex: 1, borderLeftWidth: 1, borderColor: ground.line }}>
        <DoorPage key={id} id={id} />
      </View>
    </View>
  )
}
