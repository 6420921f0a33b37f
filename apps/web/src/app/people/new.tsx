import { PersonForm } from '../../places/people/PeoplePage'

export default function Route() {
  return <PersonForm />
}
