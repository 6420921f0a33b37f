import { SwitchesPage } from '../../places/addresses/AddressesPage'

export default function Route() {
  return <SwitchesPage />
}
