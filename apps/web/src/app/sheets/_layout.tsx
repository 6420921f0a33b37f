import { Slot } from 'expo-router'
import { Beside } from '../../parts/Beside'
import { useChosen } from '../../places/shell/chosen'
import { SheetsPage } from '../../places/lazyPages'
import { firstSheet } from '../../state/inOrder'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstSheet(useFacts())?.id)
  return (
    <Beside list={<SheetsPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
