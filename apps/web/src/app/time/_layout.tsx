import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { TimePage } from '../../places/lazyPages'
import { firstSchedule } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstSchedule(useFacts())?.id)
  return (
    <Beside list={<TimePage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
