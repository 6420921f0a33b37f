import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { AccessPage } from '../../places/lazyPages'
import { firstRule } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstRule(useFacts())?.id)
  return (
    <Beside list={<AccessPage chosen={chosen} />} share={1.2}>
      <Slot />
    </Beside>
  )
}
