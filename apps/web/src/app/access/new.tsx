import { RuleForm } from '../../places/lazyForms'

export default function Route() {
  return <RuleForm />
}
