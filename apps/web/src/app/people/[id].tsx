import { useLocalSearchParams } from 'expo-router'
import { PersonForm } from '../../places/people/PeoplePage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PersonForm key={id} id={id} />
}
