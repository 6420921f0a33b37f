import { useLocalSearchParams } from 'expo-router'
import { PeopleListPage } from '../../places/papers/PeopleListPage'

export default function Route() {
  const { paper } = useLocalSearchParams<{ paper?: string }>()
  return <PeopleListPage key={paper ?? ''} at={paper} />
}
