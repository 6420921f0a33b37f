import { useState } from 'react'
import { Beside } from '../parts/Beside'
import { DoorPage } from '../places/door/DoorPage'
import { lastDoorHeard, LivePage } from '../places/live/LivePage'
import { useFacts } from '../state/job'
import { useWide } from '../theme'

export default function Route() {
  const wide = useWide()
  const facts = useFacts()
  // What was heard last as one came; it does not jump with every event.
  const [door, setDoor] = useState(() => lastDoorHeard(facts))
  if (!wide || !door) return <LivePage />
  return (
    <Beside list={<LivePage chosen={door} onDoor={setDoor} />} share={1.25}>
      <DoorPage key={door} id={door} first="live" />
    </Beside>
  )
}
