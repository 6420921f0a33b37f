import { SheetsPage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'
import { firstSheet } from '../../state/inOrder'

export default listLayout(SheetsPage, firstSheet)
