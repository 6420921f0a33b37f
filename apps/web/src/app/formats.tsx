import { FormatsPage } from '../places/lazyForms'

export default function Route() {
  return <FormatsPage />
}
