import { AccessPage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'
import { firstRule } from '../../state/inOrder'

export default listLayout(AccessPage, firstRule, 1.2)
