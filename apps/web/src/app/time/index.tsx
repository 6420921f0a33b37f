import { ScheduleForm } from '../../places/lazyForms'
import { TimePage } from '../../places/lazyPages'
import { firstSchedule } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstSchedule(useFacts())
  return wide ? <ScheduleForm key={first?.id ?? ''} {...(first ? { id: first.id } : {})} /> : <TimePage />
}
