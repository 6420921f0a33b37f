import { useLocalSearchParams } from 'expo-router'
import { SheetForm } from '../../places/lazyForms'

export default function Route() {
  const { like } = useLocalSearchParams<{ like?: string }>()
  return <SheetForm key={like ?? ''} {...(like ? { like } : {})} />
}
