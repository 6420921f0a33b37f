import { DoorSetForm } from '../../places/lazyForms'

export default function Route() {
  return <DoorSetForm />
}
