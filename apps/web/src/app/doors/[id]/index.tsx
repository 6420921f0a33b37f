import { useLocalSearchParams } from 'expo-router'
import { Beside } from '../../../parts/Beside'
import { Board } from '../../../places/doors/Board'
import { DoorPage } from '../../../places/door/DoorPage'

export default function Door() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return (
    <Beside list={<Board chosen={id} />} share={1.25}>
      <DoorPage key={id} id={id} />
    </Beside>
  )
}
