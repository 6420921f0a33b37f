import { ControllerForm } from '../../places/controllers/ControllersPage'

export default function Route() {
  return <ControllerForm />
}
