import { useLocalSearchParams } from 'expo-router'
import { ClaimPage } from '../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ClaimPage key={id} id={id} />
}
