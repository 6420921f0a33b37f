import { UnitForm } from '../../../places/supplies/UnitForm'

export default function Route() {
  return <UnitForm />
}
