import { PersonForm } from '../../places/lazyForms'

export default function Route() {
  return <PersonForm />
}
