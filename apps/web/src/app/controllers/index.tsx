import { ControllerPage, ControllersPage } from '../../places/lazyPages'
import { firstController } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstController(useFacts())
  return wide && first ? <ControllerPage key={first.id} id={first.id} /> : <ControllersPage />
}
