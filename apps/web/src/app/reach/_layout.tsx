import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { BenchPage } from '../../places/lazyPages'
import { firstController } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstController(useFacts())?.id)
  return (
    <Beside list={<BenchPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
