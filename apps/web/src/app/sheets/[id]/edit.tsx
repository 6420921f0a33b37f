import { useLocalSearchParams } from 'expo-router'
import { SheetForm } from '../../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SheetForm key={id} id={id} />
}
