import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstController, ControllersPage } from '../../places/controllers/ControllersPage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstController(useFacts())?.id)
  return (
    <Beside list={<ControllersPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
