import { useLocalSearchParams } from 'expo-router'
import { SheetForm } from '../../places/sheets/SheetForm'

export default function Route() {
  const { like } = useLocalSearchParams<{ like?: string }>()
  return <SheetForm key={like ?? ''} {...(like ? { like } : {})} />
}
