import { TimePage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'
import { firstSchedule } from '../../state/inOrder'

export default listLayout(TimePage, firstSchedule)
