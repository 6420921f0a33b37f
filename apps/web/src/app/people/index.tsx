import { PersonForm } from '../../places/lazyForms'
import { PeoplePage } from '../../places/lazyPages'
import { firstPerson } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { useWide } from '../../theme'

/** On a wide screen the list stands beside it already, and the first of it is shown. */
export default function Route() {
  const wide = useWide()
  const first = firstPerson(useFacts())
  return wide ? <PersonForm key={first?.id ?? ''} {...(first ? { id: first.id } : {})} /> : <PeoplePage />
}
