import { AtHandPage } from '../places/job/AtHandPage'

export default function Route() {
  return <AtHandPage />
}
