import { useLocalSearchParams } from 'expo-router'
import { PersonForm } from '../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PersonForm key={id} id={id} />
}
