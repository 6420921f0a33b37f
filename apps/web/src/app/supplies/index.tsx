import { SuppliesPage, SupplyPage } from '../../places/lazyPages'
import { firstSupply } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstSupply(useFacts())
  return wide && first ? <SupplyPage key={first.id} id={first.id} /> : <SuppliesPage />
}
