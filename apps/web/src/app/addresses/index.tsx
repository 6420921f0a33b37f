import { AddressesPage } from '../../places/addresses/AddressesPage'

export default function Route() {
  return <AddressesPage />
}
