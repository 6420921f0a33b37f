import { BenchPage, ClaimPage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstController } from '../../state/inOrder'

export default listIndex(BenchPage, firstController, ClaimPage)
