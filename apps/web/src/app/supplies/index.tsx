import { SuppliesPage, SupplyPage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstSupply } from '../../state/inOrder'

export default listIndex(SuppliesPage, firstSupply, SupplyPage)
