import { PeoplePage } from '../../places/lazyPages'
import { listLayout } from '../../places/shell/listRoutes'
import { firstPerson } from '../../state/inOrder'

export default listLayout(PeoplePage, firstPerson, 1.2)
