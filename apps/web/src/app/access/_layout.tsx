import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstRule, AccessPage } from '../../places/access/AccessPage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstRule(useFacts())?.id)
  return (
    <Beside list={<AccessPage chosen={chosen} />} share={1.2}>
      <Slot />
    </Beside>
  )
}
