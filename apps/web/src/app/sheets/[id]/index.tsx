import { useLocalSearchParams } from 'expo-router'
import { SheetPage } from '../../../places/sheets/SheetPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SheetPage key={id} id={id} />
}
