import { LivePage } from '../places/live/LivePage'

export default function Route() {
  return <LivePage />
}
