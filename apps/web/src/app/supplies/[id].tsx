import { useLocalSearchParams } from 'expo-router'
import { SupplyPage } from '../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SupplyPage key={id} id={id} />
}
