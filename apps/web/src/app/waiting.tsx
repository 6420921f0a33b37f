import { WaitingPage } from '../places/waiting/WaitingPage'

export default function Route() {
  return <WaitingPage />
}
