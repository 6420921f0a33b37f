import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstSchedule, TimePage } from '../../places/time/TimePage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstSchedule(useFacts())?.id)
  return (
    <Beside list={<TimePage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
