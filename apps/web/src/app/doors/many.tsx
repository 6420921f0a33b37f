import { ManyForm } from '../../places/lazyForms'

export default function Route() {
  return <ManyForm />
}
