import { Beside } from '../../parts/Beside'
import { Board } from '../../places/doors/Board'
import { DoorPage } from '../../places/door/DoorPage'
import { useFacts } from '../../state/job'
import { doorsInOrder } from '../../state/worked'
import { useWide } from '../../theme'

export default function Doors() {
  const wide = useWide()
  const first = doorsInOrder(useFacts())[0]
  if (!wide || !first) return <Board />
  return (
    <Beside list={<Board chosen={first.id} />} share={1.25}>
      <DoorPage id={first.id} />
    </Beside>
  )
}
