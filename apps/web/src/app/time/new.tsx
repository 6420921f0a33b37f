import { ScheduleForm } from '../../places/lazyForms'

export default function Route() {
  return <ScheduleForm />
}
