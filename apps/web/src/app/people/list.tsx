import { PeopleListPage } from '../../places/papers/PeopleListPage'

export default function Route() {
  return <PeopleListPage />
}
