import { PeoplePage } from '../../places/people/PeoplePage'

export default function Route() {
  return <PeoplePage />
}
