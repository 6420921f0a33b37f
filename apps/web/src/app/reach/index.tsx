import { BenchPage, ReachPage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstController } from '../../state/inOrder'

export default listIndex(BenchPage, firstController, ReachPage)
