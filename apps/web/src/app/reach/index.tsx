import { ClaimPage } from '../../places/reach/ClaimPage'
import { firstExpected, BenchPage } from '../../places/reach/BenchPage'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstExpected(useFacts())
  return wide && first ? <ClaimPage key={first.id} id={first.id} /> : <BenchPage />
}
