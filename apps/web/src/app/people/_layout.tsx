import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstPerson, PeoplePage } from '../../places/people/PeoplePage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstPerson(useFacts())?.id)
  return (
    <Beside list={<PeoplePage chosen={chosen} />} share={1.2}>
      <Slot />
    </Beside>
  )
}
