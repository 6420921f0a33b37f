import { Slot } from 'expo-router'
import { Beside, useChosen } from '../../parts/Beside'
import { firstSheet, SheetsPage } from '../../places/sheets/SheetsPage'
import { useFacts } from '../../state/job'

export default function Layout() {
  const chosen = useChosen(firstSheet(useFacts())?.id)
  return (
    <Beside list={<SheetsPage chosen={chosen} />}>
      <Slot />
    </Beside>
  )
}
