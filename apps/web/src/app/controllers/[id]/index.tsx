import { useLocalSearchParams } from 'expo-router'
import { ControllerPage } from '../../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ControllerPage key={id} id={id} />
}
