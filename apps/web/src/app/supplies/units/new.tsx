import { UnitForm } from '../../../places/supplies/UnitPage'

export default function Route() {
  return <UnitForm />
}
