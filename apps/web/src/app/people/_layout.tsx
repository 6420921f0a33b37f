import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { PeoplePage } from '../../places/lazyPages'
import { firstPerson } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstPerson(useFacts())?.id)
  return (
    <Beside list={<PeoplePage chosen={chosen} />} share={1.2}>
      <Slot />
    </Beside>
  )
}
