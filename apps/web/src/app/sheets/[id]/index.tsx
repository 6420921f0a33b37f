import { useLocalSearchParams } from 'expo-router'
import { SheetPage } from '../../../places/lazyPages'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SheetPage key={id} id={id} />
}
