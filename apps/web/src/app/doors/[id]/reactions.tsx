import { useLocalSearchParams } from 'expo-router'
import { ReactionsPage } from '../../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ReactionsPage key={id} id={id} />
}
