import { SchedulePage } from '../places/papers/SchedulePage'

export default function Route() {
  return <SchedulePage />
}
