import { ControllersPage } from '../../places/controllers/ControllersPage'

export default function Route() {
  return <ControllersPage />
}
