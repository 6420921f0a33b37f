import { View } from 'react-native'
import { useGround, useWide } from '../../theme'
import { Board } from '../../places/doors/Board'
import { DoorPage } from '../../places/door/DoorPage'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'

export default function Doors() {
  const wide = useWide()
  const ground = useGround()
  const first = doorsInOrder(useFacts())[0]
  if (!wide || !first) return <Board />
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ flex: 1.25 }}>
        <Board chosen={first.id} />
      </View>
      <View style={{ flex: 1, borderLeftWidth: 1, borderColor: ground.line }}>
        <DoorPage id={first.id} />
      </View>
    </View>
  )
}
