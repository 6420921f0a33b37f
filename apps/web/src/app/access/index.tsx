import { AccessPage } from '../../places/access/AccessPage'

export default function Route() {
  return <AccessPage />
}
