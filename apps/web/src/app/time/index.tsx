import { ScheduleForm } from '../../places/lazyForms'
import { TimePage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstSchedule } from '../../state/inOrder'

export default listIndex(TimePage, firstSchedule, ScheduleForm, ScheduleForm)
