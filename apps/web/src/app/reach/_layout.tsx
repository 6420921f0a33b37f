import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstExpected, BenchPage } from '../../places/reach/BenchPage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstExpected(useFacts())?.id)
  return (
    <Beside list={<BenchPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
