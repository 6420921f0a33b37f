import { ScheduleForm } from '../../places/time/TimePage'

export default function Route() {
  return <ScheduleForm />
}
