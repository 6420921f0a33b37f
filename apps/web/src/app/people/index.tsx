import { PersonForm } from '../../places/lazyForms'
import { PeoplePage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstPerson } from '../../state/inOrder'

export default listIndex(PeoplePage, firstPerson, PersonForm, PersonForm)
