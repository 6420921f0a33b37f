import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { ControllersPage } from '../../places/controllers/ControllersPage'

export default function Layout() {
  const chosen = useChosen(undefined)
  return (
    <Beside list={<ControllersPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
