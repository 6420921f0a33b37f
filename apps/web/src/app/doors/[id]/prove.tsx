import { useLocalSearchParams } from 'expo-router'
import { ProvePage } from '../../../places/prove/ProvePage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ProvePage key={id} id={id} />
}
