import { useLocalSearchParams } from 'expo-router'
import { ReactionForm } from '../../../places/lazyForms'

export default function Route() {
  const { id, reaction } = useLocalSearchParams<{ id: string; reaction?: string }>()
  return <ReactionForm key={`${id} ${reaction}`} id={id} reaction={reaction} />
}
