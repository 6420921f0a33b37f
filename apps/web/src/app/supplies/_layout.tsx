import { Slot, usePathname } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { SuppliesPage } from '../../places/lazyPages'
import { firstSupply } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const facts = useFacts()
  const [, , place, unit] = usePathname().split('/')
  // What opens when is a matrix of its own.
  if (place === 'release') return <Slot />
  return (
    <Beside list={<SuppliesPage chosen={unit ?? place ?? firstSupply(facts)?.id} />}>
      <Slot />
    </Beside>
  )
}
