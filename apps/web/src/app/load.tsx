import { LoadPage } from '../places/load/LoadPage'

export default function Route() {
  return <LoadPage />
}
