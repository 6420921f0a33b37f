import { ControllerForm } from '../../places/lazyForms'

export default function Route() {
  return <ControllerForm />
}
