import { SuppliesPage } from '../../places/supplies/SuppliesPage'

export default function Route() {
  return <SuppliesPage />
}
