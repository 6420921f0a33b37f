import { useLocalSearchParams } from 'expo-router'
import { BehaviourPage } from '../../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <BehaviourPage key={id} id={id} />
}
