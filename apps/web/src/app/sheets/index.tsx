import { SheetPage, SheetsPage } from '../../places/lazyPages'
import { firstSheet } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstSheet(useFacts())
  return wide && first ? <SheetPage key={first.id} id={first.id} /> : <SheetsPage />
}
