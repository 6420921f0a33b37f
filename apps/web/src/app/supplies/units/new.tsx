import { UnitForm } from '../../../places/lazyForms'

export default function Route() {
  return <UnitForm />
}
