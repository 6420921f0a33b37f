import { TimePage } from '../../places/time/TimePage'

export default function Route() {
  return <TimePage />
}
