import { useLocalSearchParams } from 'expo-router'
import { ReachPage } from '../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ReachPage key={id} id={id} />
}
