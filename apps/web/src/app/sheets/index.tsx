import { SheetPage, SheetsPage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstSheet } from '../../state/inOrder'

export default listIndex(SheetsPage, firstSheet, SheetPage)
