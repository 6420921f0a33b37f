import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { ControllersPage } from '../../places/lazyPages'

export default function Layout() {
  const chosen = useChosen(undefined)
  return (
    <Beside list={<ControllersPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
