import { ReleasePage } from '../../places/supplies/ReleasePage'

export default function Route() {
  return <ReleasePage />
}
