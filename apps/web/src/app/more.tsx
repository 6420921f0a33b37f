import { MorePage } from '../places/shell/MorePage'

export default function Route() {
  return <MorePage />
}
