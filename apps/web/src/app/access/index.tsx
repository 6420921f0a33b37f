import { RuleForm } from '../../places/lazyForms'
import { AccessPage } from '../../places/lazyPages'
import { listIndex } from '../../places/shell/listRoutes'
import { firstRule } from '../../state/inOrder'

export default listIndex(AccessPage, firstRule, RuleForm, RuleForm)
