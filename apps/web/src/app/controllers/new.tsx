import { ControllerForm } from '../../places/controllers/ControllerForm'

export default function Route() {
  return <ControllerForm />
}
