import { RuleForm } from '../../places/lazyForms'
import { AccessPage } from '../../places/lazyPages'
import { firstRule } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstRule(useFacts())
  return wide ? <RuleForm key={first?.id ?? ''} {...(first ? { id: first.id } : {})} /> : <AccessPage />
}
