import { RuleForm } from '../../places/access/AccessPage'

export default function Route() {
  return <RuleForm />
}
