import { Beside } from '../parts/Beside'
import { ProveList, ProvePage } from '../places/lazyPages'
import { firstToProve } from '../state/inOrder'
import { useFacts } from '../state/job'
import { useWide } from '../theme'

export default function Route() {
  const wide = useWide()
  const first = firstToProve(useFacts())
  if (!wide || !first) return <ProveList />
  return (
    <Beside list={<ProveList chosen={first.id} />}>
      <ProvePage key={first.id} id={first.id} />
    </Beside>
  )
}
