import { ControllersPage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'

export default listLayout(ControllersPage, () => undefined)
