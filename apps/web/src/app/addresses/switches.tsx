import { SwitchesPage } from '../../places/addresses/SwitchesPage'

export default function Route() {
  return <SwitchesPage />
}
