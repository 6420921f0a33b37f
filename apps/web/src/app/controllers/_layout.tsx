import { ControllersPage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'
import { firstController } from '../../state/inOrder'

export default listLayout(ControllersPage, firstController)
